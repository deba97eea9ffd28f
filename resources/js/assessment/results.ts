import type { Schemas } from '@/api/client';

type Criterion = Schemas['Criterion'];
export type Shown = 'met' | 'prompted' | 'not_met' | 'not_seen' | 'points';

/** A result that may be given, its shape, and the key that gives it. */
export interface Result {
  result: string | number;
  shown: Shown;
  shape: string;
  key: string;
}

const OBSERVED: Result[] = [
  { result: 'met', shown: 'met', shape: '✓', key: '1' },
  { result: 'prompted', shown: 'prompted', shape: '▲', key: '2' },
  { result: 'not_met', shown: 'not_met', shape: '✕', key: '3' },
  { result: 'not_seen', shown: 'not_seen', shape: '○', key: '4' },
];

/** What may be said of a criterion: the four verdicts, or its points from 0 up. */
export function resultsOf(criterion: Criterion): Result[] {
  if (criterion.kind === 'measured') return [];
  if (criterion.kind === 'observed') return OBSERVED;
  const points = Array.from({ length: (criterion.scale_max ?? 1) + 1 }, (_, point): Result => {
    return { result: point, shown: 'points', shape: String(point), key: String(point) };
  });
  return points;
}

/** Whether something is still to be seen or measured there. */
export function isOpen(criterion: Criterion): boolean {
  return criterion.kind === 'measured'
    ? criterion.found == null || criterion.found.verdict === 'doubtful'
    : criterion.mark === null || criterion.mark.result === 'not_seen';
}

/** Why a sheet may be put away. */
export const BECAUSE: readonly Schemas['PutAwayBecause'][] = [
  'opened_by_mistake',
  'machine',
  'part',
  'time',
  'unwell',
  'interrupted',
  'other',
];

/** Whether anybody has marked or measured on it, also where it was taken back. */
export function isMarked(attempt: Schemas['AssessmentAttempt']): boolean {
  return attempt.criteria.some(
    ({ mark, before, readings, learner }) =>
      mark !== null || before.length > 0 || (readings?.length ?? 0) > 0 || learner?.done === true,
  );
}

export const VERDICT_SHAPE = { in: '✓', out: '✕', doubtful: '?' } as const;

/** The shape that stands for what a criterion came to. */
export function shapeOf(criterion: Criterion): { shape: string; tone: string } {
  if (criterion.kind === 'measured') {
    if (criterion.found == null) return { shape: '', tone: '' };
    const tones = { in: 'text-alone', out: 'text-no', doubtful: 'text-supervised' };
    return { shape: VERDICT_SHAPE[criterion.found.verdict], tone: tones[criterion.found.verdict] };
  }
  const result = criterion.mark?.result;
  if (result === undefined) return { shape: '', tone: '' };
  if (typeof result === 'number') return { shape: `${result}`, tone: result === 0 ? 'text-no' : 'text-ink' };
  const tones: Record<string, string> = { met: 'text-alone', prompted: 'text-supervised', not_met: 'text-no' };
  return { shape: OBSERVED.find((one) => one.result === result)?.shape ?? '', tone: tones[result] ?? 'text-quiet' };
}

/** How a try ended: a shape and a tone. */
export const TRY_SHAPE: Record<Schemas['TryEnd'], { shape: string; tone: string }> = {
  open: { shape: '‖', tone: 'text-quiet' },
  passed: { shape: '✓', tone: 'text-alone' },
  not_yet: { shape: '▲', tone: 'text-supervised' },
  stopped: { shape: '■', tone: 'text-no' },
  put_away: { shape: '○', tone: 'text-ink' },
};
