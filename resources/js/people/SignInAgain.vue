<script setup lang="ts">
import { api, must, speaker } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import SecretField from '@/ui/SecretField.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import { useMutation } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMe } from './useMe';
import { sessionLost, signedInAgain } from './useSession';

/** Over the page whose session ended: sign in to go on. What was entered is kept and sent then. */
const { t } = useI18n();
const { person } = useMe();
const email = ref(person.value?.email ?? '');
const password = ref('');
const before = speaker();
const signIn = useMutation({
  mutationFn: async () => {
    // A session that is gone took its form token with it; asking who one is brings a new one.
    await must(api.GET('/api/people/me'));
    return must(api.POST('/api/people/session', { body: { email: email.value, password: password.value } }));
  },
  onSuccess: (now) => signedInAgain(before, now.id),
});
const reload = () => window.location.assign('/');
</script>

<template>
  <SheetDialog open :title="t(`people.again.${sessionLost}.title`)" @close="() => undefined">
    <form class="mt-3 space-y-4" @submit.prevent="signIn.mutate()">
      <p>{{ t(`people.again.${sessionLost}.words`, { name: person?.name ?? '' }) }}</p>
      <FormField v-slot="field" :label="t('people.email')">
        <input :id="field.id" v-model="email" class="field" type="email" autocomplete="username" required />
      </FormField>
      <SecretField v-model="password" kind="password" :label="t('people.password')" />
      <ErrorNote :error="signIn.error.value" @retry="signIn.mutate()" />
      <div class="flex flex-wrap justify-end gap-3">
        <BigButton @click="reload">{{ t(`people.again.${sessionLost}.leave`) }}</BigButton>
        <BigButton type="submit" tone="main" :busy="signIn.isPending.value">{{ t('people.signIn') }}</BigButton>
      </div>
    </form>
  </SheetDialog>
</template>
