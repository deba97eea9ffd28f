import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed, toValue, type MaybeRefOrGetter } from 'vue';

type Figure = Schemas['Figure'];

/** How a figure is written in the reader's units. */
export function useFigure(figure: MaybeRefOrGetter<Figure | undefined>) {
  const { length } = useUnits();

  function written(it: Figure): string {
    const value = it.value ?? 0;
    switch (it.unit) {
      case 'mm':
        // A drill is called by its own name; the reader's units stand beside it where they differ.
        return it.name === null || /^[\d.]+$/.test(it.name)
          ? length(value, it.name === null ? 1 : 2)
          : `${it.name} (${length(value, 2)})`;
      case 'rpm':
        return `${Math.round(value)} rpm`;
      case 'mm_rev':
        return `${length(value, 3)}/rev`;
      case 's':
        return value < 90 ? `${Math.round(value)} s` : `${Math.floor(value / 60)} min ${Math.round(value % 60)} s`;
      case 'nm':
        return `${value.toFixed(1)} N·m`;
      case 'percent':
        return `${Math.round(value)} %`;
      case 'divisions':
        return `${value} div`;
      default:
        return it.name ?? '';
    }
  }

  const shown = computed(() => {
    const it = toValue(figure);
    return it ? written(it) : '';
  });

  return { shown };
}
