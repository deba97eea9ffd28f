<script setup lang="ts">
import { api, must } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import DoorPage from './DoorPage.vue';
import { useMe } from '@/api/useMe';

const { t } = useI18n();
const { me } = useMe();
const email = ref('');
const sent = ref(false);
const ask = useAction(
  () => must(api.POST('/api/people/password-reset', { body: { email: email.value } })),
  () => (sent.value = true),
);
</script>

<template>
  <DoorPage :title="t('people.forgot')">
    <div v-if="sent" role="status" class="space-y-3">
      <p>{{ t('people.sent', { email }) }}</p>
      <RouterLink v-if="me?.demo" :to="{ name: 'mailbox' }" class="font-semibold">{{
        t('people.toMailbox')
      }}</RouterLink>
    </div>
    <form v-else class="space-y-4" @submit.prevent="ask.run(undefined)">
      <FormField v-slot="field" :label="t('people.email')" :error="ask.fieldErrors.value.email?.[0]">
        <input :id="field.id" v-model="email" class="field" type="email" autocomplete="username" required />
      </FormField>
      <ErrorNote v-if="!ask.fieldErrors.value.email" :error="ask.error.value" @retry="ask.run(undefined)" />
      <BigButton type="submit" tone="main" :busy="ask.busy.value">{{ t('people.sendLink') }}</BigButton>
    </form>
    <RouterLink :to="{ name: 'sign-in' }" class="mt-6 inline-block py-3">{{ t('people.backToSignIn') }}</RouterLink>
  </DoorPage>
</template>
