import type { Schemas } from '@/api/client';
import { speak } from '@/i18n';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve, type Call } from '@/test/server';
import { changes } from '@/test/shapes';
import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import PolicyField from './PolicyField.vue';
import PolicyPage from './PolicyPage.vue';

const setting = (given: Partial<Schemas['PolicySetting']>): Schemas['PolicySetting'] => ({
  key: 'pilot_school',
  group: 'drilling',
  kind: 'choice',
  default: 'web',
  choices: ['web', 'stepped', 'single'],
  changes: 'pilot',
  ...given,
});
const field = (given: Partial<Schemas['PolicySetting']>, value: unknown, more: object = {}) =>
  mountIn(PolicyField, { setting: setting(given), value, changed: false, locked: false, ...more });
const breakthrough = { key: 'breakthrough_mm', kind: 'length', default: 1, choices: undefined } as const;

beforeEach(() => signedIn('lead', 'mm'));

describe('a setting of the policy', () => {
  it('says what it is, what the choice means, and which figure it changes', async () => {
    const school = field({}, 'web');
    expect(school.text()).toContain('How a large hole is led up to.');
    expect(school.text()).toContain('dead web');
    await school.find('select').setValue('single');
    expect(school.emitted('change')).toEqual([['single']]);
  });

  it('stands at its default where the shop says nothing', () => {
    expect((field({}, undefined).find('select').element as HTMLSelectElement).value).toBe('web');
  });

  it('is looked at, not touched, by whoever does not lead', () => {
    expect(field({}, 'web', { locked: true }).find('select').attributes('disabled')).toBeDefined();
    expect(field(breakthrough, 1, { locked: true }).find('input').attributes('disabled')).toBeDefined();
  });

  it('sends a number as a number, and what is none as it is written', async () => {
    const ratio = field({ key: 'web_ratio', kind: 'ratio', default: 0.2 }, 0.2);
    for (const text of ['0,25', 'a fifth', '']) await ratio.find('input').setValue(text);
    expect(ratio.emitted('change')).toEqual([[0.25], ['a fifth'], [undefined]]);
  });

  it('shows its fault beside it', () => {
    const faulty = field({ key: 'web_ratio', kind: 'ratio', default: 0.2 }, 3, { fault: 'web_ratio is at most 0.5.' });
    expect(faulty.find('[role=alert]').text()).toContain('at most 0.5');
    expect(faulty.find('input').attributes('aria-invalid')).toBe('true');
  });

  it('reads opening hours line by line, and switches with a word', async () => {
    const hours = field({ key: 'hours', kind: 'hours', default: null }, [{ days: [1, 2], from: '08:00', to: '17:00' }]);
    expect((hours.find('textarea').element as HTMLTextAreaElement).value).toBe('1 2 08:00–17:00');
    await hours.find('textarea').setValue('1 2 3 08:30-16:00\n6 9:00 to noon');
    expect(hours.emitted('change')).toEqual([
      [
        [
          { days: [1, 2, 3], from: '08:30', to: '16:00' },
          { days: [], from: '', to: '' },
        ],
      ],
    ]);
    const flag = field({ key: 'companion_required', kind: 'flag', default: false }, false);
    await flag.find('input').setValue(true);
    expect(flag.emitted('change')).toEqual([[true]]);
  });
});

describe('a number of the policy', () => {
  it('is written in the language that is spoken, and read back in it', async () => {
    await speak('es', false);
    const ratio = field({ key: 'web_ratio', kind: 'ratio', default: 0.2, choices: undefined }, 0.25);
    expect(ratio.find('input').element.value).toBe('0,25');
    await ratio.find('input').setValue('0,3');
    await ratio.find('input').trigger('change');
    expect(ratio.emitted('change')?.at(-1)).toEqual([0.3]);
    await speak('en', false);
  });
});

describe('a length of the policy', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    serve('POST /api/measure/sizes', [{ diameter_mm: 1.5875, system: 'fraction', designation: '1/16' }]);
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it("is written in the reader's units, and sent as it is typed, with its unit", async () => {
    const length = field(breakthrough, 1);
    const input = length.find('input');
    expect(input.element.value).toBe('1 mm');
    for (const text of ['1/16', '2', '']) await input.setValue(text);
    expect(length.emitted('change')).toEqual([['1/16'], ['2 mm'], ['']]);
  });

  it('typed back to what is in force is no change', async () => {
    const length = field(breakthrough, 1);
    await length.find('input').setValue('1/16');
    await length.setProps({ value: '1/16' } as never);
    await length.find('input').setValue('1 mm');
    expect(length.emitted('change')?.at(-1)).toEqual([1]);
  });

  it('is said back, and follows the units without losing what is typed', async () => {
    const length = field(breakthrough, 1);
    await length.find('input').setValue('1/16');
    await length.setProps({ value: '1/16' } as never);
    for (const wait of [300, 50, 50]) {
      await vi.advanceTimersByTimeAsync(wait);
      await flushPromises();
    }
    expect(length.text()).toContain('Understood: 1/16 = 1.588 mm');
    const untouched = field(breakthrough, 6.35);
    signedIn('lead', 'in');
    await vi.advanceTimersByTimeAsync(50);
    expect(untouched.find('input').element.value).toBe('1/4 in');
    expect(length.find('input').element.value).toBe('1/16');
  });
});

describe('the shop policy', () => {
  const policy = {
    settings: { pilot_school: 'web' },
    catalogue: [setting({}), setting({ key: 'web_ratio', kind: 'ratio', default: 0.2, choices: undefined })],
    changes: [{ in_force_from: '2031-05-02T10:00:00Z', by: 'Ada Example', note: null }],
  };
  beforeEach(() => {
    vi.useFakeTimers();
    serve('GET /api/workshop/policy', policy);
    serve('POST /api/planning/policy-preview', {
      of: 12,
      affected: [{ id: 'p1', name: 'Corner holes', kind: 'hole' }],
      shown: 'p1',
      changes: changes({
        operations: [{ kind: 'pilot', state: 'removed', before: '2 mm twist drill', after: null, changes: [] }],
      }),
    });
  });
  afterEach(() => {
    vi.runOnlyPendingTimers();
    vi.useRealTimers();
  });
  async function page() {
    const mounted = mountIn(PolicyPage, {});
    await vi.advanceTimersByTimeAsync(10);
    await flushPromises();
    return mounted;
  }
  async function settle() {
    await vi.advanceTimersByTimeAsync(500);
    await flushPromises();
    await vi.advanceTimersByTimeAsync(10);
  }
  const button = (mounted: Awaited<ReturnType<typeof page>>, name: string) =>
    mounted.findAll('button').find((each) => each.text() === name);

  it('previews a change on the saved plans before anything is in force', async () => {
    const mounted = await page();
    expect(mounted.text()).toContain('nothing is changed');
    expect(called('POST /api/planning/policy-preview')).toHaveLength(0);
    await mounted.find('select').setValue('single');
    await settle();
    expect(mounted.text()).toContain('Changes 1 of 12 saved plans.');
    expect(mounted.text()).toContain('goes: 2 mm twist drill');
    expect(mounted.text()).toContain('1 setting is changed');
    expect(called('POST /api/planning/policy-preview')[0]?.body).toEqual({
      plan: null,
      settings: { pilot_school: 'single' },
    });
    expect(called('PUT /api/workshop/policy')).toHaveLength(0);
  });

  it('is put in force with its reason, or left as it was', async () => {
    serve('PUT /api/workshop/policy', ({ body }: Call) => ({
      ...policy,
      settings: (body as { settings: object }).settings,
    }));
    const mounted = await page();
    await mounted.find('select').setValue('single');
    await button(mounted, 'As it was')?.trigger('click');
    expect(mounted.text()).toContain('nothing is changed');
    await mounted.find('select').setValue('stepped');
    await mounted.find('form input').setValue('Fewer snatched drills');
    await mounted.find('form').trigger('submit');
    await settle();
    expect(called('PUT /api/workshop/policy')[0]?.body).toEqual({
      settings: { pilot_school: 'stepped' },
      note: 'Fewer snatched drills',
    });
    expect((mounted.find('form input').element as HTMLInputElement).value).toBe('');
  });

  it('shows a fault beside the setting that has it', async () => {
    serve(
      'POST /api/planning/policy-preview',
      new Refusal(422, 'One setting will not do.', { web_ratio: ['web_ratio is at most 0.5.'] }),
    );
    const mounted = await page();
    await mounted.findAll('ul input')[0]?.setValue('3');
    await settle();
    expect(mounted.find('li [role=alert]').text()).toContain('at most 0.5');
  });

  it('is for a learner to read', async () => {
    signedIn('learner');
    const mounted = await page();
    expect(mounted.find('form').exists()).toBe(false);
    expect(mounted.find('select').attributes('disabled')).toBeDefined();
    expect(mounted.text()).toContain('How a large hole is led up to.');
  });
});
