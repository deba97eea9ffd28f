<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** What whoever assesses may say, and where they stand: the same for everybody. */
const props = defineProps<{ gates?: Schemas['SheetGates'] | null; paper?: boolean }>();
const { t } = useI18n();
const all = computed(() => [
  t('sheet.maySay.before'),
  t('sheet.maySay.stand'),
  t('sheet.maySay.during'),
  props.gates?.prompt_limit ? t('sheet.maySay.prompt', props.gates.prompt_limit) : t('sheet.maySay.promptNone'),
  t('sheet.maySay.stop'),
  t('sheet.maySay.time'),
]);
</script>

<template>
  <div v-if="paper" class="mt-2 text-[8pt]">
    <strong>{{ t('sheet.maySay.title') }}.</strong> {{ all.join(' ') }}
  </div>
  <ul v-else class="ml-5 list-disc space-y-1">
    <li v-for="one in all" :key="one">{{ one }}</li>
  </ul>
</template>
