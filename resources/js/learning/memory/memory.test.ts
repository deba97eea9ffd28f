import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import FadingList from './FadingList.vue';
import QuestionsPage from './QuestionsPage.vue';
import WarmUpPage from './WarmUpPage.vue';

const replace = vi.hoisted(() => vi.fn());
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ replace }),
  useRoute: () => ({ query: { seed: '5' } }),
}));

const question = (id: string): Schemas['Question'] => ({
  id,
  kind: 'one',
  text: `Question ${id}?`,
  choices: [
    { id: 'a', text: 'Stop' },
    { id: 'b', text: 'Start' },
  ],
  unit: null,
  values: {},
  scene: null,
  critical: false,
});
const line = (id: string, right: boolean): Schemas['PaperLine'] => ({
  ...{ id, right, critical: false, lesson: 'A2', right_answer: 'Stop', replies: [], values: {}, answer: null },
  explanation: `Why of ${id}.`,
});
const lesson = (code: string, recall: number, due: number): Schemas['LessonMemory'] => ({
  ...{ lesson: code, title: `Lesson ${code}`, recall, questions: 3, due },
});

beforeEach(() => signedIn('learner'));

describe("today's questions", () => {
  const recall = (id: string): Schemas['Recall'] => ({ id, question: question(`q-${id}`), answer: null, line: null });

  it('come one after the other, each explained before the next', async () => {
    serve('POST /api/learning/recalls', { questions: [recall('r1'), recall('r2')] });
    serve('POST /api/learning/recalls/r1/answer', { ...recall('r1'), answer: ['b'], line: line('q-r1', false) });
    const page = mountIn(QuestionsPage, {});
    await flushPromises();
    expect(page.text()).toContain('1 of 2');
    const give = () => page.findAll('button').find((button) => button.text() === 'That is my answer');
    expect(give()?.attributes('disabled')).toBeDefined();
    await page.findAll('input')[1]?.setValue(true);
    await give()?.trigger('click');
    await flushPromises();
    expect(called('POST /api/learning/recalls/r1/answer')[0]?.body).toEqual({ answer: ['b'], units: 'mm' });
    expect(page.text()).toContain('Why of q-r1.');
    expect(page.text()).not.toContain('Question q-r2?');
    await page
      .findAll('button')
      .find((button) => button.text() === 'Next question')
      ?.trigger('click');
    expect(page.text()).toContain('2 of 2');
    expect(page.text()).toContain('Question q-r2?');
  });

  it('say so when there are none', async () => {
    serve('POST /api/learning/recalls', { questions: [] });
    const page = mountIn(QuestionsPage, {});
    await flushPromises();
    expect(page.text()).toContain('Nothing to ask today.');
  });
});

describe('what is fading', () => {
  it('is said per lesson, the weakest five first, and leads to the questions that are due', async () => {
    serve('GET /api/learning/learners/7/memory', {
      lessons: ['C1', 'C2', 'C3', 'C4', 'C5', 'C6'].map((code, place) =>
        lesson(code, 0.5 + place / 20, place === 0 ? 2 : 0),
      ),
    });
    const list = mountIn(FadingList, { learnerId: 7, own: true });
    await flushPromises();
    expect(list.findAll('li')).toHaveLength(5);
    expect(list.find('li').text()).toContain('50 %');
    expect(list.find('li').text()).toContain('2 questions to ask again');
    await list.find('button').trigger('click');
    expect(list.findAll('li')).toHaveLength(6);
  });

  it('is silent where nothing was passed yet', async () => {
    serve('GET /api/learning/learners/7/memory', { lessons: [] });
    const list = mountIn(FadingList, { learnerId: 7, own: true });
    await flushPromises();
    expect(list.text()).toBe('');
  });
});

describe('the warm-up', () => {
  it('keeps the answer back until it is asked for, by key too', async () => {
    serve('GET /api/learning/cohorts/3/warm-up', {
      cohort: 'Morning',
      lessons: [lesson('A2', 0.41, 4)],
      questions: ['q1', 'q2'].map((id) => ({
        ...{ question: question(id), line: line(id, true), answer: ['a'], lesson: 'A2', recall: 0.4 },
      })),
    });
    const wall = mountIn(WarmUpPage, { cohort: '3' });
    await flushPromises();
    expect(called('GET /api/learning/cohorts/3/warm-up')[0]?.query).toBe('?seed=5');
    expect(wall.text()).toContain('Question q1?');
    expect(wall.text()).not.toContain('Why of q1.');
    window.dispatchEvent(new KeyboardEvent('keydown', { key: ' ' }));
    await flushPromises();
    expect(wall.text()).toContain('Why of q1.');
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' }));
    await flushPromises();
    expect(wall.text()).toContain('Question q2?');
    expect(wall.text()).not.toContain('Why of q2.');
  });
});
