import { useSay } from '@/language/useSay';
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';

type Step = Schemas['PlanStep'];

export interface ShownFigure {
  key: string;
  label: string;
  value: string;
  note?: string;
  figure: Schemas['Figure'] | undefined;
}

/** What an operation has to show at arm's length, in the order in which it is needed at the machine. */
export function useStepFigures() {
  const { t } = useI18n();
  const { say } = useSay();
  const { length, number } = useUnits();

  function figuresOf(step: Step): ShownFigure[] {
    const working = (key: string) => step.figures.find((figure) => figure.key === key);
    const shown: ShownFigure[] = [];
    const add = (key: string, value: string | undefined, note?: string) => {
      if (value !== undefined)
        shown.push({ key, label: t(`planning.field.${key}`), value, note, figure: working(key) });
    };
    const named = !['tap', 'ream', 'face', 'part_off', 'turn'].includes(step.kind);
    if (named && step.diameter_mm !== undefined) add('diameter_mm', length(step.diameter_mm));
    if (step.rpm !== undefined)
      add('rpm', `${Math.round(step.rpm)} rpm`, step.setting === undefined ? undefined : say(step.setting));
    if (step.scale_reading !== undefined)
      add('reading_mm', step.scale_reading, t('planning.fromTouch', { total: length(step.total_depth_mm ?? 0, 1) }));
    else if (step.depth_mm !== undefined && (step.kind === 'tap' || step.kind === 'ream'))
      add('depth_mm', length(step.depth_mm, 1));
    if (step.passes_mm !== undefined) add('passes_mm', step.passes_mm.map((mm) => length(mm, 2)).join(' → '));
    if (step.dial_reading !== undefined)
      add(
        step.kind === 'turn' ? 'first_cut' : 'dial_divisions',
        say(step.dial_reading),
        step.dial_reading.code === 'planning.dial.turns'
          ? t('planning.onDial', { n: step.dial_divisions ?? 0 })
          : undefined,
      );
    if (step.repeat !== undefined && step.repeat > 1) add('repeat', `× ${step.repeat}`);
    return shown;
  }

  /** Depth of the working, point and time: worth knowing, not worth shouting. */
  function quietFiguresOf(step: Step): ShownFigure[] {
    const working = (key: string) => step.figures.find((figure) => figure.key === key);
    const quiet: [string, string | undefined][] = [
      ['total_depth_mm', step.total_depth_mm === undefined ? undefined : length(step.total_depth_mm, 1)],
      [
        'depth_mm',
        step.scale_reading === undefined || step.depth_mm === undefined ? undefined : length(step.depth_mm, 1),
      ],
      [
        'feed_mm_rev',
        step.feed_mm_rev === undefined ? undefined : t('planning.aTurn', { length: length(step.feed_mm_rev, 3) }),
      ],
      ['time_s', step.time_s === undefined ? undefined : `${Math.max(1, Math.round(step.time_s))} s`],
      ['demand_nm', demand(step)],
      ['limits_mm', limits(step)],
    ];
    return quiet.flatMap(([key, value]) =>
      value === undefined ? [] : [{ key, label: t(`planning.field.${key}`), value, figure: working(key) }],
    );
  }

  function demand(step: Step): string | undefined {
    const figure = step.figures.find((each) => each.key === 'demand_nm');
    return figure ? `${number(figure.value ?? 0, 1)} N·m` : undefined;
  }

  function limits(step: Step): string | undefined {
    const terms = step.figures.find((each) => each.key === 'limits_mm')?.terms as Record<string, number> | undefined;
    return terms ? `${length(terms.go_mm ?? 0, 3)} – ${length(terms.no_go_mm ?? 0, 3)}` : undefined;
  }

  return { figuresOf, quietFiguresOf };
}
