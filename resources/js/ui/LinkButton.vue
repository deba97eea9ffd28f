<script setup lang="ts">
/** A quiet button in a row of a list; `label` says to a screen reader which row it is for. */
defineProps<{ label?: string }>();
</script>

<template>
  <button type="button" class="min-h-12 px-2 text-sm underline underline-offset-4" :aria-label="label"><slot /></button>
</template>
