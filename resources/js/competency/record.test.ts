import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve } from '@/test/server';
import { flushPromises, RouterLinkStub } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import HoldPanel from './HoldPanel.vue';
import LedgerList from './LedgerList.vue';
import PermitPath from './PermitPath.vue';
import WaitingList from './WaitingList.vue';

const push = vi.hoisted(() => vi.fn());
vi.mock('vue-router', async (original) => ({ ...(await original<object>()), useRouter: () => ({ push }) }));

const permit = (given: Partial<Schemas['PermitRecord']> = {}, standing: Partial<Schemas['Standing']> = {}) =>
  ({
    code: 'drill',
    name: 'Through holes to 10 mm',
    standing: { stage: 0, held: false, lapsed: null, next: [{ kind: 'lesson', what: 'C6' }], ...standing },
    lessons: [
      { code: 'C5', title: 'Bring the mark under', completed: true, guided: false, steps: 6, steps_done: 6 },
      { code: 'C6', title: 'Pilot and through hole', completed: false, guided: false, steps: 10, steps_done: 3 },
    ],
    checks: [
      { code: 'SC', title: 'Safety check', attempts: 0, passed: false, score_percent: null, last_attempt: null },
    ],
    practice: { count: 1, count_needed: 3, minutes: 40, minutes_needed: 90, waiting: 1 },
    assessments: [
      {
        code: 'PS',
        title: 'Through holes',
        outcome: null,
        score_percent: null,
        attempts: 0,
        last_attempt: null,
        open_attempt: null,
        tries: [],
        exception: null,
      },
    ],
    acknowledged: false,
    signed_off: null,
    ...given,
  }) as unknown as Schemas['PermitRecord'];
const path = (record: Schemas['PermitRecord'], own = true) =>
  mountIn(PermitPath, { permit: record, learnerId: 7, learnerName: 'Wren Example', own });
const links = (page: ReturnType<typeof path>) =>
  page.findAllComponents(RouterLinkStub).map((link) => link.props('to') as object);

beforeEach(() => {
  push.mockReset();
  signedIn('instructor', 'mm');
});

describe('a permit as a way of five stages', () => {
  it('says the stage in a word and what is next, and offers the learner that very move', () => {
    const page = path(permit());
    expect(page.find('[data-testid=stage]').text()).toBe('blank, 0 of 5');
    expect(links(page)[0]).toEqual({ name: 'lesson', params: { code: 'C6' } });
    expect(page.text()).toContain('3 of 10 steps');
    expect(page.text()).toContain('lessons'.slice(0, 6));
  });

  it.each<[Schemas['Need'], object]>([
    [
      { kind: 'check', what: 'SC' },
      { name: 'check', params: { code: 'SC' } },
    ],
    [{ kind: 'practice', what: 'count', count: 2 }, { name: 'logbook' }],
    [{ kind: 'sign_off' }, { name: 'sign-off', params: { id: 7, permit: 'drill' } }],
  ])('leads from %o to its page', (next, to) => {
    expect(links(path(permit({}, { next: [next] })))[0]).toEqual(to);
  });

  it('has no next move for whoever only looks on, is held, or waits for a signature', () => {
    const first = (record: Schemas['PermitRecord'], own = true) => links(path(record, own))[0];
    const lesson = { name: 'lesson', params: { code: 'C5' } };
    expect(first(permit(), false)).toEqual(lesson);
    expect(first(permit({}, { held: true }))).toEqual(lesson);
    expect(first(permit({ acknowledged: true }, { next: [{ kind: 'sign_off' }], stage: 4 }))).toEqual(lesson);
  });

  it('says held or lapsed before anything good', () => {
    const signed = {
      by: 'Ada Example',
      at: '2031-05-02T10:00:00Z',
      valid_until: '2032-05-02T10:00:00Z',
      scope: { materials: ['mild_steel', 'bronze'], max_diameter_mm: 6.5 },
      covers: { materials: ['mild_steel'], max_diameter_mm: 6.5 },
      narrowed: { materials: ['bronze'] },
    };
    const text = (standing: Partial<Schemas['Standing']>) =>
      path(permit({ signed_off: signed as never }, { stage: 5, next: [], ...standing })).text();
    expect(text({})).toContain('Ada Example');
    expect(text({})).toContain('●');
    expect(text({})).toContain('Covers: mild steel; every operation; up to 6.5 mm');
    expect(text({})).toContain('The permit covers less today than was signed: no longer bronze.');
    expect(text({ held: true })).toContain('■');
    expect(text({ lapsed: 'recency' })).toContain('▲');
  });

  it('opens a sheet for the instructor, once, and goes there; a refusal is said', async () => {
    serve('POST /api/assessment/attempts', { id: 'a1' });
    const page = path(permit({}, { stage: 3 }), false);
    serve('GET /api/assessment/sheets/PS/opening/7', {
      pieces: [
        { key: 'steel', material: 'Mild steel', outcome: 'passed' },
        { key: 'aluminium', material: 'Aluminium', outcome: null },
      ],
      machines: [{ slug: 'bench-drill', name: 'Bench drill press', checked_today: { guards: null, stop: null } }],
      check_required: false,
    });
    await page.findAll('button')[0]?.trigger('click');
    await flushPromises();
    const form = () => document.querySelector<HTMLFormElement>('[role=dialog] form');
    // What was not passed yet stands there.
    expect(form()?.querySelector('select')?.value).toBe('aluminium');
    serve('POST /api/assessment/attempts', new Refusal(409, 'Supervised practice comes first.'));
    form()?.requestSubmit();
    await flushPromises();
    expect(form()?.textContent).toContain('Supervised practice comes first.');
    serve('POST /api/assessment/attempts', { id: 'a1' });
    form()?.requestSubmit();
    await flushPromises();
    expect(called('POST /api/assessment/attempts')[0]?.body).toMatchObject({
      sheet: 'PS',
      learner_id: 7,
      variant: 'aluminium',
      machine: 'bench-drill',
    });
    expect(push).toHaveBeenCalledWith({ name: 'sheet', params: { id: 'a1' } });
    page.unmount();
  });

  it('goes on with a sheet that is open without asking', async () => {
    serve('POST /api/assessment/attempts', { id: 'a1' });
    const record = permit({}, { stage: 3 });
    const sheets = record.assessments.map((sheet) => ({ ...sheet, open_attempt: 'a1' }));
    await path({ ...record, assessments: sheets }, false)
      .findAll('button')[0]
      ?.trigger('click');
    await flushPromises();
    expect(called('POST /api/assessment/attempts')).toHaveLength(1);
  });

  it('lets a learner neither open a sheet nor sign', () => {
    expect(path(permit({}, { stage: 4 })).findAll('button')).toHaveLength(0);
  });
});

describe('who waits for whom', () => {
  const item = (given: Partial<Schemas['WaitingItem']>): Schemas['WaitingItem'] => ({
    kind: 'look',
    learner: { id: 9, name: 'Wren Example' },
    since: null,
    id: 'h1',
    what: 'C6, step 3',
    detail: null,
    minutes: null,
    ...given,
  });

  it('has for each the one move that ends the waiting', async () => {
    serve('POST /api/learning/holds/h1/open', {});
    serve('POST /api/practice/entries/e1/decision', {});
    const list = mountIn(WaitingList, {
      items: [
        item({}),
        item({ kind: 'practice', id: 'e1', what: 'Two plates' }),
        item({ kind: 'signature', id: 'drill', what: 'Through holes' }),
        item({ kind: 'sheet', id: 's1', what: 'Half a sheet' }),
      ],
    });
    const [look, , practice] = list.findAll('button');
    await look?.trigger('click');
    await practice?.trigger('click');
    await flushPromises();
    expect(called('POST /api/learning/holds/h1/open')).toHaveLength(1);
    // One press asks, the second confirms.
    expect(called('POST /api/practice/entries/e1/decision')).toHaveLength(0);
    expect(document.querySelector('[role=dialog]')?.textContent).toContain('Two plates');
    document.querySelector<HTMLFormElement>('[role=dialog] form')?.requestSubmit();
    await flushPromises();
    expect(called('POST /api/practice/entries/e1/decision')[0]?.body).toEqual({ confirm: true });
    list.unmount();
    const to = list.findAllComponents(RouterLinkStub).map((link) => link.props('to') as object);
    expect(to).toContainEqual({ name: 'sign-off', params: { id: 9, permit: 'drill' } });
    expect(to).toContainEqual({ name: 'sheet', params: { id: 's1' } });
  });

  it('confirms those that are ticked of many, and no others', async () => {
    for (const id of ['e1', 'e2', 'e3']) serve(`POST /api/practice/entries/${id}/decision`, {});
    const list = mountIn(
      WaitingList,
      { items: ['e1', 'e2', 'e3'].map((id) => item({ kind: 'practice', id, what: `Plate ${id}` })) },
      { attachTo: document.body },
    );
    await list.findAll('button')[0]?.trigger('click');
    await flushPromises();
    const dialog = () => document.querySelector('[role=dialog]');
    const confirm = () => dialog()?.querySelector<HTMLButtonElement>('button[type=submit]');
    expect(confirm()?.disabled).toBe(true);
    for (const value of ['e1', 'e3']) {
      dialog()?.querySelector<HTMLInputElement>(`input[value=${value}]`)?.click();
      await flushPromises();
    }
    expect(confirm()?.textContent).toContain('Confirm 2 entries');
    dialog()?.querySelector<HTMLFormElement>('form')?.requestSubmit();
    await flushPromises();
    expect(['e1', 'e2', 'e3'].map((id) => called(`POST /api/practice/entries/${id}/decision`).length)).toEqual([
      1, 0, 1,
    ]);
    expect(dialog()).toBeNull();
    list.unmount();
  });

  it('sends a learner back with what is still missing', async () => {
    serve('POST /api/learning/holds/h1/return', {});
    const list = mountIn(WaitingList, { items: [item({})] });
    await list.findAll('button')[1]?.trigger('click');
    await list.find('input').setValue('The vice is loose.');
    await list.find('form').trigger('submit');
    await flushPromises();
    expect(called('POST /api/learning/holds/h1/return')[0]?.body).toEqual({ reason: 'The vice is loose.' });
  });

  it('says when nobody waits, and what went wrong', async () => {
    expect(mountIn(WaitingList, { items: [] }).text()).toContain('0');
    serve('POST /api/learning/holds/h1/open', new Refusal(403, 'Only whoever teaches may look.'));
    const list = mountIn(WaitingList, { items: [item({})] });
    await list.find('button').trigger('click');
    await flushPromises();
    expect(list.find('[role=alert]').text()).toContain('Only whoever teaches may look.');
  });
});

describe('holding a permit', () => {
  const choices = (page: ReturnType<typeof mountIn>) =>
    page.findAll('option').map((option) => option.attributes('value'));

  it('offers to hold what runs, and to lift what is held', () => {
    expect(choices(mountIn(HoldPanel, { permit: permit(), learnerId: 7 }))).toEqual([
      'incident_hold',
      'suspended',
      'revoked',
    ]);
    expect(choices(mountIn(HoldPanel, { permit: permit({}, { held: true }), learnerId: 7 }))).toEqual([
      'reinstated',
      'revoked',
    ]);
  });

  it('goes with its reason; a reason that will not do stays as it is typed', async () => {
    const route = 'POST /api/competency/learners/7/permits/drill/holds';
    serve(route, new Refusal(422, 'No.', { reason: ['Say what happened.'] }));
    const panel = mountIn(HoldPanel, { permit: permit(), learnerId: 7 });
    await panel.find('select').setValue('suspended');
    await panel.find('input').setValue('Gloves');
    await panel.find('form').trigger('submit');
    await flushPromises();
    expect(panel.text()).toContain('Say what happened.');
    expect(panel.find('input').element.value).toBe('Gloves');
    serve(route, {});
    await panel.find('form').trigger('submit');
    await flushPromises();
    expect(called(route)[1]?.body).toMatchObject({ type: 'suspended', reason: 'Gloves' });
    expect(panel.find('input').element.value).toBe('');
  });
});

describe('the ledger', () => {
  const line = (given: Partial<Schemas['LedgerLine']>): Schemas['LedgerLine'] => ({
    id: 'l1',
    type: 'lesson_completed',
    permit: null,
    details: { lesson: 'C6' },
    recorded_by: 'Ada Example',
    happened_at: '2031-05-02T10:00:00Z',
    recorded_at: '2031-05-02T10:00:01Z',
    hash: '0123456789abcdef',
    corrected: false,
    ...given,
  });

  const chain = { count: 4, hash: 'f'.repeat(64), at: '2031-05-02T10:00:00Z', signature: 'c2ln' };
  const list = (lines: Schemas['LedgerLine'][], mayCorrect = false) =>
    mountIn(LedgerList, { lines, chain, learnerId: 9, mayCorrect });

  it('says of a signature what it covers, and of a turn that was left that nobody confirmed its minutes', () => {
    const text = list([
      line({
        id: 'l1',
        type: 'signed_off',
        details: { valid_until: '2032-05-02T22:59:59Z', scope: { materials: ['mild_steel'], max_diameter_mm: 6.5 } },
      }),
      line({ id: 'l2', type: 'machine_time', details: { minutes: 120, confirmed: false, ended: 'idle' } }),
    ]).text();
    for (const words of ['mild steel', 'up to 6.5 mm', 'minutes not confirmed', 'nobody showed a badge'])
      expect(text).toContain(words);
  });

  it('lets a signer take a line back once, with a reason and a PIN, under one id', async () => {
    const page = list([line({}), line({ id: 'l2', corrected: true })], true);
    expect(page.findAll('tbody button')).toHaveLength(1);
    expect(page.text()).toContain('taken back');
    expect(
      list([line({})], false)
        .find('tbody button')
        .exists(),
    ).toBe(false);
  });

  it('says what happened, by whom, and shows the hash that ties it', () => {
    const text = list([
      line({}),
      line({ id: 'l2', type: 'check_attempted', details: { check: 'SC', passed: true, score_percent: 90 } }),
      line({ id: 'l3', type: 'practice_confirmed', details: { exercise: 'Two plates', minutes: 45 } }),
      line({ id: 'l4', type: 'something_new', details: {} }),
    ]).text();
    for (const words of ['C6', '90 %', 'Two plates, 45 min', 'Ada Example', '0123456789', 'something_new']) {
      expect(text).toContain(words);
    }
    expect(text).not.toContain('abcdef');
    expect(text).toContain('4 lines');
  });

  it('says so while nothing has happened', () => {
    expect(list([]).find('table').exists()).toBe(false);
  });
});
