<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import BigButton from '@/ui/BigButton.vue';
import SelectField from '@/ui/SelectField.vue';
import { useStorage } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';

/** The sheets as they come out of the printer. */
const props = defineProps<{ chart: Schemas['WallChart']; machine: string; material: string }>();
const { t, locale } = useI18n();
const { say } = useSay();
const paper = useStorage('millstep.wall-paper', 'a4');
const sheet = ref(1);
const count = computed(() => props.chart.sheets.find((each) => each.paper === paper.value)?.count ?? 1);
watch([() => props.chart, paper], () => (sheet.value = 1));

function file(format: 'svg' | 'pdf') {
  const asked = new URLSearchParams({
    machine: props.machine,
    material: props.material,
    paper: paper.value,
    ...(format === 'svg' ? { sheet: String(Math.min(sheet.value, count.value)) } : {}),
    language: locale.value.slice(0, 2),
    made: props.chart.date,
  });
  return `/api/planning/charts/${props.chart.kind}/${format}?${asked}`;
}
</script>

<template>
  <section class="grid gap-3">
    <SelectField
      v-model="paper"
      :label="t('planning.wall.paper')"
      :hint="t('planning.wall.sheetsHint')"
      :options="chart.sheets.map((each) => ({ value: each.paper, label: t(`planning.wall.papers.${each.paper}`) }))"
    />
    <img
      :key="file('svg')"
      :src="file('svg')"
      class="w-full border border-hairline bg-white"
      :alt="t('planning.wall.preview', { title: say(chart.title), page: sheet, of: count })"
    />
    <div v-if="count > 1" class="flex items-center justify-between gap-2">
      <BigButton :disabled="sheet <= 1" :aria-label="t('planning.wall.before')" @click="sheet--">‹</BigButton>
      <span class="text-quiet">{{ t('planning.wall.sheet', { page: sheet, of: count }) }}</span>
      <BigButton :disabled="sheet >= count" :aria-label="t('planning.wall.next')" @click="sheet++">›</BigButton>
    </div>
    <div class="flex flex-wrap gap-2">
      <a
        class="inline-flex min-h-12 items-center border px-5 py-2 font-semibold no-underline border-blue bg-blue text-on-blue"
        :href="file('pdf')"
        target="_blank"
        >{{ t('planning.wall.pdf') }}</a
      >
      <a
        class="inline-flex min-h-12 items-center border px-5 py-2 font-semibold no-underline border-quiet bg-sheet text-ink"
        :href="file('svg')"
        :download="`${chart.kind}-${sheet}.svg`"
        >{{ t('planning.wall.svg') }}</a
      >
    </div>
  </section>
</template>
