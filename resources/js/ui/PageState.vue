<script setup lang="ts" generic="T">
import { useI18n } from 'vue-i18n';
import ErrorNote from './ErrorNote.vue';

/** Loading, failed or there: the three states of anything that comes from the server. */
defineProps<{ data: T | undefined; error: Error | null }>();
const emit = defineEmits<{ retry: [] }>();
defineSlots<{ default(props: { data: NonNullable<T> }): unknown }>();
const { t } = useI18n();
</script>

<template>
  <ErrorNote v-if="error && data === undefined" :error="error" @retry="emit('retry')" />
  <p v-else-if="data === undefined" class="py-8 text-quiet" role="status">{{ t('ui.loading') }}</p>
  <slot v-else :data="data as NonNullable<T>" />
</template>
