<script setup lang="ts">
import { useI18n } from 'vue-i18n';

/** Stands before the step that can hurt, and looks like nothing else. */
const { t } = useI18n();
</script>

<template>
  <aside class="flex items-start gap-3 border-y-4 border-double border-on-caution bg-caution px-4 py-3 text-on-caution">
    <svg viewBox="0 0 32 32" width="34" height="34" class="mt-0.5 shrink-0" aria-hidden="true">
      <path d="M16 2 L30 16 L16 30 L2 16 Z" fill="none" stroke="currentColor" stroke-width="2.5" />
      <path d="M16 9 V18 M16 21.5 V24" stroke="currentColor" stroke-width="3.2" />
    </svg>
    <p class="text-lg leading-snug font-semibold">
      <span class="sr-only">{{ t('ui.caution') }}: </span><slot />
    </p>
  </aside>
</template>
