<script setup lang="ts">
withDefaults(
  defineProps<{ tone?: 'main' | 'plain' | 'no'; busy?: boolean; disabled?: boolean; type?: 'button' | 'submit' }>(),
  {
    tone: 'plain',
    type: 'button',
  },
);
</script>

<template>
  <button
    :type="type"
    :disabled="disabled || busy"
    :aria-busy="busy"
    class="inline-flex min-h-12 items-center justify-center gap-2 border px-5 py-2 font-semibold disabled:opacity-55"
    :class="{
      'border-blue bg-blue text-on-blue': tone === 'main',
      'border-quiet bg-sheet text-ink hover:border-ink': tone === 'plain',
      'border-no bg-sheet text-no': tone === 'no',
    }"
  >
    <slot />
  </button>
</template>
