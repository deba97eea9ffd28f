<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { Popover, PopoverButton } from '@headlessui/vue';
import { useI18n } from 'vue-i18n';
import WorkingPanel from './WorkingPanel.vue';
import { absent } from './absent';
import { useFigure } from './useFigure';

/** A computed number in a sentence. Pressed, it opens its working. */
const props = defineProps<{ name: string; figure: Schemas['Figure'] | undefined; big?: boolean }>();
const { t } = useI18n();
const { shown } = useFigure(() => props.figure);
</script>

<template>
  <Popover v-if="figure" as="span" class="relative inline-block">
    <PopoverButton
      data-prints
      class="relative border-b-2 border-dotted border-blue leading-tight text-blue after:absolute after:-inset-x-1 after:-inset-y-3.5 print:border-0 print:font-semibold print:text-ink"
      :class="{ reading: figure.unit !== null, 'text-[1.75rem]': big && figure.unit !== null }"
      :title="t('figure.where')"
      >{{ shown }}</PopoverButton
    >
    <WorkingPanel :figure="figure" />
  </Popover>
  <span v-else class="reading text-quiet">[{{ t(absent(name)) }}]</span>
</template>
