import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { drawing, said } from '@/test/shapes';
import { beforeEach, describe, expect, it } from 'vitest';
import BatchFigures from '@/planning/lathe/BatchFigures.vue';
import ClassBarsTable from '@/planning/lathe/ClassBarsTable.vue';
import DrawingView from './DrawingView.vue';
import LayoutTable from '@/planning/layout/LayoutTable.vue';

beforeEach(() => signedIn('learner', 'mm'));

const dimension: Schemas['DrawingShape'] = {
  kind: 'text',
  x: 3,
  y: 4,
  anchor: 'middle',
  before: '⌀ ',
  length_mm: 9.525,
};

describe('a drawing', () => {
  it('is to scale in millimetres, with up upwards', () => {
    const svg = mountIn(DrawingView, {
      drawing: drawing({
        shapes: [
          {
            kind: 'path',
            style: 'outline',
            points: [
              [0, 0],
              [5, -8],
            ],
          },
        ],
      }),
    });
    expect(svg.attributes('viewBox')).toBe('-10 -5 20 25');
    expect(svg.find('polyline').attributes('points')).toBe('0,0 5,8');
    expect(svg.find('polyline').classes()).toContain('line-outline');
  });

  it("dimensions in the reader's units, and says them to whoever cannot see it", () => {
    const metric = mountIn(DrawingView, { drawing: drawing({ shapes: [dimension] }) });
    expect(metric.find('text').text()).toBe('⌀ 9.53 mm');
    expect(metric.attributes('aria-label')).toBe('Section of the hole, ⌀ 9.53 mm');
    signedIn('learner', 'in');
    expect(
      mountIn(DrawingView, { drawing: drawing({ shapes: [dimension] }) })
        .find('text')
        .text(),
    ).toBe('⌀ 0.375 in');
  });

  it('turns what stands upright, hatches what is cut, fills arrows', () => {
    const svg = mountIn(DrawingView, {
      drawing: drawing({
        shapes: [
          { ...dimension, upright: true },
          {
            kind: 'path',
            closed: true,
            hatched: true,
            style: 'thin',
            points: [
              [0, 0],
              [1, 0],
              [1, 1],
            ],
          },
          {
            kind: 'path',
            closed: true,
            style: 'arrow',
            points: [
              [0, 0],
              [1, 0],
              [1, 1],
            ],
          },
          { kind: 'circle', x: 2, y: 3, radius: 4.5, style: 'centre' },
        ],
      }),
    });
    expect(svg.find('text').attributes('transform')).toBe('rotate(-90 3 -4)');
    const [cut, arrow] = svg.findAll('polygon');
    expect(cut?.attributes('fill')).toMatch(/^url\(#/);
    expect(arrow?.attributes('fill')).toBe('currentColor');
    expect(svg.find('circle').attributes()).toMatchObject({ cx: '2', cy: '-3', r: '4.5' });
  });
});

const hole = (given: Partial<Schemas['LayoutHole']> = {}): Schemas['LayoutHole'] => ({
  name: 'A',
  x_mm: 15,
  y_mm: 15,
  datum_x_mm: 15,
  datum_y_mm: 15,
  edge_mm: 10.5,
  edge_ok: true,
  x_setting: { value_mm: 15, error_mm: 0, pieces_mm: [] },
  y_setting: { value_mm: 33.33, error_mm: -0.01, pieces_mm: [] },
  ...given,
});
const layout = (given: Partial<Schemas['Layout']> = {}): Schemas['Layout'] => ({
  count: 1,
  holes: [hole()],
  edge_wanted_mm: 9,
  least_edge_mm: 10.5,
  ligament_mm: 61,
  missing: [],
  ready: true,
  ...given,
});

describe('the table of a layout', () => {
  it('says what to set, how far that is off, and whether the edge will do', () => {
    const row = mountIn(
      {
        components: { LayoutTable },
        props: ['layout', 'setting'],
        template: '<div><LayoutTable :layout :setting /></div>',
      } as never,
      {
        layout: layout({ holes: [hole(), hole({ name: 'B', edge_ok: false, edge_mm: 2 })] }),
        setting: 'rule',
      },
    );
    const cells = row.findAll('tbody tr').map((line) => line.findAll('td').map((cell) => cell.text().trim()));
    expect(cells[0]).toEqual(['15 mm', '33.33 mm (−0.01 mm)', '● 10.5 mm']);
    expect(cells[1]?.[2]).toBe('■ 2 mm');
    expect(row.text()).toContain('9 mm at least');
    expect(row.text()).toContain('61 mm are left');
  });

  it('names the parallels of a stack, and nothing to a rule', () => {
    const stacked = layout({ holes: [hole({ x_setting: { value_mm: 15, error_mm: 0, pieces_mm: [12, 3] } })] });
    const table = (setting: string) =>
      mountIn(
        {
          components: { LayoutTable },
          props: ['layout', 'setting'],
          template: '<div><LayoutTable :layout :setting /></div>',
        } as never,
        { layout: stacked, setting },
      ).text();
    expect(table('stack')).toContain('12 mm + 3 mm');
    expect(table('rule')).not.toContain('12 mm + 3 mm');
  });
});

const batch: Schemas['Batch'] = {
  count: 6,
  move_mm: 7.2136,
  dial_divisions: 284,
  drilled_total_depth_mm: 47.9,
  overhang_mm: 49,
  overhang_ratio: 1.75,
  overhang_allowed_mm: 84,
  overhang_verdict: 'unsupported_ok',
  advice: [],
  blank_mm: 80.5,
  bar_used_mm: 43.3,
  most_at_once: 10,
  goes_through_spindle: false,
};

describe('what a batch takes of its bar', () => {
  it('gives each figure with its unit, the overhang with its ratio and limit', () => {
    const text = mountIn(BatchFigures, { batch }).text();
    for (const words of ['7.214 mm', '47.9 mm', '49 mm = 1.8 ⌀, 84 mm allowed', '80.5 mm', '43.3 mm', '10']) {
      expect(text).toContain(words);
    }
    expect(text).not.toContain('learners');
  });

  it('leaves out what a batch that is not parted off has not', () => {
    const whole = { ...batch, move_mm: undefined, most_at_once: undefined, bar_used_mm: undefined } as never;
    expect(mountIn(BatchFigures, { batch: whole }).findAll('dt')).toHaveLength(3);
  });

  it('says of each bar in stock whether there are enough for the class', () => {
    const bars: Schemas['ClassBars'] = {
      blank_mm: 80.5,
      learners: 9,
      stock: [
        { layout: [], length_mm: 1000, bars: 1, in_stock: 3, enough: true, waste_mm: 260, fault: null },
        { layout: [], length_mm: 250, bars: 3, in_stock: 1, enough: false, waste_mm: 12, fault: null },
        {
          layout: [],
          length_mm: 60,
          bars: null,
          in_stock: 9,
          enough: false,
          waste_mm: null,
          fault: said('planning.piece_too_long', { piece_mm: 80.5, bar_mm: 60 }),
        },
      ],
    };
    const table = mountIn(ClassBarsTable, { bars });
    expect(table.text()).toContain('Blanks of 80.5 mm for 9 learners');
    expect(table.findAll('tbody tr').map((line) => line.findAll('td').map((cell) => cell.text()))).toEqual([
      ['1', '● 3, enough', '260 mm'],
      ['3', '■ 1, too few', '12 mm'],
      ['—', '■ too short for one blank', '—'],
    ]);
    expect(mountIn(ClassBarsTable, { bars: { ...bars, stock: [] } }).text()).toContain('no such bar in stock');
  });
});
