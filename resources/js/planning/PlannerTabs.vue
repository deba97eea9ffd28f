<script setup lang="ts">
import PageTabs from '@/ui/PageTabs.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

defineProps<{ current: string }>();
const { t } = useI18n();
const tabs = computed(() => [
  { key: 'plans', label: t('planning.tabs.plans'), to: { name: 'planner' } },
  ...(['hole', 'layout', 'lathe'] as const).map((kind) => ({
    key: kind,
    label: t(`planning.tabs.${kind}`),
    to: { name: 'new-plan', params: { kind } },
  })),
  { key: 'wall', label: t('planning.tabs.wall'), to: { name: 'wall-charts' } },
  { key: 'checks', label: t('planning.tabs.checks'), to: { name: 'drill-point' } },
]);
</script>

<template>
  <PageTabs :tabs="tabs" :current="current" :label="t('planning.tabs.label')" />
</template>
