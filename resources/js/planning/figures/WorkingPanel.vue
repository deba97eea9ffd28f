<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { PopoverButton, PopoverPanel } from '@headlessui/vue';
import { useI18n } from 'vue-i18n';
import FigureWorking from './FigureWorking.vue';
import { vInSight } from './inSight';

/**
 * The working of a figure, under it and wholly on the screen. Its own button closes it, and is what the focus finds in
 * it: without one the focus would fall between the panel and the page.
 */
defineProps<{ figure: Schemas['Figure'] }>();
const { t } = useI18n();
</script>

<template>
  <PopoverPanel
    v-in-sight
    class="absolute left-0 z-20 mt-1 w-[min(22rem,80vw)] border border-ink bg-sheet p-4 text-base leading-snug text-ink max-sm:fixed max-sm:inset-x-2 max-sm:top-auto max-sm:bottom-2 max-sm:w-auto print:hidden"
  >
    <PopoverButton class="float-right -mt-3 -mr-3 size-12 text-xl" :aria-label="t('figure.close')">✕</PopoverButton>
    <FigureWorking :figure="figure" />
  </PopoverPanel>
</template>
