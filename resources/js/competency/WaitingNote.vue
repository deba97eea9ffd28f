<script setup lang="ts">
import BigButton from '@/ui/BigButton.vue';
import { ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { useWaiting } from './useWaiting';

/** On any page but Today: a learner stands at a machine and waits. It stays until it is read or nobody waits. */
const { t } = useI18n();
const route = useRoute();
const { look } = useWaiting();
const seen = ref(0);
watch(look, (now) => (seen.value = Math.min(seen.value, now)));
</script>

<template>
  <p
    v-if="look > seen && route.name !== 'today'"
    class="sticky bottom-0 z-10 flex flex-wrap items-center gap-4 border-t-2 border-supervised bg-sheet px-5 py-2 print:hidden"
    role="status"
    data-testid="waiting-note"
  >
    <span class="flex-1 font-semibold">‖ {{ t('waiting.note', look) }}</span>
    <RouterLink :to="{ name: 'today' }" class="inline-flex min-h-12 items-center px-3 font-semibold">{{
      t('waiting.toToday')
    }}</RouterLink>
    <BigButton @click="seen = look">{{ t('waiting.noted') }}</BigButton>
  </p>
</template>
