<script setup lang="ts">
import DialogButtons from './DialogButtons.vue';
import ErrorNote from './ErrorNote.vue';
import SheetDialog from './SheetDialog.vue';

/** What is about to be done, before it is done: for what cannot simply be taken back. The first press opened it. */
defineProps<{
  title: string;
  label: string;
  busy?: boolean;
  disabled?: boolean;
  error?: Error | null;
  tone?: 'main' | 'no';
}>();
const emit = defineEmits<{ yes: []; close: [] }>();
</script>

<template>
  <SheetDialog open :title="title" @close="emit('close')">
    <form class="mt-3 space-y-4" @submit.prevent="emit('yes')">
      <slot />
      <ErrorNote :error="error ?? null" @retry="emit('yes')" />
      <DialogButtons
        :label="label"
        :tone="tone ?? 'main'"
        :busy="busy ?? false"
        :disabled="disabled"
        @cancel="emit('close')"
      />
    </form>
  </SheetDialog>
</template>
