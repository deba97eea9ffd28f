<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { PlanKind } from './drafts';
import PlanBench from './PlanBench.vue';
import PlannerTabs from './PlannerTabs.vue';

defineProps<{ kind: PlanKind }>();
const { t } = useI18n();
</script>

<template>
  <PlannerTabs :current="kind" />
  <div class="mt-4 flex flex-wrap items-end gap-x-5 print:hidden">
    <h1>{{ t(`planning.title.${kind}`) }}</h1>
    <p class="text-quiet">{{ t(`planning.words.${kind}`) }}</p>
  </div>
  <PlanBench :kind="kind" />
</template>
