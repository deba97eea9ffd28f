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
    expect(order.findAll('ul button').map((button) => button.text())).toEqual(['·Stop', '·Start']);
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
});
