import type { Schemas } from '@/api/client';
import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';

export type Line = Schemas['CriterionWritten'] & { levels?: Record<string, string> };
/** What the other language says of a line. */
export type SaidOfLine = {
  text?: string;
  levels?: Record<string, string>;
  levels_for?: Record<string, Record<string, string>>;
  follow_ups?: string[];
};
type Said = Record<string, SaidOfLine>;

export interface SheetDraft {
  basedOn: number;
  title: string;
  pass: number;
  lines: Line[];
  /** What the lines say in the other language, by their id. */
  other: { title: string; said: Said };
}
const OTHER = 'es';

/** Levels come as a list where they are points from 0 up. */
const asObject = (levels: Schemas['CriterionWritten']['levels']): Record<string, string> =>
  Object.fromEntries(Object.entries(levels ?? {}).map(([key, words]) => [key, String(words)]));

function fresh(sheet: Schemas['WrittenSheet']): SheetDraft {
  const said = sheet.written.translations[OTHER];
  return {
    basedOn: sheet.version,
    title: sheet.written.title,
    pass: sheet.pass_mark_percent,
    lines: sheet.written.criteria.map((line) => ({ ...line, levels: asObject(line.levels) })),
    other: { title: said?.title ?? '', said: (said?.criteria ?? {}) as Said },
  };
}

/** A sheet while it is changed: kept on this device until it is published, or thrown away. */
export function useSheetDraft(sheet: Schemas['WrittenSheet']) {
  const draft = useLocalStorage<SheetDraft>(`millstep.sheet.draft.${sheet.code}`, fresh(sheet));
  if (draft.value.basedOn !== sheet.version) draft.value = fresh(sheet);

  const changed = computed(() => JSON.stringify(draft.value) !== JSON.stringify(fresh(sheet)));
  function move(index: number, by: 1 | -1) {
    const lines = [...draft.value.lines];
    const [line] = lines.splice(index, 1);
    if (line) lines.splice(index + by, 0, line);
    draft.value.lines = lines;
  }
  function remove(index: number) {
    draft.value.lines = draft.value.lines.filter((_line, at) => at !== index);
  }
  function add(kind: Line['kind']) {
    const taken = new Set(draft.value.lines.map(({ id }) => id));
    let number = draft.value.lines.length + 1;
    while (taken.has(`c${number}`)) number++;
    const line: Line = {
      id: `c${number}`,
      group: kind === 'measured' ? 'measured' : 'work',
      kind,
      weight: 1,
      critical: kind === 'measured',
      critical_prompt_stops: false,
      text: '',
      ...(kind === 'observed' ? { levels: { met: '', prompted: '', not_met: '' } } : {}),
      ...(kind === 'judged' ? { scale_max: 4, levels: { 0: '', 1: '', 2: '', 3: '', 4: '' } } : {}),
      ...(kind === 'measured' ? { measure: 'size', feature: 'bore', nominal_mm: 8, plus_mm: 0.3, minus_mm: 0 } : {}),
    };
    draft.value.lines = [...draft.value.lines, line];
  }
  /** Only what the other language says of lines that there are. */
  const body = (change: string) => ({
    based_on: draft.value.basedOn,
    title: draft.value.title,
    pass_mark_percent: Number(draft.value.pass),
    change,
    criteria: draft.value.lines.map((line) => {
      const { levels, ...rest } = line;
      return levels && Object.keys(levels).length > 0 ? { ...rest, levels } : rest;
    }),
    translations: {
      [OTHER]: {
        title: draft.value.other.title,
        criteria: Object.fromEntries(
          draft.value.lines.map(({ id }) => [id, draft.value.other.said[id] ?? { text: '' }]),
        ),
      },
    },
  });
  return { draft, changed, move, remove, add, body, discard: () => (draft.value = fresh(sheet)) };
}
