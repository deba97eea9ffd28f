import { Refused, type Schemas } from '@/api/client';
import { flush, send, stuck, throwAway, tryAgain, useOutbox } from '@/api/outbox';
import { useQueryClient } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';

type Attempt = Schemas['AssessmentAttempt'];
type Marked = Schemas['SheetMarked'];
type Mark = Omit<Schemas['Mark'], 'id' | 'criterion' | 'made_at'>;
type Made = Schemas['Mark'];

function without<T>(record: Record<string, T>, key: string): Record<string, T> {
  return Object.fromEntries(Object.entries(record).filter(([each]) => each !== key));
}

/** The sheet with what a mark changed on it. */
function merged(sheet: Attempt, { criterion, score, stopped, second_marks: marks }: Marked): Attempt {
  return {
    ...sheet,
    criteria: sheet.criteria.map((each) => (criterion?.id === each.id ? criterion : each)),
    score,
    stopped,
    second: sheet.second && { ...sheet.second, marks },
  };
}

/**
 * Marks as they are made: each goes through the outbox under an id of its own, so that it is kept on this device until the
 * server has it, and is there once. What the server refuses stays, and says so beside its criterion.
 */
export function useMarks(attemptId: string, queryKey: string[], words: (criterion: string) => string = (id) => id) {
  const client = useQueryClient();
  const outbox = useOutbox();
  const start = `mark:${attemptId}:`;
  const path = `/api/assessment/attempts/${attemptId}`;
  /** What cannot be understood, to be typed anew: the words by criterion, and which field. */
  const misread = ref<Record<string, { message: string; errors: Record<string, string[]> }>>({});
  /** The mark that was made last here, for as long as it may be a slip. */
  const last = ref<{ id: string; criterion: string; madeAt: number; what: string } | null>(null);

  /**
   * What the server answered is newer than whatever was being read at the time: that would bring the sheet back to before the mark,
   * and a hand that types would find itself at the wrong field.
   */
  async function keep(marked: Marked) {
    await client.cancelQueries({ queryKey });
    client.setQueryData<Attempt>(queryKey, (sheet) => sheet && merged(sheet, marked));
  }
  /** A later verdict takes the place of one that has not gone out; every reading is one of its own. */
  function set(criterion: string, mark: Mark, what = ''): Promise<void> {
    const id = uuid();
    misread.value = without(misread.value, criterion);
    last.value = { id, criterion, madeAt: Date.now(), what };
    const body: Made = { ...mark, id, criterion, made_at: new Date().toISOString() };
    return send<Marked>(id, {
      about: `${start}${criterion}${mark.reading ? `:${id}` : ''}`,
      method: 'POST',
      path: `${path}/marks`,
      body,
      label: { key: 'outbox.mark', words: { what: words(criterion) } },
    })
      .then(keep)
      .catch((cause: Error) => {
        if (last.value?.id === id) last.value = null;
        if (cause instanceof Refused && cause.status === 422)
          misread.value = { ...misread.value, [criterion]: { message: cause.message, errors: cause.errors } };
      });
  }

  /** Takes the last mark back. What has not gone out yet never does. */
  function undo() {
    const slip = last.value;
    if (slip === null) return;
    last.value = null;
    const unsent = outbox.commands.value.find((command) => command.id === slip.id);
    if (unsent && stuck.value !== null) {
      throwAway(slip.id);
      return;
    }
    const id = uuid();
    send<Marked>(id, {
      about: `undo:${slip.id}`,
      method: 'POST',
      path: `${path}/marks/${slip.id}/undo`,
      body: { id, made_at: new Date().toISOString() },
      label: { key: 'outbox.undo', words: { what: words(slip.criterion) } },
    })
      .then(keep)
      .catch(() => undefined);
  }

  const unsent = computed(() => outbox.about(start));
  const refused = computed(() =>
    Object.fromEntries(
      unsent.value.flatMap((command) =>
        command.refused ? [[(command.body as Made).criterion, { ...command.refused, id: command.id }]] : [],
      ),
    ),
  );

  return {
    set,
    undo,
    last,
    /** On their way, or waiting for the network or for somebody to sign in. */
    pending: computed(() => unsent.value.filter((command) => command.refused === null).length),
    /** Refused by the server and kept: not saved. */
    unsaved: computed(() => Object.keys(refused.value).length),
    refused,
    misread,
    /** What was marked here and is not with the server yet, so that the sheet shows it all the same. */
    marked: computed(() =>
      Object.fromEntries(unsent.value.map((command) => [(command.body as Made).criterion, command.body as Made])),
    ),
    stuck,
    /** What somebody else marked stands; what was marked here is put away. */
    letStand: (criterion: string) => {
      const command = refused.value[criterion];
      if (command) throwAway(command.id);
    },
    retry: () => {
      unsent.value.filter((command) => command.refused).forEach((command) => tryAgain(command.id));
      void flush();
    },
  };
}
