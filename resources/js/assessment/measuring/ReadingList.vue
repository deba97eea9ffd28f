<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import { useI18n } from 'vue-i18n';

/** Readings as they were typed, whose, and with which gauge. */
defineProps<{ readings: Schemas['SheetReading'][]; who: string }>();
const { t, d } = useI18n();
const { length } = useUnits();
function said(reading: Schemas['SheetReading']): string {
  return Object.entries(reading.typed)
    .filter(([, text]) => text !== '')
    .map(([field, text]) =>
      field === 'value'
        ? withUnit(text, reading.units)
        : field === 'go' || field === 'no_go'
          ? `${t(`sheet.field.${field}`)}: ${t(`sheet.${text === 'yes' ? 'yes' : 'no'}`)}`
          : `${t(`sheet.field.${field}`)} ${field === 'turns' ? text : withUnit(text, reading.units)}`,
    )
    .join(', ');
}
</script>

<template>
  <ul>
    <li v-for="reading in readings" :key="reading.id">
      <span class="text-quiet">{{ who }}:</span> <span class="reading">{{ said(reading) }}</span>
      <span v-if="reading.gauge" class="text-sm text-quiet"> · {{ reading.gauge }}</span>
      <span v-if="reading.zero_mm !== 0" class="text-sm text-quiet">
        · {{ t('sheet.zeroTaken', { zero: length(reading.zero_mm, 3) }) }}</span
      >
      <span v-if="reading.tip_mm != null && reading.came_to_mm != null" class="text-sm text-quiet">
        · {{ t('sheet.tipsAdded', { tip: length(reading.tip_mm, 3), mm: length(reading.came_to_mm, 3) }) }}</span
      >
      <span v-if="reading.gauge_checked_on" class="text-sm text-quiet">
        ({{ t('sheet.checkedOn', { date: d(reading.gauge_checked_on, { dateStyle: 'medium' }) }) }})</span
      >
      <span v-if="reading.gauge_late" class="text-sm font-semibold text-supervised"> ▲ {{ t('sheet.late') }}</span>
    </li>
  </ul>
</template>
