<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import BigButton from '@/ui/BigButton.vue';
import CautionNote from '@/ui/CautionNote.vue';
import DrawingView from '@/planning/drawing/DrawingView.vue';
import FormField from '@/ui/FormField.vue';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import FigureText from './FigureText.vue';
import OpenHere from './OpenHere.vue';

/** One step: the caution before it, what to do, why, and how to see that it is right. */
const props = defineProps<{
  step: Schemas['LessonStep'];
  number: number;
  total: number;
  figures: Record<string, Schemas['Figure']>;
  machine: Schemas['Lesson']['machine'];
  canAnswer: boolean;
  busy: boolean;
  /** What was answered and is not with the server yet. */
  waits?: string | null;
}>();
const emit = defineEmits<{ answer: [value: string | null]; opened: [] }>();
const { t } = useI18n();
const { units } = useUnits();
/** A machine's scale is read in its own unit, a gauge in the reader's; divisions of a dial are only counted. */
const ON_SCALE = ['scale_touch', 'depth_reading', 'face_reading', 'full_depth'];
const unit = computed(() =>
  ON_SCALE.includes(props.step.reading?.kind ?? '') ? (props.machine?.depth_scale?.unit ?? units.value) : units.value,
);
const counted = computed(() => props.step.reading?.kind === 'divisions');
/** The reading that was judged last, as it was typed. */
const judged = computed(() =>
  !props.step.answer?.value || !props.step.reading
    ? ''
    : counted.value
      ? props.step.answer.value
      : withUnit(props.step.answer.value, props.step.answer.units ?? units.value),
);
const typed = ref(judged.value);
/** What is typed carries the unit in which it was typed, so that switching units half way changes no reading. */
let typingIn = unit.value;
function kept() {
  if (!counted.value) typed.value = withUnit(typed.value, typingIn);
}
function check() {
  kept();
  emit('answer', typed.value);
}
/** By its place: the order is each learner's own, and says nothing of which is right. */
const LETTERS = 'ABCDEF';
/** A choice that waits, in its words. */
const choiceText = computed(() => props.step.choice?.find((option) => option.id === props.waits)?.text);
const verdict = computed(() => props.step.answer?.verdict ?? null);
</script>

<template>
  <article class="sheet">
    <header class="border-b border-hairline px-5 py-3">
      <p class="label">{{ t('lesson.stepOf', { number, total }) }}</p>
      <h2 class="text-2xl">{{ step.title }}</h2>
    </header>
    <CautionNote v-if="step.caution"><FigureText :text="step.caution" :figures="figures" /></CautionNote>
    <div class="space-y-4 p-5">
      <p class="text-xl leading-relaxed"><FigureText :text="step.do" :figures="figures" big /></p>
      <DrawingView v-if="step.drawing" :drawing="step.drawing" class="mx-auto max-h-80 max-w-2xl" />
      <p v-if="step.why">
        <strong class="text-bronze">{{ t('lesson.why') }}</strong> <FigureText :text="step.why" :figures="figures" />
      </p>
      <dl v-if="step.right || step.wrong" class="grid gap-3 sm:grid-cols-2">
        <div v-if="step.right" class="border-t-2 border-alone pt-2">
          <dt class="font-semibold text-alone">✓ {{ t('lesson.right') }}</dt>
          <dd><FigureText :text="step.right" :figures="figures" /></dd>
        </div>
        <div v-if="step.wrong" class="border-t-2 border-no pt-2">
          <dt class="font-semibold text-no">✕ {{ t('lesson.wrong') }}</dt>
          <dd><FigureText :text="step.wrong" :figures="figures" /></dd>
        </div>
      </dl>

      <p v-if="waits !== undefined && !step.done" class="border-2 border-supervised p-3" role="status">
        <strong class="text-supervised">‖ {{ t('lesson.waitsToBeSent') }}</strong>
        <span v-if="waits" class="reading ml-2">{{ choiceText ?? waits }}</span>
      </p>
      <form v-if="step.reading" class="border-t border-hairline pt-4" @submit.prevent="check">
        <FormField v-slot="field" :label="step.reading.ask" :hint="t(`lesson.readIn.${counted ? 'count' : unit}`)">
          <div class="flex gap-3">
            <input
              :id="field.id"
              v-model="typed"
              class="field reading max-w-56 text-3xl"
              autocomplete="off"
              inputmode="decimal"
              :disabled="!canAnswer && !step.done"
              required
              :aria-describedby="field.described"
              @focus="typingIn = unit"
              @change="kept"
            />
            <BigButton v-if="canAnswer || step.done" type="submit" :tone="step.done ? 'plain' : 'main'" :busy="busy">{{
              t('lesson.judge')
            }}</BigButton>
          </div>
        </FormField>
        <p
          v-if="verdict && typed.trim() === judged.trim()"
          class="mt-2 text-lg font-semibold"
          role="status"
          :class="verdict === 'in' ? 'text-alone' : verdict === 'doubtful' ? 'text-supervised' : 'text-no'"
        >
          {{ verdict === 'in' ? '✓' : verdict === 'doubtful' ? '?' : '✕' }}
          {{ t(`lesson.judged.${step.reading.kind}.${verdict}`) }}
        </p>
      </form>

      <fieldset v-else-if="step.choice" class="space-y-2 border-t border-hairline pt-4">
        <legend class="sr-only">{{ t('lesson.choose') }}</legend>
        <button
          v-for="(option, place) in step.choice"
          :key="option.id"
          type="button"
          class="flex min-h-14 w-full items-center gap-3 border px-4 py-2 text-left text-lg"
          :class="
            step.answer?.value === option.id
              ? verdict === 'right'
                ? 'border-2 border-alone'
                : 'border-2 border-no'
              : 'border-quiet'
          "
          :disabled="!canAnswer || busy"
          :aria-pressed="step.answer?.value === option.id"
          @click="emit('answer', option.id)"
        >
          <span class="reading">{{ LETTERS[place] }}</span><span
            ><FigureText :text="option.text" :figures="figures" plain
          /></span>
        </button>
        <p
          v-if="step.answer?.said"
          role="status"
          class="text-lg font-semibold"
          :class="verdict === 'right' ? 'text-alone' : 'text-no'"
        >
          {{ verdict === 'right' ? '✓' : '✕' }} <FigureText :text="step.answer.said" :figures="figures" />
        </p>
      </fieldset>

      <div v-else-if="step.hold" class="border-t border-hairline pt-4">
        <p class="font-semibold">{{ t('lesson.holdPoint') }}</p>
        <p><FigureText :text="step.hold" :figures="figures" /></p>
        <p v-if="step.sent_back && !step.done" class="mt-2 border-2 border-supervised p-3" role="status">
          <strong class="text-supervised">▲ {{ t('lesson.sentBack') }}</strong> {{ step.sent_back }}
        </p>
        <p v-if="step.done" class="mt-2 font-semibold text-alone">✓ {{ t('lesson.holdOpened') }}</p>
        <p v-else-if="step.waiting_since" class="mt-2 text-lg font-semibold text-supervised" role="status">
          ‖ {{ t('lesson.holdWaiting') }}
        </p>
        <OpenHere v-if="!step.done && step.hold_id !== null" :hold="step.hold_id" @opened="emit('opened')" />
        <BigButton
          v-if="!step.done && !step.waiting_since && canAnswer"
          class="mt-3"
          tone="main"
          :busy="busy"
          @click="emit('answer', null)"
          >{{ t('lesson.holdAsk') }}</BigButton
        >
      </div>

      <div v-else-if="canAnswer" class="flex justify-end border-t border-hairline pt-4">
        <BigButton tone="main" class="min-w-40" :busy="busy" @click="emit('answer', null)">{{
          t('lesson.stepDone')
        }}</BigButton>
      </div>
    </div>
  </article>
</template>
