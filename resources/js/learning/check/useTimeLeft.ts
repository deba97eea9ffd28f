import { useNow } from '@vueuse/core';
import { computed, toValue, type MaybeRefOrGetter } from 'vue';

/** Whole minutes until a paper's time is over, by this device's clock; null for a paper that has no limit. */
export function useTimeLeft(endsAt: MaybeRefOrGetter<string | null>) {
  const now = useNow({ interval: 1000 });
  const ms = computed(() => {
    const end = toValue(endsAt);
    return end === null ? null : new Date(end).getTime() - now.value.getTime();
  });
  return {
    left: computed(() => (ms.value === null ? null : Math.max(0, Math.ceil(ms.value / 60_000)))),
    over: computed(() => ms.value !== null && ms.value <= 0),
  };
}
