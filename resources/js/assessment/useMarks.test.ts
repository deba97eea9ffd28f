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
const route = (criterion: string) => `PUT /api/assessment/attempts/a1/marks/${criterion}`;
const kept = () => Object.keys(localStorage).filter((key) => key.startsWith('millstep.outbox.'));

describe('marks of a sheet', () => {
  beforeEach(() => signedIn('instructor'));

  it('are sent as they are made and then forgotten here', async () => {
    serve(route('eyes'), { id: 'a1' });
    const marks = marksOf('a1');
    marks.set('eyes', { result: 'met' });
    expect(marks.pending.value).toBe(1);
    expect(kept()).toHaveLength(1);
    await flushPromises();
    expect(marks.pending.value).toBe(0);
    expect(kept()).toEqual([]);
  });

  it('that were kept are sent when the sheet is opened again, under the same id', async () => {
    serve(route('eyes'), new Refusal(503, 'The shop is away.'));
    const marks = marksOf('a1');
    marks.set('eyes', { result: 'met' });
    await flushPromises();
    expect(marks.pending.value).toBe(1);
    expect(marks.stuck.value).toBe('unreachable');
    serve(route('eyes'), { id: 'a1' });
    openOutbox();
    await flushPromises();
    expect(called(route('eyes'))).toHaveLength(2);
    expect(marks.pending.value).toBe(0);
  });

  it("that cannot be understood stay the typist's to mend and are not sent again", async () => {
    serve(route('dia-A'), new Refusal(422, '"nine" is no size'));
    const marks = marksOf('a1');
    marks.set('dia-A', { value: 'nine' });
    await flushPromises();
    expect(marks.faults.value['dia-A']).toContain('no size');
    expect(marks.pending.value).toBe(0);
    serve(route('dia-A'), { id: 'a1' });
    marks.set('dia-A', { value: '9.1' });
    await flushPromises();
    expect(marks.faults.value['dia-A']).toBeUndefined();
  });

  it.each([
    [401, 'You were signed out.'],
    [419, 'CSRF token mismatch.'],
  ])('are not lost when the session is over (%d)', async (status, message) => {
    serve(route('key'), new Refusal(status, message));
    const marks = marksOf('a1');
    marks.set('key', { result: 'not_met' });
    await flushPromises();
    expect(marks.stuck.value).toBe('signed_out');
    expect(marks.marked.value.key).toEqual({ result: 'not_met' });
    expect(marks.pending.value).toBe(1);
    expect(kept()).toHaveLength(1);
  });

  it('are not lost when the sheet was concluded elsewhere: they stay, and are said not to be saved', async () => {
    serve(route('key'), new Refusal(409, 'This sheet is concluded.'));
    const marks = marksOf('a1');
    marks.set('key', { result: 'met' });
    await flushPromises();
    expect(marks.unsaved.value).toBe(1);
    expect(marks.faults.value.key).toContain('concluded');
    expect(kept()).toHaveLength(1);
  });
});
