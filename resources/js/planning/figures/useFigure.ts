import type { Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import { useUnits } from '@/measure/useUnits';
import { computed, toValue, type MaybeRefOrGetter } from 'vue';
import { useI18n } from 'vue-i18n';

type Figure = Schemas['Figure'];

/** How a figure is written in the reader's units. */
export function useFigure(figure: MaybeRefOrGetter<Figure | undefined>) {
  const { length, number } = useUnits();
  const { say } = useSay();
  const { t } = useI18n();

  function written(it: Figure): string {
    const value = it.value ?? 0;
    switch (it.unit) {
      case 'mm':
        // A drill is called by its own name; the reader's units stand beside it where they differ.
        return it.name === null || /^[\d.]+$/.test(say(it.name))
          ? length(value, it.name === null ? 1 : 2)
          : `${say(it.name)} (${length(value, 2)})`;
      case 'rpm':
        return `${Math.round(value)} rpm`;
      case 'mm_rev':
        return t('planning.aTurn', { length: length(value, 3) });
      case 's':
        return value < 90 ? `${Math.round(value)} s` : `${Math.floor(value / 60)} min ${Math.round(value % 60)} s`;
      case 'nm':
        return `${number(value, 1)} N·m`;
      case 'percent':
        return `${Math.round(value)} %`;
      case 'divisions':
        return t('planning.div', { n: value });
      default:
        return say(it.name);
    }
  }

  const shown = computed(() => {
    const it = toValue(figure);
    return it ? written(it) : '';
  });

  return { shown };
}
