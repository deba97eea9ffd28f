<script setup lang="ts">
import { api, must } from '@/api/client';
import { LANGUAGES, type Language } from '@/i18n';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { reactive, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import WorkshopTabs from './WorkshopTabs.vue';

/** The shop's name, and the language in which it greets whoever is not signed in. */
const { t } = useI18n();
const { me } = useMe();
const form = reactive<{ name: string; language: string }>({ name: '', language: 'en' });
watch(
  () => me.value?.shop,
  (shop) => shop && Object.assign(form, shop),
  { immediate: true },
);
const save = useAction(() =>
  must(api.PUT('/api/workshop/shop', { body: { name: form.name, language: form.language as Language } })),
);
</script>

<template>
  <WorkshopTabs current="shop" />
  <h1 class="mt-4">{{ t('shop.title') }}</h1>
  <form class="mt-4 max-w-xl space-y-4" @submit.prevent="save.run(undefined)">
    <TextField
      v-model="form.name"
      required
      :label="t('shop.name')"
      :hint="t('shop.nameHint')"
      :error="save.fieldErrors.value.name?.[0]"
    />
    <SelectField
      v-model="form.language"
      :label="t('shop.language')"
      :options="LANGUAGES.map((value) => ({ value, label: t(`content.language.${value}`) }))"
    />
    <p class="text-quiet">
      {{ t('shop.rest') }}
      <RouterLink :to="{ name: 'policy' }" class="inline-flex min-h-12 items-center">{{
        t('workshop.tabs.policy')
      }}</RouterLink>
    </p>
    <ErrorNote v-if="!save.fieldErrors.value.name" :error="save.error.value" @retry="save.run(undefined)" />
    <BigButton type="submit" tone="main" :busy="save.busy.value">{{ t('ui.save') }}</BigButton>
  </form>
</template>
