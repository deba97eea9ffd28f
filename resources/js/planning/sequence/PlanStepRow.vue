<script setup lang="ts">
import { useSay } from '@/language/useSay';
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import DrawingView from '@/planning/drawing/DrawingView.vue';
import ChipSigns from './ChipSigns.vue';
import StepCautions from './StepCautions.vue';
import StepFigure from '@/planning/figures/StepFigure.vue';
import { useStepFigures } from '@/planning/figures/useStepFigures';

/** One operation of a plan: its cautions first, then tool and figures big, and why. */
const props = defineProps<{ step: Schemas['PlanStep']; number: number; signs?: Schemas['ChipSign'][] }>();
const { t } = useI18n();
const { say, sayAll } = useSay();
const { length } = useUnits();
const { figuresOf, quietFiguresOf } = useStepFigures();
const figures = computed(() => figuresOf(props.step));
const drills = computed(() => ['pilot', 'step', 'drill'].includes(props.step.kind));
const quiet = computed(() => quietFiguresOf(props.step));
const pecks = computed(() => props.step.pecks?.slice(0, -1).map((peck) => length(peck.reading_mm, 0)));
</script>

<template>
  <li class="border-t border-hairline first:border-t-0">
    <StepCautions :cautions="step.cautions" :dangers="step.dangers" :standing="step.standing" />
    <figure v-if="step.sketch?.title === 'belt'" class="border-b border-hairline px-4 py-2">
      <figcaption class="text-sm font-semibold">{{ t('planning.drawingCaption.belt') }}</figcaption>
      <DrawingView :drawing="step.sketch" class="max-h-24 max-w-80" />
    </figure>
    <div class="px-4 py-3">
      <p class="flex flex-wrap items-baseline gap-x-3">
        <span class="reading text-quiet">{{ number }}</span>
        <strong class="text-xl">{{ t(`planning.kind.${step.kind}`) }}</strong>
        <span class="text-lg">{{ say(step.tool) }}</span>
      </p>
      <figure v-if="step.sketch?.title === 'holding'" class="mt-2">
        <DrawingView :drawing="step.sketch" class="max-h-56 max-w-lg" />
        <figcaption class="text-sm text-quiet">{{ t('planning.drawingCaption.holding') }}</figcaption>
      </figure>
      <div v-if="figures.length > 0" class="mt-2 flex flex-wrap gap-x-7 gap-y-2">
        <StepFigure v-for="figure in figures" v-bind="figure" :key="figure.key" />
      </div>
      <p v-if="step.lubricant || pecks" class="mt-2">
        <template v-if="step.lubricant">{{ t('planning.lubricant', { what: say(step.lubricant) }) }}</template>
        <template v-if="pecks">{{ ' ' + t('planning.pecks', { pecks: pecks.join(', ') }) }}</template>
      </p>
      <p v-for="(need, index) in step.needs ?? []" :key="index" class="mt-2 border-l-4 border-hairline pl-3">
        {{ say(need) }}
      </p>
      <p class="mt-1 text-quiet">{{ sayAll(step.why) }}</p>
      <ChipSigns v-if="drills && signs && signs.length > 0" :signs="signs" />
      <details v-if="step.trouble" class="mt-1">
        <summary class="inline-flex min-h-11 cursor-pointer items-center font-semibold">
          ▸ {{ t(`planning.trouble.${step.kind}`) }}
        </summary>
        <ol class="list-decimal space-y-1 pl-7">
          <li v-for="tries in step.trouble" :key="tries.code">{{ say(tries) }}</li>
        </ol>
      </details>
      <details v-if="quiet.length > 0" class="mt-1">
        <summary class="inline-flex min-h-9 cursor-pointer items-center text-sm text-quiet">
          ▸ {{ t('planning.workings') }}
        </summary>
        <div class="mt-1 flex flex-wrap gap-x-7 gap-y-2 pb-1">
          <StepFigure v-for="figure in quiet" v-bind="figure" :key="figure.key" />
        </div>
      </details>
    </div>
  </li>
</template>
