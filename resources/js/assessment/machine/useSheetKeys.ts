import type { Schemas } from '@/api/client';
import { useEventListener } from '@vueuse/core';
import { toValue, type MaybeRefOrGetter } from 'vue';
import { resultsOf } from '@/assessment/results';

type Criterion = Schemas['Criterion'];

/** Assessing by keyboard: arrows move, a figure gives the verdict, U takes a slip back, N writes a note. */
export function useSheetKeys(
  at: MaybeRefOrGetter<Criterion | undefined>,
  locked: MaybeRefOrGetter<boolean>,
  act: { move: (by: 1 | -1) => void; mark: (result: string | number) => void; undo: () => void; note: () => void },
) {
  useEventListener('keydown', (event) => {
    if (toValue(locked) || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target instanceof HTMLElement && event.target.closest('input, select, textarea, [role=dialog]')) return;
    const criterion = toValue(at);
    const chosen = criterion && resultsOf(criterion).find((one) => one.key === event.key);
    if (event.key === 'ArrowDown' || event.key === 'ArrowRight') act.move(1);
    else if (event.key === 'ArrowUp' || event.key === 'ArrowLeft') act.move(-1);
    else if (event.key.toLowerCase() === 'u') act.undo();
    else if (event.key.toLowerCase() === 'n') act.note();
    else if (chosen) act.mark(chosen.result);
    else return;
    event.preventDefault();
  });
}
