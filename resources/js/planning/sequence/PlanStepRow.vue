<script setup lang="ts">
import { useSay } from '@/language/useSay';
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import StepCautions from './StepCautions.vue';
import StepFigure from '@/planning/figures/StepFigure.vue';
import { useStepFigures } from '@/planning/figures/useStepFigures';

/** One operation of a plan: its cautions first, then tool and figures big, and why. */
const props = defineProps<{ step: Schemas['PlanStep']; number: number }>();
const { t } = useI18n();
const { say, sayAll } = useSay();
const { length } = useUnits();
const { figuresOf, quietFiguresOf } = useStepFigures();
const figures = computed(() => figuresOf(props.step));
const quiet = computed(() => quietFiguresOf(props.step));
const pecks = computed(() => props.step.pecks?.slice(0, -1).map((peck) => length(peck.reading_mm, 0)));
</script>

<template>
  <li class="border-t border-hairline first:border-t-0">
    <StepCautions :cautions="step.cautions" />
    <div class="px-4 py-3">
      <p class="flex flex-wrap items-baseline gap-x-3">
        <span class="reading text-quiet">{{ number }}</span>
        <strong class="text-xl">{{ t(`planning.kind.${step.kind}`) }}</strong>
        <span class="text-lg">{{ say(step.tool) }}</span>
      </p>
      <div v-if="figures.length > 0" class="mt-2 flex flex-wrap gap-x-7 gap-y-2">
        <StepFigure v-for="figure in figures" v-bind="figure" :key="figure.key" />
      </div>
      <p v-if="step.lubricant || pecks" class="mt-2">
        <template v-if="step.lubricant">{{ t('planning.lubricant', { what: say(step.lubricant) }) }}</template>
        <template v-if="pecks">{{ ' ' + t('planning.pecks', { pecks: pecks.join(', ') }) }}</template>
      </p>
      <p class="mt-1 text-quiet">{{ sayAll(step.why) }}</p>
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
