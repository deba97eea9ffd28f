import { Refused, type Schemas } from '@/api/client';
import { send, stuck, tryAgain, useOutbox, flush } from '@/api/outbox';
import { useQueryClient } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';

type Attempt = Schemas['AssessmentAttempt'];
type Mark = Schemas['Mark'];

function without<T>(record: Record<string, T>, key: string): Record<string, T> {
  return Object.fromEntries(Object.entries(record).filter(([each]) => each !== key));
}

/**
 * Marks as they are made: each goes through the outbox, so it is kept on this device until the server has it. What the
 * server refuses stays, and says so beside its criterion.
 */
export function useMarks(attemptId: string, queryKey: string[], words: (criterion: string) => string = (id) => id) {
  const client = useQueryClient();
  const outbox = useOutbox();
  const start = `mark:${attemptId}:`;
  /** Readings that cannot be understood, to be typed anew. */
  const misread = ref<Record<string, string>>({});

  function set(criterion: string, mark: Mark) {
    misread.value = without(misread.value, criterion);
    send<Attempt>(uuid(), {
      about: start + criterion,
      method: 'PUT',
      path: `/api/assessment/attempts/${attemptId}/marks/${criterion}`,
      body: mark,
      label: { key: 'outbox.mark', words: { what: words(criterion) } },
    })
      .then((attempt) => client.setQueryData(queryKey, attempt))
      .catch((cause: Error) => {
        if (cause instanceof Refused && cause.status === 422)
          misread.value = { ...misread.value, [criterion]: cause.message };
      });
  }

  const unsent = computed(() => outbox.about(start));
  const refused = computed(() =>
    Object.fromEntries(
      unsent.value.flatMap((command) =>
        command.refused ? [[command.about.slice(start.length), command.refused.message]] : [],
      ),
    ),
  );

  return {
    set,
    /** On their way, or waiting for the network or for somebody to sign in. */
    pending: computed(() => unsent.value.filter((command) => command.refused === null).length),
    /** Refused by the server and kept: not saved. */
    unsaved: computed(() => Object.keys(refused.value).length),
    faults: computed(() => ({ ...refused.value, ...misread.value })),
    /** What was marked here and is not with the server yet, so that the sheet shows it all the same. */
    marked: computed(() =>
      Object.fromEntries(unsent.value.map((command) => [command.about.slice(start.length), command.body as Mark])),
    ),
    stuck,
    retry: () => {
      unsent.value.filter((command) => command.refused).forEach((command) => tryAgain(command.id));
      void flush();
    },
  };
}
