<script setup lang="ts">
/** Each decision has its own shape: a full disc, a raised triangle, a barred square; a ring while waiting. */
defineProps<{ decision: 'alone' | 'supervised' | 'no' | null }>();
</script>

<template>
  <svg viewBox="0 0 120 120" class="size-40" aria-hidden="true" fill="none" stroke="currentColor" stroke-width="8">
    <circle v-if="decision === 'alone'" cx="60" cy="60" r="50" fill="currentColor" />
    <path v-else-if="decision === 'supervised'" d="M60 12 L112 104 H8 Z" fill="currentColor" />
    <template v-else-if="decision === 'no'">
      <rect x="12" y="12" width="96" height="96" fill="currentColor" />
      <path d="M34 60 H86" stroke="var(--paper)" stroke-width="16" />
    </template>
    <circle v-else cx="60" cy="60" r="48" stroke-dasharray="14 9" />
  </svg>
</template>
