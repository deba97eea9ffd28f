import { mountIn } from '@/test/mountIn';
import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
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

const sent = vi.hoisted(() => vi.fn());
vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: { PUT: sent } }));
const answer = (status: number, body: object = {}) => ({
  [status < 400 ? 'data' : 'error']: body,
  response: new Response(null, { status }),
});

describe('marks of a sheet', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    localStorage.clear();
    sent.mockReset();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('are sent as they are made and then forgotten here', async () => {
    sent.mockImplementation(async () => answer(200, { id: 'a1' }));
    const marks = marksOf('a1');
    marks.set('eyes', { result: 'met' });
    expect(marks.pending.value).toBe(1);
    await vi.advanceTimersByTimeAsync(50);
    await flushPromises();
    expect(marks.pending.value).toBe(0);
    expect(localStorage.getItem('millstep.marks.a1')).toBe('{}');
  });

  it('are kept on the device while the network is gone, and sent when it is back', async () => {
    sent.mockRejectedValueOnce(new TypeError('network'));
    sent.mockImplementation(async () => answer(200, { id: 'a2' }));
    const marks = marksOf('a2');
    marks.set('key', { result: 'not_met' });
    await vi.advanceTimersByTimeAsync(100);
    expect(marks.error.value).not.toBeNull();
    expect(JSON.parse(localStorage.getItem('millstep.marks.a2') ?? '')).toEqual({ key: { result: 'not_met' } });
    await vi.advanceTimersByTimeAsync(5_000);
    await flushPromises();
    expect(marks.pending.value).toBe(0);
    expect(marks.error.value).toBeNull();
  });

  it('that were kept are sent when the sheet is opened again', async () => {
    localStorage.setItem('millstep.marks.a3', JSON.stringify({ eyes: { result: 'met' } }));
    sent.mockImplementation(async () => answer(200, { id: 'a3' }));
    const marks = marksOf('a3');
    await vi.advanceTimersByTimeAsync(50);
    await flushPromises();
    expect(sent).toHaveBeenCalledOnce();
    expect(marks.pending.value).toBe(0);
  });

  it("that cannot be understood stay the typist's to mend and are not sent again", async () => {
    sent.mockImplementation(async () =>
      answer(422, { message: '"nine" is no size', code: 'invalid_input', errors: {} }),
    );
    const marks = marksOf('a4');
    marks.set('dia-A', { value: 'nine' });
    await vi.advanceTimersByTimeAsync(10_000);
    expect(sent).toHaveBeenCalledOnce();
    expect(marks.faults.value['dia-A']).toContain('no size');
    sent.mockImplementation(async () => answer(200, { id: 'a4' }));
    marks.set('dia-A', { value: '9.1' });
    await vi.advanceTimersByTimeAsync(50);
    expect(marks.faults.value['dia-A']).toBeUndefined();
  });
});
