<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';
import { onBeforeUnmount, ref } from 'vue';

/**
 * Asks for something before going on, over the page. Escape and a press outside close it, unless something was entered
 * in it: then only its own buttons do, so that nothing is thrown away by a slip.
 */
const props = defineProps<{ open: boolean; title: string; wide?: boolean; kept?: boolean }>();
const emit = defineEmits<{ close: [] }>();
const touched = ref(false);
const opener = document.activeElement as HTMLElement | null;

function outside() {
  if (!touched.value && !props.kept) emit('close');
}
/** Whoever opened it has the focus again; where that is gone, the page's main part. */
onBeforeUnmount(() => {
  requestAnimationFrame(() => {
    if (document.activeElement !== document.body) return;
    if (opener?.isConnected && opener !== document.body) opener.focus();
    else document.querySelector<HTMLElement>('#main')?.focus();
  });
});
</script>

<template>
  <Dialog :open="open" class="relative z-30 print:hidden" @close="outside">
    <div class="fixed inset-0 bg-ink/40" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto p-4">
      <DialogPanel
        class="mx-auto mt-[6vh] border-2 border-ink bg-sheet p-6 text-ink"
        :class="wide ? 'max-w-4xl' : 'max-w-xl'"
        @input="touched = true"
        @change="touched = true"
      >
        <DialogTitle as="h2" class="text-xl">{{ title }}</DialogTitle>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
