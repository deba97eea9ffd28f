<script setup lang="ts" generic="T">
import { shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import ErrorNote from './ErrorNote.vue';

/** Loading, failed or there: the three states of anything that comes from the server. */
const props = defineProps<{ data: T | undefined; error: Error | null }>();
const emit = defineEmits<{ retry: [] }>();
defineSlots<{ default(props: { data: NonNullable<T> }): unknown }>();
const { t } = useI18n();

/** What went wrong is said until something comes, also while it is tried again. */
const failed = shallowRef(props.error);
watch(
  () => [props.error, props.data] as const,
  ([error, data]) => {
    if (error !== null || data !== undefined) failed.value = error;
  },
);
</script>

<template>
  <ErrorNote v-if="failed && data === undefined" :error="failed" @retry="emit('retry')" />
  <p v-else-if="data === undefined" class="py-8 text-quiet" role="status">{{ t('ui.loading') }}</p>
  <slot v-else :data="data as NonNullable<T>" />
</template>
