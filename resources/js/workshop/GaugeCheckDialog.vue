<script setup lang="ts">
import type { Schemas } from '@/api/client';
import AskDialog from '@/ui/AskDialog.vue';
import DateField from '@/ui/DateField.vue';
import TextField from '@/ui/TextField.vue';
import { useCommand } from '@/ui/useCommand';
import { v7 as uuid } from 'uuid';
import { reactive } from 'vue';
import { useI18n } from 'vue-i18n';

/** A gauge was held against something that is known. What is written here stays; a wrong line is followed by a right one. */
const props = defineProps<{ gauge: Schemas['Gauge'] }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const day = (years: number) => {
  const now = new Date();
  now.setFullYear(now.getFullYear() + years);
  return now.toISOString().slice(0, 10);
};
const id = uuid();
const form = reactive({ checked_on: day(0), against: '', zero: '0', due_on: day(1) });
const check = useCommand(
  () => ({
    about: `gauge:${id}`,
    method: 'POST',
    path: `/api/workshop/gauges/${props.gauge.slug}/checks`,
    body: {
      id,
      checked_on: form.checked_on,
      against: form.against,
      zero_error_mm: Number(form.zero.replace(',', '.').replace('−', '-')),
      due_on: form.due_on,
    },
    label: { key: 'outbox.gauge', words: { what: props.gauge.name } },
  }),
  () => emit('close'),
);
const fault = (field: string) => check.fieldErrors.value[field]?.[0];
</script>

<template>
  <AskDialog
    :title="t('gauges.checkTitle', { name: gauge.name })"
    :label="t('gauges.checkAct')"
    :busy="check.busy.value"
    :error="Object.keys(check.fieldErrors.value).length === 0 ? check.error.value : null"
    @yes="check.run(undefined, id)"
    @close="emit('close')"
  >
    <TextField
      v-model="form.against"
      required
      :label="t('gauges.against')"
      :hint="t('gauges.againstHint')"
      :error="fault('against')"
    />
    <TextField
      v-model="form.zero"
      required
      reading
      :label="t('gauges.zeroLabel')"
      :hint="t('gauges.zeroHint')"
      :error="fault('zero_error_mm')"
    />
    <div class="grid gap-4 sm:grid-cols-2">
      <DateField v-model="form.checked_on" required :label="t('gauges.checkedOn')" :error="fault('checked_on')" />
      <DateField v-model="form.due_on" required :label="t('gauges.dueOn')" :error="fault('due_on')" />
    </div>
  </AskDialog>
</template>
