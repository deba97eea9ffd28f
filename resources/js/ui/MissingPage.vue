<script setup lang="ts">
import { useI18n } from 'vue-i18n';

const { t } = useI18n();
</script>

<template>
  <section class="py-10">
    <h1>{{ t('ui.missing.title') }}</h1>
    <p class="mt-2">{{ t('ui.missing.words') }}</p>
    <RouterLink :to="{ name: 'home' }" class="mt-4 inline-flex min-h-12 items-center font-semibold">{{
      t('ui.missing.home')
    }}</RouterLink>
  </section>
</template>
