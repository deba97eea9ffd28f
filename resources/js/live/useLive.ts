import { useQueryClient } from '@tanstack/vue-query';
import { useDebounceFn } from '@vueuse/core';
import { onScopeDispose, ref, toValue, watch, type MaybeRefOrGetter } from 'vue';
import { listen } from './listen';

const SETTLE_MS = 100;

/** Has what is on the screen read again as soon as something changed on a channel. Says whether it is connected. */
export function useLive(channel: MaybeRefOrGetter<string | null>, token: MaybeRefOrGetter<string | null> = null) {
  const client = useQueryClient();
  const connected = ref(false);
  const changed = useDebounceFn(() => client.invalidateQueries(), SETTLE_MS);
  let stop: AbortController | undefined;

  watch(
    [() => toValue(channel), () => toValue(token)],
    ([to, by]) => {
      stop?.abort();
      connected.value = false;
      if (!to) return;
      stop = new AbortController();
      void listen(to, by, changed, (is) => (connected.value = is), stop.signal);
    },
    { immediate: true },
  );
  onScopeDispose(() => stop?.abort());

  return { connected };
}
