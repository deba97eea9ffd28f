import { api, must, Refused, type Schemas, Unreachable } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import { useMe } from '@/api/useMe';
import { useQuery } from '@tanstack/vue-query';
import { useSessionStorage, watchDebounced } from '@vueuse/core';
import { computed, ref, watch, type Ref } from 'vue';
import { BEGINNINGS, LENGTHS, type Drafts, type PlanKind } from './drafts';

export type Unit = 'mm' | 'in';
const SETTLE_MS = 300;

/**
 * What is being planned, live: the draft as it is typed, and what it comes to. A new draft is kept on this
 * device for this person, so that looking something up elsewhere loses nothing; a saved plan is changed on its page.
 */
export function usePlanDraft<Kind extends PlanKind>(kind: Kind, saved: Schemas['SavedPlan'] | undefined) {
  const { units } = useUnits();
  const { person } = useMe();
  const draft = (
    saved
      ? ref({ ...emptied(BEGINNINGS[kind]), ...asTyped(saved.request), units: units.value })
      : useSessionStorage(
          `millstep.plan.${kind}.${person.value?.id}`,
          { ...BEGINNINGS[kind], units: units.value },
          { mergeDefaults: true },
        )
  ) as Ref<Drafts[Kind] & { units: Unit }>;

  /** A bare number stays what it was when it was typed. */
  function keepUnits(before: Unit) {
    const changed = { ...draft.value } as Record<string, unknown>;
    for (const field of LENGTHS[kind] as string[]) {
      const text = changed[field];
      if (typeof text === 'string') changed[field] = withUnit(text, before);
    }
    draft.value = { ...changed, units: units.value } as typeof draft.value;
  }
  if (saved) keepUnits(saved.request.units === 'in' ? 'in' : 'mm');
  else if (draft.value.units !== units.value) keepUnits(draft.value.units);
  const start = JSON.stringify(draft.value);
  watch(units, (_now, before) => keepUnits(before));

  /** What is typed so far; the server says what of it is missing. */
  const request = computed(() => {
    const wanted = draft.value as unknown as Record<string, unknown>;
    return Object.fromEntries(
      Object.entries(wanted).filter(([key, value]) => key !== 'units' && value !== '' && value !== null),
    ) as Schemas['PlanWanted'];
  });
  const settled = ref(request.value);
  watchDebounced(request, (now) => (settled.value = now), { deep: true, debounce: SETTLE_MS });

  const hidden = ref(false);
  const planable = computed(() => kind === 'layout' || Boolean((settled.value as { machine?: string }).machine));
  const answer = useQuery({
    queryKey: ['plan', kind, settled, units],
    queryFn: () => must(api.POST('/api/planning/{kind}', { params: { path: { kind } }, body: settled.value })),
    enabled: computed(() => planable.value && !hidden.value),
    placeholderData: (before: Schemas['PlanAnswer'] | undefined) => before,
    retry: (failures: number, error: Error) => !(error instanceof Refused) && failures < 4,
  });
  const faults = computed<Record<string, string[]>>(() =>
    answer.error.value instanceof Refused ? answer.error.value.errors : {},
  );
  const changed = computed(() => JSON.stringify(draft.value) !== start);
  /** What is shown is for what was typed before: the new is being worked out, or cannot be asked for. */
  const stale = computed(
    () =>
      answer.data.value !== undefined &&
      (answer.isPlaceholderData.value ||
        answer.error.value instanceof Unreachable ||
        JSON.stringify(request.value) !== JSON.stringify(settled.value)),
  );
  const away = computed(
    () => answer.failureReason.value instanceof Unreachable || answer.error.value instanceof Unreachable,
  );

  return { draft, request, settled, answer, faults, hidden, changed, planable, stale, away };
}

/** The fields of a draft with nothing in them: what a saved plan does not say is not said. */
function emptied(draft: object): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(draft).map(([key, value]) => [
      key,
      typeof value === 'string' ? '' : Array.isArray(value) ? [] : false,
    ]),
  );
}

function asTyped(request: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(request).map(([key, value]) => [key, typeof value === 'number' ? String(value) : (value ?? '')]),
  );
}
