<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';
import { TRY_SHAPE } from '@/assessment/results';

/** Every try at one sheet, in their order: a pass is read beside what came before it. */
defineProps<{ tries: Schemas['SheetTry'][] }>();
const { t, d } = useI18n();
</script>

<template>
  <span v-if="tries.length > 1 || tries.some(({ ended }) => ended === 'put_away')" class="block text-sm">
    <span class="text-quiet">{{ t('record.tries', tries.filter(({ counts }) => counts).length) }}:</span>
    <RouterLink
      v-for="one in tries"
      :key="one.id"
      :to="{ name: 'sheet', params: { id: one.id } }"
      class="mr-3 inline-flex min-h-12 items-center"
      :title="one.words ?? undefined"
      ><span :class="TRY_SHAPE[one.ended].tone" aria-hidden="true">{{ TRY_SHAPE[one.ended].shape }}</span
      >&nbsp;{{ t(`tries.end.${one.ended}`) }}, {{ d(one.started_at, { dateStyle: 'medium' }) }}</RouterLink
    >
  </span>
</template>
