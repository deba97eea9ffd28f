import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';

/** Says what the drawing wants of a measured criterion: between, at most, inside a circle, or by its gauge. */
export function useWanted() {
  const { t } = useI18n();
  const { length } = useUnits();

  return (criterion: Pick<Schemas['Criterion'], 'asks' | 'wants'>): string => {
    const { lower_mm, upper_mm } = criterion.wants ?? {};
    if (upper_mm === undefined)
      return criterion.asks === 'plug' || criterion.asks === 'thread'
        ? t(`sheet.wants.${criterion.asks}`)
        : t('sheet.wants.own');
    if (criterion.asks === 'place') return t('sheet.within', { limit: length(upper_mm) });
    return lower_mm === undefined
      ? t('sheet.atMost', { limit: length(upper_mm) })
      : t('sheet.between', { lower: length(lower_mm, 3), upper: length(upper_mm, 3) });
  };
}
