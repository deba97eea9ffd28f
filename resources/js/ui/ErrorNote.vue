<script setup lang="ts">
import { GaveUp, Refused, Unreachable } from '@/api/client';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

const props = defineProps<{ error: Error | null }>();
const emit = defineEmits<{ retry: [] }>();
const { t } = useI18n();
/** What one may not see is not seen by asking again. */
const final = computed(() => props.error instanceof Refused && [403, 404].includes(props.error.status));
const words = computed(() => {
  if (props.error instanceof GaveUp) return t('ui.gaveUp');
  return props.error instanceof Unreachable ? t('ui.unreachable') : (props.error?.message ?? '');
});
</script>

<template>
  <div v-if="error" role="alert" class="flex flex-wrap items-center gap-3 border-2 border-no bg-sheet px-4 py-3">
    <p class="flex-1"><strong class="text-no">✕</strong> {{ words }}</p>
    <button v-if="!final" type="button" class="min-h-12 border border-quiet px-4 font-semibold" @click="emit('retry')">
      {{ t('ui.retry') }}
    </button>
  </div>
</template>
