<script setup lang="ts">
import { api, must } from '@/api/client';
import { useMe } from '@/api/useMe';
import TeachingTabs from '@/learning/TeachingTabs.vue';
import BigButton from '@/ui/BigButton.vue';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import PaperSheet from '@/assessment/machine/PaperSheet.vue';
import SheetEditor from './SheetEditor.vue';

/** One practical sheet as it is written: to print empty, to read its versions, and for the shop lead to change. */
const props = defineProps<{ code: string }>();
const { t, d } = useI18n();
const { leads } = useMe();
const sheet = useQuery({
  queryKey: ['written-sheet', props.code],
  queryFn: () => must(api.GET('/api/assessment/sheets/{code}', { params: { path: { code: props.code } } })),
});
const editing = ref(false);
const facts = computed(() => ({
  title: sheet.data.value?.title ?? '',
  part: sheet.data.value?.part ?? '',
  machine: sheet.data.value?.machine ?? null,
  version: sheet.data.value?.version ?? 1,
  pass_mark_percent: sheet.data.value?.pass_mark_percent ?? 0,
}));
const print = () => window.print();
</script>

<template>
  <TeachingTabs current="sheets" class="print:hidden" />
  <PageState v-slot="{ data }" :data="sheet.data.value" :error="sheet.error.value" @retry="sheet.refetch()">
    <div class="mt-4 flex flex-wrap items-center gap-4 print:hidden">
      <h1 class="flex-1">{{ data.title }}</h1>
      <BigButton @click="print">{{ t('sheets.print') }}</BigButton>
      <BigButton v-if="leads && !editing" tone="main" @click="editing = true">{{ t('sheets.change') }}</BigButton>
    </div>
    <p class="text-quiet print:hidden">
      {{ t('sheet.version', { version: data.version }) }}<template v-if="data.own">, {{ t('sheets.own') }}</template>
    </p>
    <SheetEditor v-if="editing" :key="data.version" :sheet="data" @done="editing = false" />
    <template v-else>
      <PaperSheet class="mt-4" shown :sheet="facts" :criteria="data.shown" />
      <section class="mt-6 print:hidden">
        <h2>{{ t('sheets.versions') }}</h2>
        <ul class="sheet mt-2 divide-y divide-hairline">
          <li v-for="version in data.versions" :key="version.version" class="flex flex-wrap gap-x-5 px-4 py-2">
            <strong class="w-28">{{ t('sheet.version', { version: version.version }) }}</strong>
            <span class="flex-1">{{ version.change ?? t('sheets.fromPack') }}</span>
            <span v-if="version.at" class="text-quiet">{{ d(version.at, { dateStyle: 'medium' }) }}</span>
            <span v-if="version.open > 0" class="font-semibold">{{ t('sheets.open', version.open) }}</span>
          </li>
        </ul>
      </section>
    </template>
  </PageState>
</template>
