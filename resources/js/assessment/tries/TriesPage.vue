<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import RecordsTabs from '@/people/RecordsTabs.vue';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import TextField from '@/ui/TextField.vue';
import { useInfiniteQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import TryRow from './TryRow.vue';

/** Every practical sheet that was opened, whatever became of it: for whoever leads or audits. */
const { t } = useI18n();
const ENDED: readonly Schemas['TryEnd'][] = ['open', 'passed', 'not_yet', 'stopped', 'put_away'];
const typed = ref('');
const WAIT_MS = 300;
const find = refDebounced(typed, WAIT_MS);
const ended = ref<Schemas['TryEnd'] | ''>('');
const tries = useInfiniteQuery({
  queryKey: ['tries', find, ended],
  queryFn: ({ pageParam }) =>
    must(
      api.GET('/api/assessment/tries', {
        params: {
          query: {
            page: pageParam,
            ...(find.value ? { find: find.value } : {}),
            ...(ended.value ? { ended: ended.value } : {}),
          },
        },
      }),
    ),
  initialPageParam: 1,
  getNextPageParam: (page, pages) => (page.more ? pages.length + 1 : undefined),
});
const shown = computed(() => tries.data.value?.pages.flatMap((page) => page.tries) ?? []);
</script>

<template>
  <RecordsTabs current="tries" />
  <h1 class="mt-4">{{ t('tries.title') }}</h1>
  <p class="text-quiet">{{ t('tries.words') }}</p>
  <div class="mt-3 flex flex-wrap items-end gap-4 print:hidden">
    <TextField v-model="typed" class="w-80 max-w-full" type="search" :label="t('tries.find')" />
    <div role="group" :aria-label="t('tries.ended')" class="flex flex-wrap">
      <button
        v-for="one in ['', ...ENDED] as const"
        :key="one"
        type="button"
        class="min-h-12 border border-quiet px-4 not-first:border-l-0"
        :class="ended === one ? 'bg-ink font-semibold text-paper' : ''"
        :aria-pressed="ended === one"
        @click="ended = one"
      >
        {{ one === '' ? t('tries.all') : t(`tries.end.${one}`) }}
      </button>
    </div>
  </div>
  <ErrorNote class="mt-3" :error="tries.error.value" @retry="tries.refetch()" />
  <p v-if="shown.length === 0 && !tries.isPending.value" class="sheet mt-4 p-6">
    {{ t(find || ended ? 'tries.none' : 'tries.noneYet') }}
  </p>
  <div v-else class="mt-4 overflow-x-auto">
    <table class="sheet w-full">
      <thead class="text-left text-sm">
        <tr>
          <th v-for="column in ['when', 'who', 'sheet', 'came', 'way'] as const" :key="column" class="p-2">
            {{ t(`tries.${column}`) }}
          </th>
        </tr>
      </thead>
      <tbody>
        <TryRow v-for="one in shown" :key="one.id" :tried="one" />
      </tbody>
    </table>
    <BigButton
      v-if="tries.hasNextPage.value"
      class="mt-3"
      :busy="tries.isFetchingNextPage.value"
      @click="tries.fetchNextPage()"
      >{{ t('tries.more') }}</BigButton
    >
  </div>
</template>
