<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import type { RuleMark } from '@/ui/rule';
import SteelRule from '@/ui/SteelRule.vue';
import { useCommand } from '@/ui/useCommand';
import { useEventListener, useNow } from '@vueuse/core';
import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { useSay } from '@/language/useSay';
import { useMe } from '@/api/useMe';
import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';
import FigureText from './FigureText.vue';
import LessonBindings from './LessonBindings.vue';
import LessonCard from './LessonCard.vue';
import LessonFrame from './LessonFrame.vue';
import LessonNotes from './LessonNotes.vue';
import LessonSection from './LessonSection.vue';
import LessonSheet from './LessonSheet.vue';
import LessonStep from './LessonStep.vue';
import { useReadAloud } from './useReadAloud';
import { useSwipeSteps } from './useSwipeSteps';
import { useWaitingSteps } from './useWaitingSteps';

const props = defineProps<{ code: string }>();
const { t } = useI18n();
const { say } = useSay();
const { teaches } = useMe();
const { length } = useUnits();
const client = useQueryClient();
const key = ['lesson', props.code];
const WAITING_REFRESH_MS = 3_000;
const lesson = useQuery({
  queryKey: key,
  queryFn: () => must(api.GET('/api/learning/lessons/{code}', { params: { path: { code: props.code } } })),
  refetchInterval: (query) => (query.state.data?.steps.some((step) => step.waiting_since) ? WAITING_REFRESH_MS : false),
});

const chosen = ref<string | null>(null);
/** With what waits on this device to be sent. */
const { shown, waits, waiting, stuck } = useWaitingSteps(() => lesson.data.value);
const steps = computed(() => shown.value?.steps ?? []);
/** All is done, and the server has not said so yet: one stays where one was. */
const unread = computed(() => shown.value?.progress?.next === null && shown.value.progress.completed_at === null);
const current = computed(
  () => chosen.value ?? shown.value?.progress?.next ?? steps.value.at(unread.value ? -1 : 0)?.key ?? null,
);
const index = computed(() => steps.value.findIndex((step) => step.key === current.value));
const step = computed(() => steps.value[index.value]);
const marks = computed<RuleMark[]>(() =>
  steps.value.map((each, place) => ({
    key: each.key,
    label: each.title,
    numeral: String(place + 1),
    state: each.done ? 'done' : each.waiting_since || waits(each.key) !== undefined ? 'waiting' : 'open',
  })),
);
const locked = computed(() => lesson.data.value?.progress?.open === false);
const canAnswer = computed(() => !locked.value && shown.value?.progress?.next === current.value);

const answer = useCommand(
  ({ step: name, value }: { step: string; value: string | null }) => ({
    about: `step:${lesson.data.value?.progress?.id}:${name}`,
    method: 'PUT',
    path: `/api/learning/progress/${lesson.data.value?.progress?.id}/steps/${name}`,
    body: { value },
    label: { key: 'outbox.step', words: { what: `${props.code} ${step.value?.title ?? ''}` } },
  }),
  (updated: Schemas['Lesson'], { step: name }) => {
    client.setQueryData(key, updated);
    // Whoever has leafed on meanwhile is not called back.
    if (chosen.value !== null && chosen.value !== name) return;
    // A judged step stays in view with what was said to it; a done one, or one that waits, follows the cursor.
    const answered = updated.steps.find((each) => each.key === name);
    chosen.value = answered?.reading || answered?.choice ? name : null;
  },
);
function give(name: string, value: string | null) {
  // What was leafed to gives way to the next one that is open.
  if (value === null) chosen.value = null;
  void answer.run({ step: name, value });
}
function go(by: number) {
  const next = steps.value[index.value + by];
  if (next) chosen.value = next.key;
}
/** On a phone the last step's button is far below the word that it was the last. */
const done = useTemplateRef<HTMLElement>('done');
watch(
  () => lesson.data.value?.progress?.completed_at,
  async (at, before) => {
    if (!at || before === undefined) return;
    await nextTick();
    done.value?.scrollIntoView({ block: 'center' });
  },
);
/** The step with its words, or the instructor's card alone: whichever was asked for goes onto the paper. */
const paper = ref<'lesson' | 'card'>('lesson');
async function print(what: 'lesson' | 'card') {
  paper.value = what;
  await nextTick();
  window.print();
}
/** Next and back by key, as a page is turned; not while something is typed. */
useEventListener(window, 'keydown', (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [role=dialog]')) return;
  if (event.key === 'ArrowRight' || event.key === 'PageDown') go(1);
  else if (event.key === 'ArrowLeft' || event.key === 'PageUp') go(-1);
  else return;
  event.preventDefault();
});
const turned = useTemplateRef<HTMLElement>('swipe');
useSwipeSteps(turned, go);
const aloud = useReadAloud();
/** A step that begins above the edge of the screen is brought down to it; and nobody goes on hearing the one before. */
watch(current, async (_, before) => {
  aloud.stop();
  if (before === null) return;
  await nextTick();
  if ((turned.value?.getBoundingClientRect().top ?? 0) < 0) turned.value?.scrollIntoView({ block: 'start' });
});
/** How long one has been at it: to see, never to nag. */
const begun = Date.now();
const { now } = useNow({ interval: 30_000, controls: true });
const minutes = computed(() => Math.max(0, Math.floor((now.value.getTime() - begun) / 60_000)));
</script>

<template>
  <PageState v-slot="{ data }" :data="lesson.data.value" :error="lesson.error.value" @retry="lesson.refetch()">
    <div class="print:hidden">
      <div class="flex flex-wrap items-center gap-x-5">
        <h1 class="text-2xl">
          <span class="reading mr-2 text-bronze">{{ data.code }}</span>{{ data.title }}
        </h1>
        <p v-if="data.progress && !data.progress.completed_at" class="ml-auto text-quiet">
          {{ t('lesson.timer', { gone: minutes, planned: data.minutes }) }}
        </p>
        <button
          v-if="aloud.can && step"
          type="button"
          class="min-h-12 px-2 underline underline-offset-4"
          :class="{ 'ml-auto': !data.progress || data.progress.completed_at }"
          @click="aloud.speaking.value ? aloud.stop() : aloud.read(step, data.figures)"
        >
          {{ t(aloud.speaking.value ? 'lesson.aloud.stop' : 'lesson.aloud.read') }}
        </button>
      </div>
      <p v-if="data.fault" role="alert" class="mt-3 border-2 border-no p-3">
        <strong class="text-no">✕</strong> {{ t('lesson.fault') }} {{ say(data.fault) }}
      </p>
      <p v-if="locked" class="mt-3 border-2 border-supervised p-3 font-semibold text-supervised" role="status">
        ▲ {{ t('lesson.guided') }}
      </p>
      <p
        v-if="waiting.size > 0 && stuck !== null"
        class="mt-3 border-2 border-supervised bg-sheet p-3"
        role="status"
        data-testid="kept-here"
      >
        <strong class="text-supervised">‖ {{ t('lesson.keptHere', waiting.size) }}</strong> {{ t('lesson.keptWords') }}
      </p>
      <p
        v-if="data.progress?.completed_at"
        ref="done"
        class="mt-3 border-2 border-alone p-3 font-semibold text-alone"
        role="status"
      >
        ✓ {{ t('lesson.completed') }}
        <RouterLink :to="{ name: 'path' }" class="inline-flex min-h-12 items-center">{{
          t('lesson.toPath')
        }}</RouterLink>
      </p>
      <div
        class="mt-2 grid items-start gap-5 md:grid-cols-[250px_1fr]"
        :class="{ 'xl:grid-cols-[250px_1fr_340px]': !step?.drawing }"
      >
        <SteelRule
          orientation="vertical"
          class="max-md:hidden"
          :marks="marks"
          :current="current"
          :label="t('lesson.steps')"
          @select="chosen = $event"
        />
        <div v-if="step" ref="swipe">
          <p v-if="data.own_sizes.length > 0" class="mb-2 text-lg">
            {{ t('lesson.ownSize') }}
            <strong v-for="own in data.own_sizes" :key="own.key" class="mr-3"
              >{{ t(`lesson.sizeKey.${own.key}`) }} <span class="reading">{{ length(own.value_mm) }}</span></strong
            >
          </p>
          <p v-if="index === 0" class="mb-2">
            <strong>{{ t('lesson.layOut', data.tools.length) }}:</strong>{{ ' ' }}
            <template v-for="(tool, place) in data.tools" :key="tool"
              ><FigureText :text="tool" :figures="data.figures" />{{
                place < data.tools.length - 1 ? '; ' : '. '
              }}</template
            >
            {{ data.frame.opening }}
          </p>
          <LessonStep
            :key="step.key"
            :step="step"
            :number="index + 1"
            :total="steps.length"
            :figures="data.figures"
            :machine="data.machine"
            :can-answer="canAnswer"
            :busy="answer.busy.value && !answer.pending.value"
            :waits="waits(step.key)"
            @answer="give(step.key, $event)"
            @opened="lesson.refetch()"
          />
          <ErrorNote class="mt-3" :error="answer.error.value" @retry="answer.reset()" />
          <div class="mt-4 flex justify-between gap-3">
            <BigButton :disabled="index <= 0" @click="go(-1)">← {{ t('lesson.back') }}</BigButton>
            <BigButton :disabled="index >= steps.length - 1" :tone="step.done ? 'main' : 'plain'" @click="go(1)"
              >{{ t('lesson.forward') }} →</BigButton
            >
          </div>
        </div>
        <LessonSection v-if="!step?.drawing" class="md:col-start-2 xl:col-start-3" :lesson="data" />
      </div>
      <LessonNotes v-if="data.progress" :key="data.progress.id" class="mt-4 max-w-3xl" :lesson="data" />
      <LessonBindings v-if="teaches" :code="code" />
      <LessonFrame class="mt-4" :lesson="data" @card="print('card')" @sheet="print('lesson')" />
    </div>
    <LessonCard v-if="paper === 'card'" :lesson="data" class="hidden print:block" />
    <LessonSheet v-else :lesson="data" class="hidden print:block" />
  </PageState>
</template>
