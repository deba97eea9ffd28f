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
    const named = !['tap', 'ream', 'face', 'part_off', 'turn', 'bore', 'insert'].includes(step.kind);
    if (named && step.diameter_mm !== undefined) add('diameter_mm', length(step.diameter_mm));
    if (step.rpm !== undefined)
      add('rpm', `${Math.round(step.rpm)} rpm`, step.setting === undefined ? undefined : say(step.setting));
    if (step.scale_reading !== undefined)
      add('reading_mm', step.scale_reading, t('planning.fromTouch', { total: length(step.total_depth_mm ?? 0, 1) }));
    else if (step.depth_mm !== undefined && step.kind === 'ream') add('depth_mm', length(step.depth_mm, 1));
    if (step.kind === 'insert' && step.depth_mm !== undefined)
      shown.push({
        key: 'depth_mm',
        label: t('planning.field.insert_length'),
        value: length(step.depth_mm, 1),
        figure: working('depth_mm'),
      });
    if (
      step.kind === 'counterbore' ||
      step.kind === 'spotface' ||
      (step.kind === 'countersink' && step.total_depth_mm !== undefined)
    )
      add('total_depth_mm', step.total_depth_mm === undefined ? undefined : length(step.total_depth_mm, 1));
    if (step.turns !== undefined) add('turns', String(step.turns));
    if (step.depth_mm !== undefined && step.depth_mm > 0 && step.kind === 'tap')
      shown.push({
        key: 'depth_mm',
        label: t('planning.field.full_thread'),
        value: length(step.depth_mm, 1),
        figure: working('depth_mm'),
      });
    if (step.passes_mm !== undefined)
      shown.push({
        key: 'passes_mm',
        label: t(`planning.field.${step.kind === 'bore' ? 'bore_to' : 'passes_mm'}`),
        value: series(step.passes_mm.map((mm) => length(mm, 2))),
        figure: working('passes_mm'),
      });
    if (step.dial_reading !== undefined)
      add(
        step.kind === 'turn' || step.kind === 'bore' ? 'first_cut' : 'dial_divisions',
        say(step.dial_reading),
        step.dial_reading.code === 'planning.dial.turns'
          ? t('planning.onDial', { n: step.dial_divisions ?? 0 })
          : undefined,
      );
    add('limits_mm', limits(step));
    if (step.repeat !== undefined && step.repeat > 1) add('repeat', `× ${step.repeat}`);
    return shown;
  }

  /** Depth of the working, point and time: worth knowing, not worth shouting. */
  function quietFiguresOf(step: Step): ShownFigure[] {
    const working = (key: string) => step.figures.find((figure) => figure.key === key);
    const quiet: [string, string | undefined][] = [
      [
        'total_depth_mm',
        step.total_depth_mm === undefined || ['counterbore', 'countersink', 'spotface'].includes(step.kind)
          ? undefined
          : length(step.total_depth_mm, 1),
      ],
      [
        'depth_mm',
        step.scale_reading === undefined || step.depth_mm === undefined ? undefined : length(step.depth_mm, 1),
      ],
      [
        'feed_mm_rev',
        step.feed_mm_rev === undefined ? undefined : t('planning.aTurn', { length: length(step.feed_mm_rev, 3) }),
      ],
      ['time_s', step.time_s === undefined ? undefined : `${Math.max(1, Math.round(step.time_s))} s`],
      ['flute_length_mm', flutes(step)],
      ['demand_nm', newtonMetres(step, 'demand_nm')],
      ['torque_nm', newtonMetres(step, 'torque_nm')],
    ];
    return quiet.flatMap(([key, value]) =>
      value === undefined ? [] : [{ key, label: t(`planning.field.${key}`), value, figure: working(key) }],
    );
  }

  /** One after the other, the unit said once where it is the same. */
  function series(lengths: string[]): string {
    const last = lengths[lengths.length - 1] ?? '';
    const unit = / \S+$/.exec(last)?.[0] ?? '';
    return lengths
      .map((each, at) => (at < lengths.length - 1 && unit && each.endsWith(unit) ? each.slice(0, -unit.length) : each))
      .join(' → ');
  }

  function flutes(step: Step): string | undefined {
    const figure = step.figures.find((each) => each.key === 'flute_length_mm');
    return figure ? length(figure.value ?? 0, 0) : undefined;
  }

  function newtonMetres(step: Step, key: string): string | undefined {
    const figure = step.figures.find((each) => each.key === key);
    return figure ? `${number(figure.value ?? 0, 1)} N·m` : undefined;
  }

  function limits(step: Step): string | undefined {
    const terms = step.figures.find((each) => each.key === 'limits_mm')?.terms as Record<string, number> | undefined;
    return terms ? `${length(terms.go_mm ?? 0, 3)} – ${length(terms.no_go_mm ?? 0, 3)}` : undefined;
  }

  return { figuresOf, quietFiguresOf };
}
