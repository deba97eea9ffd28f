import { api, must, Refused, type Schemas } from '@/api/client';
import { useQueryClient } from '@tanstack/vue-query';
import { computed, ref } from 'vue';

type Attempt = Schemas['AssessmentAttempt'];
type Mark = Schemas['Mark'];

const KEPT = 'millstep.marks.';
const AGAIN_MS = 4_000;

function without<T>(record: Record<string, T>, key: string): Record<string, T> {
  return Object.fromEntries(Object.entries(record).filter(([each]) => each !== key));
}

/**
 * Marks as they are made: each is kept on this device until the server has it, and sent again when the
 * network was gone. Sending one twice is the same mark, so nothing can be counted twice.
 */
export function useMarks(attemptId: string, queryKey: string[]) {
  const client = useQueryClient();
  const storage = KEPT + attemptId;
  const unsent = ref<Record<string, Mark>>(JSON.parse(localStorage.getItem(storage) ?? '{}'));
  const faults = ref<Record<string, string>>({});
  const error = ref<Error | null>(null);
  let sending = false;

  function keep() {
    localStorage.setItem(storage, JSON.stringify(unsent.value));
  }

  function set(criterion: string, mark: Mark) {
    unsent.value = { ...unsent.value, [criterion]: mark };
    keep();
    void send();
  }

  async function send() {
    if (sending) return;
    sending = true;
    error.value = null;
    try {
      for (let next = Object.entries(unsent.value)[0]; next; next = Object.entries(unsent.value)[0]) {
        const [criterion, mark] = next;
        await sendOne(criterion, mark);
        // What was marked anew meanwhile is sent in its turn.
        if (unsent.value[criterion] === mark) {
          unsent.value = without(unsent.value, criterion);
          keep();
        }
      }
    } catch (cause) {
      error.value = cause as Error;
      setTimeout(send, AGAIN_MS);
    } finally {
      sending = false;
    }
  }

  async function sendOne(criterion: string, mark: Mark) {
    try {
      const attempt: Attempt = await must(
        api.PUT('/api/assessment/attempts/{attempt}/marks/{criterion}', {
          params: { path: { attempt: attemptId, criterion } },
          body: mark,
        }),
      );
      client.setQueryData(queryKey, attempt);
      faults.value = without(faults.value, criterion);
    } catch (cause) {
      // A reading that cannot be understood is the typist's to mend; sending it again would not help.
      if (!(cause instanceof Refused) || cause.status >= 500) throw cause;
      faults.value = { ...faults.value, [criterion]: cause.message };
    }
  }

  if (Object.keys(unsent.value).length > 0) void send();

  return { set, retry: send, pending: computed(() => Object.keys(unsent.value).length), faults, error };
}
