<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useFigure } from './useFigure';

/** Where a figure comes from: the rule or school, the formula, and this case's values. */
const props = defineProps<{ figure: Schemas['Figure'] }>();
const { t, te } = useI18n();
const { length } = useUnits();
const { shown } = useFigure(() => props.figure);
const rule = computed(() =>
  te(`figure.rule.${props.figure.rule}`) ? t(`figure.rule.${props.figure.rule}`) : props.figure.rule,
);
const UNITS: Record<string, string> = {
  rpm: ' rpm',
  deg: '°',
  m_min: ' m/min',
  n: ' N',
  nm: ' N·m',
  percent: ' %',
};

/** `d_mm` is the formula's d, in millimetres. */
const terms = computed(() =>
  Object.entries(props.figure.terms as Record<string, number | string>).map(([key, value]) => {
    const [, symbol = key, unit = ''] = key.match(/^(.+?)(?:_(mm_rev|mm|rpm|deg|m_min|nm|n|percent))?$/) ?? [];
    const rounded = typeof value === 'number' ? Math.round(value * 100) / 100 : value;
    const shownValue =
      typeof value === 'number' && unit === 'mm'
        ? length(value, 2)
        : typeof value === 'number' && unit === 'mm_rev'
          ? `${length(value, 3)}/rev`
          : `${rounded}${UNITS[unit] ?? ''}`;
    return { symbol: symbol.replaceAll('_', ' '), shownValue };
  }),
);
</script>

<template>
  <p class="reading text-xl">{{ shown }}</p>
  <p class="mt-1">{{ rule }}</p>
  <p v-if="figure.formula" class="reading mt-2 border-t border-hairline pt-2">{{ figure.formula }}</p>
  <dl v-if="terms.length > 0" class="mt-1 grid grid-cols-[auto_1fr] gap-x-4">
    <template v-for="term in terms" :key="term.symbol">
      <dt class="reading text-quiet">{{ term.symbol }}</dt>
      <dd class="reading">{{ term.shownValue }}</dd>
    </template>
  </dl>
  <p v-if="figure.teaching_value" class="mt-2 text-sm text-quiet">{{ t('figure.teachingValue') }}</p>
  <p v-if="figure.unsure" class="mt-1 text-sm text-quiet">{{ t('figure.unsure', { words: figure.unsure }) }}</p>
</template>
