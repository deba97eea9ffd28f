<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { KINDS } from './checks';

/** From one check to another. */
const { t } = useI18n();
const style = 'inline-flex min-h-12 items-center border border-quiet bg-sheet px-4 py-1 font-semibold no-underline';
</script>

<template>
  <nav class="mt-4 flex flex-wrap gap-2" :aria-label="t('planning.checks.title')">
    <RouterLink :to="{ name: 'drill-point' }" :class="style" active-class="border-ink bg-steel">{{
      t('planning.tabs.point')
    }}</RouterLink>
    <RouterLink
      v-for="kind in KINDS"
      :key="kind"
      :to="{ name: 'check-by-gauge', params: { kind } }"
      :class="style"
      active-class="border-ink bg-steel"
      >{{ t(`planning.checks.kind.${kind}.name`) }}</RouterLink
    >
  </nav>
</template>
