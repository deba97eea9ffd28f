import type { Schemas } from '@/api/client';
import { flush, send } from '@/api/outbox';
import { signedIn } from '@/test/mountIn';
import { Refusal, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { effectScope, shallowRef, watch } from 'vue';
import { useWaitingSteps } from './useWaitingSteps';

const step = (key: string, with_: Partial<Schemas['LessonStep']> = {}) =>
  ({ key, done: false, reading: null, choice: null, hold: null, ...with_ }) as Schemas['LessonStep'];
const lesson = (steps: Schemas['LessonStep'][]) =>
  ({ steps, progress: { id: 'p1', next: steps.find(({ done }) => !done)?.key ?? null } }) as Schemas['Lesson'];
const scoped = (of: Schemas['Lesson']) =>
  effectScope(true).run(() => useWaitingSteps(() => of)) as ReturnType<typeof useWaitingSteps>;

/** Answers a step while the server is away. */
async function answer(key: string, value: string | null = null) {
  serve(`PUT /api/learning/progress/p1/steps/${key}`, new Refusal(503, 'Away.'));
  void send(`c-${key}`, {
    about: `step:p1:${key}`,
    method: 'PUT',
    path: `/api/learning/progress/p1/steps/${key}`,
    body: { value },
    label: { key: 'outbox.step' },
  }).catch(() => undefined);
  await flushPromises();
}

beforeEach(() => signedIn('learner'));

describe('steps that wait to be sent', () => {
  it('are done at once where nothing has to be judged, and the next one is open', async () => {
    const { shown } = scoped(lesson([step('one'), step('two'), step('three')]));
    await answer('one');
    await answer('two');
    expect(shown.value?.steps.map(({ done }) => done)).toEqual([true, true, false]);
    expect(shown.value?.progress?.next).toBe('three');
  });

  it('are not done where something has to be judged or seen: nothing behind them is open', async () => {
    const choice = [{ id: 'a', text: 'Stop' }];
    for (const [key, asks] of [
      ['choice', { choice }],
      ['reading', { reading: { name: 'touch', kind: 'scale_touch', ask: 'What?' } }],
      ['hold', { hold: 'Wait.' }],
    ] as const) {
      const { shown, waits } = scoped(lesson([step(key, asks as object), step('after')]));
      await answer(key, 'a');
      expect(waits(key)).toBe('a');
      expect(shown.value?.steps[0]?.done).toBe(false);
      expect(shown.value?.progress?.next).toBe(key);
    }
  });

  it('stay done between being sent and being read back: nobody is thrown back for a moment, with what they type', async () => {
    const known = shallowRef(lesson([step('one'), step('two')]));
    const scope = effectScope(true);
    const next: unknown[] = [];
    scope.run(() => {
      const { shown } = useWaitingSteps(() => known.value);
      watch(
        () => shown.value?.progress?.next,
        (now) => next.push(now),
        { flush: 'sync' },
      );
    });
    await answer('one');
    serve('PUT /api/learning/progress/p1/steps/one', {});
    await flush();
    await flushPromises();
    known.value = lesson([step('one', { done: true }), step('two')]);
    await flushPromises();
    expect(next).toEqual(['two']);
    scope.stop();
  });

  it('that were refused are open again', async () => {
    const { shown } = scoped(lesson([step('one'), step('two')]));
    await answer('one');
    serve('PUT /api/learning/progress/p1/steps/one', new Refusal(409, 'Not now.'));
    await flush();
    await flushPromises();
    expect(shown.value?.progress?.next).toBe('one');
  });

  it('are those of this course alone', async () => {
    const other = lesson([step('one')]);
    const { shown } = scoped({ ...other, progress: { ...other.progress, id: 'p2' } } as Schemas['Lesson']);
    await answer('one');
    expect(shown.value?.steps[0]?.done).toBe(false);
  });
});
