<script setup lang="ts">
import { mayOpen } from '@/people/mayOpen';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import SecretField from '@/ui/SecretField.vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import DoorPage from './DoorPage.vue';
import FactorForm from './FactorForm.vue';
import { askMe, useMe } from '@/api/useMe';
import { useSignIn } from './useSignIn';

const { t } = useI18n();
const { me } = useMe();
const route = useRoute();
const router = useRouter();
const { email, password, shared, code, asked, enter, giveCode, back } = useSignIn(async () => {
  const now = await askMe(true);
  const next = route.query.next;
  const own = typeof next === 'string' && next.startsWith('/') && !next.startsWith('//') ? next : null;
  // Where somebody else was on this device is no place to send this person to.
  const role = now.person?.role;
  await router.push(own && role && mayOpen(router.resolve(own).meta, role) ? own : { name: 'home' });
});
</script>

<template>
  <DoorPage :title="t('people.signIn')">
    <FactorForm
      v-if="asked"
      v-model="code"
      :busy="giveCode.busy.value"
      :error="giveCode.error.value"
      :fault="giveCode.fieldErrors.value.code?.[0]"
      @give="giveCode.run(undefined)"
      @back="back"
    />
    <form v-else class="space-y-4" @submit.prevent="enter.run(undefined)">
      <FormField v-slot="field" :label="t('people.email')" :error="enter.fieldErrors.value.email?.[0]">
        <input
          :id="field.id"
          v-model="email"
          class="field"
          type="email"
          autocomplete="username"
          required
          :aria-invalid="field.invalid"
          :aria-describedby="field.described"
        />
      </FormField>
      <SecretField v-model="password" kind="password" :label="t('people.password')" />
      <ErrorNote v-if="!enter.fieldErrors.value.email" :error="enter.error.value" @retry="enter.run(undefined)" />
      <label class="flex min-h-12 items-center gap-3">
        <input v-model="shared" type="checkbox" class="size-6" />
        {{ t('people.shared') }}
      </label>
      <div class="flex items-center justify-between gap-4">
        <RouterLink :to="{ name: 'forgot' }" class="py-3">{{ t('people.forgot') }}</RouterLink>
        <BigButton type="submit" tone="main" :busy="enter.busy.value">{{ t('people.signIn') }}</BigButton>
      </div>
    </form>
    <section v-if="me?.demo && !asked" class="mt-8 border-t border-hairline pt-4 text-sm">
      <h2>{{ t('people.demo.title') }}</h2>
      <p class="mt-1">{{ t('people.demo.words') }}</p>
      <ul class="mt-2">
        <li v-for="role in ['lead', 'instructor', 'learner']" :key="role">
          <button
            type="button"
            class="flex min-h-12 w-full items-center gap-3 text-left underline underline-offset-4"
            @click="((email = `${role}@millstep.example`), (password = 'mast-and-vane'))"
          >
            <span class="reading">{{ role }}@millstep.example</span>
            <span class="text-quiet no-underline">{{ t(`role.${role}`) }}</span>
          </button>
        </li>
      </ul>
    </section>
  </DoorPage>
</template>
