<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import { useI18n } from 'vue-i18n';
import FigureWorking from './FigureWorking.vue';
import { useFigure } from './useFigure';

/** A computed number in a sentence. Pressed, it opens its working. */
const props = defineProps<{ name: string; figure: Schemas['Figure'] | undefined; big?: boolean }>();
const { t } = useI18n();
const { shown } = useFigure(() => props.figure);
</script>

<template>
  <Popover v-if="figure" as="span" class="relative inline-block">
    <PopoverButton
      class="border-b-2 border-dotted border-blue leading-tight text-blue print:border-0 print:font-semibold print:text-ink"
      :class="{ reading: figure.unit !== null, 'text-[1.75rem]': big && figure.unit !== null }"
      :title="t('figure.where')"
      >{{ shown }}</PopoverButton
    >
    <PopoverPanel
      class="absolute left-0 z-10 mt-1 w-[min(22rem,80vw)] border border-ink bg-sheet p-4 text-base max-sm:fixed max-sm:inset-x-2 max-sm:top-auto max-sm:bottom-2 max-sm:w-auto leading-snug text-ink print:hidden"
    >
      <FigureWorking :figure="figure" />
    </PopoverPanel>
  </Popover>
  <span v-else class="reading text-quiet">[{{ t('figure.notYet') }}]</span>
</template>
