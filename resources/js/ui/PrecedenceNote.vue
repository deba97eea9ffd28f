<script setup lang="ts">
import { useI18n } from 'vue-i18n';

/** Wherever the program grants or judges: who stands above it. */
const { t } = useI18n();
</script>

<template>
  <p class="border-t border-hairline pt-2 text-sm text-quiet">{{ t('ui.precedence') }}</p>
</template>
