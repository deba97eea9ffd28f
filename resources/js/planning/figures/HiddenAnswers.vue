<script setup lang="ts">
import { useSay } from '@/language/useSay';
import { api, must, Refused, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useUnits } from '@/measure/useUnits';
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import type { PlanKind } from '@/planning/drafts';
import FigureWorking from './FigureWorking.vue';
import StepCautions from '@/planning/sequence/StepCautions.vue';

/** The plan with its answers hidden: the figures are worked out one by one, and each is checked by itself. */
const props = defineProps<{ kind: PlanKind; request: Schemas['PlanWanted'] }>();
const { t } = useI18n();
const { say } = useSay();
const { units } = useUnits();
const asked = useQuery({
  queryKey: ['plan-questions', props.kind, computed(() => props.request)],
  queryFn: () =>
    must(api.POST('/api/planning/{kind}/questions', { params: { path: { kind: props.kind } }, body: props.request })),
});

interface Try {
  text: string;
  state: 'open' | 'right' | 'wrong' | 'shown';
  fault: string;
  busy: boolean;
  figure: Schemas['Figure'] | null;
}
const tries = reactive<Record<string, Try>>({});
const untried = (): Try => ({ text: '', state: 'open', fault: '', busy: false, figure: null });
const tryOf = (key: string): Try => tries[key] ?? untried();
const questions = computed(() => asked.data.value?.questions ?? []);
watch(questions, (all) => all.forEach(({ key }) => (tries[key] ??= untried())), { immediate: true });
const right = computed(() => questions.value.filter((question) => tries[question.key]?.state === 'right').length);

async function check(key: string, giveUp = false) {
  const it = tryOf(key);
  if (it.busy || (!giveUp && it.text.trim() === '')) return;
  it.busy = true;
  try {
    const judged = await must(
      api.POST('/api/planning/{kind}/answers', {
        params: { path: { kind: props.kind } },
        body: { ...props.request, key, answer: it.text, give_up: giveUp },
      }),
    );
    it.state = judged.right ? 'right' : giveUp ? 'shown' : 'wrong';
    it.figure = judged.figure;
    it.fault = '';
  } catch (fault) {
    it.fault = fault instanceof Refused ? fault.message : t('ui.unreachable');
  } finally {
    it.busy = false;
  }
}
</script>

<template>
  <PageState v-slot="{ data }" :data="asked.data.value" :error="asked.error.value" @retry="asked.refetch()">
    <p class="text-lg font-semibold" role="status">
      {{ t('planning.quiz.score', { right, count: questions.length }) }}
    </p>
    <ErrorNote v-if="data.missing.length > 0" :error="new Error(data.missing.map(say).join(' '))" />
    <ol class="sheet mt-3">
      <li v-for="(operation, index) in data.operations" :key="index" class="border-t border-hairline first:border-t-0">
        <StepCautions :cautions="operation.cautions" :dangers="operation.dangers" :standing="operation.standing" />
        <div class="px-4 py-3">
          <p class="flex flex-wrap items-baseline gap-x-3">
            <span class="reading text-quiet">{{ index + 1 }}</span>
            <strong class="text-xl">{{ t(`planning.kind.${operation.kind}`) }}</strong>
            <span class="text-lg">{{ operation.tool ? say(operation.tool) : t('planning.quiz.which') }}</span>
          </p>
          <form
            v-for="question in questions.filter((each) => each.operation === index)"
            :key="question.key"
            class="mt-2 flex flex-wrap items-center gap-3"
            @submit.prevent="check(question.key)"
          >
            <label :for="question.key" class="w-56 font-semibold">{{ t(`planning.field.${question.field}`) }}</label>
            <input
              :id="question.key"
              v-model="tryOf(question.key).text"
              class="field reading w-44"
              autocomplete="off"
              :disabled="['right', 'shown'].includes(tryOf(question.key).state)"
              :placeholder="question.unit === 'mm' ? units : question.unit === 'rpm' ? 'rpm' : ''"
              :aria-invalid="tryOf(question.key).state === 'wrong'"
            />
            <template v-if="!['right', 'shown'].includes(tryOf(question.key).state)">
              <BigButton type="submit" :busy="tryOf(question.key).busy">{{ t('planning.quiz.check') }}</BigButton>
              <button
                v-if="tryOf(question.key).state === 'wrong'"
                type="button"
                class="min-h-12 px-2 underline underline-offset-4"
                @click="check(question.key, true)"
              >
                {{ t('planning.quiz.show') }}
              </button>
            </template>
            <p v-if="tryOf(question.key).fault" class="font-semibold text-no" role="alert">
              ✕ {{ tryOf(question.key).fault }}
            </p>
            <p v-else-if="tryOf(question.key).state === 'right'" class="font-semibold text-alone" role="status">
              ✓ {{ t('planning.quiz.right') }}
            </p>
            <p v-else-if="tryOf(question.key).state === 'wrong'" class="font-semibold text-no" role="status">
              ✕ {{ t('planning.quiz.wrong') }}
            </p>
            <div v-if="tryOf(question.key).figure" class="w-full border-l-4 border-bronze pl-4">
              <FigureWorking :figure="tryOf(question.key).figure!" />
            </div>
          </form>
        </div>
      </li>
    </ol>
  </PageState>
</template>
