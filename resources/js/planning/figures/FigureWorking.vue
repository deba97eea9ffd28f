<script setup lang="ts">
import { useSay } from '@/language/useSay';
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useFigure } from './useFigure';

/** Where a figure comes from: the rule or school, the formula, and this case's values. */
const props = defineProps<{ figure: Schemas['Figure'] }>();
const { t, te } = useI18n();
const { say } = useSay();
const { units, length, number, surfaceSpeed } = useUnits();
const { shown } = useFigure(() => props.figure);
const rule = computed(() =>
  te(`figure.rule.${props.figure.rule}`) ? t(`figure.rule.${props.figure.rule}`) : props.figure.rule,
);
const UNITS: Record<string, string> = {
  rpm: ' rpm',
  deg: '°',
  n: ' N',
  nm: ' N·m',
  percent: ' %',
};

/** Symbols that are words are said in the reader's language; letters stay. */
const symbol = (name: string) => (te(`figure.symbol.${name}`) ? t(`figure.symbol.${name}`) : name.replaceAll('_', ' '));
const formula = computed(() => props.figure.formula.replace(/[a-z_]{3,}/g, (word) => symbol(word)));

/** `d_mm` is the formula's d, in millimetres. */
const terms = computed(() =>
  Object.entries(props.figure.terms).map(([key, value]) => {
    const [, name = key, unit = ''] = key.match(/^(.+?)(?:_(mm_rev|mm|rpm|deg|m_min|nm|n|percent))?$/) ?? [];
    return { symbol: symbol(name), shownValue: typeof value === 'number' ? written(value, unit) : say(value) };
  }),
);

/** A formula is worked in millimetres and metres a minute: who reads in inches gets what goes into it, and what that is. */
function written(value: number, unit: string): string {
  const inBoth = (say: (units: 'mm' | 'in') => string) =>
    units.value === 'in' && props.figure.formula ? `${say('mm')} = ${say('in')}` : say(units.value);
  if (unit === 'mm') return inBoth((units) => length(value, 2, units));
  if (unit === 'mm_rev') return t('planning.aTurn', { length: inBoth((units) => length(value, 3, units)) });
  if (unit === 'm_min') return inBoth((units) => surfaceSpeed(value, units));
  return `${number(value, 2)}${UNITS[unit] ?? ''}`;
}
</script>

<template>
  <p class="reading text-xl">{{ shown }}</p>
  <p class="mt-1">{{ rule }}</p>
  <p v-if="figure.formula" class="reading mt-2 border-t border-hairline pt-2">{{ formula }}</p>
  <dl v-if="terms.length > 0" class="mt-1 grid grid-cols-[auto_1fr] gap-x-4">
    <template v-for="term in terms" :key="term.symbol">
      <dt class="reading text-quiet">{{ term.symbol }}</dt>
      <dd class="reading">{{ term.shownValue }}</dd>
    </template>
  </dl>
  <p v-if="figure.teaching_value" class="mt-2 text-sm text-quiet">{{ t('figure.teachingValue') }}</p>
  <p v-if="figure.unsure" class="mt-1 text-sm text-quiet">{{ t('figure.unsure', { words: say(figure.unsure) }) }}</p>
</template>
