import { deviceApi, must, Refused, type Schemas, Unreachable } from '@/api/client';
import { useQueryClient } from '@tanstack/vue-query';
import { useSessionStorage } from '@vueuse/core';
import { v7 as uuid } from 'uuid';
import { computed, onScopeDispose, ref, shallowRef, type Ref } from 'vue';

export type Read = Schemas['BadgeRead'];

const AGAIN_MS = 1_000;
/** After that the server would not answer it any more, and the person has long gone on. */
const GIVEN_UP_MS = 60_000;

/**
 * Badges at this screen's reader. A read is sent under one id until it is answered, so a lost answer is asked for again and
 * a finish can never become a start; no other badge is read meanwhile.
 */
export function useGateReads(machine: string, token: Ref<string>) {
  const client = useQueryClient();
  const waiting = useSessionStorage<{ read: Read; since: number } | null>(`millstep.gate.${machine}.read`, null, {
    serializer: { read: (text) => JSON.parse(text), write: (value) => JSON.stringify(value) },
  });
  const answer = shallowRef<Schemas['GateAnswer'] | null>(null);
  const refusal = shallowRef<Refused | null>(null);
  const lost = ref(false);
  let timer: ReturnType<typeof setTimeout> | undefined;

  function send(read: Omit<Read, 'id'>) {
    if (waiting.value !== null) return;
    waiting.value = { read: { id: uuid(), ...read }, since: Date.now() };
    void ask();
  }

  async function ask(): Promise<void> {
    const now = waiting.value;
    if (now === null) return;
    try {
      const said = await must(deviceApi(token.value).POST('/api/gate/reads', { body: now.read }));
      if (said.id !== now.read.id) throw new Unreachable('the answer to another read');
      answer.value = said;
      settle(null);
    } catch (cause) {
      if (cause instanceof Refused && cause.status < 500) {
        answer.value = null;
        settle(cause);
      } else if (Date.now() - now.since > GIVEN_UP_MS) settle(null);
      else {
        lost.value = true;
        timer = setTimeout(() => void ask(), AGAIN_MS);
      }
    }
  }

  function settle(refused: Refused | null) {
    waiting.value = null;
    lost.value = false;
    refusal.value = refused;
    void client.invalidateQueries({ queryKey: ['gate'] });
  }

  if (waiting.value !== null) void ask();
  onScopeDispose(() => clearTimeout(timer));

  return {
    send,
    answer,
    refusal,
    /** A badge was read and is not answered yet. */
    busy: computed(() => waiting.value !== null),
    /** Its answer got lost once; it is asked for again. */
    lost,
  };
}
