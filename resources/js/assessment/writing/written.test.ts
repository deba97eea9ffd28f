import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import DifferencePlot from '@/assessment/measuring/DifferencePlot.vue';
import PaperSheet from '@/assessment/machine/PaperSheet.vue';
import SheetEditor from './SheetEditor.vue';

const SHEET: Schemas['WrittenSheet'] = {
  code: 'PS',
  version: 3,
  part: 'Foot plate',
  machine: 'Bench drill',
  pass_mark_percent: 80,
  title: 'Through holes',
  own: false,
  shown: [],
  written: {
    title: 'Through holes',
    criteria: [
      {
        id: 'eyes',
        group: 'safety',
        kind: 'observed',
        weight: 2,
        critical: true,
        critical_prompt_stops: true,
        text: 'Eyes',
        levels: { met: 'On', prompted: 'Reminded', not_met: 'Off' },
      },
      {
        id: 'dia',
        group: 'measured',
        kind: 'measured',
        weight: 2,
        critical: true,
        critical_prompt_stops: false,
        text: 'Hole',
        measure: 'size',
        feature: 'bore',
        nominal_mm: 8,
        plus_mm: 0.3,
        minus_mm: 0,
      },
    ],
    translations: { es: { title: 'Agujeros', criteria: { eyes: { text: 'Ojos' }, dia: { text: 'Agujero' } } } },
  },
  versions: [],
};

describe('a sheet while it is changed', () => {
  beforeEach(() => signedIn('lead'));
  const named = (page: ReturnType<typeof mountIn>, word: RegExp) =>
    page.findAll('button').find((button) => word.test(button.text()));

  it('is published with what changed, why, and what the other language says', async () => {
    const page = mountIn(SheetEditor, { sheet: SHEET }, { attachTo: document.body });
    expect(named(page, /^Publish/)?.attributes('disabled')).toBeDefined();
    await page.findAll('li input')[0]?.setValue('Eye protection');
    await named(page, /^↓/)?.trigger('click');
    serve('PUT /api/assessment/sheets/PS', { sheet: { ...SHEET, version: 4 }, faults: [] });
    await named(page, /^Publish/)?.trigger('click');
    await flushPromises();
    const note = document.querySelector('[role=dialog] input') as HTMLInputElement;
    note.value = 'Clearer words';
    note.dispatchEvent(new Event('input', { bubbles: true }));
    await flushPromises();
    document.querySelector<HTMLFormElement>('[role=dialog] form')?.requestSubmit();
    await flushPromises();
    const sent = called('PUT /api/assessment/sheets/PS')[0]?.body as Schemas['SheetChanged'];
    expect(sent.based_on).toBe(3);
    expect(sent.change).toBe('Clearer words');
    expect(sent.criteria.map(({ id, text }) => [id, text])).toEqual([
      ['dia', 'Hole'],
      ['eyes', 'Eye protection'],
    ]);
    expect(sent.translations.es?.criteria?.eyes).toEqual({ text: 'Ojos' });
    expect(page.emitted('done')).toHaveLength(1);
    page.unmount();
  });

  it('shows each fault at its line, and keeps what was written', async () => {
    const page = mountIn(SheetEditor, { sheet: SHEET }, { attachTo: document.body });
    await page.findAll('li input')[0]?.setValue('Eye protection');
    serve('PUT /api/assessment/sheets/PS', {
      sheet: null,
      faults: [
        {
          criterion: 'dia',
          file: 'sheets/PS.yaml',
          what: { code: 'measure.fit_unknown', terms: { said: 'Q9', known: ['H7'] } },
        },
      ],
    });
    await named(page, /^Publish/)?.trigger('click');
    await flushPromises();
    const note = document.querySelector('[role=dialog] input') as HTMLInputElement;
    note.value = 'Clearer words';
    note.dispatchEvent(new Event('input', { bubbles: true }));
    await flushPromises();
    document.querySelector<HTMLFormElement>('[role=dialog] form')?.requestSubmit();
    await flushPromises();
    expect(page.findAll('ol > li')[1]?.find('[role=alert]').text()).toContain('Q9');
    expect(page.emitted('done')).toBeUndefined();
    expect(localStorage.getItem('millstep.sheet.draft.PS')).toContain('Eye protection');
    page.unmount();
    localStorage.clear();
  });
});

describe('a sheet on paper', () => {
  it('is a form with a box for each verdict and a line for each reader', () => {
    signedIn('instructor');
    const text = mountIn(PaperSheet, {
      shown: true,
      sheet: { title: 'Through holes', part: 'Foot plate', machine: null, version: 3, pass_mark_percent: 80 },
      criteria: [
        { id: 'eyes', text: 'Eyes', kind: 'observed', critical: true },
        {
          id: 'dia',
          text: 'Hole',
          kind: 'measured',
          critical: true,
          asks: 'length',
          wants: { lower_mm: 9, upper_mm: 9.3 },
        },
        { id: 'own', text: 'Ring', kind: 'measured', critical: true, asks: 'length', wants: {} },
      ],
    }).text();
    expect(text.match(/☐/g)).toHaveLength(3);
    expect(text).toContain('from 9 mm to 9.3 mm');
    expect(text).toContain("everybody's own size");
    expect(text).toContain('learner');
  });
});

describe('differences between two readers', () => {
  it('are drawn in whole steps, with the mean and the limits named', () => {
    signedIn('learner');
    const pair = (size: number, off: number) => ({
      attempt: 'a',
      text: 'Hole',
      at: '2031-05-02T10:00:00Z',
      learner_mm: size + off,
      examiner_mm: size,
    });
    const plot = mountIn(DifferencePlot, {
      measuring: {
        learner: 'Wren',
        pairs: [pair(9, 0.02), pair(10, -0.01), pair(26, 0.03)],
        agreement: { count: 3, bias_mm: 0.0133, spread_mm: 0.0208, within_mm: 0.02 },
        limits: { lower_mm: -0.027, upper_mm: 0.054 },
      },
    });
    expect(plot.findAll('circle')).toHaveLength(3);
    expect(plot.text()).toContain('mean 0.013 mm');
    expect(plot.text()).toContain('limit 0.054 mm');
    for (const circle of plot.findAll('circle')) expect(Number(circle.attributes('cy'))).toBeGreaterThan(0);
  });
});
