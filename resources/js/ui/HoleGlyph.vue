<script setup lang="ts">
import { computed, useId } from 'vue';
import { useI18n } from 'vue-i18n';

/**
 * Competency as the section of a hole in a plate. Shape carries the meaning: blank plate, scribed cross,
 * punched dimple, pilot hole, full bore, tapped thread. Held: a pin plugs it. Lapsed: its outline is broken.
 */
const props = defineProps<{ stage: number; held?: boolean; lapsed?: string | null; size?: number }>();
const { t } = useI18n();
const hatch = useId();

/** Half the width of what is cut through the plate, in the drawing's units. */
const half = computed(() => [0, 0, 0, 2.5, 7, 7][props.stage] ?? 0);
const left = computed(() => 20 - half.value);
const right = computed(() => 20 + half.value);
const name = computed(() => {
  const flags = [props.held ? t('stage.held') : '', props.lapsed ? t('stage.lapsed') : ''].filter(Boolean);
  return [t('stage.of', { name: t(`stage.${props.stage}`), stage: props.stage }), ...flags].join(', ');
});
/** Plate to the left and right of the hole; whole where nothing goes through. */
const outline = computed(() => {
  if (props.stage === 2) return ['M2 8 H15.5 L20 15 L24.5 8 H38 V26 H2 Z'];
  if (half.value === 0) return ['M2 8 H38 V26 H2 Z'];
  return [`M2 8 H${left.value} V26 H2 Z`, `M38 8 H${right.value} V26 H38 Z`];
});
const threads = [8, 12.5, 17, 21.5];
</script>

<template>
  <svg
    role="img"
    :aria-label="name"
    :width="size ?? 40"
    :height="((size ?? 40) * 34) / 40"
    viewBox="0 0 40 34"
    fill="none"
    stroke="currentColor"
    class="shrink-0"
  >
    <title>{{ name }}</title>
    <defs>
      <pattern :id="hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="5" stroke="currentColor" stroke-width="1.1" opacity="0.55" />
      </pattern>
    </defs>
    <g
      :stroke-dasharray="lapsed ? '4 3.2' : undefined"
      :stroke-width="(size ?? 40) > 80 ? 1 : 1.8"
      stroke-linejoin="round"
    >
      <path v-for="part in outline" :key="part" :d="part" :fill="lapsed ? 'none' : `url(#${hatch})`" />
    </g>
    <!-- scribed: the cross, drawn over the edge -->
    <path v-if="stage === 1" d="M20 1 V17 M11 8 H29" stroke-width="2.4" />
    <!-- centre line of whatever goes through -->
    <path v-if="stage >= 3 && !held" d="M20 2 V32" stroke-width="1" stroke-dasharray="5 2 1.5 2" opacity="0.8" />
    <!-- tapped: the thread's flanks stand into the bore -->
    <template v-if="stage === 5">
      <path
        v-for="y in threads"
        :key="y"
        :d="`M${left} ${y} L${left + 3.6} ${y + 2.25} L${left} ${y + 4.5} Z M${right} ${y} L${right - 3.6} ${y + 2.25} L${right} ${y + 4.5} Z`"
        fill="currentColor"
        stroke="none"
      />
    </template>
    <!-- held: a headed pin in the hole -->
    <path
      v-if="held"
      d="M12 2 H28 V7 H23.5 V31 H16.5 V7 H12 Z"
      fill="currentColor"
      stroke="var(--sheet)"
      stroke-width="1.2"
    />
  </svg>
</template>
