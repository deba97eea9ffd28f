<script setup lang="ts">
import { api, must } from '@/api/client';
import { finds } from '@/ui/find';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import TeachingTabs from '@/learning/TeachingTabs.vue';
import ItemRow from './ItemRow.vue';

/** How each question of a check fared in one's classes: those that mislead first. */
const props = defineProps<{ code: string }>();
const { t } = useI18n();
const figures = useQuery({
  queryKey: ['check-figures', props.code],
  queryFn: () => must(api.GET('/api/learning/checks/{code}/figures', { params: { path: { code: props.code } } })),
});
const search = ref('');
const items = computed(() =>
  (figures.data.value?.items ?? []).filter((item) => finds(search.value, item.text, item.lesson, item.id)),
);
</script>

<template>
  <TeachingTabs current="checks" />
  <PageState v-slot="{ data }" :data="figures.data.value" :error="figures.error.value" @retry="figures.refetch()">
    <div class="mt-4 flex flex-wrap items-end gap-x-6 gap-y-2">
      <div class="min-w-64 flex-1">
        <h1>{{ data.title }}</h1>
        <p class="text-quiet">
          {{ t('teaching.checks.facts', { version: data.version, questions: data.items.length }) }}
          <template v-if="data.papers === 0">{{ t('teaching.checks.noPapers') }}</template>
          <template v-else>{{ t('teaching.checks.passed', { passed: data.passed, papers: data.papers }) }}</template>
        </p>
      </div>
      <label class="flex items-center gap-2 text-sm"
        >{{ t('ui.find') }} <input v-model="search" type="search" class="field w-56"
      /></label>
    </div>
    <p v-if="items.length === 0" class="sheet mt-4 p-6">{{ t('teaching.checks.noMatch') }}</p>
    <ul class="sheet mt-4">
      <ItemRow v-for="item in items" :key="item.id" :item="item" />
    </ul>
    <p class="mt-4 max-w-3xl text-sm text-quiet">{{ t('teaching.checks.how') }}</p>
  </PageState>
</template>
