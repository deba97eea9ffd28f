<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** What a batch takes of its bar, and the bars for a whole class. */
const props = defineProps<{ batch: Schemas['Batch']; bars: Schemas['ClassBars'] | null | undefined }>();
const { t } = useI18n();
const { length } = useUnits();
const figures = computed(() => {
  const { batch } = props;
  const all: [string, string | undefined][] = [
    ['move', batch.move_mm === undefined ? undefined : length(batch.move_mm, 3)],
    ['drilled', batch.drilled_total_depth_mm === undefined ? undefined : length(batch.drilled_total_depth_mm, 1)],
    [
      'standsOut',
      t('planning.lathe.ratio', {
        length: length(batch.overhang_mm, 1),
        ratio: batch.overhang_ratio.toFixed(1),
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
    <template v-if="bars">
      <h3 class="mt-4 font-semibold">
        {{ t('planning.lathe.forClass', { n: bars.learners, blank: length(bars.blank_mm, 1) }) }}
      </h3>
      <p v-if="bars.stock.length === 0" class="mt-1 text-no">■ {{ t('planning.lathe.noStock') }}</p>
      <table v-else class="mt-2 w-full text-left">
        <thead>
          <tr class="border-b border-quiet">
            <th class="p-2" scope="col">{{ t('planning.lathe.barOf') }}</th>
            <th class="p-2" scope="col">{{ t('planning.lathe.barsNeeded') }}</th>
            <th class="p-2" scope="col">{{ t('planning.lathe.inStock') }}</th>
            <th class="p-2" scope="col">{{ t('planning.lathe.waste') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="stock in bars.stock" :key="stock.length_mm" class="border-t border-hairline">
            <th class="reading p-2" scope="row">{{ length(stock.length_mm, 0) }}</th>
            <td class="reading p-2">{{ stock.bars ?? '—' }}</td>
            <td class="p-2 font-semibold" :class="stock.enough ? 'text-alone' : 'text-no'">
              {{
                stock.fault
                  ? `■ ${t('planning.lathe.tooShort')}`
                  : t(stock.enough ? 'planning.lathe.enough' : 'planning.lathe.tooFew', { n: stock.in_stock })
              }}
            </td>
            <td class="reading p-2">{{ stock.waste_mm === null ? '—' : length(stock.waste_mm, 0) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>
