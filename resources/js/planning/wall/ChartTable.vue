<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** A chart's table on the screen; a wide one scrolls by itself, its first column in sight. */
const props = defineProps<{ chart: Schemas['WallChart'] }>();
const { t } = useI18n();
const { say } = useSay();
const mixed = computed(() => new Set(props.chart.lines.map((line) => line.strong)).size > 1);
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" :aria-label="say(chart.title)">
    <table class="w-full border-collapse text-left">
      <thead>
        <tr class="border-b-2 border-ink align-bottom text-sm">
          <th
            v-for="(column, index) in chart.columns"
            :key="index"
            scope="col"
            class="px-2 py-1"
            :class="{ 'sticky left-0 bg-paper': index === 0 }"
          >
            {{ say(column.heading) }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, row) in chart.lines" :key="row" class="border-b border-hairline align-top">
          <component
            :is="index === 0 ? 'th' : 'td'"
            v-for="(cell, index) in line.cells"
            :key="index"
            class="px-2 py-1.5"
            :class="{
              'sticky left-0 bg-paper font-semibold': index === 0,
              'reading whitespace-nowrap': !chart.columns[index]?.words,
              'font-bold': line.strong,
              'font-normal': index === 0 && !line.strong && mixed,
            }"
            :scope="index === 0 ? 'row' : undefined"
          >
            {{ say(cell)
            }}<span v-if="index === 0 && line.strong && mixed" class="sr-only">, {{ t('planning.wall.atHand') }}</span>
          </component>
        </tr>
      </tbody>
    </table>
  </div>
</template>
