<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { Popover, PopoverButton } from '@headlessui/vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import WorkingPanel from './WorkingPanel.vue';

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
      data-prints
      class="reading relative min-h-9 border-b-2 border-dotted border-blue text-[1.75rem] leading-none text-blue after:absolute after:-inset-x-1 after:-inset-y-1.5"
      :title="t('figure.where')"
      :aria-label="name"
      >{{ value }}</PopoverButton
    >
    <p v-else class="reading text-[1.75rem] leading-9">{{ value }}</p>
    <p v-if="note" class="text-sm text-quiet">{{ note }}</p>
    <WorkingPanel v-if="figure" :figure="figure" />
  </Popover>
</template>
