<script setup lang="ts">
import { formatLocale } from '@/i18n';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import FormField from './FormField.vue';

/**
 * A day, as day, month by its name, and year: read the same in every country. Kept as 2031-05-02; empty while it is
 * no day of the calendar.
 */
const day = defineModel<string>({ required: true });
const props = defineProps<{ label: string; hint?: string; error?: string; required?: boolean }>();
const { t } = useI18n();

const parts = ref({ year: '', month: '', day: '' });
watch(
  day,
  (known) => {
    if (known === written(parts.value)) return;
    const [year = '', month = '', date = ''] = known.split('-');
    parts.value = { year, month: String(Number(month) || ''), day: String(Number(date) || '') };
  },
  { immediate: true },
);
watch(parts, (typed) => (day.value = written(typed)), { deep: true });
/** Half a day is never taken for none. */
const begun = computed(() => Object.values(parts.value).some((part) => part !== ''));
const wanted = computed(() => props.required || begun.value);
const fault = computed(
  () =>
    props.error ??
    (Object.values(parts.value).every((part) => part !== '') && parts.value.year.length === 4 && day.value === ''
      ? t('ui.date.none')
      : undefined),
);

function written({ year, month, day: date }: { year: string; month: string; day: string }): string {
  const [y, m, d] = [Number(year), Number(month), Number(date)];
  const at = new Date(Date.UTC(y, m - 1, d));
  const real = /^\d{4}$/.test(year) && at.getUTCMonth() === m - 1 && at.getUTCDate() === d;
  return real ? at.toISOString().slice(0, 10) : '';
}

const months = computed(() =>
  Array.from({ length: 12 }, (_, index) => ({
    value: String(index + 1),
    label: new Intl.DateTimeFormat(formatLocale(), { month: 'long', timeZone: 'UTC' }).format(
      Date.UTC(2031, index, 15),
    ),
  })),
);
</script>

<template>
  <FormField v-slot="field" :label="label" :hint="hint" :error="fault">
    <div class="flex flex-wrap gap-2" role="group" :aria-label="label">
      <input
        :id="field.id"
        v-model="parts.day"
        class="field reading w-14! px-2!"
        inputmode="numeric"
        maxlength="2"
        autocomplete="off"
        :required="wanted"
        :aria-label="`${label}: ${t('ui.date.day')}`"
        :aria-invalid="field.invalid"
        :aria-describedby="field.described"
      />
      <select
        v-model="parts.month"
        class="field min-w-24 flex-1 px-2!"
        :required="wanted"
        :aria-label="`${label}: ${t('ui.date.month')}`"
      >
        <option value="">{{ t('ui.date.month') }}</option>
        <option v-for="month in months" :key="month.value" :value="month.value">{{ month.label }}</option>
      </select>
      <input
        v-model="parts.year"
        class="field reading w-20! px-2!"
        inputmode="numeric"
        maxlength="4"
        autocomplete="off"
        :required="wanted"
        :aria-label="`${label}: ${t('ui.date.year')}`"
      />
    </div>
  </FormField>
</template>
