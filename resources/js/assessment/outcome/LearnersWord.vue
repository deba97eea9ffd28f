<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { useQueryClient } from '@tanstack/vue-query';
import { useLocalStorage } from '@vueuse/core';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** What the learner says to the outcome, in the same minute; an appeal, and what another assessor answers. All kept beside it. */
const props = defineProps<{ attempt: Schemas['AssessmentAttempt']; queryKey: string[] }>();
const { t, d } = useI18n();
const client = useQueryClient();
const name = computed(() => props.attempt.learner.name);
const word = computed(() => props.attempt.word);
const may = (what: Schemas['AssessmentAttempt']['word']['may'][number]) => word.value.may.includes(what);
const own = computed(() => props.attempt.viewer === 'learner');
/** What is being said; its words are kept on the device until the server has them. */
const saying = ref<'disagree' | 'appeal' | 'answer' | null>(null);
const words = useLocalStorage(`millstep.word.${props.attempt.id}`, '');
const params = { path: { attempt: props.attempt.id } };
const path = '/api/assessment/attempts/{attempt}' as const;
const said = computed(() => words.value.trim() || null);
function keep(attempt: Schemas['AssessmentAttempt']) {
  words.value = '';
  saying.value = null;
  client.setQueryData(props.queryKey, attempt);
}
const answer = useAction(
  (agrees: boolean) => must(api.POST(`${path}/answer`, { params, body: { id: uuid(), agrees, words: said.value } })),
  keep,
);
const appeal = useAction(
  () => must(api.POST(`${path}/appeal`, { params, body: { id: uuid(), words: said.value } })),
  keep,
);
const answerAppeal = useAction(
  (given: 'stands' | 'try_again') =>
    must(api.POST(`${path}/appeal/answer`, { params, body: { id: uuid(), answer: given, words: said.value } })),
  keep,
);
const errors = computed(() => answer.error.value ?? appeal.error.value ?? answerAppeal.error.value);
const when = (at: string) => d(at, { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <section
    v-if="word.answered || word.appealed || word.may.length > 0"
    class="mt-3 border-l-4 border-blue bg-sheet px-4 py-3 print:border-l print:px-2"
    data-testid="word"
  >
    <template v-if="word.answered">
      <p class="font-semibold">
        {{ word.answered.agrees ? '✓' : '▲' }}
        {{ t(word.answered.agrees ? 'sheet.word.agreed' : 'sheet.word.disagreed', { name }) }}
        <q v-if="word.answered.text" class="font-normal">{{ word.answered.text }}</q>
        <span class="ml-2 text-sm font-normal text-quiet">
          {{ when(word.answered.at)
          }}<template v-if="!word.answered.own">, {{ t('sheet.word.writtenBy', { by: word.answered.by }) }}</template>
        </span>
      </p>
    </template>
    <div v-if="may('answer')" class="print:hidden">
      <p class="text-lg font-semibold">{{ own ? t('sheet.word.askOwn') : t('sheet.word.ask', { name }) }}</p>
      <p class="text-sm text-quiet">{{ t('sheet.word.note') }}</p>
      <div v-if="saying !== 'disagree'" class="mt-2 flex flex-wrap gap-3">
        <BigButton tone="main" :busy="answer.busy.value" @click="answer.run(true)">{{
          t('sheet.word.agree')
        }}</BigButton>
        <BigButton @click="saying = 'disagree'">{{ t('sheet.word.disagree') }}</BigButton>
      </div>
      <form v-else class="mt-2 space-y-3" @submit.prevent="answer.run(false)">
        <TextField v-model="words" required maxlength="600" :label="t('sheet.word.why')" />
        <BigButton type="submit" tone="main" :busy="answer.busy.value" :disabled="words.trim().length < 3">{{
          t('sheet.word.keep')
        }}</BigButton>
      </form>
    </div>
    <template v-if="word.appealed">
      <p class="mt-2 font-semibold">
        {{ t('sheet.word.appealed', { by: word.appealed.own ? name : word.appealed.by }) }}
        <q v-if="word.appealed.text" class="font-normal">{{ word.appealed.text }}</q>
        <span class="ml-2 text-sm font-normal text-quiet">{{ when(word.appealed.at) }}</span>
      </p>
      <p v-if="word.appeal_answered" class="font-semibold">
        {{ t(`sheet.word.answered.${word.appeal_answered.answer ?? 'stands'}`, { by: word.appeal_answered.by }) }}
        <q v-if="word.appeal_answered.text" class="font-normal">{{ word.appeal_answered.text }}</q>
        <span class="ml-2 text-sm font-normal text-quiet">{{ when(word.appeal_answered.at) }}</span>
      </p>
      <p v-else class="text-quiet">‖ {{ t('sheet.word.appealOpen') }}</p>
    </template>
    <div v-else-if="may('appeal')" class="mt-2 print:hidden">
      <button
        v-if="saying !== 'appeal'"
        type="button"
        class="min-h-12 underline underline-offset-4"
        @click="saying = 'appeal'"
      >
        {{ t('sheet.word.appeal') }}
      </button>
      <form v-else class="space-y-3" @submit.prevent="appeal.run(undefined)">
        <p class="text-quiet">{{ t('sheet.word.appealWords') }}</p>
        <TextField v-model="words" required maxlength="600" :label="t('sheet.word.appealWhy')" />
        <BigButton type="submit" tone="main" :busy="appeal.busy.value" :disabled="words.trim().length < 3">{{
          t('sheet.word.appeal')
        }}</BigButton>
      </form>
    </div>
    <form v-if="may('answer_appeal')" class="mt-2 space-y-3 print:hidden" @submit.prevent>
      <h2>{{ t('sheet.word.answer') }}</h2>
      <p class="text-quiet">{{ t('sheet.word.answerWords') }}</p>
      <TextField v-model="words" required maxlength="600" :label="t('sheet.word.answerWhy')" />
      <div class="flex flex-wrap gap-3">
        <BigButton
          v-for="given in ['stands', 'try_again'] as const"
          :key="given"
          :busy="answerAppeal.busy.value"
          :disabled="words.trim().length < 3"
          @click="answerAppeal.run(given)"
          >{{ t(`sheet.word.${given}`) }}</BigButton
        >
      </div>
    </form>
    <ErrorNote class="mt-2" :error="errors" />
  </section>
</template>
