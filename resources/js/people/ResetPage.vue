<script setup lang="ts">
import { api, must } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import DoorPage from './DoorPage.vue';

const { t } = useI18n();
/** Stands behind the #, so that no server and no log has seen it. */
const link = new URLSearchParams(useRoute().hash.slice(1));
const invited = link.get('invited') === '1';
const router = useRouter();
const password = ref('');
const again = ref('');
const set = useAction(
  () =>
    must(
      api.PUT('/api/people/password-reset', {
        body: {
          token: link.get('token') ?? '',
          ...(invited ? { invited: true } : {}),
          email: link.get('email') ?? '',
          password: password.value,
          password_confirmation: again.value,
        },
      }),
    ),
  () => router.push({ name: 'sign-in' }),
);
</script>

<template>
  <DoorPage :title="t(invited ? 'people.welcome' : 'people.newPassword')">
    <p v-if="invited" class="mb-4">{{ t('people.welcomeWords', { email: link.get('email') ?? '' }) }}</p>
    <form class="space-y-4" @submit.prevent="set.run(undefined)">
      <FormField
        v-slot="field"
        :label="t('people.newPassword')"
        :hint="t('people.passwordHint')"
        :error="set.fieldErrors.value.password?.[0]"
      >
        <input
          :id="field.id"
          v-model="password"
          class="field"
          type="password"
          autocomplete="new-password"
          required
          :aria-invalid="field.invalid"
          :aria-describedby="field.described"
        />
      </FormField>
      <FormField v-slot="field" :label="t('people.passwordAgain')">
        <input :id="field.id" v-model="again" class="field" type="password" autocomplete="new-password" required />
      </FormField>
      <ErrorNote v-if="!set.fieldErrors.value.password" :error="set.error.value" @retry="set.run(undefined)" />
      <BigButton type="submit" tone="main" :busy="set.busy.value">{{ t('people.setPassword') }}</BigButton>
    </form>
  </DoorPage>
</template>
