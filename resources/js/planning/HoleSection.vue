<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed, useId } from 'vue';
import { useI18n } from 'vue-i18n';

/** The hole in section, to scale, drawn from the very figures beside it: plate, pilot, drill at its lowest. */
const props = defineProps<{ thicknessMm: number; figures: Record<string, Schemas['Figure']> }>();
const { t } = useI18n();
const { length } = useUnits();
const hatch = useId();

const mm = (key: string) => props.figures[key]?.value_mm ?? 0;
const scale = computed(() => 150 / Math.max(mm('travel') * 1.25, mm('final.drill') * 1.6));
const plate = computed(() => props.thicknessMm * scale.value);
const bore = computed(() => mm('final.drill') * scale.value);
const pilot = computed(() => mm('pilot.drill') * scale.value);
const point = computed(() => mm('final.point') * scale.value);
const travel = computed(() => mm('travel') * scale.value);
const TOP = 56;
const MIDDLE = 150;
</script>

<template>
  <figure class="sheet p-3">
    <svg
      :viewBox="`0 0 320 ${TOP + travel + 58}`"
      role="img"
      :aria-label="
        t('planning.section', {
          drill: length(mm('final.drill')),
          thickness: length(thicknessMm),
          travel: length(mm('travel'), 1),
        })
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
      <!-- plate, cut through the hole -->
      <rect
        x="40"
        :y="TOP"
        :width="MIDDLE - bore / 2 - 40"
        :height="plate"
        :fill="`url(#${hatch})`"
        stroke-width="1.6"
      />
      <rect
        :x="MIDDLE + bore / 2"
        :y="TOP"
        :width="MIDDLE - bore / 2 - 40"
        :height="plate"
        :fill="`url(#${hatch})`"
        stroke-width="1.6"
      />
      <!-- the drill at the depth reading -->
      <path
        :d="`M${MIDDLE - bore / 2} 22 V${TOP + travel - point} L${MIDDLE} ${TOP + travel} L${MIDDLE + bore / 2} ${TOP + travel - point} V22`"
        stroke="var(--blue)"
        stroke-width="1.6"
      />
      <path
        v-if="pilot > 0"
        :d="`M${MIDDLE - pilot / 2} ${TOP} V${TOP + plate} M${MIDDLE + pilot / 2} ${TOP} V${TOP + plate}`"
        stroke-width="1"
        stroke-dasharray="4 3"
      />
      <line :x1="MIDDLE" y1="8" :x2="MIDDLE" :y2="TOP + travel + 14" stroke-width="0.8" stroke-dasharray="12 3 2 3" />
      <!-- dimensions -->
      <g stroke-width="0.8">
        <path
          :d="`M36 ${TOP} H14 M36 ${TOP + plate} H14 M20 ${TOP} V${TOP + plate} M16 ${TOP + 7} L20 ${TOP} L24 ${TOP + 7} M16 ${TOP + plate - 7} L20 ${TOP + plate} L24 ${TOP + plate - 7}`"
        />
        <path
          :d="`M264 ${TOP} H288 M${MIDDLE} ${TOP + travel} H288 M282 ${TOP} V${TOP + travel} M278 ${TOP + 7} L282 ${TOP} L286 ${TOP + 7} M278 ${TOP + travel - 7} L282 ${TOP + travel} L286 ${TOP + travel - 7}`"
        />
        <path
          :d="`M${MIDDLE - bore / 2} 18 V6 M${MIDDLE + bore / 2} 18 V6 M${MIDDLE - bore / 2} 10 H${MIDDLE + bore / 2}`"
        />
      </g>
      <g fill="currentColor" stroke="none" font-size="12" font-family="var(--font-mono)">
        <text :x="MIDDLE + bore / 2 + 6" y="14">⌀ {{ length(mm('final.drill')) }}</text>
        <text x="26" :y="TOP + plate + 16">{{ length(thicknessMm) }}</text>
        <text x="314" :y="TOP + travel + 16" text-anchor="end">{{ length(mm('travel'), 1) }}</text>
        <text v-if="pilot > 0" :x="MIDDLE" :y="TOP + travel + 32" text-anchor="middle">
          {{ t('planning.pilot') }} ⌀ {{ length(mm('pilot.drill')) }}
        </text>
        <text :x="MIDDLE" :y="TOP + travel + 48" text-anchor="middle">
          {{ t('planning.point') }} {{ length(mm('final.point'), 1) }}
        </text>
      </g>
    </svg>
    <figcaption class="text-sm text-quiet">{{ t('planning.sectionCaption') }}</figcaption>
  </figure>
</template>
