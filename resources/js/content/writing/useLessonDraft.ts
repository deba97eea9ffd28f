import { api, must, Refused, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import { useQuery } from '@tanstack/vue-query';
import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';
import { withFront } from './lessonText';

export type Language = Schemas['LessonText']['language'];
interface Draft {
  /** The version that it was written from; 0 for a lesson that is not there yet. */
  basedOn: number;
  texts: Partial<Record<Language, string>>;
}

/** The language of the texts that a reader writes first: their own. */
export const languageOf = (locale: string): Language => (locale.startsWith('es') ? 'es' : 'en');

/** The one place where a draft is kept: on this device, until it is published or thrown away. */
const placeOf = (person: number | undefined, code: string) => `millstep.lesson.${person ?? 0}.${code}`;

/** Begins a lesson that is not there yet, or goes on with one that was begun here. */
export function beginDraft(person: number | undefined, code: string, texts: Draft['texts']) {
  const place = placeOf(person, code);
  if (localStorage.getItem(place) === null) localStorage.setItem(place, JSON.stringify({ basedOn: 0, texts }));
}

/** A lesson as it is written on this device, beside the one that is taught. */
export function useLessonDraft(code: string) {
  const { person } = useMe();
  const draft = useLocalStorage<Draft | null>(placeOf(person.value?.id, code), null, {
    serializer: { read: (kept) => JSON.parse(kept) as Draft | null, write: (value) => JSON.stringify(value) },
  });
  const written = useQuery({
    queryKey: ['written', code],
    queryFn: () =>
      must(api.GET('/api/content/lessons/{code}', { params: { path: { code } } })).catch((cause: unknown) => {
        // One that was only begun here is not there yet.
        if (cause instanceof Refused && cause.status === 404 && draft.value !== null) return null;
        throw cause;
      }),
    refetchOnWindowFocus: false,
  });
  const lesson = computed(() => written.data.value ?? null);
  const taught = computed<Draft['texts']>(() =>
    Object.fromEntries((lesson.value?.texts ?? []).map(({ language, text }) => [language, text])),
  );
  const texts = computed<Draft['texts']>(() => draft.value?.texts ?? taught.value);
  const basedOn = computed(() => draft.value?.basedOn ?? lesson.value?.version ?? 0);
  const changed = computed(
    () =>
      draft.value !== null &&
      (lesson.value === null || JSON.stringify(draft.value.texts) !== JSON.stringify(taught.value)),
  );
  /** Somebody published while this one was being written. */
  const overtaken = computed(
    () => lesson.value !== null && draft.value !== null && draft.value.basedOn !== lesson.value.version,
  );

  /** As it will be published: with the next number, which nobody has to think of. */
  function numbered(text: string, of = basedOn.value): string {
    return withFront(text, 'version', of + 1);
  }
  function write(language: Language, text: string) {
    if (draft.value !== null) {
      draft.value = { ...draft.value, texts: { ...draft.value.texts, [language]: text } };
      return;
    }
    const texts = { ...taught.value, [language]: text };
    draft.value = {
      basedOn: basedOn.value,
      texts: Object.fromEntries(Object.entries(texts).map(([each, said]) => [each, numbered(said)])),
    };
  }
  function bring(brought: Schemas['LessonText'][]) {
    const of = lesson.value?.version ?? 0;
    draft.value = {
      basedOn: of,
      texts: Object.fromEntries(brought.map(({ language, text }) => [language, numbered(text, of)])),
    };
  }
  /** What was written goes on from the version that somebody else published. */
  function catchUp() {
    const of = lesson.value?.version ?? 0;
    if (draft.value === null) return;
    draft.value = {
      basedOn: of,
      texts: Object.fromEntries(Object.entries(draft.value.texts).map(([each, said]) => [each, numbered(said, of)])),
    };
  }

  return {
    written,
    lesson,
    taught,
    texts,
    basedOn,
    changed,
    overtaken,
    write,
    bring,
    catchUp,
    throwAway: () => (draft.value = null),
  };
}

/** As the server takes them: the original first. */
export const asGiven = (texts: Partial<Record<Language, string>>): Schemas['LessonText'][] =>
  (['en', 'es'] as const).flatMap((language) => {
    const text = texts[language];
    return text === undefined || text.trim() === '' ? [] : [{ language, text }];
  });
