import type { Schemas } from '@/api/client';
import { computed, toValue, type MaybeRefOrGetter } from 'vue';

type Permit = Schemas['PermitRecord'];

export interface Rung {
  permit: Permit;
  /** How many permits lie below it. */
  depth: number;
  /** Those that have to carry before this one can be signed, and do not. */
  waitsFor: Permit[];
  /** Those that build on it. */
  opens: Permit[];
}

/** A permit without lessons to read is scribed from the start: what counts is that somebody did something for it. */
export const begun = ({ lessons, checks, practice }: Permit) =>
  lessons.some((lesson) => lesson.steps_done > 0 || lesson.completed) ||
  checks.some((check) => check.attempts > 0) ||
  practice.count > 0;
const carries = ({ standing }: Permit) => standing.stage === 5 && !standing.held && !standing.lapsed;

/** All permits as they build on each other: a column for each that builds on none, the others under the last that they need. */
export function usePermitLadder(given: MaybeRefOrGetter<Permit[]>) {
  const permits = computed(() => toValue(given));
  const below = (permit: Permit) =>
    permit.prerequisites.flatMap((code) => permits.value.find((each) => each.code === code) ?? []);
  const depth = (permit: Permit): number => Math.max(-1, ...below(permit).map(depth)) + 1;
  /** The deepest of those that it builds on: there it hangs. */
  const parent = (permit: Permit) => [...below(permit)].sort((a, b) => depth(b) - depth(a))[0];
  const columns = computed(() => {
    const under = (permit: Permit): Rung[] => [
      {
        permit,
        depth: depth(permit),
        waitsFor: below(permit).filter((each) => !carries(each)),
        opens: permits.value.filter((each) => each.prerequisites.includes(permit.code)),
      },
      ...permits.value.filter((each) => parent(each)?.code === permit.code).flatMap(under),
    ];
    return permits.value.filter((permit) => below(permit).length === 0).map(under);
  });
  const rungs = computed(() => columns.value.flat());
  /** Whether somebody did something for this very permit: a lesson that another, signed one asked for too is none. */
  const ownBegun = (permit: Permit) => {
    const known = permits.value.filter(carries).flatMap((each) => each.lessons.map(({ code }) => code));
    return begun({ ...permit, lessons: permit.lessons.filter(({ code }) => !known.includes(code)) });
  };
  /** Where one is: what carries no more, else the first under way, else what was signed last, else the first of all. */
  const current = computed(() => {
    const open = rungs.value.filter(({ permit, waitsFor }) => !carries(permit) && waitsFor.length === 0);
    const troubled = rungs.value.find(({ permit }) => permit.standing.held || permit.standing.lapsed);
    const signed = rungs.value
      .filter(({ permit }) => carries(permit))
      .sort((x, y) => (y.permit.signed_off?.at ?? '').localeCompare(x.permit.signed_off?.at ?? ''));
    return (
      (troubled ?? open.find(({ permit }) => ownBegun(permit)) ?? signed[0] ?? open[0] ?? rungs.value[0])?.permit ??
      null
    );
  });
  return { columns, current };
}
