<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';

/** The plans that belong to a lesson or a sheet. */
defineProps<{ plans: Schemas['PlanLink'][] }>();
const { t } = useI18n();
</script>

<template>
  <p v-if="plans.length > 0" class="flex flex-wrap items-center gap-x-4">
    <span class="text-quiet">{{ t('planning.plansHere') }}</span>
    <RouterLink
      v-for="plan in plans"
      :key="plan.id"
      class="inline-flex min-h-12 items-center font-semibold"
      :to="{ name: 'plan', params: { id: plan.id } }"
      >{{ plan.name }}</RouterLink
    >
  </p>
</template>
