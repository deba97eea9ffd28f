<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';

/** Where each hole lies, and how its two lines are set: on the rule, on parallels, on the readout. */
defineProps<{ layout: Schemas['Layout']; setting: string }>();
const { t } = useI18n();
const { length } = useUnits();
const off = (mm: number) => (Math.abs(mm) < 0.0005 ? '' : ` (${mm > 0 ? '+' : '−'}${length(Math.abs(mm), 2)})`);
const stack = (setting: Schemas['LayoutSetting']) => setting.pieces_mm.map((mm) => length(mm, 2)).join(' + ');
</script>

<template>
  <table class="sheet w-full text-left">
    <thead class="border-b border-quiet">
      <tr>
        <th class="p-2" scope="col">{{ t('planning.layout.holeName') }}</th>
        <th class="p-2" scope="col">{{ t('planning.layout.across') }}</th>
        <th class="p-2" scope="col">{{ t('planning.layout.up') }}</th>
        <th class="p-2" scope="col">{{ t('planning.layout.edge') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="hole in layout.holes" :key="hole.name" class="border-t border-hairline">
        <th class="p-2 text-xl" scope="row">{{ hole.name }}</th>
        <td v-for="axis in ['x', 'y'] as const" :key="axis" class="p-2">
          <span class="reading text-xl">{{ length(hole[`${axis}_setting`].value_mm, 2) }}</span><span
            class="text-quiet"
            >{{ off(hole[`${axis}_setting`].error_mm) }}</span
          >
          <span
            v-if="setting === 'stack' && hole[`${axis}_setting`].pieces_mm.length > 0"
            class="block text-sm text-quiet"
            >{{ stack(hole[`${axis}_setting`]) }}</span
          >
        </td>
        <td class="p-2 font-semibold" :class="hole.edge_ok ? 'text-alone' : 'text-no'">
          {{ hole.edge_ok ? '●' : '■' }} <span class="reading">{{ length(hole.edge_mm, 2) }}</span>
        </td>
      </tr>
    </tbody>
  </table>
  <p class="mt-2 text-sm text-quiet">
    {{ t('planning.layout.judged', { wanted: length(layout.edge_wanted_mm, 2) }) }}
    <template v-if="layout.ligament_mm !== null">{{
      t('planning.layout.ligament', { left: length(layout.ligament_mm, 2) })
    }}</template>
  </p>
</template>
