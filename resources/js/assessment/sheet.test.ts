import type { Schemas } from '@/api/client';
import { queryClient } from '@/api/queries';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve } from '@/test/server';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import ScoreBar from './ScoreBar.vue';
import SheetPage from './SheetPage.vue';

const criterion = (given: Partial<Schemas['Criterion']>): Schemas['Criterion'] => ({
  id: 'eyes',
  group: 'safety',
  kind: 'observed',
  weight: 1,
  critical: false,
  critical_prompt_stops: false,
  text: 'Eye protection on',
  mark: null,
  judged: null,
  ...given,
});
const CRITERIA = [
  criterion({ critical: true, critical_prompt_stops: true }),
  criterion({ id: 'held', text: 'Work held', group: 'work', critical: true }),
  criterion({ id: 'burr', text: 'Burr taken off', group: 'work' }),
  criterion({
    id: 'dia',
    text: 'Hole A diameter',
    group: 'measured',
    kind: 'measured',
    measure: 'diameter',
    lower_mm: 9,
    upper_mm: 9.3,
  }),
  criterion({
    id: 'pos',
    text: 'Hole A position',
    group: 'measured',
    kind: 'measured',
    measure: 'position',
    upper_mm: 0.5,
  }),
];
type Score = Schemas['AssessmentAttempt']['score'];
const attempt = (
  score: Partial<Score> = {},
  more: Partial<Schemas['AssessmentAttempt']> = {},
): Schemas['AssessmentAttempt'] => ({
  plans: [],
  id: 'a1',
  learner: { id: 9, name: 'Wren Example' },
  assessor: 'Ada Example',
  sheet: {
    code: 'PS',
    title: 'Through holes',
    version: 1,
    part: 'Foot plate',
    machine: 'Bench drill',
    pass_mark_percent: 75,
  },
  criteria: CRITERIA,
  score: { outcome: 'incomplete', score_percent: 40, stopped_by: [], open: ['burr', 'dia'], ...score },
  outcome: null,
  concluded_at: null,
  cancelled_at: null,
  cancelled_because: null,
  started_at: '2031-05-02T10:00:00Z',
  ...more,
});

describe('the score of a sheet', () => {
  const bar = (score: Partial<Score>, pending = 0, unsaved = 0) =>
    mountIn(ScoreBar, { attempt: attempt(score), pending, unsaved }).text();
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

  it('says whether everything is kept', () => {
    expect(bar({}, 0)).toContain('all saved');
    expect(bar({}, 2)).not.toContain('all saved');
    expect(bar({}, 0, 1)).toContain('not saved');
    expect(bar({}, 0, 1)).not.toContain('all saved');
  });
});

describe('a practical sheet', () => {
  let page: VueWrapper;
  const sent = () =>
    called('PUT /api/assessment/attempts/a1/marks/eyes').concat(
      called('PUT /api/assessment/attempts/a1/marks/held'),
      called('PUT /api/assessment/attempts/a1/marks/burr'),
    );
  async function open(body = attempt(), role: 'instructor' | 'learner' = 'instructor') {
    queryClient.clear();
    signedIn(role, 'mm');
    serve('GET /api/assessment/attempts/a1', body);
    for (const { id } of CRITERIA) serve(`PUT /api/assessment/attempts/a1/marks/${id}`, body);
    page = mountIn(SheetPage, { id: 'a1' }, { attachTo: document.body });
    await flushPromises();
  }
  const verdict = (text: string, word: string) =>
    page
      .find(`[role=group][aria-label="${text}"]`)
      .findAll('button')
      .find((button) => button.text().endsWith(word));
  /** Arrows down to a criterion, and a key there. */
  async function press(key: string, down = 0) {
    for (const each of [...Array<string>(down).fill('ArrowDown'), key]) {
      window.dispatchEvent(new KeyboardEvent('keydown', { key: each, bubbles: true }));
      await flushPromises();
    }
  }
  const named = (text: RegExp) => [...document.querySelectorAll('button')].filter((b) => text.test(b.textContent));
  async function wait() {
    await new Promise((resolve) => setTimeout(resolve, 80));
    await flushPromises();
  }
  beforeEach(() => {
    window.confirm = vi.fn(() => true);
    window.scrollTo = vi.fn();
  });
  afterEach(() => page.unmount());

  it('takes one press a verdict; a double tap changes nothing, and its own button takes it back', async () => {
    await open();
    await verdict('Burr taken off', ' met')?.trigger('click');
    await wait();
    expect(sent().map((call) => call.body)).toEqual([{ result: 'met' }]);
    page.unmount();
    await open(
      attempt(
        {},
        { criteria: CRITERIA.map((each) => (each.id === 'burr' ? { ...each, mark: { result: 'met' } } : each)) },
      ),
    );
    expect(verdict('Burr taken off', ' met')?.attributes('aria-pressed')).toBe('true');
    await verdict('Burr taken off', ' met')?.trigger('click');
    await press('1', 3);
    await wait();
    expect(sent()).toHaveLength(1);
    await page.find('[aria-label="Take the mark back: Burr taken off"]').trigger('click');
    await wait();
    expect(sent().at(-1)?.body).toEqual({ result: null });
    await press('0');
    await wait();
    expect(sent().at(-1)?.body).toEqual({ result: null });
  });

  it('asks before a critical slip ends it, and only then', async () => {
    await open();
    const asks = window.confirm as ReturnType<typeof vi.fn>;
    asks.mockReturnValue(false);
    await verdict('Work held', 'not met')?.trigger('click');
    await wait();
    expect(asks).toHaveBeenCalledTimes(1);
    expect(sent()).toHaveLength(0);
    // A prompt stops where the sheet says so, and not where it does not.
    await verdict('Work held', 'prompted')?.trigger('click');
    expect(asks).toHaveBeenCalledTimes(1);
    await verdict('Eye protection on', 'prompted')?.trigger('click');
    expect(asks).toHaveBeenCalledTimes(2);
    await verdict('Burr taken off', 'not met')?.trigger('click');
    expect(asks).toHaveBeenCalledTimes(2);
  });

  it('is marked by keyboard: arrows along it, figures for the verdict', async () => {
    await open();
    await press('1', 3);
    await wait();
    expect(called('PUT /api/assessment/attempts/a1/marks/burr').map((call) => call.body)).toEqual([{ result: 'met' }]);
  });

  it('takes measures as they are typed, judged beside them', async () => {
    const judged = { verdict: 'doubtful' as const, value_mm: 9.29, deviation_mm: 0.14 };
    await open(
      attempt(
        {},
        { criteria: CRITERIA.map((each) => (each.id === 'dia' ? { ...each, mark: { typed: '9.29' }, judged } : each)) },
      ),
    );
    expect(page.find('#criterion-dia').text()).toContain('?');
    expect(page.find('#criterion-dia').text()).toContain('9.29 mm');
    await page.find('input[aria-label="Hole A diameter"]').setValue('9.12');
    await page.find('input[aria-label="Hole A diameter"]').trigger('change');
    await page.find('input[aria-label="Hole A position dx"]').setValue('0,1');
    await page.find('input[aria-label="Hole A position dx"]').trigger('change');
    await wait();
    expect(called('PUT /api/assessment/attempts/a1/marks/dia')[0]?.body).toEqual({ value: '9.12 mm' });
    expect(called('PUT /api/assessment/attempts/a1/marks/pos')[0]?.body).toEqual({ dx: '0,1 mm', dy: '' });
  });

  it('changes no reading when the units are switched half way', async () => {
    await open();
    const field = () => page.find<HTMLInputElement>('input[aria-label="Hole A diameter"]');
    await field().trigger('focus');
    await field().setValue('9.1');
    signedIn('instructor', 'in');
    await flushPromises();
    await field().trigger('change');
    await wait();
    expect(called('PUT /api/assessment/attempts/a1/marks/dia').at(-1)?.body).toEqual({ value: '9.1 mm' });
    expect(field().element.value).toBe('9.1 mm');
  });

  it('keeps on the sheet what the server would not take, and says that it is not saved', async () => {
    await open();
    serve('PUT /api/assessment/attempts/a1/marks/burr', new Refusal(409, 'This sheet is concluded.'));
    await verdict('Burr taken off', ' met')?.trigger('click');
    await wait();
    expect(verdict('Burr taken off', ' met')?.attributes('aria-pressed')).toBe('true');
    expect(page.find('#criterion-burr').text()).toContain('This sheet is concluded.');
    expect(page.text()).toContain('1 mark is not saved');
    expect(page.text()).not.toContain('all saved');
  });

  it('is concluded only when everything is seen and kept, and asks once', async () => {
    await open();
    const conclude = () => page.findAll('button').at(-1);
    expect(conclude()?.attributes('disabled')).toBeDefined();
    page.unmount();
    await open(attempt({ outcome: 'passed', score_percent: 90, open: [] }));
    const concluded = attempt(
      { outcome: 'passed', score_percent: 90, open: [] },
      { outcome: 'passed', concluded_at: '2031-05-02T11:00:00Z' },
    );
    serve('POST /api/assessment/attempts/a1/conclusion', concluded);
    await conclude()?.trigger('click');
    await flushPromises();
    expect(document.querySelector('[role=dialog]')?.textContent).toContain('90.0 %');
    expect(called('POST /api/assessment/attempts/a1/conclusion')).toHaveLength(0);
    serve('GET /api/assessment/attempts/a1', concluded);
    named(/^\s*Conclude/)
      .at(-1)
      ?.click();
    await wait();
    expect(called('POST /api/assessment/attempts/a1/conclusion')).toHaveLength(1);
    expect(page.find('[role=group] button').attributes('disabled')).toBeDefined();
    expect(page.find('input').attributes('disabled')).toBeDefined();
    expect(page.text()).toContain('Wren Example');
  });

  it('says why it could not be concluded', async () => {
    await open(attempt({ outcome: 'not_yet', score_percent: 60, open: [] }));
    serve('POST /api/assessment/attempts/a1/conclusion', new Refusal(409, 'It is concluded already.'));
    await page.findAll('button').at(-1)?.trigger('click');
    await flushPromises();
    named(/^\s*Conclude/)
      .at(-1)
      ?.click();
    await wait();
    expect(document.querySelector('[role=dialog] [role=alert]')?.textContent).toContain('It is concluded already.');
  });

  it('opened by mistake is put away: with the reason once something is marked, and not once a slip stopped it', async () => {
    const marked = {
      criteria: CRITERIA.map((each) => (each.id === 'burr' ? { ...each, mark: { result: 'met' } } : each)),
    };
    await open(attempt({}, marked));
    const away = attempt({}, { ...marked, cancelled_at: '2031-05-02T11:00:00Z', cancelled_because: 'Wrong learner' });
    serve('POST /api/assessment/attempts/a1/cancellation', away);
    named(/Opened by mistake/)[0]?.click();
    await flushPromises();
    const why = document.querySelector<HTMLInputElement>('[role=dialog] input');
    if (why) why.value = 'Wrong learner';
    why?.dispatchEvent(new Event('input', { bubbles: true }));
    serve('GET /api/assessment/attempts/a1', away);
    document.querySelector<HTMLFormElement>('[role=dialog] form')?.requestSubmit();
    await wait();
    expect(called('POST /api/assessment/attempts/a1/cancellation')[0]?.body).toEqual({ reason: 'Wrong learner' });
    expect(page.text()).toContain('was put away');
    expect(page.find('[role=group] button').attributes('disabled')).toBeDefined();
    page.unmount();
    await open(attempt({ outcome: 'stopped', stopped_by: ['held'], open: [] }));
    expect(named(/Opened by mistake/)).toHaveLength(0);
  });

  it('is read, not written, by the learner', async () => {
    await open(attempt(), 'learner');
    expect(page.findAll('[role=group] button').every((button) => button.attributes('disabled') !== undefined)).toBe(
      true,
    );
    expect(page.findAll('button').some((button) => /conclude/i.test(button.text()))).toBe(false);
  });
});
