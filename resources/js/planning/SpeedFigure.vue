<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** The speed to set; pressed, it opens its working. */
const props = defineProps<{ step: Schemas['PlanStep'] }>();
const { t } = useI18n();
const { length } = useUnits();
const terms = computed<[string, string][]>(() => {
  const { speed, diameter_mm } = props.step;
  if (!speed) return [];
  return [
    ['v', `${speed.cutting_speed_m_min} m/min`],
    ['f', String(Math.round(speed.factor * 100) / 100)],
    ['d', length(diameter_mm ?? 0)],
    ['n', `${Math.round(speed.target_rpm)} rpm`],
  ];
});
</script>

<template>
  <Popover as="span" class="relative inline-block">
    <PopoverButton
      class="reading border-b-2 border-dotted border-blue text-blue print:border-0 print:text-ink"
      :title="t('figure.where')"
      >{{ t('planning.rpm', { rpm: Math.round(step.rpm ?? 0) }) }}</PopoverButton
    >
    <PopoverPanel
      v-if="step.speed"
      class="absolute left-0 z-10 mt-1 w-[min(22rem,80vw)] border border-ink bg-sheet p-4 font-sans text-base leading-snug text-ink max-sm:fixed max-sm:inset-x-2 max-sm:bottom-2 max-sm:w-auto print:hidden"
    >
      <p>{{ t(`figure.rule.speed.${step.speed.verdict}`) }}</p>
      <p class="reading mt-2 border-t border-hairline pt-2">n = 1000 · v · f / (π · d)</p>
      <dl class="reading mt-1 grid grid-cols-[auto_1fr] gap-x-4">
        <template v-for="[symbol, value] in terms" :key="symbol">
          <dt class="text-quiet">{{ symbol }}</dt>
          <dd>{{ value }}</dd>
        </template>
      </dl>
      <p class="mt-2 text-sm text-quiet">{{ t('figure.teachingValue') }}</p>
    </PopoverPanel>
  </Popover>
</template>
