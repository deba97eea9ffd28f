<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';
import { absent } from './absent';
import { useFigure } from './useFigure';

/** A computed number in a sentence that is pressed as a whole: it opens no working of its own. */
const props = defineProps<{ name: string; figure: Schemas['Figure'] | undefined }>();
const { t } = useI18n();
const { shown } = useFigure(() => props.figure);
</script>

<template>
  <span v-if="figure" :class="{ reading: figure.unit !== null }">{{ shown }}</span>
  <span v-else class="reading">[{{ t(absent(name)) }}]</span>
</template>
