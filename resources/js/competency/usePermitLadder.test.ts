import type { Schemas } from '@/api/client';
import { describe, expect, it } from 'vitest';
import { usePermitLadder } from './usePermitLadder';

type Permit = Schemas['PermitRecord'];
const lesson = (code: string, completed: boolean) => ({
  code,
  title: code,
  minutes: 10,
  steps: 6,
  steps_done: completed ? 6 : 0,
  completed,
  guided: false,
});
const permit = (code: string, stage: number, more: Partial<Permit> = {}): Permit => ({
  code,
  name: code,
  prerequisites: [],
  standing: { stage, held: false, lapsed: null, next: [], due: [] },
  lessons: [],
  checks: [],
  practice: { count: 0, count_needed: 3, minutes: 0, minutes_needed: 90, waiting: 0 },
  assessments: [],
  acknowledged: false,
  signed_off: null,
  ...more,
});

describe('the ladder', () => {
  it('hangs each permit under the deepest that it builds on', () => {
    const { columns } = usePermitLadder([
      permit('bench', 5),
      permit('press', 0, { prerequisites: ['bench'] }),
      permit('depth', 0, { prerequisites: ['press'] }),
      permit('tap', 0, { prerequisites: ['press', 'depth'] }),
      permit('lathe', 0),
    ]);
    expect(columns.value.map((column) => column.map((rung) => `${rung.depth} ${rung.permit.code}`))).toEqual([
      ['0 bench', '1 press', '2 depth', '3 tap'],
      ['0 lathe'],
    ]);
    expect(columns.value[0]?.[3]?.waitsFor.map((each) => each.code)).toEqual(['press', 'depth']);
    expect(columns.value[0]?.[1]?.waitsFor).toEqual([]);
    expect(columns.value[0]?.[0]?.opens.map((each) => each.code)).toEqual(['press']);
  });

  it('shows what carries no more before what is under way, and what is under way before what was only read elsewhere', () => {
    const shared = [lesson('C1', true)];
    const bench = permit('bench', 5, { signed_off: { at: '2031-01-01' } as Permit['signed_off'] });
    const press = (stage: number, more: Partial<Permit> = {}) =>
      permit('press', stage, { prerequisites: ['bench'], lessons: [...shared, lesson('C5', false)], ...more });
    const hand = permit('hand', 1, { lessons: shared });
    const current = (...all: Permit[]) => usePermitLadder(all).current.value?.code;
    expect(current(bench, press(0), hand)).toBe('press');
    const signed = press(5, { signed_off: { at: '2031-02-01' } as Permit['signed_off'] });
    expect(current(bench, signed, hand)).toBe('press');
    const checked = {
      code: 'S',
      title: 'S',
      attempts: 1,
      passed: true,
      stale: false,
      score_percent: 90,
      last_attempt: null,
    };
    expect(current(bench, signed, { ...hand, checks: [checked] })).toBe('hand');
    expect(current({ ...bench, standing: { ...bench.standing, held: true } }, press(0), hand)).toBe('bench');
    expect(current(permit('bench', 0), press(0, { lessons: [] }))).toBe('bench');
  });
});
