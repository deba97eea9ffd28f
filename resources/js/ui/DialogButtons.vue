<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import BigButton from './BigButton.vue';

/** The end of a dialog's form: back out, or do what it says. */
withDefaults(defineProps<{ label: string; busy: boolean; disabled?: boolean; tone?: 'main' | 'no' }>(), {
  tone: 'main',
});
const emit = defineEmits<{ cancel: [] }>();
const { t } = useI18n();
</script>

<template>
  <div class="flex justify-end gap-3">
    <BigButton @click="emit('cancel')">{{ t('ui.cancel') }}</BigButton>
    <BigButton type="submit" :tone="tone" :busy="busy" :disabled="disabled">{{ label }}</BigButton>
  </div>
</template>
