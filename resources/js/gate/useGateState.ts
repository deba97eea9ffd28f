import { deviceApi, must, Refused, type Schemas, Unreachable } from '@/api/client';
import { useQuery } from '@tanstack/vue-query';
import { useNow } from '@vueuse/core';
import { v7 as uuid } from 'uuid';
import { computed, ref, type Ref } from 'vue';

const POLL_MS = 1_000;
/** An answer carries power for so long after it was asked for; past that there is none. */
const LEASE_MS = 3_000;
const TICK_MS = 250;

/**
 * What the server says of this machine, asked for every second. Each question has a nonce of its own, so that no old
 * answer passes for a new one, and an answer is good for three seconds: whatever hangs, no answer is no power.
 */
export function useGateState(machine: string, token: Ref<string>) {
  const askedAt = ref(0);
  const now = useNow({ interval: TICK_MS });
  const screen = useQuery({
    queryKey: ['gate', machine, token],
    queryFn: async () => {
      const asked = Date.now();
      const nonce = uuid();
      const said = await must(deviceApi(token.value).GET('/api/gate/screen', { params: { query: { nonce } } }));
      if (said.nonce !== nonce) throw new Unreachable('an old answer');
      askedAt.value = asked;
      return said;
    },
    enabled: computed(() => token.value !== ''),
    refetchInterval: POLL_MS,
    refetchIntervalInBackground: true,
    retry: false,
    staleTime: 0,
  });
  const revoked = computed(() => screen.error.value instanceof Refused && screen.error.value.status === 401);
  const unreachable = computed(
    () =>
      !revoked.value &&
      (screen.error.value !== null ||
        (askedAt.value !== 0 && now.value.getTime() - askedAt.value > LEASE_MS && screen.data.value !== undefined)),
  );
  const state = computed<Schemas['GateScreen'] | undefined>(() => screen.data.value);

  return { state, revoked, unreachable, now };
}
