<script setup lang="ts">
import { api, must } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';
import TeachingTabs from '@/learning/TeachingTabs.vue';

/** The safety checks of the shop, and how they went in one's classes. */
const { t } = useI18n();
const { number } = useUnits();
const checks = useQuery({ queryKey: ['checks'], queryFn: () => must(api.GET('/api/learning/checks')) });
</script>

<template>
  <TeachingTabs current="checks" />
  <h1 class="mt-4">{{ t('teaching.checks.title') }}</h1>
  <p class="text-quiet">{{ t('teaching.checks.words') }}</p>
  <PageState v-slot="{ data }" :data="checks.data.value" :error="checks.error.value" @retry="checks.refetch()">
    <p v-if="data.length === 0" class="sheet mt-4 p-6">{{ t('teaching.checks.none') }}</p>
    <ul v-else class="sheet mt-4">
      <li
        v-for="check in data"
        :key="check.code"
        class="flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-hairline px-4 py-2 first:border-t-0"
      >
        <RouterLink
          :to="{ name: 'check-figures', params: { code: check.code } }"
          class="inline-flex min-h-12 min-w-64 flex-1 items-center font-bold"
          >{{ check.title }}</RouterLink
        >
        <p class="min-w-44 text-quiet">{{ t('teaching.checks.questions', check.questions) }}</p>
        <p class="min-w-56">
          <template v-if="check.papers === 0">{{ t('teaching.checks.noPapers') }}</template>
          <template v-else>{{
            t('teaching.checks.passed', {
              passed: number(check.passed),
              papers: number(check.papers),
            })
          }}</template>
          <strong v-if="check.misleading > 0" class="block text-no"
            >▲ {{ t('teaching.checks.misleading', check.misleading) }}</strong
          >
        </p>
      </li>
    </ul>
  </PageState>
</template>
