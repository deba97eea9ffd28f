<script setup lang="ts">
import { useDebounce } from '@vueuse/core';
import { useQuery } from '@tanstack/vue-query';
import { api, must, Refused } from '@/api/client';
import FormField from '@/ui/FormField.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useUnits } from './useUnits';

/** Takes a size as it is said in the shop (3/8, #7, F, 6.8, 15 thou) and says back what was understood; stock may be long. */
const text = defineModel<string>({ required: true });
const props = defineProps<{ label: string; hint?: string; error?: string; stock?: boolean }>();
const { t } = useI18n();
const { units, length } = useUnits();
const settled = useDebounce(text, 250);

const size = useQuery({
  queryKey: ['size', settled, units, props.stock ?? false],
  queryFn: () =>
    must(
      api.POST('/api/measure/size', { body: { text: settled.value, default_unit: units.value, stock: props.stock } }),
    ),
  enabled: computed(() => settled.value.trim() !== ''),
  staleTime: Infinity,
});
const refused = computed(() =>
  size.error.value instanceof Refused && settled.value.trim() !== '' ? size.error.value.message : undefined,
);
const echo = computed(() => {
  if (settled.value.trim() === '' || !size.data.value || refused.value) return '';
  const { designation, system, diameter_mm } = size.data.value;
  // What was typed in a unit is not said again in that unit.
  const key = system === 'metric' ? 'understoodMetric' : system === 'decimal_inch' ? 'understoodInch' : 'understood';
  return t(`measure.${key}`, {
    name: designation,
    mm: length(diameter_mm, 3, 'mm'),
    inches: length(diameter_mm, 3, 'in'),
  });
});
</script>

<template>
  <div>
    <FormField v-slot="field" :label="label" :hint="hint" :error="error ?? refused">
      <input
        :id="field.id"
        v-model="text"
        class="field reading"
        autocomplete="off"
        spellcheck="false"
        :aria-invalid="field.invalid"
        :aria-describedby="field.described"
      />
    </FormField>
    <p v-if="echo" class="mt-1 text-sm text-quiet" role="status">{{ echo }}</p>
  </div>
</template>
