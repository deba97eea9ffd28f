<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import SpeedFigure from './SpeedFigure.vue';

/** One operation of a plan: its cautions first, then tool and figures big, and why. */
const props = defineProps<{ step: Schemas['PlanStep']; number: number }>();
const { t } = useI18n();
const { length } = useUnits();
const figures = computed(() => {
  const { reading_mm, pecks, lubricant } = props.step;
  return [
    reading_mm === undefined ? '' : t('planning.reading', { reading: length(reading_mm, 1) }),
    pecks === undefined
      ? ''
      : t('planning.pecks', {
          pecks: pecks
            .slice(0, -1)
            .map((peck) => length(peck.reading_mm, 0))
            .join(', '),
        }),
    lubricant ?? '',
  ].filter(Boolean);
});
</script>

<template>
  <li class="break-inside-avoid border-t border-hairline first:border-t-0">
    <p
      v-for="caution in step.cautions"
      :key="caution"
      class="border-b border-hairline bg-caution px-4 py-1.5 font-semibold text-on-caution"
    >
      ◇ {{ caution }}
    </p>
    <div class="px-4 py-3">
      <p class="flex flex-wrap items-baseline gap-x-3">
        <span class="reading text-quiet">{{ number }}</span>
        <strong class="text-xl">{{ t(`planning.kind.${step.kind}`) }}</strong>
        <span class="text-xl">{{ step.tool }}</span>
      </p>
      <p v-if="figures.length > 0 || step.rpm !== undefined" class="mt-1 text-xl font-semibold">
        <SpeedFigure v-if="step.rpm !== undefined" :step="step" />{{
          step.rpm !== undefined && figures.length > 0 ? ' · ' : ''
        }}{{ figures.join(' · ') }}
      </p>
      <p class="mt-1 text-quiet">{{ step.why }}</p>
    </div>
  </li>
</template>
