<script setup lang="ts">
import { useMe } from '@/api/useMe';
import PageTabs from '@/ui/PageTabs.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

defineProps<{ current: string }>();
const { t } = useI18n();
const { teaches, leads } = useMe();
const tabs = computed(() =>
  [
    { key: 'machines', name: 'workshop' },
    { key: 'cribs', name: 'cribs' },
    { key: 'materials', name: 'materials' },
    { key: 'gauges', name: 'gauges' },
    { key: 'policy', name: 'policy' },
    ...(teaches.value
      ? [
          { key: 'permits', name: 'permits' },
          { key: 'devices', name: 'devices' },
          { key: 'file', name: 'workshop-file' },
        ]
      : []),
    ...(leads.value
      ? [
          { key: 'content', name: 'content' },
          { key: 'shop', name: 'shop' },
        ]
      : []),
  ].map(({ key, name }) => ({ key, label: t(`workshop.tabs.${key}`), to: { name } })),
);
</script>

<template>
  <PageTabs :tabs="tabs" :current="current" :label="t('workshop.tabs.label')" />
</template>
