<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** How often an assessor said "met", month by month, beside the shop's mean; the width of a bar says from how much. */
const props = defineProps<{ assessor: Schemas['AssessorsCompared']['assessors'][number] }>();
const { t, d } = useI18n();
const WIDTH = 520;
const HEIGHT = 150;
const LEFT = 44;
const BOTTOM = 26;
const most = computed(() => Math.max(1, ...props.assessor.months.map(({ of }) => of)));
const step = computed(() => (WIDTH - LEFT) / Math.max(1, props.assessor.months.length));
const y = (percent: number) => 8 + ((100 - percent) / 100) * (HEIGHT - BOTTOM - 8);
const bars = computed(() =>
  props.assessor.months.map((month, index) => ({
    ...month,
    percent: (100 * month.met) / month.of,
    x: LEFT + step.value * (index + 0.5),
    width: Math.max(6, (step.value - 8) * (month.of / most.value)),
  })),
);
const label = (month: string) => d(new Date(`${month}-15T12:00:00Z`), { month: 'short' });
</script>

<template>
  <div>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      class="w-full max-w-xl bg-sheet"
      role="img"
      :aria-label="t('assessors.chart', { name: assessor.name })"
    >
      <g font-size="11" fill="var(--quiet)" font-family="var(--font-mono)">
        <template v-for="percent in [0, 50, 100]" :key="percent">
          <line :x1="LEFT" :x2="WIDTH" :y1="y(percent)" :y2="y(percent)" stroke="var(--hairline)" />
          <text :x="LEFT - 6" :y="y(percent) + 4" text-anchor="end">{{ percent }} %</text>
        </template>
        <text v-for="bar in bars" :key="bar.month" :x="bar.x" :y="HEIGHT - 8" text-anchor="middle">
          {{ label(bar.month) }}
        </text>
      </g>
      <rect
        v-for="bar in bars"
        :key="`b${bar.month}`"
        :x="bar.x - bar.width / 2"
        :y="y(bar.percent)"
        :width="bar.width"
        :height="y(0) - y(bar.percent)"
        fill="var(--blue)"
      />
      <line
        :x1="LEFT"
        :x2="WIDTH"
        :y1="y(assessor.shop_percent)"
        :y2="y(assessor.shop_percent)"
        stroke="var(--bronze)"
        stroke-width="2"
        stroke-dasharray="8 5"
      />
    </svg>
    <div class="overflow-x-auto">
      <table class="mt-1 text-sm">
        <caption class="sr-only">
          {{
            t('assessors.chart', { name: assessor.name })
          }}
        </caption>
        <thead>
          <tr>
            <th class="pr-4 text-left font-normal text-quiet">{{ t('assessors.month') }}</th>
            <th v-for="bar in bars" :key="bar.month" class="px-2 text-right font-normal text-quiet">
              {{ label(bar.month) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th class="pr-4 text-left font-normal text-quiet">{{ t('assessors.met') }}</th>
            <td v-for="bar in bars" :key="bar.month" class="reading px-2 text-right">{{ bar.met }}/{{ bar.of }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
