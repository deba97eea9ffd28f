import type { Schemas } from '@/api/client';
import { useEventListener } from '@vueuse/core';
import { ref, toValue, type MaybeRefOrGetter, type Ref } from 'vue';

const VERDICTS: Record<string, 'met' | 'prompted' | 'not_met' | 'not_seen'> = {
  1: 'met',
  2: 'prompted',
  3: 'not_met',
  4: 'not_seen',
};

/** Assessing by keyboard: arrows move along the observed criteria, 1 to 4 give the verdict, 0 takes it back. */
export function useSheetKeys(
  criteria: Ref<Schemas['Criterion'][]>,
  locked: MaybeRefOrGetter<boolean>,
  mark: (criterion: Schemas['Criterion'], result: 'met' | 'prompted' | 'not_met' | 'not_seen') => void,
  clear: (criterion: Schemas['Criterion']) => void,
) {
  const at = ref<string | null>(null);

  useEventListener('keydown', (event) => {
    if (toValue(locked) || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement) return;
    const index = criteria.value.findIndex((criterion) => criterion.id === at.value);
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      const next =
        criteria.value[
          event.key === 'ArrowDown' ? Math.min(index + 1, criteria.value.length - 1) : Math.max(index - 1, 0)
        ];
      at.value = next?.id ?? null;
      document.getElementById(`criterion-${at.value}`)?.scrollIntoView({ block: 'center' });
      event.preventDefault();
    }
    const verdict = VERDICTS[event.key];
    const criterion = criteria.value[index];
    if (event.key === '0' && criterion?.mark) {
      clear(criterion);
      event.preventDefault();
    }
    if (verdict && criterion) {
      mark(criterion, verdict);
      event.preventDefault();
    }
  });

  return { at };
}
