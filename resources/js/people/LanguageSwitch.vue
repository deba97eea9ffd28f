<script setup lang="ts">
import { api, must } from '@/api/client';
import { queryClient } from '@/api/queries';
import { LANGUAGES, speak, spoken, type Language } from '@/i18n';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { meQuery, useMe } from '@/api/useMe';

/** What Mill Step speaks: at once on this page, and from now on to whoever is signed in. Each is named in itself. */
const NAMES: Record<Language, string> = { en: 'English', es: 'Español' };
const { t, locale } = useI18n();
const { person } = useMe();
const current = computed(() => (locale.value ? spoken() : 'en'));

async function choose(language: Language) {
  await speak(language);
  if (person.value) {
    await must(api.PATCH('/api/people/me', { body: { language } }));
    await queryClient.invalidateQueries({ queryKey: meQuery.queryKey });
  }
}
</script>

<template>
  <div class="flex" role="group" :aria-label="t('people.language')">
    <button
      v-for="language in LANGUAGES"
      :key="language"
      type="button"
      :lang="language"
      class="min-h-12 border border-quiet px-4 not-first:border-l-0"
      :class="current === language ? 'bg-ink text-paper' : 'bg-sheet'"
      :aria-pressed="current === language"
      @click="choose(language)"
    >
      {{ NAMES[language] }}
    </button>
  </div>
</template>
