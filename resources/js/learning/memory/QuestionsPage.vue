<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useCommand } from '@/ui/useCommand';
import { useQuery } from '@tanstack/vue-query';
import { useLocalStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { isAnswered } from '@/learning/check/isAnswered';
import PaperQuestion from '@/learning/check/PaperQuestion.vue';

/** Today's questions, one after the other: each is explained at once, and none counts as a check. */
const { t } = useI18n();
const { units } = useUnits();
const asked = useQuery({
  queryKey: ['recalls'],
  queryFn: () => must(api.POST('/api/learning/recalls')),
  // What is on the screen stays as it is until it is answered.
  staleTime: Infinity,
  refetchOnWindowFocus: false,
});
/** Those of today, in the order in which they came: what is answered stays to be looked at. */
const answered = ref<Schemas['Recall'][]>([]);
const typed = useLocalStorage<Record<string, string[]>>('millstep.recalls', {});
const waiting = computed(() =>
  (asked.data.value?.questions ?? []).filter(({ id }) => !answered.value.some((one) => one.id === id)),
);
const total = computed(() => answered.value.length + waiting.value.length);
/** The one that was just answered, until one goes on. */
const shown = ref<Schemas['Recall'] | null>(null);
const current = computed(() => shown.value ?? waiting.value[0] ?? null);
const place = computed(() => (shown.value ? answered.value.length : answered.value.length + 1));
const answer = computed(() => (current.value ? (current.value.answer ?? typed.value[current.value.id] ?? []) : []));
const give = useCommand(
  (recall: Schemas['Recall']) => ({
    about: `recall:${recall.id}`,
    method: 'POST',
    path: `/api/learning/recalls/${recall.id}/answer`,
    body: { answer: typed.value[recall.id] ?? [], units: units.value },
    label: { key: 'outbox.recall' },
  }),
  (outcome: Schemas['Recall']) => {
    answered.value = [...answered.value.filter(({ id }) => id !== outcome.id), outcome];
    shown.value = outcome;
    typed.value = Object.fromEntries(Object.entries(typed.value).filter(([id]) => id !== outcome.id));
  },
);
const right = computed(() => answered.value.filter((one) => one.line?.right).length);
</script>

<template>
  <PageState v-slot="{}" :data="asked.data.value" :error="asked.error.value" @retry="asked.refetch()">
    <div class="mx-auto max-w-4xl">
      <h1>{{ t('memory.questions.title') }}</h1>
      <p class="text-quiet">{{ t('memory.questions.words') }}</p>
      <template v-if="current">
        <p class="mt-4 text-lg font-semibold" aria-live="polite">
          {{ t('memory.questions.place', { place, total }) }}
        </p>
        <ol class="mt-2">
          <PaperQuestion
            :key="current.id"
            :question="current.question"
            :number="place"
            :answer="answer"
            :line="current.line ?? undefined"
            :closed="current.line !== null || give.busy.value"
            @answer="typed = { ...typed, [current.id]: $event }"
          />
        </ol>
        <div class="mt-4 flex flex-wrap items-center justify-end gap-4">
          <BigButton v-if="shown" tone="main" @click="shown = null">{{
            t(waiting.length > 0 ? 'memory.questions.next' : 'memory.questions.end')
          }}</BigButton>
          <BigButton
            v-else
            tone="main"
            :busy="give.busy.value"
            :disabled="!isAnswered(current.question, answer)"
            @click="give.run(current)"
            >{{ t('memory.questions.answer') }}</BigButton
          >
        </div>
        <ErrorNote class="mt-3" :error="give.error.value" @retry="give.reset()" />
      </template>
      <section v-else class="sheet mt-4 p-6" role="status">
        <p class="text-2xl font-semibold">
          {{
            answered.length > 0
              ? t('memory.questions.done', { right, total: answered.length })
              : t('memory.questions.none')
          }}
        </p>
        <p class="text-quiet">{{ t('memory.questions.tomorrow') }}</p>
        <RouterLink :to="{ name: 'path' }" class="mt-2 inline-flex min-h-12 items-center font-semibold">{{
          t('check.toPath')
        }}</RouterLink>
      </section>
    </div>
  </PageState>
</template>
