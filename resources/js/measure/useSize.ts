import { api, must, Refused } from '@/api/client';
import { useQuery } from '@tanstack/vue-query';
import { useDebounce } from '@vueuse/core';
import { computed, type Ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useUnits } from './useUnits';

const NOUGHT = /^0+([.,]0*)?$/;

const SIGN = /^\s*[-−–+]\s*/;

/**
 * What a typed size comes to (3/8, #7, F, 6.8, 15 thou), said back; or why it is none. Stock may be long, and a
 * coordinate may lie on either side.
 */
export function useSize(text: Ref<string>, { stock = false, signed = false } = {}) {
  const { t } = useI18n();
  const { units, length } = useUnits();
  const written = useDebounce(text, 250);
  const settled = computed(() => (signed ? written.value.replace(SIGN, '') : written.value));
  const asked = computed(() => settled.value.trim() !== '' && !NOUGHT.test(settled.value.trim()));

  const size = useQuery({
    queryKey: ['size', settled, units, stock],
    queryFn: () =>
      must(api.POST('/api/measure/size', { body: { text: settled.value, default_unit: units.value, stock } })),
    enabled: asked,
    staleTime: Infinity,
  });
  const refused = computed(() =>
    size.error.value instanceof Refused && asked.value ? size.error.value.message : undefined,
  );
  const echo = computed(() => {
    if (!asked.value || !size.data.value || refused.value) return '';
    const { designation, system, diameter_mm } = size.data.value;
    // What was typed in a unit is not said again in that unit.
    const key = system === 'metric' ? 'understoodMetric' : system === 'decimal_inch' ? 'understoodInch' : 'understood';
    return t(`measure.${key}`, {
      name: designation,
      mm: length(diameter_mm, 3, 'mm'),
      inches: length(diameter_mm, 3, 'in'),
    });
  });

  return { echo, refused };
}
