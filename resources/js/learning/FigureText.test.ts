import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { defineComponent, h } from 'vue';
import FigureText from './FigureText.vue';

const figure = (with_: Partial<Schemas['Figure']>): Schemas['Figure'] => ({
  key: 'x',
  unit: 'mm',
  value: null,
  name: null,
  rule: 'point',
  formula: '',
  terms: {},
  teaching_value: false,
  unsure: null,
  ...with_,
});
const figures = {
  'final.drill': figure({ name: '9', value: 9, rule: 'final' }),
  'pilot.drill': figure({ name: '#47', value: 1.9939, rule: 'pilot.web' }),
  'final.speed': figure({
    unit: 'rpm',
    value: 500,
    rule: 'speed.ok',
    formula: 'n = 1000 · v · f / (π · d)',
    terms: { v_m_min: 24, f: 0.9, d_mm: 9, n_rpm: 763.94 },
    teaching_value: true,
  }),
  lubricant: figure({ unit: null, name: 'cutting oil', rule: 'lubricant' }),
};

/** In a paragraph, as everywhere in the application. */
const paragraph = (text: string) => defineComponent({ setup: () => () => h('p', h(FigureText, { text, figures })) });

describe('a sentence with figures', () => {
  beforeEach(() => signedIn('learner', 'mm'));

  it('puts them in where they belong', () => {
    const text = mountIn(
      paragraph('Set {{final.speed}} for the {{ final.drill }} drill with {{lubricant}}.'),
      {},
    ).text();
    expect(text.replace(/\s+/g, ' ')).toBe('Set 500 rpm for the 9 mm drill with cutting oil.');
  });

  it('calls a drill by its own name and says its size beside it', () => {
    expect(mountIn(paragraph('{{pilot.drill}}'), {}).text()).toBe('#47 (1.99 mm)');
  });

  it("follows the reader's units", () => {
    signedIn('learner', 'in');
    expect(mountIn(paragraph('{{final.drill}}'), {}).text()).toBe('0.354 in');
  });

  it('says so where a figure is not known yet', () => {
    expect(mountIn(paragraph('Drill to {{depth.reading}}.'), {}).text()).toContain('once you have read the scale');
  });

  it('says that a plan has none of what it lacks, and does not promise it', () => {
    const text = mountIn(paragraph('Look at the {{never.planned}}.'), {}).text();
    expect(text).toContain('this plan has none');
    expect(text).not.toContain('once you have read the scale');
  });

  it("opens its working: the rule, the formula, this case's values, and that it is a teaching value", async () => {
    const sentence = mountIn(paragraph('{{final.speed}}'), {}, { attachTo: document.body } as never);
    await sentence.find('button').trigger('click');
    await flushPromises();
    const working = document.body.textContent ?? '';
    for (const words of [
      'rounded down to a speed that this machine has',
      'n = 1000',
      '24 m/min',
      '763.94 rpm',
      'Teaching value',
    ])
      expect(working).toContain(words);
  });
});
