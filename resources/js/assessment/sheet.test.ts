import type { Schemas } from '@/api/client';
import { queryClient } from '@/api/queries';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve } from '@/test/server';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { isOpen, resultsOf, shapeOf } from './results';
import ScoreBar from '@/assessment/machine/ScoreBar.vue';
import SheetPage from './SheetPage.vue';

const criterion = (given: Partial<Schemas['Criterion']>): Schemas['Criterion'] => ({
  id: 'eyes',
  group: 'safety',
  kind: 'observed',
  weight: 1,
  critical: false,
  critical_prompt_stops: false,
  stops_on: [],
  text: 'Eye protection on',
  mark: null,
  before: [],
  notes: [],
  second: null,
  ...given,
});
const learner = (given: Partial<Schemas['LearnerMeasured']> = {}): Schemas['LearnerMeasured'] => ({
  done: false,
  declined: false,
  why: null,
  readings: null,
  found: null,
  ...given,
});
const MARKED: Schemas['MarkMade'] = {
  id: 'm1',
  result: 'met',
  by: 'Ada Example',
  said_at: null,
  why: null,
  made_at: new Date(Date.now() - 60_000).toISOString(),
};
const FOUND: Schemas['PartFound'] = {
  verdict: 'doubtful',
  why: { code: 'assessment.found.doubtful', terms: { value_mm: 9.29, uncertainty_mm: 0.02, count: 2 } },
  readings: 1,
  again: 2,
  value_mm: 9.29,
  spread_mm: 0,
  savable: false,
  then: null,
};
const CRITERIA = [
  criterion({ critical: true, critical_prompt_stops: true, stops_on: ['prompted', 'not_met'] }),
  criterion({ id: 'held', text: 'Work held', group: 'work', critical: true, stops_on: ['not_met'] }),
  criterion({ id: 'burr', text: 'Burr taken off', group: 'work' }),
  criterion({
    id: 'dia',
    text: 'Hole A diameter',
    group: 'measured',
    kind: 'measured',
    asks: 'length',
    wants: { lower_mm: 9, upper_mm: 9.3 },
    readings: [],
    found: null,
    learner: learner(),
    place: null,
    apart_mm: null,
    too_far_apart: false,
    turn: 'learner',
  }),
  criterion({ id: 'edge', text: 'Edge of the hole', group: 'work', kind: 'judged', scale_max: 4 }),
];
type Score = Schemas['SheetScore'];
const SCORE: Score = { outcome: 'incomplete', score_percent: 40, stopped_by: [], open: ['burr', 'dia'], failed_by: [] };
const attempt = (
  score: Partial<Score> = {},
  more: Partial<Schemas['AssessmentAttempt']> = {},
): Schemas['AssessmentAttempt'] => ({
  plans: [],
  id: 'a1',
  viewer: 'assessor',
  learner: { id: 9, name: 'Wren Example' },
  assessor: 'Ada Example',
  sheet: {
    code: 'PS',
    title: 'Through holes',
    version: 1,
    part: 'Foot plate',
    machine: 'Bench drill',
    material: 'mild_steel',
    pass_mark_percent: 75,
    gates: null,
  },
  machine_state: null,
  conduct: { said: [], next: ['started'], paused: false, worked_s: 0 },
  undo_seconds: 10,
  dimensions: [],
  tasks: [],
  criteria: CRITERIA,
  score: { ...SCORE, ...score },
  losses: [],
  notes: [],
  photos: [],
  second: null,
  second_wanted: false,
  second_open: false,
  reviews: [],
  assessor_may: null,
  stopped: null,
  part_code: null,
  again: null,
  outcome: null,
  concluded_at: null,
  cancelled_at: null,
  cancelled_because: null,
  put_away_because: null,
  put_away_counts: false,
  word: { answered: null, appealed: null, appeal_answered: null, may: [] },
  started_at: '2031-05-02T10:00:00Z',
  ...more,
});
const withOne = (id: string, given: Partial<Schemas['Criterion']>) => ({
  criteria: CRITERIA.map((each) => (each.id === id ? { ...each, ...given } : each)),
});

describe('the score of a sheet', () => {
  const bar = (score: Partial<Score>, pending = 0, unsaved = 0) =>
    mountIn(ScoreBar, { attempt: attempt(), score: { ...SCORE, ...score }, pending, unsaved }).text();
  beforeEach(() => signedIn('instructor'));

  it.each([
    [{ outcome: 'passed', score_percent: 88.24, open: [] }, '✓', '88.2 %'],
    [{ outcome: 'not_yet', score_percent: 61, open: [] }, '▲', '61.0 %'],
    [{ outcome: 'incomplete' }, '○', '40.0 %'],
  ] as [Partial<Score>, string, string][])('is a sign, a word and a figure', (score, sign, percent) => {
    expect(bar(score)).toContain(sign);
    expect(bar(score)).toContain(percent);
  });

  it('names what stopped it', () => {
    expect(bar({ outcome: 'stopped', stopped_by: ['held'], open: [] })).toContain('Work held');
  });

  it('names the part that is out, and not a mark that was reached', () => {
    const words = bar({ outcome: 'not_yet', score_percent: 93, open: [], failed_by: ['dia'] });
    expect(words).toContain('out of its limits: Hole A diameter');
    expect(words).not.toContain('are needed');
  });

  it('says which gates hold somebody back, with what is asked', () => {
    const gates = { observed_pass_percent: 80, prompt_limit: 3, why_limit: 2 };
    const words = mountIn(ScoreBar, {
      attempt: attempt({}, { sheet: { ...attempt().sheet, gates } }),
      score: {
        ...SCORE,
        outcome: 'not_yet',
        score_percent: 91,
        open: [],
        observed_percent: 62.5,
        reasons: ['observed', 'prompts', 'why'],
      },
      pending: 0,
      unsaved: 0,
    }).text();
    expect(words).toContain('the watched work alone came to 62.5 %, asked are 80 %');
    expect(words).toContain('3 or more lines of safety');
    expect(words).toContain('2 or more reasons');
  });

  it('says whether everything is kept', () => {
    expect(bar({}, 0)).toContain('all saved');
    expect(bar({}, 2)).not.toContain('all saved');
    expect(bar({}, 0, 1)).toContain('not saved');
  });
});

describe('what may be said of a criterion', () => {
  it('is four verdicts, or its points, each with a key; and nothing where it is measured', () => {
    expect(resultsOf(CRITERIA[0] as Schemas['Criterion']).map((one) => one.key)).toEqual(['1', '2', '3', '4']);
    expect(resultsOf(CRITERIA[4] as Schemas['Criterion']).map((one) => one.result)).toEqual([0, 1, 2, 3, 4]);
    expect(resultsOf(CRITERIA[3] as Schemas['Criterion'])).toEqual([]);
  });

  it('is open until it is seen, or sure', () => {
    expect(isOpen(criterion({ mark: { ...MARKED, result: 'not_seen' } }))).toBe(true);
    expect(isOpen(criterion({ mark: MARKED }))).toBe(false);
    expect(isOpen({ ...(CRITERIA[3] as Schemas['Criterion']), found: FOUND })).toBe(true);
    expect(shapeOf({ ...(CRITERIA[3] as Schemas['Criterion']), found: { ...FOUND, verdict: 'out' } }).shape).toBe('✕');
  });
});

/** What a mark is answered with, where the sheet then stands so. */
const marked = (
  { id, criteria, score, stopped }: Schemas['AssessmentAttempt'],
  criterion = '',
): Schemas['SheetMarked'] => ({
  id,
  criterion: criteria.find((each) => each.id === criterion) ?? null,
  score,
  stopped,
  second_marks: 0,
});

describe('a practical sheet', () => {
  let page: VueWrapper;
  const ROUTE = 'POST /api/assessment/attempts/a1/marks';
  const sent = () => called(ROUTE).map((call) => call.body as Record<string, unknown>);
  async function open(body = attempt(), role: 'instructor' | 'learner' = 'instructor') {
    queryClient.clear();
    sessionStorage.clear();
    signedIn(role, 'mm');
    serve('GET /api/assessment/attempts/a1', body);
    serve('GET /api/assessment/attempts', []);
    serve('GET /api/workshop/gauges', []);
    serve(ROUTE, marked(body));
    page = mountIn(SheetPage, { id: 'a1' }, { attachTo: document.body });
    await flushPromises();
  }
  const hand = () => page.find('[data-testid=hand]');
  const verdict = (word: string) =>
    hand()
      .findAll('[role=group] button')
      .find((button) => button.find('span + span > span').text() === word);
  async function go(id: string) {
    await page.find(`#criterion-${id}`).trigger('click');
  }
  async function press(...keys: string[]) {
    for (const key of keys) {
      window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      await flushPromises();
    }
  }
  const dialog = () => document.querySelector<HTMLElement>('[role=dialog]');
  const named = (text: RegExp) => [...document.querySelectorAll('button')].filter((b) => text.test(b.textContent));
  async function wait() {
    await new Promise((resolve) => setTimeout(resolve, 80));
    await flushPromises();
  }
  beforeEach(() => {
    window.scrollTo = vi.fn();
    Element.prototype.scrollIntoView = vi.fn();
  });
  afterEach(() => page.unmount());

  it('takes one press a verdict and goes on to the next by itself', async () => {
    await open();
    expect(hand().text()).toContain('Eye protection on');
    await verdict('met')?.trigger('click');
    await wait();
    expect(hand().text()).toContain('Work held');
    await press('1', '1');
    await wait();
    expect(sent().map(({ criterion: id, result }) => [id, result])).toEqual([
      ['eyes', 'met'],
      ['held', 'met'],
      ['burr', 'met'],
    ]);
    // The same again is the same mark.
    page.unmount();
    await open(attempt({}, withOne('burr', { mark: MARKED })));
    await go('burr');
    await press('1');
    await wait();
    expect(sent()).toHaveLength(3);
  });

  it('takes a double tap as one: the second does not fall on the next criterion', async () => {
    await open();
    await verdict('met')?.trigger('click');
    await verdict('met')?.trigger('click');
    await wait();
    expect(sent().map(({ criterion: id }) => id)).toEqual(['eyes']);
  });

  it('asks once before a critical slip ends it, and only then', async () => {
    await open();
    await go('held');
    await verdict('not met')?.trigger('click');
    await wait();
    expect(dialog()?.textContent).toContain('This ends the assessment');
    expect(sent()).toHaveLength(0);
    named(/^\s*Not now/)[0]?.click();
    await wait();
    expect(sent()).toHaveLength(0);
    await verdict('not met')?.trigger('click');
    await wait();
    dialog()?.querySelector<HTMLFormElement>('form')?.requestSubmit();
    await wait();
    expect(sent()).toMatchObject([{ criterion: 'held', result: 'not_met' }]);
    await go('burr');
    await verdict('not met')?.trigger('click');
    await wait();
    expect(dialog()).toBeNull();
    expect(sent()).toHaveLength(2);
  });

  it('changes what stands longer than a slip only with a reason', async () => {
    await open(attempt({}, withOne('burr', { mark: MARKED })));
    await go('burr');
    await press('2');
    await wait();
    const why = dialog()?.querySelector('input') as HTMLInputElement;
    why.value = 'Looked again';
    why.dispatchEvent(new Event('input', { bubbles: true }));
    await wait();
    dialog()?.querySelector<HTMLFormElement>('form')?.requestSubmit();
    await wait();
    expect(sent()).toMatchObject([{ criterion: 'burr', result: 'prompted', why: 'Looked again' }]);
  });

  it('offers to take the last mark back', async () => {
    await open();
    await go('burr');
    await press('1');
    await wait();
    const id = sent()[0]?.id as string;
    serve(`POST /api/assessment/attempts/a1/marks/${id}/undo`, marked(attempt()));
    expect(named(/Undo/)).toHaveLength(1);
    await press('u');
    await wait();
    expect(called(`POST /api/assessment/attempts/a1/marks/${id}/undo`)).toHaveLength(1);
    expect(named(/Undo/)).toHaveLength(0);
    expect(hand().text()).toContain('Burr taken off');
  });

  it('gives points by their figure', async () => {
    await open();
    await go('edge');
    await press('3');
    await wait();
    expect(sent()).toMatchObject([{ criterion: 'edge', result: 3 }]);
  });

  it('lets the learner measure first, and shows nothing of it before both are in', async () => {
    await open();
    await go('dia');
    expect(hand().text()).toContain('Wren Example measures');
    await hand().find('input').setValue('9.12');
    await hand().find('form').trigger('submit');
    await wait();
    expect(sent()).toMatchObject([{ criterion: 'dia', seat: 'learner', reading: { value: '9.12 mm' } }]);
    page.unmount();
    await open(attempt({}, withOne('dia', { turn: 'assessor', learner: learner({ done: true }) })));
    await go('dia');
    expect(hand().text()).toContain('Wren Example has measured');
    expect(hand().text()).not.toContain('9.12');
    await hand().find('input').setValue('9.1');
    await hand().find('form').trigger('submit');
    await wait();
    expect(sent().at(-1)).toMatchObject({ seat: 'assessor', reading: { value: '9.1 mm' } });
  });

  it('is not brought back by an answer that was on its way before the mark', async () => {
    await open();
    await go('dia');
    // Something else changed, so the sheet is being read while the learner's reading is sent.
    let answer: (body: unknown) => void = () => undefined;
    serve('GET /api/assessment/attempts/a1', () => new Promise((done) => (answer = done)));
    void queryClient.invalidateQueries({ queryKey: ['sheet', 'a1'] });
    await flushPromises();
    serve(ROUTE, marked(attempt({}, withOne('dia', { turn: 'assessor', learner: learner({ done: true }) })), 'dia'));
    await hand().find('input').setValue('9.12');
    await hand().find('form').trigger('submit');
    await wait();
    expect(hand().text()).toContain('has measured');
    answer(attempt());
    await wait();
    expect(hand().text()).toContain('has measured');
  });

  it('asks for another reading while it is doubtful, and says why', async () => {
    await open(
      attempt({}, withOne('dia', { turn: 'assessor', learner: learner({ done: true, readings: [] }), found: FOUND })),
    );
    await go('dia');
    expect(hand().text()).toContain('Measure again, 2 more times at most');
    expect(hand().find('form input').exists()).toBe(true);
  });

  it('says where a reading cannot be understood, and keeps what was typed', async () => {
    await open();
    await go('dia');
    serve(ROUTE, new Refusal(422, '"nine" is no size', { value: ['"nine" is no size'] }));
    await hand().find('input').setValue('nine');
    await hand().find('form').trigger('submit');
    await wait();
    expect(hand().find('[role=alert]').text()).toContain('no size');
    expect(hand().find<HTMLInputElement>('input').element.value).toBe('nine');
  });

  it('keeps on the sheet what the server would not take, and says that it is not saved', async () => {
    await open();
    serve(ROUTE, new Refusal(409, 'Ada marked this at 10:31.'));
    await go('burr');
    await press('1');
    await wait();
    expect(page.find('#criterion-burr').text()).toContain('✓');
    await go('burr');
    expect(hand().text()).toContain('Ada marked this at 10:31.');
    expect(page.text()).toContain('1 mark is not saved');
  });

  it('takes no more once it is stopped, but the slip itself', async () => {
    await open(
      attempt(
        { outcome: 'stopped', stopped_by: ['held'] },
        {
          ...withOne('held', { mark: { ...MARKED, result: 'not_met' } }),
          stopped: { at: '2031-05-02T10:20:00Z', criterion: 'held' },
        },
      ),
    );
    expect(page.text()).toContain('Stopped at');
    await go('burr');
    expect(verdict('met')?.attributes('disabled')).toBeDefined();
    expect(named(/Opened by mistake/)).toHaveLength(0);
  });

  it('is concluded only when everything is seen and kept, and asks once', async () => {
    await open();
    const conclude = () => named(/^\s*Conclude/).at(-1);
    expect(conclude()?.disabled).toBe(true);
    page.unmount();
    await open(attempt({ outcome: 'passed', score_percent: 90, open: [] }));
    const concluded = attempt(
      { outcome: 'passed', score_percent: 90, open: [] },
      { outcome: 'passed', concluded_at: '2031-05-02T11:00:00Z', part_code: 'AB34CD' },
    );
    serve('POST /api/assessment/attempts/a1/conclusion', concluded);
    conclude()?.click();
    await flushPromises();
    expect(dialog()?.textContent).toContain('90.0 %');
    expect(called('POST /api/assessment/attempts/a1/conclusion')).toHaveLength(0);
    serve('GET /api/assessment/attempts/a1', concluded);
    dialog()?.querySelector<HTMLFormElement>('form')?.requestSubmit();
    await wait();
    expect(called('POST /api/assessment/attempts/a1/conclusion')).toHaveLength(1);
    expect(page.text()).toContain('Every mark');
    expect(page.text()).toContain('AB34CD');
    expect(page.find('[data-testid=hand]').exists()).toBe(false);
  });

  it('is put away for a reason, in words once something is marked, and says that it was a try', async () => {
    await open(attempt({}, withOne('burr', { mark: MARKED })));
    const away = attempt(
      {},
      {
        cancelled_at: '2031-05-02T11:00:00Z',
        cancelled_because: 'Wrong learner',
        put_away_because: 'opened_by_mistake',
        put_away_counts: true,
      },
    );
    serve('POST /api/assessment/attempts/a1/cancellation', away);
    named(/Put away/)[0]?.click();
    await flushPromises();
    expect(dialog()?.textContent).toContain('it was a try');
    const act = () =>
      [...(dialog()?.querySelectorAll('button') ?? [])].find((one) => one.textContent === 'Put it away');
    expect(act()?.disabled).toBe(true);
    const because = dialog()?.querySelector('select') as HTMLSelectElement;
    because.value = 'opened_by_mistake';
    because.dispatchEvent(new Event('change', { bubbles: true }));
    const why = dialog()?.querySelector('input') as HTMLInputElement;
    why.value = 'Wrong learner';
    why.dispatchEvent(new Event('input', { bubbles: true }));
    serve('GET /api/assessment/attempts/a1', away);
    dialog()?.querySelector<HTMLFormElement>('form')?.requestSubmit();
    await wait();
    expect(called('POST /api/assessment/attempts/a1/cancellation')[0]?.body).toEqual({
      because: 'opened_by_mistake',
      words: 'Wrong learner',
    });
    expect(page.text()).toContain('it was a try');
  });

  it('tells its learner what cost what and what to practise', async () => {
    await open(
      attempt(
        { outcome: 'stopped', stopped_by: ['held'], open: [] },
        {
          ...withOne('held', { mark: { ...MARKED, result: 'not_met' }, lesson: 'C1' }),
          viewer: 'learner',
          outcome: 'stopped',
          concluded_at: '2031-05-02T11:00:00Z',
          losses: [{ criterion: 'held', why: 'stopped', points: 12.5 }],
          again: { until: null, exercises: 1 },
        },
      ),
      'learner',
    );
    expect(page.text()).toContain('ended the assessment');
    expect(page.text()).toContain('Lesson C1');
    expect(page.text()).toContain('1 more confirmed exercise');
    expect(page.findAll('button').some((button) => /conclude/i.test(button.text()))).toBe(false);
  });

  it('has its learner measure and work out, and nothing else, while it is open', async () => {
    const own = {
      viewer: 'learner' as const,
      score: null,
      dimensions: [{ id: 'thick', name: 'Thickness', mm: 5.5 }],
      tasks: [
        { id: 'move', text: 'How far?', criterion: null, unit: 'mm' as const, answer: null, right: null, key: null },
      ],
    };
    await open(attempt({}, own), 'learner');
    expect(page.text()).toContain('5.5 mm');
    serve('PUT /api/assessment/attempts/a1/tasks/move', attempt({}, own));
    await page.findAll('form')[0]?.find('input').setValue('7.7');
    await page.findAll('form')[0]?.trigger('submit');
    await wait();
    expect(called('PUT /api/assessment/attempts/a1/tasks/move')[0]?.body).toEqual({ answer: '7.7 mm', units: 'mm' });
    await page.findAll('form')[1]?.find('input').setValue('9.1');
    await page.findAll('form')[1]?.trigger('submit');
    await wait();
    expect(sent()).toMatchObject([{ criterion: 'dia', seat: 'learner' }]);
  });

  it('hides what it measures from a second instructor, and lets them say in the end what they saw', async () => {
    const says = attempt(
      {},
      {
        viewer: 'second',
        second: { name: 'Ada Example', done: false, agrees: null, says: null, marks: 1 },
        concluded_at: '2031-05-02T11:00:00Z',
      },
    );
    await open(says);
    expect(page.find('#criterion-dia').exists()).toBe(false);
    serve('POST /api/assessment/attempts/a1/second', says);
    named(/I disagree/)[0]?.click();
    await wait();
    expect(called('POST /api/assessment/attempts/a1/second')[0]?.body).toEqual({ agrees: false, says: null });
  });
});
