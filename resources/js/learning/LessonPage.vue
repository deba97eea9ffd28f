<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import type { RuleMark } from '@/ui/rule';
import SteelRule from '@/ui/SteelRule.vue';
import { useCommand } from '@/ui/useCommand';
import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { useSay } from '@/language/useSay';
import { useI18n } from 'vue-i18n';
import FigureText from './FigureText.vue';
import LessonSection from './LessonSection.vue';
import LessonSheet from './LessonSheet.vue';
import LessonStep from './LessonStep.vue';
import PlanLinks from '@/planning/saved/PlanLinks.vue';

const props = defineProps<{ code: string }>();
const { t } = useI18n();
const { say } = useSay();
const client = useQueryClient();
const key = ['lesson', props.code];
const WAITING_REFRESH_MS = 3_000;
const lesson = useQuery({
  queryKey: key,
  queryFn: () => must(api.GET('/api/learning/lessons/{code}', { params: { path: { code: props.code } } })),
  refetchInterval: (query) => (query.state.data?.steps.some((step) => step.waiting_since) ? WAITING_REFRESH_MS : false),
});

const chosen = ref<string | null>(null);
const steps = computed(() => lesson.data.value?.steps ?? []);
const current = computed(() => chosen.value ?? lesson.data.value?.progress?.next ?? steps.value.at(0)?.key ?? null);
const index = computed(() => steps.value.findIndex((step) => step.key === current.value));
const step = computed(() => steps.value[index.value]);
const marks = computed<RuleMark[]>(() =>
  steps.value.map((each, place) => ({
    key: each.key,
    label: each.title,
    numeral: String(place + 1),
    state: each.done ? 'done' : each.waiting_since ? 'waiting' : 'open',
  })),
);
const locked = computed(() => lesson.data.value?.progress?.open === false);
const canAnswer = computed(() => !locked.value && lesson.data.value?.progress?.next === current.value);

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
function print() {
  window.print();
}
</script>

<template>
  <PageState v-slot="{ data }" :data="lesson.data.value" :error="lesson.error.value" @retry="lesson.refetch()">
    <div class="print:hidden">
      <div class="flex flex-wrap items-end gap-x-5 gap-y-2">
        <h1>
          <span class="reading mr-2 text-bronze">{{ data.code }}</span>{{ data.title }}
        </h1>
        <p class="text-quiet">
          {{ t('lesson.facts', { place: data.place, minutes: data.minutes, version: data.version }) }}
        </p>
        <button type="button" class="ml-auto min-h-12 px-2 underline underline-offset-4" @click="print">
          {{ t('lesson.print') }}
        </button>
      </div>
      <p v-if="data.part && data.machine" class="mt-1 text-quiet">
        {{
          t('lesson.bound', {
            part: data.part.name,
            stock: data.part.stock,
            hole: data.part.hole,
            machine: data.machine.name,
            crib: data.machine.crib,
          })
        }}
      </p>
      <PlanLinks class="mt-1" :plans="data.plans" />
      <p v-if="data.fault" role="alert" class="mt-3 border-2 border-no p-3">
        <strong class="text-no">✕</strong> {{ t('lesson.fault') }} {{ say(data.fault) }}
      </p>
      <p v-if="locked" class="mt-3 border-2 border-supervised p-3 font-semibold text-supervised" role="status">
        ▲ {{ t('lesson.guided') }}
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
      <details class="mt-3">
        <summary class="flex min-h-12 cursor-pointer items-center font-semibold">
          ▸ {{ t('lesson.layOut', data.tools.length) }}
        </summary>
        <ul class="ml-6 list-disc pb-2">
          <li v-for="tool in data.tools" :key="tool"><FigureText :text="tool" :figures="data.figures" /></li>
        </ul>
      </details>

      <div class="mt-2 grid items-start gap-5 md:grid-cols-[250px_1fr] xl:grid-cols-[250px_1fr_340px]">
        <SteelRule
          orientation="vertical"
          class="max-md:hidden"
          :marks="marks"
          :current="current"
          :label="t('lesson.steps')"
          @select="chosen = $event"
        />
        <div v-if="step">
          <LessonStep
            :key="step.key"
            :step="step"
            :number="index + 1"
            :total="steps.length"
            :figures="data.figures"
            :machine="data.machine"
            :can-answer="canAnswer"
            :busy="answer.busy.value"
            @answer="answer.run({ step: step.key, value: $event })"
          />
          <ErrorNote class="mt-3" :error="answer.error.value" @retry="answer.reset()" />
          <div class="mt-4 flex justify-between gap-3">
            <BigButton :disabled="index <= 0" @click="go(-1)">← {{ t('lesson.back') }}</BigButton>
            <BigButton :disabled="index >= steps.length - 1" :tone="step.done ? 'main' : 'plain'" @click="go(1)"
              >{{ t('lesson.forward') }} →</BigButton
            >
          </div>
        </div>
        <LessonSection class="md:col-start-2 xl:col-start-3" :lesson="data" />
      </div>
    </div>
    <LessonSheet :lesson="data" class="hidden print:block" />
  </PageState>
</template>
