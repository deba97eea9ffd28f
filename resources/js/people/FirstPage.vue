<script setup lang="ts">
import { api, must } from '@/api/client';
import { spoken } from '@/i18n';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SecretField from '@/ui/SecretField.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { reactive } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import DoorPage from './DoorPage.vue';
import { askMe } from '@/api/useMe';

/** The first person of a new shop makes the shop lead's account, with the code that its start printed. */
const { t } = useI18n();
const router = useRouter();
const form = reactive({
  code: new URLSearchParams(useRoute().hash.slice(1)).get('code') ?? '',
  name: '',
  email: '',
  password: '',
  units: 'mm',
});
const begin = useAction(
  () =>
    must(
      api.POST('/api/people/first-lead', {
        body: { ...form, units: form.units === 'in' ? 'in' : 'mm', language: spoken() },
      }),
    ),
  async () => {
    await askMe(true);
    await router.push({ name: 'home' });
  },
);
</script>

<template>
  <DoorPage :title="t('people.first.title')">
    <p class="mb-4">{{ t('people.first.words') }}</p>
    <form class="space-y-4" @submit.prevent="begin.run(undefined)">
      <TextField
        v-model="form.code"
        reading
        required
        :label="t('people.first.code')"
        :hint="t('people.first.codeHint')"
        :error="begin.fieldErrors.value.code?.[0]"
      />
      <TextField v-model="form.name" required :label="t('people.name')" :error="begin.fieldErrors.value.name?.[0]" />
      <TextField
        v-model="form.email"
        type="email"
        required
        :label="t('people.email')"
        :error="begin.fieldErrors.value.email?.[0]"
      />
      <SecretField
        v-model="form.password"
        kind="new-password"
        :label="t('people.password')"
        :hint="t('people.passwordHint')"
        :error="begin.fieldErrors.value.password?.[0]"
      />
      <SelectField
        v-model="form.units"
        :label="t('ui.units')"
        :options="(['mm', 'in'] as const).map((value) => ({ value, label: t(`people.unit.${value}`) }))"
      />
      <ErrorNote
        v-if="Object.keys(begin.fieldErrors.value).length === 0"
        :error="begin.error.value"
        @retry="begin.run(undefined)"
      />
      <BigButton type="submit" tone="main" :busy="begin.busy.value">{{ t('people.first.act') }}</BigButton>
    </form>
  </DoorPage>
</template>
