<script setup lang="ts">
import HoleGlyph from '@/ui/HoleGlyph.vue';
import LanguageSwitch from './LanguageSwitch.vue';

/** What stands before the shop: signing in, resetting, the demo's mailbox. */
defineProps<{ title: string; wide?: boolean }>();
</script>

<template>
  <main class="mx-auto px-5 py-8" :class="wide ? 'max-w-3xl' : 'max-w-md'">
    <div class="mb-6 flex items-end gap-2 border-b border-quiet pb-3">
      <span class="mr-auto text-2xl font-bold" style="font-stretch: 80%">Mill Step</span>
      <HoleGlyph v-for="stage in 6" :key="stage" :stage="stage - 1" :size="30" aria-hidden="true" />
    </div>
    <h1 class="mb-4">{{ title }}</h1>
    <slot />
    <LanguageSwitch class="mt-10" />
  </main>
</template>
