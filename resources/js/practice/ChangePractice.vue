<script setup lang="ts">
import type { Schemas } from '@/api/client';
import AskDialog from '@/ui/AskDialog.vue';
import TextField from '@/ui/TextField.vue';
import { useCommand } from '@/ui/useCommand';
import { reactive } from 'vue';
import { useI18n } from 'vue-i18n';

/** Whoever teaches puts an entry right before it is decided, and says why. What it said before stays beside it. */
const props = defineProps<{ entry: Schemas['PracticeEntry'] }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const form = reactive({ exercise: props.entry.exercise, minutes: String(props.entry.minutes), why: '' });
const change = useCommand(
  () => ({
    about: `change:${props.entry.id}`,
    method: 'PUT',
    path: `/api/practice/entries/${props.entry.id}`,
    body: {
      id: props.entry.id,
      machine: props.entry.machine_slug,
      permit: props.entry.permit_code,
      done_on: props.entry.done_on,
      note: props.entry.note,
      plan: props.entry.plan?.id ?? null,
      chip: props.entry.chip,
      readings: props.entry.readings,
      mishap: props.entry.mishap,
      exercise: form.exercise,
      minutes: Number(form.minutes),
      why: form.why,
    },
    label: { key: 'outbox.change', words: { what: props.entry.exercise } },
  }),
  () => emit('close'),
);
const fault = (field: string) => change.fieldErrors.value[field]?.[0];
</script>

<template>
  <AskDialog
    :title="t('practice.changeTitle')"
    :label="t('ui.save')"
    :busy="change.busy.value"
    :error="Object.keys(change.fieldErrors.value).length === 0 ? change.error.value : null"
    @yes="change.run(undefined)"
    @close="emit('close')"
  >
    <TextField v-model="form.exercise" required :label="t('practice.exercise')" :error="fault('exercise')" />
    <TextField
      v-model="form.minutes"
      required
      reading
      mode="numeric"
      :label="t('practice.minutes')"
      :error="fault('minutes')"
    />
    <TextField v-model="form.why" required :label="t('practice.why')" :error="fault('why')" />
  </AskDialog>
</template>
