<script setup lang="ts">
import { speaker } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import SecretField from '@/ui/SecretField.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import { useI18n } from 'vue-i18n';
import FactorForm from './FactorForm.vue';
import { useMe } from '@/api/useMe';
import { sessionLost, signedInAgain } from './useSession';
import { useSignIn } from './useSignIn';

/** Over the page whose session ended: sign in to go on. What was entered is kept and sent then. */
const { t } = useI18n();
const { me, person } = useMe();
const before = speaker();
const { email, password, shared, code, asked, enter, giveCode, back } = useSignIn(
  (now) => signedInAgain(before, now.id),
  person.value?.email ?? '',
);
// What was a shared tablet still is one.
shared.value = (me.value?.idle_minutes ?? null) !== null;
const reload = () => window.location.assign('/');
</script>

<template>
  <SheetDialog open :title="t(`people.again.${sessionLost}.title`)" @close="() => undefined">
    <FactorForm
      v-if="asked"
      v-model="code"
      class="mt-3"
      :busy="giveCode.busy.value"
      :error="giveCode.error.value"
      :fault="giveCode.fieldErrors.value.code?.[0]"
      @give="giveCode.run(undefined)"
      @back="back"
    />
    <form v-else class="mt-3 space-y-4" @submit.prevent="enter.run(undefined)">
      <p>{{ t(`people.again.${sessionLost}.words`, { name: person?.name ?? '' }) }}</p>
      <FormField v-slot="field" :label="t('people.email')">
        <input :id="field.id" v-model="email" class="field" type="email" autocomplete="username" required />
      </FormField>
      <SecretField v-model="password" kind="password" :label="t('people.password')" />
      <ErrorNote :error="enter.error.value" @retry="enter.run(undefined)" />
      <div class="flex flex-wrap justify-end gap-3">
        <BigButton @click="reload">{{ t(`people.again.${sessionLost}.leave`) }}</BigButton>
        <BigButton type="submit" tone="main" :busy="enter.busy.value">{{ t('people.signIn') }}</BigButton>
      </div>
    </form>
  </SheetDialog>
</template>
