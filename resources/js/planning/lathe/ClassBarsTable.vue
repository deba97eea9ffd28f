<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';

/** The bars in stock that give a whole class its blanks. */
defineProps<{ bars: Schemas['ClassBars'] }>();
const { t } = useI18n();
const { length } = useUnits();
</script>

<template>
  <section class="sheet p-4">
    <h2>
      {{ t('planning.lathe.forClass', { n: bars.learners, blank: length(bars.blank_mm, 1) }) }}
    </h2>
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
  </section>
</template>
