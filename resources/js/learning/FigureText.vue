<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { computed } from 'vue';
import FigureChip from '@/planning/figures/FigureChip.vue';
import FigureWords from '@/planning/figures/FigureWords.vue';

/** A lesson's sentence with its {{figures}} put in, each ready to say where it comes from; plain inside of a button. */
const props = defineProps<{
  text: string;
  figures: Record<string, Schemas['Figure']>;
  big?: boolean;
  plain?: boolean;
}>();
const parts = computed(() =>
  props.text.split(/\{\{\s*([\w.]+)\s*\}\}/).map((part, index) => ({ figure: index % 2 === 1, part })),
);
</script>

<template>
  <template v-for="({ figure, part }, index) in parts" :key="index">
    <FigureWords v-if="figure && plain" :name="part" :figure="figures[part]" />
    <FigureChip v-else-if="figure" :name="part" :figure="figures[part]" :big="big" />
    <template v-else>{{ part }}</template>
  </template>
</template>
