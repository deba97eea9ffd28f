import { useQuery } from '@tanstack/vue-query';
import { useDebounce } from '@vueuse/core';
import { computed, toValue, type MaybeRefOrGetter, type Ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { understand, type SizeKind } from './understand';
import { useUnits } from './useUnits';

const NOUGHT = /^0+([.,]0*)?$/;

const SIGN = /^\s*[-−–+]\s*/;

/**
 * What a typed size comes to (3/8, #7, F, 6.8, 15 thou), said back; or why it is none. A coordinate may lie on either
 * side.
 */
export function useSize(
  text: Ref<string>,
  { as = 'length', signed = false }: { as?: MaybeRefOrGetter<SizeKind>; signed?: boolean } = {},
) {
  const { t } = useI18n();
  const { units, length } = useUnits();
  const kind = computed(() => toValue(as));
  const written = useDebounce(text, 250);
  const settled = computed(() => (signed ? written.value.replace(SIGN, '') : written.value).trim());
  const asked = computed(
    () =>
      settled.value !== '' && settled.value.length <= 200 && !(kind.value !== 'thread' && NOUGHT.test(settled.value)),
  );

  const size = useQuery({
    queryKey: ['size', kind, units, settled],
    queryFn: () => understand(settled.value, kind.value, units.value),
    enabled: asked,
    staleTime: Infinity,
  });
  const refused = computed(() => (asked.value ? size.data.value?.fault : undefined));
  const echo = computed(() => {
    const found = size.data.value;
    if (!asked.value || found?.diameter_mm === undefined) return '';
    const name = found.designation ?? '';
    if (found.pitch_mm !== undefined)
      return t('measure.understoodThread', {
        name,
        major: length(found.diameter_mm, 3),
        pitch: length(found.pitch_mm, 3),
      });
    if (found.lower_mm !== undefined && found.upper_mm !== undefined)
      return t('measure.understoodFit', {
        name,
        fit: found.fit,
        lower: length(found.lower_mm, 3),
        upper: length(found.upper_mm, 3),
      });
    // What was typed in a unit is not said again in that unit.
    const key =
      found.system === 'metric'
        ? 'understoodMetric'
        : found.system === 'decimal_inch'
          ? 'understoodInch'
          : 'understood';
    return t(`measure.${key}`, {
      name,
      mm: length(found.diameter_mm, 3, 'mm'),
      inches: length(found.diameter_mm, 3, 'in'),
    });
  });

  return { echo, refused };
}
