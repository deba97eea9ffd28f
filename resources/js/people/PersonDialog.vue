<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { spoken } from '@/i18n';
import DateField from '@/ui/DateField.vue';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { reactive } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMe } from '@/api/useMe';

/** Somebody new, or what is known of somebody. */
type Role = Schemas['Role'];
const props = defineProps<{ person: Schemas['Somebody'] | null; cohorts: Schemas['Cohorts'] }>();
const emit = defineEmits<{ close: []; invited: [person: Schemas['Somebody']] }>();
const { t } = useI18n();
const { person: me } = useMe();
const form = reactive({
  name: props.person?.name ?? '',
  email: props.person?.email ?? '',
  role: (props.person?.role ?? 'learner') as string,
  cohorts: props.person?.cohorts.map(({ id }) => id) ?? [],
  all_cohorts: props.person?.all_cohorts ?? false,
  born_on: props.person?.born_on ?? '',
  guardian_acknowledged_on: props.person?.guardian_acknowledged_on ?? '',
  invite: props.person === null,
});
const save = useAction(
  () => {
    const body = {
      ...form,
      role: form.role as Role,
      born_on: form.born_on || null,
      guardian_acknowledged_on: form.guardian_acknowledged_on || null,
    };
    return props.person === null
      ? must(api.POST('/api/people/everybody', { body: { ...body, language: spoken() } }))
      : must(
          api.PUT('/api/people/everybody/{person}', { params: { path: { person: String(props.person.id) } }, body }),
        );
  },
  (saved) => {
    if (saved.link !== null) emit('invited', saved);
    emit('close');
  },
);
const fault = (field: string) => save.fieldErrors.value[field]?.[0];
</script>

<template>
  <SheetDialog open :title="person?.name ?? t('people.add')" @close="emit('close')">
    <form class="mt-3 space-y-4" @submit.prevent="save.run(undefined)">
      <TextField v-model="form.name" required :label="t('people.name')" :error="fault('name')" />
      <TextField v-model="form.email" type="email" required :label="t('people.email')" :error="fault('email')" />
      <SelectField
        v-if="person === null || person.id !== me?.id"
        v-model="form.role"
        :label="t('people.role')"
        :hint="t(`people.roleWords.${form.role}`)"
        :error="fault('role')"
        :options="
          (['learner', 'instructor', 'lead', 'auditor'] as const).map((value) => ({ value, label: t(`role.${value}`) }))
        "
      />
      <fieldset v-if="form.role === 'learner' || form.role === 'instructor'">
        <legend class="font-semibold">
          {{ t(form.role === 'learner' ? 'people.inCohorts' : 'people.teachesCohorts') }}
        </legend>
        <p v-if="cohorts.length === 0" class="text-quiet">{{ t('people.noCohorts') }}</p>
        <label v-for="cohort in cohorts" :key="cohort.id" class="flex min-h-12 items-center gap-3">
          <input v-model="form.cohorts" type="checkbox" class="size-6" :value="cohort.id" /> {{ cohort.name }}
        </label>
        <label v-if="form.role === 'instructor'" class="flex min-h-12 items-center gap-3 border-t border-hairline">
          <input v-model="form.all_cohorts" type="checkbox" class="size-6" /> {{ t('people.allCohorts') }}
        </label>
      </fieldset>
      <div v-if="form.role === 'learner'" class="max-w-sm space-y-4">
        <DateField
          v-model="form.born_on"
          :label="t('people.born')"
          :hint="t('people.bornHint')"
          :error="fault('born_on')"
        />
        <DateField
          v-model="form.guardian_acknowledged_on"
          :label="t('people.guardian')"
          :hint="t('people.guardianHint')"
          :error="fault('guardian_acknowledged_on')"
        />
      </div>
      <label v-if="person === null" class="flex min-h-12 items-center gap-3">
        <input v-model="form.invite" type="checkbox" class="size-6" /> {{ t('people.inviteNow') }}
      </label>
      <ErrorNote
        v-if="Object.keys(save.fieldErrors.value).length === 0"
        :error="save.error.value"
        @retry="save.run(undefined)"
      />
      <DialogButtons :label="t('ui.save')" :busy="save.busy.value" @cancel="emit('close')" />
    </form>
  </SheetDialog>
</template>
