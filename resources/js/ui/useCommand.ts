import { Refused, Unreachable } from '@/api/client';
import { send, stuck, type Draft } from '@/api/outbox';
import { useQueryClient } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';
import { computed, ref, shallowRef } from 'vue';

/**
 * Something that writes and must not be lost: like useAction, but through the outbox. The id is made once for one intent
 * and handed to whoever makes the command, so that it can stand in the body too.
 */
export function useCommand<Input, Output>(
  make: (input: Input, id: string) => Draft,
  done?: (output: Output, input: Input) => unknown,
) {
  const client = useQueryClient();
  const waiting = ref(0);
  const refusal = shallowRef<Error | null>(null);

  async function run(input: Input, id: string = uuid()): Promise<void> {
    refusal.value = null;
    waiting.value++;
    try {
      const output = await send<Output>(id, make(input, id));
      await done?.(output, input);
      await client.invalidateQueries();
    } catch (cause) {
      refusal.value = cause as Error;
    } finally {
      waiting.value--;
    }
  }

  const busy = computed(() => waiting.value > 0);
  /** Kept on this device and not with the server yet. */
  const pending = computed(() => busy.value && stuck.value !== null);
  const error = computed<Error | null>(() =>
    pending.value && stuck.value === 'unreachable' ? new Unreachable('unreachable') : refusal.value,
  );
  const fieldErrors = computed<Record<string, string[]>>(() =>
    refusal.value instanceof Refused ? refusal.value.errors : {},
  );
  return { run, busy, pending, error, fieldErrors, reset: () => (refusal.value = null) };
}
