<script setup lang="ts">
import BigButton from '@/ui/BigButton.vue';
import { useNow } from '@vueuse/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** The last mark, which may be taken back for a few seconds. */
const props = defineProps<{ madeAt: number; seconds: number; what: string }>();
const emit = defineEmits<{ undo: [] }>();
const { t } = useI18n();
const now = useNow({ interval: 250 });
const left = computed(() => Math.ceil(props.seconds - (now.value.getTime() - props.madeAt) / 1000));
</script>

<template>
  <p v-if="left > 0" class="flex min-h-14 items-center gap-3 border-2 border-bronze bg-sheet px-3" role="status">
    <span class="min-w-0 flex-1 truncate">{{ what }}</span>
    <BigButton @click="emit('undo')"
      >↶ {{ t('sheet.undo') }} <span class="reading">{{ left }} s</span></BigButton
    >
  </p>
</template>
