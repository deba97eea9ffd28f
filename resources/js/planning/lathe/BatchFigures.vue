<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** What a batch takes of its bar. */
const props = defineProps<{ batch: Schemas['Batch'] }>();
const { t } = useI18n();
const { length, number } = useUnits();
const figures = computed(() => {
  const { batch } = props;
  const all: [string, string | undefined][] = [
    ['move', batch.move_mm === undefined ? undefined : length(batch.move_mm, 3)],
    ['drilled', batch.drilled_total_depth_mm === undefined ? undefined : length(batch.drilled_total_depth_mm, 1)],
    [
      'standsOut',
      t('planning.lathe.ratio', {
        length: length(batch.overhang_mm, 1),
        ratio: number(batch.overhang_ratio, 1),
        allowed: length(batch.overhang_allowed_mm, 0),
      }),
    ],
    ['barUsed', batch.bar_used_mm === undefined ? undefined : length(batch.bar_used_mm, 1)],
    ['blank', length(batch.blank_mm, 1)],
    ['mostAtOnce', batch.most_at_once === undefined ? undefined : String(batch.most_at_once)],
  ];
  return all.filter((each): each is [string, string] => each[1] !== undefined);
});
</script>

<template>
  <section class="sheet p-4">
    <h2>{{ t('planning.lathe.ofTheBar') }}</h2>
    <dl class="mt-2 grid grid-cols-2 gap-x-6 gap-y-2 sm:grid-cols-3 lg:grid-cols-[1fr_1fr_2fr_1fr_1fr_1fr]">
      <div v-for="[key, value] in figures" :key="key">
        <dt class="label">{{ t(`planning.lathe.figure.${key}`) }}</dt>
        <dd class="reading text-lg">{{ value }}</dd>
      </div>
    </dl>
  </section>
</template>
