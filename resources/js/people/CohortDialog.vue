<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import DateField from '@/ui/DateField.vue';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { reactive } from 'vue';
import { useI18n } from 'vue-i18n';

/** A class and its term. */
const props = defineProps<{ cohort: Schemas['Cohort'] | null }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const form = reactive({
  name: props.cohort?.name ?? '',
  starts_on: props.cohort?.starts_on ?? new Date().toISOString().slice(0, 10),
  ends_on: props.cohort?.ends_on ?? '',
});
const save = useAction(
  () => {
    const body = { ...form, ends_on: form.ends_on || null };
    return props.cohort === null
      ? must(api.POST('/api/people/cohorts', { body }))
      : must(api.PUT('/api/people/cohorts/{cohort}', { params: { path: { cohort: String(props.cohort.id) } }, body }));
  },
  () => emit('close'),
);
const fault = (field: string) => save.fieldErrors.value[field]?.[0];
</script>

<template>
  <SheetDialog open :title="cohort?.name ?? t('people.cohort.add')" @close="emit('close')">
    <form class="mt-3 space-y-4" @submit.prevent="save.run(undefined)">
      <TextField v-model="form.name" required :label="t('people.cohort.name')" :error="fault('name')" />
      <div class="max-w-sm space-y-4">
        <DateField v-model="form.starts_on" required :label="t('people.cohort.starts')" :error="fault('starts_on')" />
        <DateField v-model="form.ends_on" :label="t('people.cohort.ends')" :error="fault('ends_on')" />
      </div>
      <ErrorNote
        v-if="Object.keys(save.fieldErrors.value).length === 0"
        :error="save.error.value"
        @retry="save.run(undefined)"
      />
      <DialogButtons :label="t('ui.save')" :busy="save.busy.value" @cancel="emit('close')" />
    </form>
  </SheetDialog>
</template>
