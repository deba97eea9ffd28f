<script setup lang="ts">
import PageTabs from '@/ui/PageTabs.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** What is taught in this shop, as those who teach see it. */
defineProps<{ current: string }>();
const { t } = useI18n();
const tabs = computed(() =>
  (['warm-up', 'lessons', 'checks', 'sheets', 'assessors'] as const).map((key) => ({
    key,
    label: t(`teaching.tabs.${key}`),
    to: { name: key },
  })),
);
</script>

<template>
  <PageTabs :tabs="tabs" :current="current" :label="t('teaching.tabs.label')" />
</template>
