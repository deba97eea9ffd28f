<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';

/** How the machine was found on the day a sheet was opened there: it stays so on the sheet. */
defineProps<{ state: NonNullable<Schemas['AssessmentAttempt']['machine_state']> }>();
const { t, d } = useI18n();
const PARTS = ['guards', 'stop'] as const;
</script>

<template>
  <p class="text-sm text-quiet">
    {{ t('sheet.machineState') }}:
    <template v-for="(part, index) in PARTS" :key="part"
      >{{ index ? ', ' : '' }}{{ state[part]?.good ? '✓' : '○' }} {{ t(`day.${part}`) }}:
      {{
        state[part]
          ? `${t(state[part].good ? 'day.good' : 'day.bad')}, ${d(state[part].at, { timeStyle: 'short' })}`
          : t('day.notThen')
      }}</template
    ><template v-if="state.speed_change"
      >, {{ t('sheet.machineSpeed', { change: t(`workshop.change.${state.speed_change}`) }) }}</template
    ><template v-if="state.service_note">. {{ t('sheet.machineNote', { note: state.service_note }) }}</template>
  </p>
</template>
