import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, calls, Refusal, serve, type Call } from '@/test/server';
import { answer, changes, crib, entry, machine, material, plan, step, said } from '@/test/shapes';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import PlanBench from './PlanBench.vue';

const push = vi.hoisted(() => vi.fn());
vi.mock('vue-router', async (original) => ({ ...(await original<object>()), useRouter: () => ({ push }) }));

const saved = (given: Partial<Schemas['SavedPlan']> = {}): Schemas['SavedPlan'] =>
  ({
    ...entry(),
    request: {
      machine: 'bench',
      material: 'mild_steel',
      thickness: '8',
      purpose: 'clearance',
      size: 'M8',
      through: true,
    },
    part_slug: 'foot-plate',
    lessons: ['C6'],
    sheets: [],
    answer: answer(),
    fault: null,
    since: changes(),
    ...given,
  }) as Schemas['SavedPlan'];

let bench: VueWrapper | undefined;
beforeEach(() => {
  vi.useFakeTimers();
  push.mockReset();
  signedIn('instructor', 'mm');
  serve('GET /api/workshop/machines', [
    machine(),
    machine({ slug: 'lathe', name: 'Inch lathe', kind: 'lathe' }),
    machine({ slug: 'hand', name: 'Hand drill', kind: 'hand_drill' }),
    machine({ slug: 'table', name: 'Table', kind: 'bench', speeds_rpm: null }),
  ]);
  serve('GET /api/workshop/cribs', [crib(), crib({ slug: 'dubbed', name: 'Dubbed set' })]);
  serve('GET /api/workshop/materials', [material(), material({ key: 'brass', name: 'Brass' })]);
  serve('GET /api/content/plan-choices', {
    lessons: [{ code: 'C6', title: 'Pilot and through hole' }],
    sheets: [{ code: 'PS', title: 'Through holes' }],
    parts: [{ slug: 'foot-plate', name: 'Foot plate', stock: '8 mm flat' }],
  });
  serve('POST /api/measure/sizes', [{ diameter_mm: 8, system: 'metric', designation: '8' }]);
  serve('POST /api/planning/hole', answer());
  serve('POST /api/planning/lathe', answer());
  serve('POST /api/planning/layout', answer({ plan: undefined }));
});
afterEach(() => {
  bench?.unmount();
  vi.useRealTimers();
});

async function settle() {
  await vi.advanceTimersByTimeAsync(700);
  await flushPromises();
  await vi.advanceTimersByTimeAsync(20);
}
async function open(props: object = { kind: 'hole' }) {
  bench = mountIn(PlanBench, props, { attachTo: document.body });
  await settle();
  return bench;
}
const field = (page: VueWrapper, label: string) => {
  const found = page.findAll('label').find((each) => each.text() === label);
  return page.find(`[id="${found?.attributes('for')}"]`);
};
const button = (name: string) =>
  [...document.querySelectorAll('button')].find((each) => each.textContent?.trim() === name);
async function press(name: string) {
  button(name)?.click();
  await settle();
}
const lastPlanned = () => called('POST /api/planning/hole').at(-1)?.body as Record<string, unknown>;

describe('a plan in the making', () => {
  it('begins with an example on the first machine that can make it, and is planned as it is typed', async () => {
    const page = await open();
    expect(lastPlanned()).toMatchObject({
      machine: 'bench',
      purpose: 'clearance',
      size: 'M8',
      thickness: '8 mm',
      through: true,
    });
    expect(page.text()).toContain('● Can be made here');
    await field(page, 'Fastener').setValue('M6');
    expect(lastPlanned()).toMatchObject({ size: 'M8' });
    await settle();
    expect(lastPlanned()).toMatchObject({ size: 'M6' });
  });

  it('offers machines that turn, and no hand drill; the lathe planner lathes only', async () => {
    const page = await open();
    expect(
      field(page, 'Machine')
        .findAll('option')
        .map((each) => each.text()),
    ).toEqual(['Bench drill', 'Inch lathe']);
    page.unmount();
    const lathe = await open({ kind: 'lathe' });
    expect(
      field(lathe, 'Machine')
        .findAll('option')
        .map((each) => each.text()),
    ).toEqual(['Inch lathe']);
  });

  it('asks for what the purpose needs: a fastener, a thread, or a size', async () => {
    const page = await open();
    for (const [purpose, asked] of [
      ['tapped', 'Thread'],
      ['plain', 'Diameter'],
      ['reamed', 'Diameter'],
    ] as const) {
      await field(page, 'What for').setValue(purpose);
      expect(field(page, asked).exists()).toBe(true);
    }
    expect(page.text()).toContain('Reamer');
    expect(page.text()).not.toContain('Depth, measured at full diameter');
    await page.findAll('input[type=radio]')[1]?.setValue(true);
    expect(page.text()).toContain('Depth, measured at full diameter');
  });

  it('keeps what is typed on this device', async () => {
    const page = await open();
    await field(page, 'Thickness of the stock').setValue('3/4');
    page.unmount();
    const again = await open();
    expect((field(again, 'Thickness of the stock').element as HTMLInputElement).value).toBe('3/4');
  });

  it('takes its tools from the cribs beside the machine until others are chosen', async () => {
    const page = await open();
    expect(lastPlanned()).not.toHaveProperty('cribs.0');
    const boxes = page.findAll('details input[type=checkbox]');
    await boxes[1]?.setValue(true);
    await settle();
    expect(lastPlanned()).toMatchObject({ cribs: ['metric', 'dubbed'] });
    expect(page.text()).not.toContain('the cribs beside this machine');
    await boxes[1]?.setValue(false);
    await settle();
    expect(page.text()).toContain('the cribs beside this machine');
  });

  it('puts a fault beside its field, and what has no field above the plan', async () => {
    serve(
      'POST /api/planning/hole',
      new Refusal(422, 'No.', { thickness: ['"8ish" is no length that is known here.'] }),
    );
    const page = await open();
    expect(page.text()).toContain('"8ish" is no length');
    expect(page.text()).not.toContain('Can be made here');
    expect(page.findAll('[role=alert]')).toHaveLength(1);
    serve('POST /api/planning/hole', new Refusal(422, 'The shop has no policy yet.'));
    await field(page, 'Fastener').setValue('M5');
    await settle();
    expect(page.text()).toContain('The shop has no policy yet.');
  });

  it.each([
    ['drill', 'drilling about 21 s'],
    ['ream', 'drilling and reaming about 21 s'],
  ] as const)('says how long the cut takes, and what of: with a %s', async (kind, words) => {
    serve('POST /api/planning/hole', answer({ plan: plan({ operations: [step({ kind })] }) }));
    expect((await open()).text()).toContain(words);
  });

  it('says what is missing and what would do instead', async () => {
    serve(
      'POST /api/planning/hole',
      answer({
        plan: plan({
          ready: false,
          missing: [said('planning.lacks.drill', { wanted_mm: 9.2, nearest: '9', nearest_mm: 9 })],
        }),
      }),
    );
    expect((await open()).text()).toContain('The crib has no 9.2 mm drill. The nearest is 9 (9 mm)');
  });

  it('changes units at once, and a bare number keeps its own', async () => {
    const page = await open();
    await field(page, 'Thickness of the stock').setValue('12');
    signedIn('instructor', 'in');
    await settle();
    expect((field(page, 'Thickness of the stock').element as HTMLInputElement).value).toBe('12 mm');
    expect(lastPlanned()).toMatchObject({ thickness: '12 mm', size: 'M8' });
  });

  it('is saved under a name, for a part, with its lessons', async () => {
    const put = vi.fn(({ body }: Call) => saved(body as object));
    await open();
    await press('Save this plan');
    const inputs = document.querySelectorAll<HTMLInputElement>('[role=dialog] input');
    const name = inputs[0];
    if (name) name.value = 'Corner holes';
    name?.dispatchEvent(new Event('input'));
    inputs[1]?.click();
    await settle();
    // The id is made here, so that sending it again saves it once.
    calls.length = 0;
    for (const each of [1, 2]) serve(`PUT ${each}`, put);
    document.querySelector('[role=dialog] form')?.dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    const sent = calls.find((call) => call.method === 'PUT');
    expect(sent?.path).toMatch(/^\/api\/planning\/plans\/[0-9a-f-]{36}$/);
    expect(sent?.body).toMatchObject({ name: 'Corner holes', kind: 'hole', lessons: ['C6'], request: { size: 'M8' } });
  });
});

describe('a saved plan', () => {
  it('opens folded, and says in a line what is wanted', async () => {
    const page = await open({ kind: 'hole', plan: saved() });
    expect(page.find('details').element.hasAttribute('open')).toBe(false);
    expect(page.find('summary').text()).toContain('clearance for M8x1.25 through · Mild steel · Bench drill');
    expect(lastPlanned()).toMatchObject({ thickness: '8 mm', size: 'M8' });
  });

  it('says what the shop has changed since', async () => {
    const since = changes({
      operations: [
        {
          kind: 'drill',
          state: 'changed',
          before: 'a',
          after: 'b',
          changes: [{ field: 'rpm', before: 500, after: 850 }],
        },
      ],
    });
    const page = await open({ kind: 'hole', plan: saved({ since }) });
    expect(page.text()).toContain('The shop has changed since this was saved');
    expect(page.text()).toContain('500 rpm → 850 rpm');
  });

  it('is renamed as it stands, or saved with its changes; copied under another name', async () => {
    const page = await open({ kind: 'hole', plan: saved() });
    expect(button('Name and lessons')).toBeDefined();
    await field(page, 'Fastener').setValue('M6');
    await settle();
    expect(button('Save the changes')).toBeDefined();
    await press('Copy');
    expect(document.querySelector<HTMLInputElement>('[role=dialog] input')?.value).toBe('Corner hole, copy');
    expect(document.querySelector<HTMLInputElement>('[role=dialog] [value=C6]')?.checked).toBe(false);
  });

  it("of somebody else's is copied, not changed", async () => {
    await open({ kind: 'hole', plan: saved({ yours: false }) });
    expect(button('Name and lessons')).toBeUndefined();
    expect(button('Copy')).toBeDefined();
  });

  it('hides its answers, its drawing and its files for whoever works it out', async () => {
    serve('POST /api/planning/hole/questions', {
      heading: answer().heading,
      questions: [],
      operations: [],
      missing: [],
    });
    const page = await open({ kind: 'hole', plan: saved() });
    await press('Hide the answers');
    expect(page.find('svg[role=img]').exists()).toBe(false);
    expect(page.find('.job').exists()).toBe(false);
    expect(button('svg')).toBeUndefined();
    await press('Show the answers');
    expect(page.find('svg[role=img]').exists()).toBe(true);
  });
});

describe('the job sheet', () => {
  it('has figures, and over every step the cautions that go before it', async () => {
    serve(
      'POST /api/planning/hole',
      answer({
        plan: plan({
          operations: [
            step({
              kind: 'pilot',
              tool: said('planning.tool.twist_drill', { size: '2 mm' }),
              standing: ['key_out'],
              rpm: 1400,
            }),
            step({
              cautions: [said('planning.caution.ease_at_breakthrough')],
              dangers: [said('planning.caution.never_by_hand')],
              standing: ['key_out', 'eyes'],
              needs: [said('planning.needs.lever_taken', { lever_mm: 40 })],
              rpm: 500,
              scale_reading: '12 mm',
              total_depth_mm: 11.7,
            }),
          ],
        }),
      }),
    );
    const sheet = (await open()).find('.job').text();
    const order = [
      'Chuck key out.',
      '2 mm twist drill',
      'No work is held by hand',
      'Ease the pressure',
      'Chuck key out.',
      'Eye protection on.',
      '9 mm twist drill',
      'Taken as 40 mm',
    ];
    let from = 0;
    for (const words of order) {
      const at = sheet.indexOf(words, from);
      expect(at, words).toBeGreaterThanOrEqual(from);
      from = at + words.length;
    }
    for (const words of ['1400 rpm', '500 rpm', '12 mm', 'Mild steel · Bench drill', 'Tools from: Metric set']) {
      expect(sheet).toContain(words);
    }
  });

  it('that cannot be made says so in its own frame', async () => {
    serve(
      'POST /api/planning/hole',
      answer({
        plan: plan({
          ready: false,
          missing: [said('planning.lacks.reamer', { reamer_mm: 8 })],
          warnings: [said('planning.warns.no_plug_gauge', { size_mm: 8 })],
        }),
      }),
    );
    const sheet = (await open()).find('.job');
    expect(sheet.find('.missing').text()).toContain('The crib has no 8 mm reamer.');
    expect(sheet.text()).toContain('! The crib has no plug gauge for 8 mm');
  });
});
