<script setup lang="ts">
import { api, must } from '@/api/client';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useCommand } from '@/ui/useCommand';
import { useUnits } from '@/measure/useUnits';
import { useQuery } from '@tanstack/vue-query';
import { useLocalStorage, whenever } from '@vueuse/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { isAnswered } from './isAnswered';
import PaperQuestion from './PaperQuestion.vue';
import { useTimeLeft } from './useTimeLeft';

const props = defineProps<{ id: string }>();
const { t } = useI18n();
const { person, teaches } = useMe();
const attempt = useQuery({
  queryKey: ['paper', props.id],
  queryFn: () => must(api.GET('/api/learning/attempts/{attempt}', { params: { path: { attempt: props.id } } })),
});
/** Kept on this device until the paper is handed in. */
const answers = useLocalStorage<Record<string, string[]>>(`millstep.paper.${props.id}`, {});
const { units } = useUnits();
const mine = computed(() => attempt.data.value?.learner_id === person.value?.id);
/** What stands on paper is typed in by whoever teaches; what is on a screen is its learner's alone. */
const typing = computed(() => teaches.value && attempt.data.value?.on_paper === true);
const open = computed(
  () => attempt.data.value?.result === null && (typing.value || (mine.value && !attempt.data.value?.on_paper)),
);
const result = computed(() => attempt.data.value?.result ?? null);
const unanswered = computed(
  () =>
    (attempt.data.value?.questions ?? []).filter((question) => !isAnswered(question, answers.value[question.id] ?? []))
      .length,
);
const handIn = useCommand(
  () => ({
    about: `paper:${props.id}`,
    method: 'POST',
    path: `/api/learning/attempts/${props.id}/answers`,
    body: { answers: answers.value, units: units.value },
    label: { key: 'outbox.paper' },
  }),
  () => {
    window.scrollTo({ top: 0 });
  },
);
const because = computed(() => {
  if (result.value?.late) return t('check.late');
  return result.value?.critical_wrong
    ? t('check.criticalWrong')
    : t('check.mark', { mark: result.value?.pass_mark_percent });
});
const { left, over } = useTimeLeft(() => attempt.data.value?.ends_at ?? null);
whenever(
  () => over.value && open.value && !handIn.busy.value,
  () => handIn.run(undefined),
);
const line = (question: string) => result.value?.lines.find((each) => each.id === question);
const given = (question: string) => attempt.data.value?.answers?.[question] ?? answers.value[question] ?? [];
</script>

<template>
  <PageState v-slot="{ data }" :data="attempt.data.value" :error="attempt.error.value" @retry="attempt.refetch()">
    <div class="mx-auto max-w-4xl">
      <h1>{{ data.check.title }}</h1>
      <p class="text-quiet">
        {{ t('check.facts', { count: data.questions.length, mark: data.check.pass_mark_percent }) }}
        <template v-if="data.check.minutes"> · {{ t('check.limit', { minutes: data.check.minutes }) }}</template>
      </p>
      <p
        v-if="left !== null && !result"
        class="reading sticky top-0 z-10 w-fit bg-paper px-2 py-1 text-xl"
        role="timer"
      >
        {{ over ? t('check.timeOver') : t('check.timeLeft', { minutes: left }) }}
      </p>
      <p v-if="data.on_paper" class="mt-3 border-2 border-quiet bg-sheet p-3" role="status">
        <strong>{{ t('check.onPaper', { name: data.learner }) }}</strong>
        {{
          data.typed_by
            ? t('check.typedBy', { name: data.typed_by })
            : t(typing ? 'check.typeIn' : 'check.withInstructor', { name: data.paper_by })
        }}
      </p>
      <section
        v-if="result"
        class="mt-4 border-2 p-4"
        :class="result.passed ? 'border-alone' : 'border-no'"
        role="status"
      >
        <p class="text-2xl font-semibold" :class="result.passed ? 'text-alone' : 'text-no'">
          {{ result.passed ? '✓' : '✕' }} {{ t(result.passed ? 'check.passed' : 'check.notPassed') }}
          <span class="reading">{{ result.score_percent }} %</span>
        </p>
        <p>
          {{ because }}
        </p>
        <div class="mt-3 flex flex-wrap gap-3">
          <RouterLink
            v-if="mine && !result.passed"
            :to="{ name: 'check', params: { code: data.check.code } }"
            class="inline-flex min-h-12 items-center border border-blue bg-blue px-5 font-semibold text-on-blue no-underline"
            >{{ t('check.again') }}</RouterLink
          >
          <RouterLink
            :to="{ name: mine ? 'path' : 'learner', params: mine ? {} : { id: data.learner_id } }"
            class="inline-flex min-h-12 items-center border border-quiet px-5 font-semibold no-underline"
            >{{ t('check.toPath') }}</RouterLink
          >
        </div>
      </section>
      <ol class="mt-5 space-y-5">
        <PaperQuestion
          v-for="(question, index) in data.questions"
          :key="question.id"
          :question="question"
          :number="index + 1"
          :answer="given(question.id)"
          :line="line(question.id)"
          :closed="!open"
          @answer="answers = { ...answers, [question.id]: $event }"
        />
      </ol>
      <div v-if="open" class="mt-5 flex flex-wrap items-center justify-end gap-4">
        <p v-if="unanswered > 0" class="text-quiet">{{ t('check.unanswered', unanswered) }}</p>
        <BigButton
          tone="main"
          :busy="handIn.busy.value"
          :disabled="unanswered > 0 && !typing"
          @click="handIn.run(undefined)"
          >{{ t(typing ? 'check.typedIn' : 'check.handIn') }}</BigButton
        >
      </div>
      <ErrorNote class="mt-3" :error="handIn.error.value" @retry="handIn.run(undefined)" />
      <p class="mt-6 text-sm text-quiet">{{ t('check.seed', { seed: data.seed }) }}</p>
      <PrecedenceNote class="mt-3" />
    </div>
  </PageState>
</template>
