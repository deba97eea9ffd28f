<script setup lang="ts">
import { api, must } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import PageState from '@/ui/PageState.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import PrintedQuestion from './PrintedQuestion.vue';

/** Papers to print: one for each learner, with the answers for whoever corrects them, or without. */
const { t, d } = useI18n();
const route = useRoute();
const ids = computed(() =>
  String(route.query.papers ?? '')
    .split(',')
    .filter(Boolean),
);
const size = ref<'A4' | 'letter'>('A4');
const answers = ref(false);
const papers = useQuery({
  queryKey: ['papers', ids],
  queryFn: () =>
    Promise.all(
      ids.value.map(async (attempt) => {
        const params = { params: { path: { attempt } } };
        const [paper, key] = await Promise.all([
          must(api.GET('/api/learning/attempts/{attempt}', params)),
          must(api.GET('/api/learning/attempts/{attempt}/key', params)),
        ]);
        return { paper, lines: Object.fromEntries(key.lines.map((line) => [line.id, line])) };
      }),
    ),
  staleTime: Infinity,
  refetchOnWindowFocus: false,
});
const print = () => window.print();
</script>

<template>
  <PageState v-slot="{ data }" :data="papers.data.value" :error="papers.error.value" @retry="papers.refetch()">
    <div class="flex flex-wrap items-center gap-4 print:hidden">
      <h1 class="flex-1">{{ t('check.paper.title', data.length) }}</h1>
      <fieldset class="flex items-center gap-4">
        <legend class="sr-only">{{ t('check.paper.size') }}</legend>
        <label v-for="each in ['A4', 'letter'] as const" :key="each" class="flex min-h-12 items-center gap-2"
          ><input v-model="size" type="radio" class="size-5" :value="each" />
          {{ each === 'A4' ? 'A4' : 'Letter' }}</label
        >
      </fieldset>
      <label class="flex min-h-12 items-center gap-2"
        ><input v-model="answers" type="checkbox" class="size-5" /> {{ t('check.paper.withAnswers') }}</label
      >
      <BigButton tone="main" @click="print">{{ t('check.paper.print') }}</BigButton>
    </div>
    <article
      v-for="{ paper, lines } in data"
      :key="paper.id"
      class="sheet mt-5 p-6 print:mt-0 print:break-after-page print:border-0 print:p-0"
      :class="size"
      :aria-label="paper.learner"
    >
      <header class="flex flex-wrap items-end gap-x-6 border-b-2 border-ink pb-1">
        <div class="flex-1">
          <h2>
            {{ paper.check.title }}<template v-if="answers">, {{ t('check.paper.answers') }}</template>
          </h2>
          <p class="text-[9.5pt]">
            {{ t('check.facts', { count: paper.questions.length, mark: paper.check.pass_mark_percent }) }}
            <template v-if="paper.check.minutes"> · {{ t('check.limit', { minutes: paper.check.minutes }) }}</template>
          </p>
        </div>
        <p class="text-right">
          <strong class="text-lg">{{ paper.learner }}</strong><br />
          <span class="text-[9.5pt]"
            >{{ d(paper.started_at, { dateStyle: 'medium' }) }} · <span class="reading">{{ paper.seed }}</span></span
          >
        </p>
      </header>
      <ol class="mt-3 space-y-3 text-[10.5pt] leading-snug print:columns-2 print:gap-x-6">
        <PrintedQuestion
          v-for="(question, place) in paper.questions"
          :key="question.id"
          :question="question"
          :number="place + 1"
          :line="answers ? lines[question.id] : undefined"
        />
      </ol>
      <p class="mt-3 text-[9.5pt]">◆ {{ t('check.paper.critical') }} {{ t('check.seed', { seed: paper.seed }) }}</p>
      <PrecedenceNote class="mt-2 text-[9.5pt]" />
    </article>
  </PageState>
</template>

<style scoped>
@page paper-a4 {
  size: A4;
  margin: 14mm 14mm 16mm;
}
@page paper-letter {
  size: letter;
  margin: 14mm 14mm 16mm;
}
.A4 {
  page: paper-a4;
}
.letter {
  page: paper-letter;
}
</style>
