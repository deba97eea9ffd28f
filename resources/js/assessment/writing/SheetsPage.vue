<script setup lang="ts">
import { api, must } from '@/api/client';
import TeachingTabs from '@/learning/TeachingTabs.vue';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';

/** The practical sheets of the shop, and how they went in one's classes. */
const { t } = useI18n();
const sheets = useQuery({ queryKey: ['sheets'], queryFn: () => must(api.GET('/api/assessment/sheets')) });
</script>

<template>
  <TeachingTabs current="sheets" />
  <h1 class="mt-4">{{ t('sheets.title') }}</h1>
  <p class="text-quiet">{{ t('sheets.words') }}</p>
  <PageState v-slot="{ data }" :data="sheets.data.value" :error="sheets.error.value" @retry="sheets.refetch()">
    <p v-if="data.length === 0" class="sheet mt-4 p-6">{{ t('sheets.none') }}</p>
    <ul v-else class="sheet mt-4">
      <li
        v-for="sheet in data"
        :key="sheet.code"
        class="flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-hairline px-4 py-2 first:border-t-0"
      >
        <RouterLink
          :to="{ name: 'written-sheet', params: { code: sheet.code } }"
          class="inline-flex min-h-12 min-w-64 flex-1 items-center font-bold"
          >{{ sheet.title }}</RouterLink
        >
        <p class="min-w-56 text-quiet">
          {{ sheet.part }}<template v-if="sheet.machine">, {{ sheet.machine }}</template>
        </p>
        <p class="min-w-32 text-quiet">{{ t('sheets.criteria', sheet.criteria) }}</p>
        <p class="min-w-44">
          {{
            sheet.concluded === 0
              ? t('sheets.never')
              : t('sheets.passed', { passed: sheet.passed, of: sheet.concluded })
          }}
        </p>
      </li>
    </ul>
  </PageState>
</template>
