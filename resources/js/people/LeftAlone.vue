<script setup lang="ts">
import { idleSeconds, touch } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import { useEventListener, useIntervalFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** A shared tablet that nobody touches says so for half a minute, then leaves. The server counts too. */
const props = defineProps<{ minutes: number }>();
const emit = defineEmits<{ leave: [] }>();
const WARNED_S = 30;
const TICK_MS = 1_000;
const { t } = useI18n();
const idle = ref(0);
const left = computed(() => props.minutes * 60 - idle.value);
let leaving = false;

useEventListener(window, ['pointerdown', 'keydown', 'wheel', 'touchstart'], stay, { passive: true });
useIntervalFn(() => {
  idle.value = idleSeconds();
  if (left.value <= 0 && !leaving) {
    leaving = true;
    emit('leave');
  }
}, TICK_MS);

function stay() {
  touch();
  idle.value = 0;
}
</script>

<template>
  <div
    v-if="left <= WARNED_S && left > 0"
    class="fixed inset-x-0 bottom-0 z-20 flex flex-wrap items-center justify-center gap-4 border-t-2 border-ink bg-sheet p-4 print:hidden"
    role="alert"
  >
    <p class="text-lg">{{ t('people.alone', { seconds: left }) }}</p>
    <BigButton tone="main" @click="stay">{{ t('people.stay') }}</BigButton>
  </div>
</template>
