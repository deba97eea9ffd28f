import type { Schemas } from '@/api/client';
import { useOutbox } from '@/api/outbox';
import { computed, shallowRef, watch } from 'vue';

type Step = Schemas['LessonStep'];
/** Nothing has to be judged or seen: it is done when its learner says so. */
const plain = (step: Step) => step.reading === null && step.choice === null && step.hold === null;

/**
 * A lesson as it will be once what waits on this device has been sent. A plain step is done at once. What has to be judged,
 * or seen by an instructor, waits, and nothing behind it is done before: a machine is not run on a reading that nobody judged.
 */
export function useWaitingSteps(lesson: () => Schemas['Lesson'] | undefined) {
  const { commands, stuck } = useOutbox();
  const start = computed(() => `step:${lesson()?.progress?.id}:`);
  /** What was answered and is not with the server yet, by step. */
  const waiting = computed(
    () =>
      new Map(
        commands.value
          .filter((command) => command.refused === null && command.about.startsWith(start.value))
          .map((command) => [
            command.about.slice(start.value.length),
            (command.body as { value: string | null }).value,
          ]),
      ),
  );
  /** Sent, and not read back yet: a step that was done is not undone for the moment between. */
  const sent = shallowRef<ReadonlySet<string>>(new Set());
  watch(
    waiting,
    (now, before) => {
      const known = (step: string) => commands.value.some((command) => command.about === start.value + step);
      const gone = [...before.keys()].filter((step) => !now.has(step) && !known(step));
      if (gone.length > 0) sent.value = new Set([...sent.value, ...gone]);
    },
    { flush: 'sync' },
  );
  watch(lesson, () => (sent.value = new Set()), { flush: 'sync' });
  const shown = computed(() => {
    const known = lesson();
    if (!known?.progress || waiting.value.size + sent.value.size === 0) return known;
    const steps = known.steps.map((step) =>
      (waiting.value.has(step.key) || sent.value.has(step.key)) && plain(step) && !step.done
        ? { ...step, done: true }
        : step,
    );
    return {
      ...known,
      steps,
      progress: { ...known.progress, next: steps.find((step) => !step.done)?.key ?? null },
    };
  });
  /** What was answered to a step and is not with the server yet; undefined where nothing waits. */
  const waits = (step: string) => waiting.value.get(step);
  return { shown, waits, waiting, stuck };
}
