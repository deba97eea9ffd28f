<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import BigButton from './BigButton.vue';

/** Says what was just taken away, and gives it back; stays in sight however far down the list one is. */
defineProps<{ name: string; busy?: boolean }>();
defineEmits<{ undo: [] }>();
const { t } = useI18n();
</script>

<template>
  <p
    class="sticky top-2 z-10 mt-3 flex flex-wrap items-center gap-4 border-2 border-bronze bg-sheet px-4 py-2"
    role="status"
  >
    {{ t('ui.removed', { name }) }}
    <BigButton :busy="busy" @click="$emit('undo')">{{ t('ui.undo') }}</BigButton>
  </p>
</template>
