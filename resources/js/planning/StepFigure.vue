<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import FigureWorking from './FigureWorking.vue';

/** One number of an operation, big; pressed, it opens its working. */
const props = defineProps<{ label: string; value: string; note?: string; figure: Schemas['Figure'] | undefined }>();
const { t } = useI18n();
const name = computed(() => `${props.label} ${props.value}`);
</script>

<template>
  <Popover class="relative">
    <p class="label">{{ label }}</p>
    <PopoverButton
      v-if="figure"
      class="reading min-h-9 border-b-2 border-dotted border-blue text-[1.75rem] leading-none text-blue"
      :title="t('figure.where')"
      :aria-label="name"
      >{{ value }}</PopoverButton
    >
    <p v-else class="reading text-[1.75rem] leading-9">{{ value }}</p>
    <p v-if="note" class="text-sm text-quiet">{{ note }}</p>
    <PopoverPanel
      v-if="figure"
      class="absolute left-0 z-20 mt-1 w-[min(22rem,80vw)] border border-ink bg-sheet p-4 text-base leading-snug text-ink max-sm:fixed max-sm:inset-x-2 max-sm:bottom-2 max-sm:w-auto"
    >
      <FigureWorking :figure="figure" />
    </PopoverPanel>
  </Popover>
</template>
