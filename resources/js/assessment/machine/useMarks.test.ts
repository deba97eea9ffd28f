import { openOutbox } from '@/api/outbox';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { defineComponent, h } from 'vue';
import { useMarks } from './useMarks';

type Marks = ReturnType<typeof useMarks>;

function marksOf(attempt: string): Marks {
  let marks: Marks | undefined;
  mountIn(
    defineComponent({
      setup: () => {
        marks = useMarks(attempt, ['sheet', attempt]);
        return () => h('p');
      },
    }),
    {},
  );
  return marks as Marks;
}
const ROUTE = 'POST /api/assessment/attempts/a1/marks';
const kept = () => Object.keys(localStorage).filter((key) => key.startsWith('millstep.outbox.'));
const bodies = () => called(ROUTE).map((call) => call.body as Record<string, unknown>);

describe('marks of a sheet', () => {
  beforeEach(() => signedIn('instructor'));

  it('are sent as they are made, under an id of their own, and then forgotten here', async () => {
    serve(ROUTE, { id: 'a1' });
    const marks = marksOf('a1');
    void marks.set('eyes', { seat: 'assessor', result: 'met' });
    expect(marks.pending.value).toBe(1);
    expect(kept()).toHaveLength(1);
    await flushPromises();
    expect(marks.pending.value).toBe(0);
    expect(kept()).toEqual([]);
    expect(bodies()[0]).toMatchObject({ criterion: 'eyes', seat: 'assessor', result: 'met' });
    expect(bodies()[0]?.id).toMatch(/^[0-9a-f-]{36}$/);
  });

  it('that were kept are sent when the sheet is opened again, under the same id', async () => {
    serve(ROUTE, new Refusal(503, 'The shop is away.'));
    const marks = marksOf('a1');
    void marks.set('eyes', { seat: 'assessor', result: 'met' });
    await flushPromises();
    expect(marks.pending.value).toBe(1);
    expect(marks.stuck.value).toBe('unreachable');
    serve(ROUTE, { id: 'a1' });
    openOutbox();
    await flushPromises();
    expect(bodies()).toHaveLength(2);
    expect(bodies()[0]).toEqual(bodies()[1]);
    expect(marks.pending.value).toBe(0);
  });

  it('take the place of a verdict that has not gone out, and never of a reading', async () => {
    serve(ROUTE, new Refusal(503, 'The shop is away.'));
    const marks = marksOf('a1');
    for (const result of ['met', 'prompted', 'met'])
      void marks.set('clean', { seat: 'assessor', result }).catch(() => undefined);
    for (const value of ['9.1', '9.2'])
      void marks.set('dia', { seat: 'assessor', reading: { value } }).catch(() => undefined);
    await flushPromises();
    // The first was under way already; what came after it is one verdict and two readings.
    expect(marks.pending.value).toBeLessThanOrEqual(4);
    expect(marks.marked.value.clean?.result).toBe('met');
    expect(kept().length).toBeGreaterThanOrEqual(3);
  });

  it("that cannot be understood stay the typist's to mend and are not sent again", async () => {
    serve(ROUTE, new Refusal(422, '"nine" is no size', { value: ['"nine" is no size'] }));
    const marks = marksOf('a1');
    await marks.set('dia-A', { seat: 'assessor', reading: { value: 'nine' } });
    expect(marks.misread.value['dia-A']?.errors.value?.[0]).toContain('no size');
    expect(marks.pending.value).toBe(0);
    expect(marks.last.value).toBeNull();
    serve(ROUTE, { id: 'a1' });
    await marks.set('dia-A', { seat: 'assessor', reading: { value: '9.1' } });
    expect(marks.misread.value['dia-A']).toBeUndefined();
  });

  it.each([
    [401, 'You were signed out.'],
    [419, 'CSRF token mismatch.'],
  ])('are not lost when the session is over (%d)', async (status, message) => {
    serve(ROUTE, new Refusal(status, message));
    const marks = marksOf('a1');
    void marks.set('key', { seat: 'assessor', result: 'not_met' });
    await flushPromises();
    expect(marks.stuck.value).toBe('signed_out');
    expect(marks.marked.value.key?.result).toBe('not_met');
    expect(marks.pending.value).toBe(1);
    expect(kept()).toHaveLength(1);
  });

  it('that somebody else made otherwise stay, are said not to be saved, and may be let stand', async () => {
    serve(ROUTE, new Refusal(409, 'Ada marked this at 10:31.'));
    const marks = marksOf('a1');
    await marks.set('key', { seat: 'assessor', result: 'met' });
    expect(marks.unsaved.value).toBe(1);
    expect(marks.refused.value.key?.message).toContain('10:31');
    expect(kept()).toHaveLength(1);
    marks.letStand('key');
    expect(marks.unsaved.value).toBe(0);
    expect(kept()).toEqual([]);
  });

  it('are taken back by another line, or never go out where there is no network', async () => {
    serve(ROUTE, { id: 'a1' });
    const marks = marksOf('a1');
    await marks.set('clean', { seat: 'assessor', result: 'met' });
    const id = bodies()[0]?.id as string;
    serve(`POST /api/assessment/attempts/a1/marks/${id}/undo`, { id: 'a1' });
    marks.undo();
    await flushPromises();
    expect(called(`POST /api/assessment/attempts/a1/marks/${id}/undo`)).toHaveLength(1);
    serve(ROUTE, new Refusal(503, 'The shop is away.'));
    void marks.set('clean', { seat: 'assessor', result: 'prompted' });
    await flushPromises();
    expect(marks.pending.value).toBe(1);
    marks.undo();
    expect(marks.pending.value).toBe(0);
    expect(kept()).toEqual([]);
  });
});
