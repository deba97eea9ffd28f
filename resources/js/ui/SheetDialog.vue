<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';

/** Asks for something before going on, over the page. Escape and a press outside close it. */
defineProps<{ open: boolean; title: string; wide?: boolean }>();
const emit = defineEmits<{ close: [] }>();
</script>

<template>
  <Dialog :open="open" class="relative z-30 print:hidden" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/40" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto p-4">
      <DialogPanel
        class="mx-auto mt-[6vh] border-2 border-ink bg-sheet p-6 text-ink"
        :class="wide ? 'max-w-4xl' : 'max-w-xl'"
      >
        <DialogTitle as="h2" class="text-xl">{{ title }}</DialogTitle>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
