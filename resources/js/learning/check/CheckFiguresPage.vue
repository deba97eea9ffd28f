<script setup lang="ts">
import { api, must } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { finds } from '@/ui/find';
import PageState from '@/ui/PageState.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import TeachingTabs from '@/learning/TeachingTabs.vue';
import GiveOutDialog from './GiveOutDialog.vue';
import ItemRow from './ItemRow.vue';

/** How each question of a check fared in one's classes: those that mislead first. */
const props = defineProps<{ code: string }>();
const { t, d } = useI18n();
const figures = useQuery({
  queryKey: ['check-figures', props.code],
  queryFn: () => must(api.GET('/api/learning/checks/{code}/figures', { params: { path: { code: props.code } } })),
});
const giving = ref(false);
const away = useAction((attempt: string) =>
  must(api.DELETE('/api/learning/attempts/{attempt}', { params: { path: { attempt } } })),
);
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
      <BigButton @click="giving = true">{{ t('check.paper.giveOut') }} …</BigButton>
      <label class="flex items-center gap-2 text-sm"
        >{{ t('ui.find') }} <input v-model="search" type="search" class="field w-56"
      /></label>
    </div>
    <section v-if="data.on_paper.length > 0" class="mt-4">
      <h2>{{ t('check.paper.out') }}</h2>
      <ErrorNote :error="away.error.value" @retry="away.reset()" />
      <ul class="sheet mt-2">
        <li
          v-for="paper in data.on_paper"
          :key="paper.id"
          class="flex flex-wrap items-center gap-x-5 border-t border-hairline px-4 py-1 first:border-t-0"
        >
          <p class="min-w-56 flex-1">
            <strong>{{ paper.learner }}</strong>
            <span class="ml-2 text-sm text-quiet">{{
              d(paper.since, { dateStyle: 'medium', timeStyle: 'short' })
            }}</span>
          </p>
          <RouterLink
            :to="{ name: 'print-papers', query: { papers: paper.id } }"
            class="inline-flex min-h-12 items-center"
            >{{ t('check.paper.again') }}</RouterLink
          >
          <button type="button" class="min-h-12 underline underline-offset-4" @click="away.run(paper.id)">
            {{ t('check.paper.putAway') }}
          </button>
          <RouterLink
            :to="{ name: 'paper', params: { id: paper.id } }"
            class="inline-flex min-h-12 items-center border border-quiet px-5 font-semibold no-underline"
            >{{ t('check.paper.typeIn') }}</RouterLink
          >
        </li>
      </ul>
    </section>
    <p v-if="items.length === 0" class="sheet mt-4 p-6">{{ t('teaching.checks.noMatch') }}</p>
    <ul class="sheet mt-4">
      <ItemRow v-for="item in items" :key="item.id" :item="item" />
    </ul>
    <GiveOutDialog v-if="giving" :code="code" @close="giving = false" />
    <p class="mt-4 max-w-3xl text-sm text-quiet">{{ t('teaching.checks.how') }}</p>
  </PageState>
</template>
