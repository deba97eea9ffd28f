import { computed, shallowRef } from 'vue';
import { useAction } from './useAction';

/** Takes one thing of a list away, and gives the last one back on demand. */
export function useRemoval<Thing>(
  takeAway: (thing: Thing) => Promise<unknown>,
  giveBack: (thing: Thing) => Promise<unknown>,
) {
  const removed = shallowRef<Thing | null>(null);
  const away = useAction(takeAway, (_answer, thing) => (removed.value = thing));
  const back = useAction(giveBack, () => (removed.value = null));
  return {
    removed,
    remove: away.run,
    undo: () => removed.value !== null && back.run(removed.value),
    busy: back.busy,
    error: computed(() => away.error.value ?? back.error.value),
    reset: () => [away, back].forEach((action) => action.reset()),
  };
}
