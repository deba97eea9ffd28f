import { queryClient } from '@/api/queries';
import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve, type Call } from '@/test/server';
import { flushPromises, RouterLinkStub } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import SignOffPage from './SignOffPage.vue';
import TodayPage from './TodayPage.vue';

const push = vi.hoisted(() => vi.fn());
vi.mock('vue-router', async (original) => ({ ...(await original<object>()), useRouter: () => ({ push }) }));
beforeEach(() => push.mockReset());

const standing = (given: Partial<Schemas['Standing']>): Schemas['Standing'] => ({
  stage: 1,
  held: false,
  lapsed: null,
  next: [{ kind: 'check', what: 'SC' }],
  due: [],
  ...given,
});

describe('today', () => {
  const today = (given: Partial<Schemas['Today']> = {}): Schemas['Today'] => ({
    permits: [{ code: 'drill', name: 'Through holes to 10 mm' }],
    cohorts: [
      {
        id: 1,
        name: 'Evening group',
        learners: [
          { id: 11, name: 'Wren Example', standings: { drill: standing({}) } },
          { id: 12, name: 'Ada Sample', standings: { drill: standing({ stage: 5, next: [] }) } },
          { id: 13, name: 'Cato Case', standings: { drill: standing({ stage: 3, held: true }) } },
          { id: 14, name: 'Dora Draft', standings: { drill: standing({ stage: 4, lapsed: 'recency' }) } },
        ],
      },
      { id: 2, name: 'Morning group', learners: [] },
    ],
    waiting: [],
    at_machines: [],
    unsealed_lines: 0,
    on_floor: [],
    on_floor_until: null,
    ...given,
  });
  async function page(body = today()) {
    queryClient.clear();
    signedIn('instructor');
    serve('GET /api/records/today', body);
    const mounted = mountIn(TodayPage, {});
    await flushPromises();
    return mounted;
  }
  const names = (mounted: Awaited<ReturnType<typeof page>>) =>
    mounted.findAll('ul.sheet .font-semibold.block').map((each) => each.text());

  it('shows each cohort with every learner, by name or by stage', async () => {
    const mounted = await page();
    expect(names(mounted)).toEqual(['Ada Sample', 'Cato Case', 'Dora Draft', 'Wren Example']);
    await mounted.find('select').setValue('stage');
    expect(names(mounted)).toEqual(['Ada Sample', 'Dora Draft', 'Cato Case', 'Wren Example']);
    expect(mounted.text()).toContain('Morning group');
  });

  it('says held and lapsed before what is next, and who may run alone', async () => {
    const mounted = await page();
    const row = (name: string) =>
      mounted
        .findAll('li')
        .find((each) => each.text().includes(name))
        ?.text();
    expect(row('Cato Case')?.toLowerCase()).toContain('held');
    expect(row('Ada Sample')?.toLowerCase()).toContain('alone');
    expect(row('Wren Example')).toContain('safety check');
  });

  it('finds learners by name, and says when nobody is called so', async () => {
    const mounted = await page();
    await mounted.find('input[type=search]').setValue('  dora ');
    expect(names(mounted)).toEqual(['Dora Draft']);
    await mounted.find('input[type=search]').setValue('Zebedee');
    expect(names(mounted)).toEqual([]);
  });

  it('is where one comes to the floor and leaves it', async () => {
    serve('PUT /api/gate/presence', { on_floor_until: null });
    const off = await page();
    await off.find('button').trigger('click');
    await flushPromises();
    const on = await page(today({ on_floor_until: '2031-05-02T18:00:00Z' }));
    expect(on.text()).toContain('●');
    await on.find('button').trigger('click');
    await flushPromises();
    expect(called('PUT /api/gate/presence').map((call) => call.body)).toEqual([{ present: true }, { present: false }]);
  });

  it('says who has a machine, and by what right', async () => {
    const mounted = await page(
      today({
        at_machines: [
          {
            id: 's1',
            machine: 'Bench drill',
            person: 'Wren Example',
            decision: 'supervised',
            companion: null,
            supervisor: 'Orla Example',
            since: '2031-05-02T10:00:00Z',
          },
        ],
      }),
    );
    expect(mounted.text()).toContain('Bench drill');
    expect(mounted.text()).toContain('With supervision');
    expect(mounted.text()).toContain('watched by Orla Example');
  });

  it('says that the shop cannot be reached, and tries again when asked', async () => {
    serve('GET /api/records/today', new Refusal(500, 'Something broke.'));
    queryClient.clear();
    signedIn('learner');
    const mounted = mountIn(TodayPage, {});
    await flushPromises();
    expect(mounted.find('[role=alert]').text()).toContain('Something broke.');
    serve('GET /api/records/today', today());
    await mounted.find('[role=alert] button').trigger('click');
    await flushPromises();
    expect(names(mounted)).toHaveLength(4);
  });

  it('does not offer to ask again for what is somebody else’s', async () => {
    serve('GET /api/records/today', new Refusal(403, 'This is not yours to see.'));
    queryClient.clear();
    signedIn('learner');
    const mounted = mountIn(TodayPage, {});
    await flushPromises();
    expect(mounted.find('[role=alert]').text()).toContain('This is not yours to see.');
    expect(mounted.find('[role=alert] button').exists()).toBe(false);
  });
});

describe('the sign-off', () => {
  const proposal = (given: Partial<Schemas['SignOffProposal']> = {}): Schemas['SignOffProposal'] => ({
    learner: { id: 9, name: 'Wren Example' },
    permit: { code: 'drill', name: 'Through holes to 10 mm' },
    shown: null,
    rests_on: {
      sheets: [{ code: 'PS', attempt: 'a1', by: 'Ada Example', at: '2031-05-01T10:00:00Z', second_open: true }],
      places: { what: ['stop', 'first_aid'], place: 'bench-drill', by: 'Ada Example', at: '2031-05-01T10:00:00Z' },
      one_alone: 'Ada Example',
    },
    standing: standing({ stage: 4, next: [{ kind: 'sign_off' }] }),
    statement: { version: 3, body: 'I hold the work, never by hand.' },
    acknowledged: true,
    reasons: [],
    checks_stale: [],
    renewal_check_days: null,
    signed_off: null,
    scope: { max_diameter_mm: 10 },
    operations: ['drill', 'ream'],
    valid_until: '2032-05-02',
    materials: [
      { key: 'mild_steel', name: 'Mild steel' },
      { key: 'brass', name: 'Brass' },
    ],
    ...given,
  });
  const SIGN = 'POST /api/competency/learners/9/permits/drill/sign-off';
  async function page(body: Schemas['SignOffProposal'], as: 'instructor' | 'the learner' = 'instructor') {
    queryClient.clear();
    if (as === 'instructor') signedIn('instructor');
    else
      queryClient.setQueryData(['me'], {
        person: {
          id: 9,
          name: 'Wren Example',
          email: 'wren@millstep.example',
          pin: 'none',
          role: 'learner',
          units: 'mm',
        },
        demo: true,
      });
    serve('GET /api/competency/learners/9/permits/drill/sign-off', body);
    const mounted = mountIn(SignOffPage, { id: '9', permit: 'drill' });
    await flushPromises();
    return mounted;
  }

  it('puts the statement before anybody signs, in the version in force', async () => {
    const mounted = await page(proposal());
    expect(mounted.text()).toContain('I hold the work, never by hand.');
    expect(mounted.text()).toContain('3');
    expect(mounted.text().indexOf('never by hand')).toBeLessThan(mounted.html().indexOf('<form'));
  });

  it('is acknowledged by the learner, once the work is done and not before', async () => {
    const early = await page(proposal({ acknowledged: false, standing: standing({ stage: 3 }) }), 'the learner');
    expect(early.find('button').exists()).toBe(false);
    const ready = await page(proposal({ acknowledged: false }), 'the learner');
    serve('POST /api/competency/learners/9/permits/drill/acknowledgement', {});
    await ready.find('button').trigger('click');
    await flushPromises();
    expect(called('POST /api/competency/learners/9/permits/drill/acknowledgement')[0]?.body).toMatchObject({
      statement_version: 3,
    });
    expect(ready.find('form').exists()).toBe(false);
  });

  it('signs with scope, validity and PIN, and goes to the record', async () => {
    const mounted = await page(proposal());
    serve(SIGN, {});
    await mounted.find('input[type=password]').setValue('2468');
    await mounted.find('form').trigger('submit');
    await flushPromises();
    expect(called(SIGN)[0]?.body).toMatchObject({
      pin: '2468',
      valid_until: '2032-05-02',
      max_diameter: '10 mm',
      min_thickness: '',
      materials: ['mild_steel', 'brass'],
      operations: ['drill', 'ream'],
      companion: false,
    });
    expect(push).toHaveBeenCalledWith({ name: 'learner', params: { id: '9' }, query: { permit: 'drill' } });
  });

  it('offers what was shown, and says of the rest that it was not', async () => {
    const mounted = await page(
      proposal({
        shown: [{ operation: 'drill', materials: ['mild_steel'], up_to_mm: 10 }],
        scope: { materials: ['mild_steel', 'brass'] },
      }),
    );
    expect(mounted.find('[data-testid=shown]').text()).toContain('Mild steel');
    expect(mounted.find('[value=brass]').attributes('disabled')).toBeDefined();
    expect(mounted.find('[value=mild_steel]').attributes('disabled')).toBeUndefined();
    expect((mounted.find('[value=ream]').element as HTMLInputElement).checked).toBe(false);
    expect(mounted.text()).toContain('not shown yet');
  });

  it('narrows the scope to materials and operations', async () => {
    const mounted = await page(
      proposal({ scope: { materials: ['brass', 'mild_steel'], companion: true }, operations: ['drill'] }),
    );
    serve(SIGN, {});
    // Nothing is ticked beforehand: the instructor says what was taught.
    expect(mounted.find('button[type=submit]').attributes('disabled')).toBeDefined();
    await mounted.find('[value=mild_steel]').setValue(true);
    await mounted.find('input[type=password]').setValue('2468');
    await mounted.find('form').trigger('submit');
    await flushPromises();
    expect(called(SIGN)[0]?.body).toMatchObject({
      materials: ['mild_steel'],
      operations: ['drill'],
      max_diameter: '',
      companion: true,
    });
  });

  it('puts a wrong PIN beside its field, and signs under the same id again', async () => {
    const mounted = await page(proposal());
    serve(SIGN, ({ body }: Call) =>
      (body as { pin: string }).pin === '2468'
        ? {}
        : new Refusal(422, 'No.', { pin: ['That is not your PIN. 4 tries are left.'] }),
    );
    for (const pin of ['1111', '2468']) {
      await mounted.find('input[type=password]').setValue(pin);
      await mounted.find('form').trigger('submit');
      await flushPromises();
      if (pin === '1111') expect(mounted.text()).toContain('4 tries are left');
    }
    const [first, second] = called(SIGN).map((call) => (call.body as { id: string }).id);
    expect(first).toBe(second);
  });

  it('says all that speaks against it, and the refusal of the server', async () => {
    const early = await page(
      proposal({ standing: standing({ stage: 3 }), reasons: ['not_ready', 'not_acknowledged'] }),
    );
    expect(early.find('[data-testid=not-yet]').findAll('li')).toHaveLength(2);
    expect(early.find('button[type=submit]').attributes('disabled')).toBeDefined();
    const mounted = await page(proposal());
    serve(SIGN, new Refusal(409, 'The practical assessment is not passed.'));
    await mounted.find('form').trigger('submit');
    await flushPromises();
    expect(mounted.text()).toContain('The practical assessment is not passed.');
    expect(push).not.toHaveBeenCalled();
  });

  it('keeps what is typed while the proposal is read again', async () => {
    const mounted = await page(proposal({ rests_on: { sheets: [], places: null, one_alone: null } }));
    const year = () => mounted.find('input[aria-label="Valid until, that day included: year"]');
    await year().setValue('2030');
    serve(
      'GET /api/competency/learners/9/permits/drill/sign-off',
      proposal({ valid_until: '2033-01-01', rests_on: { sheets: [], places: null, one_alone: null } }),
    );
    await queryClient.invalidateQueries();
    await flushPromises();
    expect((year().element as HTMLInputElement).value).toBe('2030');
    expect(mounted.findAllComponents(RouterLinkStub)).toHaveLength(0);
  });
});
