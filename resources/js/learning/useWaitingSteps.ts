import type { Schemas } from '@/api/client';
import { useOutbox } from '@/api/outbox';
import { computed } from 'vue';

type Step = Schemas['LessonStep'];
/** Nothing has to be judged or seen: it is done when its learner says so. */
const plain = (step: Step) => step.reading === null && step.choice === null && step.hold === null;

/**
 * A lesson as it will be once what waits on this device has been sent. A plain step is done at once. What has to be judged,
 * or seen by an instructor, waits, and nothing behind it is done before: a machine is not run on a reading that nobody judged.
 */
export function useWaitingSteps(lesson: () => Schemas['Lesson'] | undefined) {
  const { commands, stuck } = useOutbox();
  const waiting = computed(() => {
    const progress = lesson()?.progress;
    const start = `step:${progress?.id}:`;
    return new Map(
      commands.value
        .filter((command) => command.refused === null && command.about.startsWith(start))
        .map((command) => [command.about.slice(start.length), (command.body as { value: string | null }).value]),
    );
  });
  const shown = computed(() => {
    const known = lesson();
    if (!known?.progress || waiting.value.size === 0) return known;
    const steps = known.steps.map((step) =>
      waiting.value.has(step.key) && plain(step) && !step.done ? { ...step, done: true } : step,
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
