import { mountIn, signedIn } from '@/test/mountIn';
import { figure, plan, said, step } from '@/test/shapes';
import { beforeEach, describe, expect, it } from 'vitest';
import { defineComponent, h } from 'vue';
import FigureWorking from '@/planning/figures/FigureWorking.vue';
import PlanSequence from './PlanSequence.vue';
import PlanStepRow from './PlanStepRow.vue';
import PlanVerdict from './PlanVerdict.vue';
import StepFigure from '@/planning/figures/StepFigure.vue';
import { useDuration } from '@/planning/figures/useDuration';
import { useStepFigures } from '@/planning/figures/useStepFigures';

function within<Thing>(use: () => Thing): Thing {
  let thing: Thing | undefined;
  mountIn(
    defineComponent({
      setup: () => {
        thing = use();
        return () => h('p');
      },
    }),
    {},
  );
  return thing as Thing;
}
const shown = (given: Parameters<typeof step>[0]) =>
  within(useStepFigures)
    .figuresOf(step(given))
    .map(({ label, value, note }) => `${label} ${value}${note ? ` | ${note}` : ''}`);
const quiet = (given: Parameters<typeof step>[0]) =>
  within(useStepFigures)
    .quietFiguresOf(step(given))
    .map(({ label, value }) => `${label} ${value}`);

beforeEach(() => signedIn('learner', 'mm'));

describe('the figures of an operation', () => {
  it('come in the order in which they are needed at the machine', () => {
    expect(
      shown({
        diameter_mm: 9,
        rpm: 500,
        setting: 'belt 2',
        scale_reading: '12 mm',
        total_depth_mm: 11.7,
        reading_mm: 12,
      }),
    ).toEqual([
      'Size 9 mm',
      'Spindle speed 500 rpm | belt 2',
      'Scale reading 12 mm | from the touch, for the tip at 11.7 mm',
    ]);
  });

  it("stay in the machine's own scale whatever the reader's units are", () => {
    signedIn('learner', 'in');
    expect(shown({ scale_reading: '15/32 in', total_depth_mm: 11.9 })).toEqual([
      'Scale reading 15/32 in | from the touch, for the tip at 0.469 in',
    ]);
    expect(shown({ diameter_mm: 9 })).toEqual(['Size 0.354 in']);
  });

  it('say no size where the tool is called by another name', () => {
    for (const kind of ['tap', 'ream', 'face', 'part_off', 'turn'] as const) {
      expect(shown({ kind, diameter_mm: 8 })).toEqual([]);
    }
  });

  it('give the depth of a tap or reamer, which no scale shows', () => {
    expect(shown({ kind: 'tap', depth_mm: 8 })).toEqual(['Full thread 8 mm']);
    expect(shown({ kind: 'drill', depth_mm: 8 })).toEqual([]);
  });

  it("give moves as this lathe's dial shows them", () => {
    expect(
      shown({
        kind: 'part_off',
        dial_reading: said('planning.dial.turns', { count: 2, rest: 14 }),
        dial_divisions: 214,
        repeat: 6,
      }),
    ).toEqual(['Each move on the dial 2 turns and 14 | 214 divisions', 'Times × 6']);
    expect(
      shown({
        kind: 'turn',
        passes_mm: [27, 26.5, 26],
        dial_reading: said('planning.dial.divisions', { count: 20 }),
        repeat: 1,
      }),
    ).toEqual(['Turn to 27 → 26.5 → 26 mm', 'First cut on the dial 20 divisions']);
  });

  it('bore as they turn, by another name', () => {
    expect(
      shown({ kind: 'bore', passes_mm: [24.8, 25], dial_reading: said('planning.dial.divisions', { count: 2 }) }),
    ).toEqual(['Bore to 24.8 → 25 mm', 'First cut on the dial 2 divisions']);
    expect(shown({ kind: 'insert', depth_mm: 12 })).toEqual(['Insert, long 12 mm']);
  });

  it('show the limits that are measured to, at the machine and on its sheet', () => {
    expect(
      shown({
        kind: 'measure',
        figures: [figure({ key: 'limits_mm', unit: 'mm', terms: { go_mm: 8, no_go_mm: 8.015 } })],
      }),
    ).toEqual(['Limits 8 mm – 8.015 mm']);
  });

  it('keep for the curious what need not be read at the machine', () => {
    expect(
      quiet({
        total_depth_mm: 11.7,
        depth_mm: 9,
        scale_reading: '12 mm',
        feed_mm_rev: 0.15,
        time_s: 0.2,
        figures: [figure({ key: 'demand_nm', unit: 'nm', value: 4.26 })],
      }),
    ).toEqual([
      'Depth to the tip 11.7 mm',
      'Full diameter, deep 9 mm',
      'Feed 0.15 mm/rev',
      'Cutting time 1 s',
      'Grab to resist 4.3 N·m',
    ]);
    expect(quiet({})).toEqual([]);
  });

  it('carry their working, where there is one', () => {
    const [, speed] = within(useStepFigures).figuresOf(step({ diameter_mm: 9, rpm: 500, figures: [figure()] }));
    expect(speed?.figure?.rule).toBe('speed.ok');
  });
});

describe('a figure, pressed', () => {
  it('is a button that names its value, and opens its working', async () => {
    const chip = mountIn(
      StepFigure,
      { label: 'Spindle speed', value: '500 rpm', figure: figure() },
      { attachTo: document.body },
    );
    expect(chip.find('button').attributes('aria-label')).toBe('Spindle speed 500 rpm');
    expect(chip.text()).not.toContain('surface speed');
    await chip.find('button').trigger('click');
    expect(chip.text()).toContain('By surface speed, rounded down to a speed that this machine has.');
    // The focus has somewhere to go in it, and nothing that is hidden from a screen reader can take it.
    const hidden =
      '[aria-hidden=true][tabindex]:not([tabindex="-1"]), [aria-hidden=true] button, button[aria-hidden=true]';
    expect(document.querySelectorAll(hidden)).toHaveLength(0);
    await chip.find('[aria-label="Close the working"]').trigger('click');
    expect(chip.text()).not.toContain('By surface speed, rounded');
    chip.unmount();
  });

  it('without a working is no button', () => {
    expect(mountIn(StepFigure, { label: 'Times', value: '× 6', figure: undefined }).find('button').exists()).toBe(
      false,
    );
  });
});

describe('the working of a figure', () => {
  it('gives rule, formula, the values of this case with their units, and how sure it is', () => {
    const text = mountIn(FigureWorking, {
      figure: figure({
        terms: { v_m_min: 18, d_mm: 9, f_mm_rev: 0.15, target_rpm: 636.6249, angle_deg: 118, torque_nm: 4, lead: 3 },
        unsure: said('reference.unsure.materials_10'),
      }),
    }).text();
    for (const part of [
      '500 rpm',
      'n = 1000 · v · k / (π · d)',
      'v18 m/min',
      'd9 mm',
      'f0.15 mm/rev',
      'target636.62 rpm',
      'angle118°',
      'torque4 N·m',
      'lead3',
      'medium: +/-25 %',
    ]) {
      expect(text).toContain(part);
    }
    expect(text.toLowerCase()).toContain('teaching value');
  });

  it('shows lengths in the reader’s units', () => {
    signedIn('learner', 'in');
    const text = mountIn(FigureWorking, {
      figure: figure({ unit: 'mm', value: 25.4, terms: { d_mm: 12.7, v_m_min: 18 }, teaching_value: false }),
    }).text();
    expect(text).toContain('1.000 in');
    // The formula is worked in millimetres and m/min: what goes into it is said, and what that is in inches.
    expect(text).toContain('d12.7 mm = 0.500 in');
    expect(text).toContain('v18 m/min = 59 ft/min');
    expect(text.toLowerCase()).not.toContain('teaching value');
  });

  it('falls back on the name of a rule that has no words yet', () => {
    expect(mountIn(FigureWorking, { figure: figure({ rule: 'brand.new' }) }).text()).toContain('brand.new');
  });
});

describe('an operation', () => {
  it('has its cautions before the step, and says why', () => {
    const text = mountIn(PlanStepRow, {
      number: 7,
      step: step({
        cautions: [said('planning.caution.ease_at_breakthrough')],
        dangers: [said('planning.caution.never_by_hand')],
        standing: ['eyes', 'key_out'],
        lubricant: 'cutting oil',
        pecks: [
          { to_depth_mm: 27, reading_mm: 27 },
          { to_depth_mm: 36, reading_mm: 36 },
          { to_depth_mm: 40, reading_mm: 40 },
        ],
      }),
    }).text();
    expect(text.indexOf('Chuck key out.')).toBeLessThan(text.indexOf('Drill'));
    expect(text).toContain('7');
    expect(text).toContain('Lubricant: cutting oil.');
    expect(text).toContain('Withdraw at 27 mm, 36 mm.');
    expect(text).toContain('The size on the drawing, from this crib.');
  });

  it('offers its quiet figures only where there are any', () => {
    expect(mountIn(PlanStepRow, { number: 1, step: step() }).find('details').exists()).toBe(false);
    expect(
      mountIn(PlanStepRow, { number: 1, step: step({ feed_mm_rev: 0.1 }) })
        .find('details')
        .exists(),
    ).toBe(true);
  });
});

describe('the sequence', () => {
  it('stands on the rule, a mark for each operation, in order', () => {
    const sequence = mountIn(PlanSequence, {
      plan: plan({ operations: [step({ kind: 'punch' }), step({ kind: 'hold' }), step({ kind: 'drill' })] }),
      drawing: null,
    });
    expect(sequence.findAll('nav li button, [role=list] button, li button').map((mark) => mark.text())).toEqual(
      expect.arrayContaining([expect.stringContaining('Punch'), expect.stringContaining('Drill')]),
    );
    expect(sequence.findAll('li[id^=operation-]').map((row) => row.find('strong').text())).toEqual([
      'Punch',
      'Hold',
      'Drill',
    ]);
    expect(sequence.find('figure').exists()).toBe(false);
  });
});

describe('the verdict', () => {
  it('gives its reason with it', () => {
    const can = mountIn(PlanVerdict, { ready: true, missing: [], words: 'Bench drill' });
    expect(can.text()).toContain('● Can be made here, Bench drill');
    const cannot = mountIn(PlanVerdict, { ready: false, missing: ['No reamer.', 'No such drill.'], words: '' });
    expect(cannot.text()).toContain('■ This cannot be made here as it stands');
    expect(cannot.findAll('li').map((line) => line.text())).toEqual(['No reamer.', 'No such drill.']);
  });

  it('warns beside a plan that can be made', () => {
    const plan_ = mountIn(PlanVerdict, { ready: true, missing: [], warnings: ['Stop between the lines.'], words: '' });
    expect(plan_.text()).toContain('Stop between the lines.');
  });

  it('speaks of marking out for a layout', () => {
    expect(mountIn(PlanVerdict, { ready: false, missing: ['Too near.'], words: '', layout: true }).text()).toContain(
      'This cannot be marked out as it stands',
    );
  });
});

describe('a duration', () => {
  it.each([
    [0.4, '0 s'],
    [32.4, '32 s'],
    [59.6, '1 min 0 s'],
    [125, '2 min 5 s'],
  ])('of %d seconds is said as %s', (seconds, words) => {
    expect(within(useDuration)(seconds)).toBe(words);
  });
});
