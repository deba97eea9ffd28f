import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed, toValue, type MaybeRefOrGetter } from 'vue';

/** How a figure is written in the reader's units. */
export function useFigure(figure: MaybeRefOrGetter<Schemas['Figure'] | undefined>) {
  const { length } = useUnits();

  const shown = computed(() => {
    const it = toValue(figure);
    if (!it) return '';
    if (it.kind === 'speed') return `${Math.round(it.value_rpm ?? 0)} rpm`;
    if (it.kind === 'text') return it.name ?? '';
    // A drill is called by its own name; the reader's units stand beside it where they differ.
    if (it.kind === 'drill')
      return /^[\d.]+$/.test(it.name ?? '')
        ? length(it.value_mm ?? 0, 2)
        : `${it.name} (${length(it.value_mm ?? 0, 2)})`;
    return length(it.value_mm ?? 0, 1);
  });

  return { shown };
}
