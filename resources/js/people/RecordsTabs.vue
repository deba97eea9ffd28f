<script setup lang="ts">
import { useMe } from '@/api/useMe';
import PageTabs from '@/ui/PageTabs.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

defineProps<{ current: string }>();
const { t } = useI18n();
const { leads } = useMe();
const tabs = computed(() =>
  ['changes', 'tries', ...(leads.value ? ['people'] : [])].map((key) => ({
    key,
    label: t(`records.tabs.${key}`),
    to: { name: key },
  })),
);
</script>

<template>
  <PageTabs :tabs="tabs" :current="current" :label="t('records.tabs.label')" />
</template>
