<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/**
 * A learner's readings less the assessor's, against the size that was read: with the mean of them, and the limits inside which
 * nearly all lie. The same figures stand in a table below.
 */
const props = defineProps<{ measuring: Schemas['LearnersMeasuring'] }>();
const { t } = useI18n();
const { length, number } = useUnits();
const WIDTH = 720;
const HEIGHT = 320;
const EDGE = { left: 84, right: 16, top: 16, bottom: 44 };
const points = computed(() =>
  props.measuring.pairs.map((pair) => ({
    size: pair.examiner_mm,
    off: pair.learner_mm - pair.examiner_mm,
    text: pair.text,
  })),
);
const lines = computed(() => {
  const { agreement, limits } = props.measuring;
  return [
    ...(agreement ? [{ mm: agreement.bias_mm, key: 'bias' as const }] : []),
    ...(limits
      ? [
          { mm: limits.lower_mm, key: 'limit' as const },
          { mm: limits.upper_mm, key: 'limit' as const },
        ]
      : []),
  ];
});
const reach = computed(
  () =>
    Math.max(0.05, ...points.value.map(({ off }) => Math.abs(off)), ...lines.value.map(({ mm }) => Math.abs(mm))) *
    1.15,
);
const sizes = computed(() => {
  const all = points.value.map(({ size }) => size);
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = Math.max(1, (most - least) * 0.08);
  return { from: Math.max(0, least - room), to: most + room };
});
const x = (size: number) =>
  EDGE.left + ((size - sizes.value.from) / (sizes.value.to - sizes.value.from)) * (WIDTH - EDGE.left - EDGE.right);
const y = (off: number) => EDGE.top + ((reach.value - off) / (2 * reach.value)) * (HEIGHT - EDGE.top - EDGE.bottom);
/** Steps that a rule has: one, two or five of a power of ten. */
function steps(from: number, to: number, about: number): number[] {
  const rough = (to - from) / about;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((one) => one * power).find((one) => one >= rough) ?? power;
  const first = Math.ceil(from / step) * step;
  return Array.from({ length: Math.floor((to - first) / step + 1e-9) + 1 }, (_, index) => first + index * step);
}
const across = computed(() => steps(sizes.value.from, sizes.value.to, 6));
const up = computed(() => steps(-reach.value, reach.value, 6));
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    class="w-full max-w-4xl bg-sheet"
    role="img"
    :aria-label="t('measuring.plot')"
  >
    <g font-size="12" fill="var(--quiet)" font-family="var(--font-mono)">
      <template v-for="off in up" :key="`u${off}`">
        <line :x1="EDGE.left" :x2="WIDTH - EDGE.right" :y1="y(off)" :y2="y(off)" stroke="var(--hairline)" />
        <text :x="EDGE.left - 6" :y="y(off) + 4" text-anchor="end">{{ length(off, 3) }}</text>
      </template>
      <template v-for="size in across" :key="`a${size}`">
        <line
          :x1="x(size)"
          :x2="x(size)"
          :y1="HEIGHT - EDGE.bottom"
          :y2="HEIGHT - EDGE.bottom + 6"
          stroke="var(--quiet)"
        />
        <text :x="x(size)" :y="HEIGHT - EDGE.bottom + 20" text-anchor="middle">{{ length(size, 1) }}</text>
      </template>
      <text :x="WIDTH - EDGE.right" :y="HEIGHT - 6" text-anchor="end">{{ t('measuring.size') }}</text>
    </g>
    <line :x1="EDGE.left" :x2="WIDTH - EDGE.right" :y1="y(0)" :y2="y(0)" stroke="var(--ink)" />
    <template v-for="(line, index) in lines" :key="index">
      <line
        :x1="EDGE.left"
        :x2="WIDTH - EDGE.right"
        :y1="y(line.mm)"
        :y2="y(line.mm)"
        :stroke="line.key === 'bias' ? 'var(--blue)' : 'var(--bronze)'"
        stroke-width="2"
        :stroke-dasharray="line.key === 'bias' ? undefined : '8 5'"
      />
      <text :x="WIDTH - EDGE.right - 4" :y="y(line.mm) - 5" font-size="12" text-anchor="end" fill="var(--ink)">
        {{ t(`measuring.${line.key}`) }} {{ length(line.mm, 3) }}
      </text>
    </template>
    <g v-for="(point, index) in points" :key="`p${index}`">
      <circle :cx="x(point.size)" :cy="y(point.off)" r="4.5" fill="none" stroke="var(--ink)" stroke-width="1.6" />
      <title>{{ point.text }}: {{ number(point.off, 3) }}</title>
    </g>
  </svg>
</template>
