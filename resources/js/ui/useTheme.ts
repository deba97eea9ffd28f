import { usePreferredDark, useStorage } from '@vueuse/core';
import { computed, watchEffect } from 'vue';

export type Theme = 'auto' | 'light' | 'dark';

const chosen = useStorage<Theme>('millstep.theme', 'auto');

/** Light, dark, or as the device has it; kept on this device. */
export function useTheme() {
  const dark = usePreferredDark();
  const shown = computed(() => (chosen.value === 'auto' ? (dark.value ? 'dark' : 'light') : chosen.value));
  return { chosen, shown };
}

export function applyTheme() {
  const { shown } = useTheme();
  watchEffect(() => document.documentElement.setAttribute('data-theme', shown.value));
}
