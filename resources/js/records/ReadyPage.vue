<script setup lang="ts">
import OpenSheetDialog from '@/assessment/opening/OpenSheetDialog.vue';
import { api, must, type Schemas } from '@/api/client';

import { useSay } from '@/language/useSay';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { finds } from '@/ui/find';
import PageState from '@/ui/PageState.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { useNext } from './useNext';

/** Who can be assessed on what today, in an order that says why; and who nearly, with what is missing. */
const { t } = useI18n();
const { all } = useNext();
const { say } = useSay();
const router = useRouter();
const ready = useQuery({ queryKey: ['ready'], queryFn: () => must(api.GET('/api/records/ready')) });
const search = ref('');
type Row = Schemas['ToAssess'];
const open = useAction(
  (row: Row) =>
    must(
      api.POST('/api/assessment/attempts', {
        body: { id: uuid(), sheet: row.sheet.code, learner_id: row.learner.id },
      }),
    ),
  (attempt) => router.push({ name: 'sheet', params: { id: attempt.id } }),
);
/** What is about to be opened: first on what, and where. */
const opening = ref<Row | null>(null);
const found = <T extends Row>(rows: T[]) =>
  rows.filter((row) => finds(search.value, row.learner.name, row.sheet.title, row.permit.name));
const shown = computed(() => ({
  ready: found(ready.data.value?.ready ?? []),
  nearly: found(ready.data.value?.nearly ?? []),
}));
</script>

<template>
  <PageState v-slot="{ data }" :data="ready.data.value" :error="ready.error.value" @retry="ready.refetch()">
    <h1>{{ t('ready.title') }}</h1>
    <p class="text-quiet">{{ t('ready.words') }}</p>
    <TextField v-model="search" class="mt-3 max-w-sm print:hidden" type="search" :label="t('ready.find')" />
    <ErrorNote class="mt-3" :error="open.error.value" />
    <section class="mt-5">
      <h2>{{ t('ready.today', shown.ready.length) }}</h2>
      <p v-if="data.ready.length === 0" class="sheet mt-2 p-6">{{ t('ready.none') }}</p>
      <ol class="sheet mt-2 divide-y divide-hairline">
        <li
          v-for="(row, index) in shown.ready"
          :key="`${row.learner.id} ${row.sheet.code}`"
          class="flex flex-wrap items-center gap-x-5 gap-y-1 px-4 py-2"
        >
          <span class="reading w-8 text-2xl text-quiet">{{ index + 1 }}</span>
          <span class="min-w-56 flex-1">
            <RouterLink
              :to="{ name: 'learner', params: { id: row.learner.id } }"
              class="inline-flex min-h-12 items-center text-lg font-bold"
              >{{ row.learner.name }}</RouterLink
            >
            <span class="block text-quiet">{{ row.permit.name }}</span>
          </span>
          <span class="min-w-56 flex-1">
            <strong>{{ row.sheet.title }}</strong>
            <span class="block text-sm text-quiet">{{ row.reasons.map((reason) => say(reason)).join(' · ') }}</span>
          </span>
          <BigButton
            v-if="row.mine"
            class="print:hidden"
            :tone="index === 0 ? 'main' : 'plain'"
            :busy="open.busy.value"
            @click="row.open_attempt ? open.run(row) : (opening = row)"
            >{{ t(row.open_attempt ? 'ready.goOn' : 'ready.open') }}</BigButton
          >
          <span v-else class="text-sm text-quiet">{{ t('ready.notYours') }}</span>
        </li>
      </ol>
    </section>
    <section class="mt-6">
      <h2>{{ t('ready.nearly', shown.nearly.length) }}</h2>
      <p v-if="data.nearly.length === 0" class="mt-2 text-quiet">{{ t('ready.nobodyNear') }}</p>
      <ul class="sheet mt-2 divide-y divide-hairline">
        <li
          v-for="row in shown.nearly"
          :key="`${row.learner.id} ${row.sheet.code}`"
          class="flex flex-wrap gap-x-5 px-4 py-2"
        >
          <RouterLink
            :to="{ name: 'learner', params: { id: row.learner.id } }"
            class="inline-flex min-h-12 min-w-56 flex-1 items-center font-bold"
            >{{ row.learner.name }}</RouterLink
          >
          <span class="min-w-56 flex-1"
            >{{ row.sheet.title }}<span class="block text-sm text-quiet">{{ row.permit.name }}</span></span
          >
          <span class="min-w-56 flex-1">{{ all(row.missing) }}</span>
        </li>
      </ul>
    </section>
    <OpenSheetDialog v-if="opening" :learner="opening.learner" :sheet="opening.sheet" @close="opening = null" />
  </PageState>
</template>
