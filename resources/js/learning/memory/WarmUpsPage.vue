<script setup lang="ts">
import { api, must } from '@/api/client';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import TeachingTabs from '@/learning/TeachingTabs.vue';

/** One warm-up for each class that one teaches. */
const { t } = useI18n();
const today = useQuery({ queryKey: ['today'], queryFn: () => must(api.GET('/api/records/today')) });
const cohorts = computed(() => (today.data.value?.cohorts ?? []).filter(({ id }) => id !== null));
</script>

<template>
  <TeachingTabs current="warm-up" />
  <h1 class="mt-4">{{ t('warmUp.title') }}</h1>
  <p class="max-w-3xl text-quiet">{{ t('warmUp.words') }}</p>
  <PageState v-slot="{}" :data="today.data.value" :error="today.error.value" @retry="today.refetch()">
    <p v-if="cohorts.length === 0" class="sheet mt-4 p-6">{{ t('warmUp.noClass') }}</p>
    <ul v-else class="sheet mt-4">
      <li
        v-for="cohort in cohorts"
        :key="cohort.id ?? ''"
        class="flex flex-wrap items-center gap-x-6 border-t border-hairline px-4 py-2 first:border-t-0"
      >
        <p class="min-w-64 flex-1">
          <strong>{{ cohort.name }}</strong>
          <span class="ml-2 text-quiet">{{ t('today.learners', cohort.learners.length) }}</span>
        </p>
        <RouterLink
          :to="{ name: 'warm-up-of', params: { cohort: cohort.id } }"
          class="inline-flex min-h-12 items-center border border-blue bg-blue px-5 font-semibold text-on-blue no-underline"
          >{{ t('warmUp.show') }}</RouterLink
        >
      </li>
    </ul>
  </PageState>
</template>
