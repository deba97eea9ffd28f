<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { useTheme, type Theme } from '@/ui/useTheme';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import LanguageSwitch from './LanguageSwitch.vue';
import PasswordDialog from './PasswordDialog.vue';
import PinDialog from './PinDialog.vue';
import SecondFactorPanel from './SecondFactorPanel.vue';
import SessionList from './SessionList.vue';
import { useMe } from '@/api/useMe';
import { useOffline } from './useOffline';

/** One's own account: name, language, units, looks; password, signing PIN, second factor; where one is signed in. */
const { t } = useI18n();
const { person, teaches } = useMe();
const { chosen } = useTheme();
const offline = useOffline();
const asking = ref<'pin' | 'password' | null>(null);
const name = ref('');
watch(
  () => person.value?.name,
  (known) => (name.value = known ?? ''),
  { immediate: true },
);
const change = useAction((body: Schemas['Preferences']) => must(api.PATCH('/api/people/me', { body })));
const units = computed({
  get: () => person.value?.units ?? 'mm',
  set: (chosenUnits: string) => change.run({ units: chosenUnits === 'in' ? 'in' : 'mm' }),
});
const theme = computed({ get: () => chosen.value, set: (value: string) => (chosen.value = value as Theme) });
</script>

<template>
  <div class="mx-auto max-w-3xl space-y-8">
    <header>
      <h1>{{ t('people.account') }}</h1>
      <p v-if="person" class="text-quiet">{{ person.email }}, {{ t(`role.${person.role}`) }}</p>
    </header>
    <section class="space-y-4 border-t border-hairline pt-4">
      <form class="flex flex-wrap items-end gap-4" @submit.prevent="change.run({ name })">
        <TextField
          v-model="name"
          class="min-w-64 flex-1"
          required
          :label="t('people.name')"
          :error="change.fieldErrors.value.name?.[0]"
        />
        <BigButton type="submit" :busy="change.busy.value" :disabled="name.trim() === '' || name === person?.name">{{
          t('ui.save')
        }}</BigButton>
      </form>
      <div class="grid gap-4 sm:grid-cols-3">
        <div>
          <p class="mb-1 font-semibold">{{ t('people.language') }}</p>
          <LanguageSwitch />
        </div>
        <SelectField
          v-model="units"
          :label="t('ui.units')"
          :options="(['mm', 'in'] as const).map((value) => ({ value, label: t(`people.unit.${value}`) }))"
        />
        <SelectField
          v-model="theme"
          :label="t('people.looks')"
          :options="(['auto', 'light', 'dark'] as const).map((value) => ({ value, label: t(`people.look.${value}`) }))"
        />
      </div>
      <label v-if="teaches && person" class="flex min-h-12 items-center gap-3">
        <input
          type="checkbox"
          class="size-6"
          :checked="person.mail_when_waiting"
          @change="change.run({ mail_when_waiting: ($event.target as HTMLInputElement).checked })"
        />
        <span
          >{{ t('people.mailWhenWaiting') }}
          <span class="block text-sm text-quiet">{{ t('people.mailWhenWaitingWords') }}</span></span
        >
      </label>
      <label v-if="offline.can && person?.role === 'learner'" class="flex min-h-12 items-center gap-3">
        <input v-model="offline.wanted.value" type="checkbox" class="size-6" />
        <span
          >{{ t('people.offline') }} <span class="block text-sm text-quiet">{{ t('people.offlineWords') }}</span></span
        >
      </label>
      <ErrorNote v-if="!change.fieldErrors.value.name" :error="change.error.value" @retry="change.reset()" />
    </section>
    <section class="flex flex-wrap items-center gap-4 border-t border-hairline pt-4">
      <div class="flex-1">
        <h2>{{ t('people.password') }}</h2>
        <p>{{ t('people.passwordWords') }}</p>
      </div>
      <BigButton @click="asking = 'password'">{{ t('people.changePassword') }}</BigButton>
    </section>
    <section v-if="teaches && person" class="flex flex-wrap items-center gap-4 border-t border-hairline pt-4">
      <div class="flex-1">
        <h2>{{ t('people.pin.title') }}</h2>
        <p>{{ t(`people.pin.${person.pin}`) }}</p>
      </div>
      <BigButton @click="asking = 'pin'">{{ t('people.pin.set_it') }}</BigButton>
    </section>
    <SecondFactorPanel v-if="person" :state="person.second_factor" />
    <SessionList />
    <PinDialog v-if="asking === 'pin'" @close="asking = null" />
    <PasswordDialog v-if="asking === 'password'" @close="asking = null" />
  </div>
</template>
