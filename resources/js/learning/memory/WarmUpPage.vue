<script setup lang="ts">
import { api, must } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import BigButton from '@/ui/BigButton.vue';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { useEventListener, useNow } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import PaperQuestion from '@/learning/check/PaperQuestion.vue';

/** Ten minutes at the projector: a question fills the wall, the class says its answer, then the right one is shown. */
const props = defineProps<{ cohort: string }>();
const { t } = useI18n();
const { number } = useUnits();
const route = useRoute();
const router = useRouter();
const MINUTES = 10;
/** The number stands in the address: opened again, the same figures and scenes are there. */
const seed = Number(route.query.seed) || 1 + Math.floor(Math.random() * 1_999_999_999);
if (String(seed) !== route.query.seed) void router.replace({ query: { seed } });
const warmUp = useQuery({
  queryKey: ['warm-up', props.cohort, seed],
  queryFn: () =>
    must(
      api.GET('/api/learning/cohorts/{cohort}/warm-up', {
        params: { path: { cohort: props.cohort }, query: { seed } },
      }),
    ),
  staleTime: Infinity,
  refetchOnWindowFocus: false,
});
const questions = computed(() => warmUp.data.value?.questions ?? []);
const at = ref(0);
const answered = ref(false);
const current = computed(() => questions.value[at.value] ?? null);
const over = computed(() => questions.value.length > 0 && current.value === null);
const begun = Date.now();
const { now } = useNow({ interval: 15_000, controls: true });
const minutes = computed(() => Math.max(0, Math.floor((now.value.getTime() - begun) / 60_000)));

/** The answer first, then the next one. */
function on() {
  if (current.value === null) return;
  if (!answered.value) answered.value = true;
  else to(at.value + 1);
}
function to(place: number) {
  at.value = Math.min(questions.value.length, Math.max(0, place));
  answered.value = false;
}
useEventListener(window, 'keydown', (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  // A key that a button has under it presses that button.
  if (event.key === ' ' && event.target instanceof HTMLElement && event.target.closest('button, a')) return;
  if (event.key === ' ' || event.key === 'ArrowRight' || event.key === 'PageDown') on();
  else if (event.key === 'ArrowLeft' || event.key === 'PageUp') to(at.value - 1);
  else return;
  event.preventDefault();
});
</script>

<template>
  <main class="wall min-h-screen px-6 py-4">
    <PageState v-slot="{ data }" :data="warmUp.data.value" :error="warmUp.error.value" @retry="warmUp.refetch()">
      <header class="flex flex-wrap items-center gap-x-6">
        <h1>{{ t('warmUp.of', { cohort: data.cohort }) }}</h1>
        <p class="text-quiet">{{ t('warmUp.clock', { gone: number(minutes), planned: MINUTES }) }}</p>
        <RouterLink :to="{ name: 'warm-up' }" class="ml-auto inline-flex min-h-12 items-center">{{
          t('warmUp.leave')
        }}</RouterLink>
      </header>
      <p v-if="data.questions.length === 0" class="sheet mt-4 p-6 text-xl">{{ t('warmUp.nothing') }}</p>
      <template v-else>
        <p class="mt-1">
          {{ t('warmUp.weakest') }}
          <span v-for="(lesson, place) in data.lessons" :key="lesson.lesson"
            ><template v-if="place > 0">, </template
            ><span class="whitespace-nowrap"
              ><span class="reading text-bronze">{{ lesson.lesson }}</span>
              {{ number(Math.round(100 * lesson.recall)) }} %</span
            ></span
          >
        </p>
        <section v-if="over" class="sheet mt-4 p-8" role="status">
          <p class="text-3xl font-semibold">{{ t('warmUp.over') }}</p>
          <ul class="mt-3 text-xl">
            <li v-for="lesson in data.lessons" :key="lesson.lesson">
              <RouterLink :to="{ name: 'lesson', params: { code: lesson.lesson } }" class="inline-block py-1"
                ><span class="reading">{{ lesson.lesson }}</span> {{ lesson.title }}</RouterLink
              >
            </li>
          </ul>
        </section>
        <ol v-if="current" class="large mt-3">
          <PaperQuestion
            :key="`${at} ${answered}`"
            :question="current.question"
            :number="at + 1"
            :answer="answered ? current.answer : []"
            :line="answered ? current.line : undefined"
            closed
          />
        </ol>
        <div class="mt-4 flex flex-wrap items-center gap-4 text-xl">
          <BigButton :disabled="at === 0" @click="to(at - 1)">← {{ t('lesson.back') }}</BigButton>
          <p aria-live="polite">
            {{
              t('memory.questions.place', {
                place: Math.min(at + 1, data.questions.length),
                total: data.questions.length,
              })
            }}
          </p>
          <BigButton v-if="current" tone="main" class="ml-auto" @click="on">{{
            answered ? `${t('lesson.forward')} →` : t('warmUp.answer')
          }}</BigButton>
        </div>
      </template>
    </PageState>
  </main>
</template>

<style scoped>
/* Read from the last row. */
.wall {
  background: var(--paper);
}
.large {
  font-size: 1.45rem;
}
.large :deep(.text-lg) {
  font-size: 2rem;
  line-height: 1.25;
}
.large :deep(.text-sm),
.large :deep(.label) {
  font-size: 1.05rem;
}
</style>
