<script setup lang="ts">
import { api, must } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useInfiniteQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import AlertList from './AlertList.vue';
import RecordsTabs from '@/people/RecordsTabs.vue';
import { useChangeWords } from './useChangeWords';

/** Every change of what decides who may run, as the database wrote it down: newest first, with who and what. */
const { t, d } = useI18n();
const PAGE = 100;
const SOURCES = [
  'people_users',
  'gate_badges',
  'gate_devices',
  'workshop_machines',
  'workshop_policies',
  'competency_permits',
  'competency_statements',
  'competency_authorisations',
  'competency_machine_permit',
  'people_cohorts',
  'people_memberships',
];
const source = ref('');
const changes = useInfiniteQuery({
  queryKey: ['changes', source],
  queryFn: ({ pageParam }) =>
    must(
      api.GET('/api/records/changes', {
        params: {
          query: { ...(pageParam ? { before: pageParam } : {}), ...(source.value ? { source: source.value } : {}) },
        },
      }),
    ),
  initialPageParam: 0,
  getNextPageParam: (page) => (page.length === PAGE ? page.at(-1)?.id : undefined),
});
const lines = computed(() => changes.data.value?.pages.flat() ?? []);

const words = useChangeWords();
</script>

<template>
  <RecordsTabs current="changes" />
  <AlertList class="mt-4" />
  <div class="mt-4 flex flex-wrap items-end gap-4">
    <h1>{{ t('records.changes') }}</h1>
    <p class="w-full text-quiet sm:w-auto sm:flex-1">{{ t('records.changesWords') }}</p>
    <label class="flex items-center gap-2 text-sm">
      {{ t('records.of') }}
      <select v-model="source" class="field w-56">
        <option value="">{{ t('records.everything') }}</option>
        <option v-for="each in SOURCES" :key="each" :value="each">{{ t(`records.source.${each}`) }}</option>
      </select>
    </label>
  </div>
  <ErrorNote class="mt-3" :error="changes.error.value" @retry="changes.refetch()" />
  <p v-if="lines.length === 0 && !changes.isPending.value" class="sheet mt-4 p-6">{{ t('records.noChanges') }}</p>
  <div v-else class="mt-4 overflow-x-auto">
    <table class="sheet w-full text-sm">
      <thead class="text-left">
        <tr>
          <th class="p-2">{{ t('ledger.when') }}</th>
          <th class="p-2">{{ t('ledger.by') }}</th>
          <th class="p-2">{{ t('ledger.what') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="change in lines" :key="change.id" class="border-t border-hairline align-top">
          <td class="p-2 whitespace-nowrap">{{ d(change.at, { dateStyle: 'medium', timeStyle: 'short' }) }}</td>
          <td class="p-2 whitespace-nowrap">{{ change.by ?? t('records.system') }}</td>
          <td class="p-2">
            <strong>{{ t(`records.source.${change.source}`) }} {{ change.row }}</strong>
            {{ t(`records.change.${change.change}`) }}
            <span class="block break-words text-quiet">{{ words(change) }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <BigButton
      v-if="changes.hasNextPage.value"
      class="mt-3"
      :busy="changes.isFetchingNextPage.value"
      @click="changes.fetchNextPage()"
      >{{ t('records.more') }}</BigButton
    >
  </div>
</template>
