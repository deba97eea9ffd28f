<script setup lang="ts">
import { useUnits } from '@/measure/useUnits';
import { computed, useId } from 'vue';
import { useI18n } from 'vue-i18n';

/** The hole in section, to scale, drawn from the very figures beside it: stock, pilot, drill at its lowest. */
const props = defineProps<{
  thicknessMm: number;
  drillMm: number;
  pilotMm?: number;
  /** Length of the drill's point. */
  pointMm: number;
  /** From the tip touching to the drill at its lowest. */
  travelMm: number;
  threadMm?: number;
}>();
const { t } = useI18n();
const { length } = useUnits();
const hatch = useId();

const TOP = 56;
const MIDDLE = 150;
const scale = computed(() => 150 / Math.max(props.travelMm * 1.25, props.thicknessMm * 1.15, props.drillMm * 1.6));
const px = (mm: number) => mm * scale.value;
const half = computed(() => px(props.drillMm) / 2);
const plate = computed(() => px(props.thicknessMm));
const travel = computed(() => px(props.travelMm));
const shoulder = computed(() => TOP + travel.value - px(props.pointMm));
const through = computed(() => props.travelMm > props.thicknessMm);
const bottom = computed(() => TOP + Math.max(travel.value, plate.value));
/** The cut stock on both sides of the hole, and below it where the hole is blind. */
const stock = computed(() => {
  const [left, right] = [MIDDLE - half.value, MIDDLE + half.value];
  const far = MIDDLE + (MIDDLE - 40);
  const foot = TOP + plate.value;
  if (through.value) return `M40 ${TOP} H${left} V${foot} H40 Z M${right} ${TOP} H${far} V${foot} H${right} Z`;
  return `M40 ${TOP} H${left} V${shoulder.value} L${MIDDLE} ${TOP + travel.value} L${right} ${shoulder.value} V${TOP} H${far} V${foot} H40 Z`;
});
</script>

<template>
  <figure class="sheet p-3">
    <svg
      :viewBox="`0 0 320 ${bottom + 58}`"
      role="img"
      :aria-label="
        t('planning.section', { drill: length(drillMm), thickness: length(thicknessMm), travel: length(travelMm, 1) })
      "
      class="w-full"
      fill="none"
      stroke="currentColor"
    >
      <defs>
        <pattern :id="hatch" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="9" stroke="currentColor" stroke-width="0.8" opacity="0.6" />
        </pattern>
      </defs>
      <path :d="stock" :fill="`url(#${hatch})`" stroke-width="1.6" />
      <!-- the drill at its lowest -->
      <path
        :d="`M${MIDDLE - half} 22 V${shoulder} L${MIDDLE} ${TOP + travel} L${MIDDLE + half} ${shoulder} V22`"
        stroke="var(--blue)"
        stroke-width="1.6"
      />
      <path
        v-if="pilotMm"
        :d="`M${MIDDLE - px(pilotMm) / 2} ${TOP} V${Math.min(TOP + plate, shoulder)} M${MIDDLE + px(pilotMm) / 2} ${TOP} V${Math.min(TOP + plate, shoulder)}`"
        stroke-width="1"
        stroke-dasharray="4 3"
      />
      <!-- a thread's outside: thin lines, as a drawing has them -->
      <path
        v-if="threadMm"
        :d="`M${MIDDLE - px(threadMm) / 2} ${TOP} V${Math.min(TOP + plate, shoulder)} M${MIDDLE + px(threadMm) / 2} ${TOP} V${Math.min(TOP + plate, shoulder)}`"
        stroke-width="0.8"
      />
      <line :x1="MIDDLE" y1="8" :x2="MIDDLE" :y2="bottom + 14" stroke-width="0.8" stroke-dasharray="12 3 2 3" />
      <!-- dimensions -->
      <g stroke-width="0.8">
        <path
          :d="`M36 ${TOP} H14 M36 ${TOP + plate} H14 M20 ${TOP} V${TOP + plate} M16 ${TOP + 7} L20 ${TOP} L24 ${TOP + 7} M16 ${TOP + plate - 7} L20 ${TOP + plate} L24 ${TOP + plate - 7}`"
        />
        <path
          :d="`M264 ${TOP} H288 M${MIDDLE} ${TOP + travel} H288 M282 ${TOP} V${TOP + travel} M278 ${TOP + 7} L282 ${TOP} L286 ${TOP + 7} M278 ${TOP + travel - 7} L282 ${TOP + travel} L286 ${TOP + travel - 7}`"
        />
        <path :d="`M${MIDDLE - half} 18 V6 M${MIDDLE + half} 18 V6 M${MIDDLE - half} 10 H${MIDDLE + half}`" />
      </g>
      <g fill="currentColor" stroke="none" font-size="12" font-family="var(--font-mono)">
        <text :x="MIDDLE + half + 6" y="14">⌀ {{ length(drillMm) }}</text>
        <text x="26" :y="TOP + plate + 16">{{ length(thicknessMm) }}</text>
        <text x="314" :y="TOP + travel + 16" text-anchor="end">{{ length(travelMm, 1) }}</text>
        <text v-if="pilotMm" :x="MIDDLE" :y="bottom + 32" text-anchor="middle">
          {{ t('planning.pilot') }} ⌀ {{ length(pilotMm) }}
        </text>
        <text :x="MIDDLE" :y="bottom + 48" text-anchor="middle">
          {{ t('planning.point') }} {{ length(pointMm, 1) }}
        </text>
      </g>
    </svg>
    <figcaption class="text-sm text-quiet">{{ t('planning.sectionCaption') }}</figcaption>
  </figure>
</template>
