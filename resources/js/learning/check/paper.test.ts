import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { beforeEach, describe, expect, it } from 'vitest';
import PaperQuestion from './PaperQuestion.vue';

const question = (given: Partial<Schemas['Question']> = {}): Schemas['Question'] => ({
  id: 'q1',
  kind: 'one',
  text: 'What comes first?',
  choices: [
    { id: 'a', text: 'Stop' },
    { id: 'b', text: 'Start' },
    { id: 'c', text: 'Look' },
  ],
  unit: null,
  values: {},
  scene: null,
  critical: false,
  ...given,
});
const ask = (given: Partial<Schemas['Question']> = {}, answer: string[] = [], more: object = {}) =>
  mountIn(PaperQuestion, { question: question(given), number: 2, answer, line: undefined, closed: false, ...more });
const line = (right: boolean): Schemas['PaperLine'] => ({
  id: 'q1',
  right,
  critical: false,
  lesson: 'A2',
  right_answer: 'Stop',
  replies: [],
  values: {},
  answer: null,
  explanation: 'Know how to stop before you start.',
});

beforeEach(() => signedIn('learner'));

describe('a question', () => {
  it('with one right answer takes one', async () => {
    const one = ask();
    await one.findAll('input')[1]?.setValue(true);
    expect(one.emitted('answer')).toEqual([[['b']]]);
    expect(one.find('[role=radiogroup]').attributes('aria-label')).toBe('What comes first?');
  });

  it('of order is laid out press by press, and taken back', async () => {
    const order = ask({ kind: 'order' }, ['c']);
    expect(order.find('ol').text()).toBe('1Look');
    expect(order.findAll('ul button').map((button) => button.text())).toEqual(['AStop', 'BStart']);
    await order.findAll('ul button')[0]?.trigger('click');
    await order.find('ol button').trigger('click');
    expect(order.emitted('answer')).toEqual([[['c', 'a']], [[]]]);
  });

  it('for a figure takes it as it is written, and says which unit is wanted', async () => {
    const figure = ask({ kind: 'worked', choices: [], unit: 'rpm' });
    expect(figure.text()).toContain('rpm');
    await figure.find('input').setValue('1400');
    expect(figure.emitted('answer')).toEqual([[['1400']]]);
    expect(ask({ kind: 'worked', choices: [], unit: 'mm' }).text()).not.toContain(' mm ');
  });

  it('that is critical says so before it is answered', () => {
    expect(ask({ critical: true }).text()).toContain('◆');
    expect(ask().text()).not.toContain('◆');
  });

  it('is explained at the end, right or wrong, with the lesson it belongs to', () => {
    const wrong = ask({}, ['b'], { line: line(false), closed: true });
    expect(wrong.text()).toContain('Stop');
    expect(wrong.text()).toContain('Know how to stop before you start.');
    expect(wrong.text()).toContain('A2');
    expect(wrong.findAll('input').every((input) => input.attributes('disabled') !== undefined)).toBe(true);
    expect(ask({}, ['a'], { line: line(true), closed: true }).text()).toContain('✓');
  });

  it('of which several are right takes several, and gives them back', async () => {
    const several = ask({ kind: 'several' }, ['a']);
    await several.findAll('input')[1]?.setValue(true);
    await several.findAll('input')[0]?.setValue(false);
    expect(several.emitted('answer')).toEqual([[['a', 'b']], [[]]]);
    expect(several.find('[role=group]').attributes('aria-label')).toBe('What comes first?');
  });

  it('with a scene is pointed at, place by place, each saying what is seen there', async () => {
    const place = (id: string, seen: string): Schemas['ScenePlace'] => ({
      ...{ id, min_x: 0, min_y: 0, max_x: 10, max_y: 20 },
      seen: { code: `setup.scene.${seen}`, terms: {} },
    });
    const scene: Schemas['Scene'] = {
      drawing: { title: 'scene.press', min_x: 0, min_y: 0, max_x: 100, max_y: 100, text_mm: 6, shapes: [] },
      places: [place('key', 'key.in_chuck'), place('guard', 'guard.closed')],
    };
    const hazard = ask({ kind: 'hazard', choices: [], scene }, ['key']);
    const key = hazard.find('[data-place=key]');
    expect(key.attributes('aria-pressed')).toBe('true');
    expect(key.attributes('aria-label')).toContain('in the chuck');
    expect(key.attributes('style')).toContain('top: 80%');
    await hazard.find('[data-place=guard]').trigger('click');
    await key.trigger('click');
    expect(hazard.emitted('answer')).toEqual([[['key', 'guard']], [[]]]);
  });

  it("says its values in the reader's units, and what was wanted once it may be known", () => {
    const text = 'A {diameter_mm} mm drill at {rpm} rpm?';
    const values = { diameter_mm: 12.7, rpm: 850 };
    expect(ask({ kind: 'worked', text, values, unit: 'mm' }).text()).toContain('A 12.7 mm drill at 850 rpm?');
    signedIn('learner', 'in');
    const solved = { ...line(true), explanation: 'It is {answer}.', values, answer: 25.4 };
    const inches = ask({ kind: 'worked', text, values, unit: 'mm' }, ['1'], { line: solved, closed: true }).text();
    expect(inches).toContain('A 0.500 in drill at 850 rpm?');
    expect(inches).toContain('It is 1.000 in.');
  });

  it('answers the wrong choice that was made', () => {
    const wrong = {
      ...line(false),
      right_answer: null,
      explanation: null,
      replies: ['Starting first leaves no time to look.'],
    };
    expect(ask({}, ['b'], { line: wrong, closed: true }).text()).toContain('Starting first leaves no time to look.');
  });
});
