import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { changes, entry } from '@/test/shapes';
import { calls, called, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import ComparePage from './ComparePage.vue';
import PlanChangesList from './PlanChangesList.vue';
import PlansPage from './PlansPage.vue';

beforeEach(() => signedIn('instructor', 'mm'));

type Line = Schemas['PlanChanges']['operations'][number];
const line = (given: Partial<Line>): Line => ({
  kind: 'drill',
  state: 'changed',
  before: '9 mm twist drill',
  after: '8.5 mm twist drill',
  changes: [],
  ...given,
});
const rows = (operations: Line[], all = false) =>
  mountIn(PlanChangesList, {
    changes: changes({ operations }),
    all,
  })
    .findAll('tr')
    .map((row) => row.text().replace(/\s+/g, ' '));

describe('what differs between two plans', () => {
  it('is told figure by figure, each with its unit', () => {
    expect(
      rows([
        line({
          changes: [
            { field: 'diameter_mm', before: 9, after: 8.5 },
            { field: 'rpm', before: 500.0, after: 850 },
            { field: 'feed_mm_rev', before: 0.15, after: 0.1 },
            { field: 'lubricant', before: 'oil', after: null },
          ],
        }),
      ]),
    ).toEqual([
      '≠ DrillSize:9 mm → 8.5 mmSpindle speed:500 rpm → 850 rpmFeed:0.15 mm/rev → 0.1 mm/revLubricant:oil → —',
    ]);
  });

  it('says a reading once, as the scale shows it, and a reason only where nothing else changed', () => {
    const both = [
      { field: 'reading_mm', before: 11, after: 12 },
      { field: 'scale_reading', before: '11 mm', after: '12 mm' },
      { field: 'why', before: 'So.', after: 'Thus.' },
    ];
    expect(rows([line({ changes: both })])).toEqual(['≠ DrillScale:11 mm → 12 mm']);
    expect(rows([line({ changes: both.slice(0, 1) })])).toEqual(['≠ DrillScale reading:11 mm → 12 mm']);
    expect(rows([line({ changes: both.slice(2) })])[0]).toContain('− So.');
  });

  it('names what came in and what went; what is the same only on demand', () => {
    const operations = [
      line({ kind: 'pilot', state: 'removed', before: '2 mm twist drill', after: null }),
      line({ kind: 'centre', state: 'added', before: null, after: 'spotting drill' }),
      line({ kind: 'punch', state: 'same', after: 'centre punch' }),
    ];
    expect(rows(operations)).toEqual(['− Pilotgoes: 2 mm twist drill', '+ Centrecomes in: spotting drill']);
    expect(rows(operations, true)[2]).toBe('= Punchcentre punch');
  });

  it('says what either lacks', () => {
    const text = mountIn(PlanChangesList, {
      changes: changes({ missing_before: ['No reamer.'], missing_after: ['No tap.'] }),
    }).text();
    expect(text).toContain('■ No tap.');
    expect(text).toContain('no longer: No reamer.');
  });
});

describe('two plans side by side', () => {
  it('are named, timed and compared', async () => {
    serve('GET /api/planning/plans/a/compared-with/b', {
      plans: [entry({ id: 'a', name: 'First one' }), entry({ id: 'b', name: 'Second one' })],
      headings: [
        { what: 'M8', material: 'Mild steel', machine: 'Bench', cribs: '' },
        { what: 'M6', material: 'Brass', machine: 'Lathe', cribs: '' },
      ],
      changes: changes({
        operations: [line({ state: 'same', after: '9 mm twist drill' })],
        count: 0,
        time_before_s: 20,
        time_after_s: 75,
      }),
    });
    const page = mountIn(ComparePage, { first: 'a', second: 'b' });
    await flushPromises();
    const text = page.text();
    for (const words of ['First one', 'Second one', 'Brass, Lathe', '20 s', '1 min 15 s', 'Both come to the same.']) {
      expect(text).toContain(words);
    }
    expect(page.find('table').exists()).toBe(false);
    await page.find('input[type=checkbox]').setValue(true);
    expect(page.find('table').text()).toContain('9 mm twist drill');
  });
});

describe('the saved plans', () => {
  const list = [
    entry({
      id: 'p1',
      name: 'Vane hub',
      part: 'Vane hub',
      saved_at: '2031-05-01T10:00:00Z',
      machine: 'Inch lathe',
      kind: 'lathe',
    }),
    entry({ id: 'p2', name: 'Loose hole', part: null, saved_at: '2031-05-03T10:00:00Z', ready: false }),
    entry({ id: 'p3', name: 'Corner holes', part: 'Foot plate', saved_at: '2031-05-02T10:00:00Z', yours: false }),
    entry({ id: 'p4', name: 'Marking out', part: 'Foot plate', kind: 'layout', machine: null }),
  ];
  async function page() {
    serve('GET /api/planning/plans', list);
    const mounted = mountIn(PlansPage, {});
    await flushPromises();
    return mounted;
  }
  const names = (mounted: Awaited<ReturnType<typeof page>>) => mounted.findAll('tbody th').map((cell) => cell.text());

  it('stand by part, those of no part last; or by name; or newest first', async () => {
    const mounted = await page();
    expect(names(mounted)).toEqual(['Corner holes', 'Marking out', 'Vane hub', 'Loose hole']);
    await mounted.find('select').setValue('name');
    expect(names(mounted)).toEqual(['Corner holes', 'Loose hole', 'Marking out', 'Vane hub']);
    await mounted.find('select').setValue('saved_at');
    expect(names(mounted)[0]).toBe('Loose hole');
  });

  it('are found by name, machine or part; and it is said when nothing is', async () => {
    const mounted = await page();
    await mounted.find('input[type=search]').setValue('inch');
    expect(names(mounted)).toEqual(['Vane hub']);
    await mounted.find('input[type=search]').setValue('gearbox');
    expect(mounted.text()).toContain('gearbox');
    expect(mounted.find('table').exists()).toBe(false);
  });

  it('are compared two by two; a layout is not', async () => {
    const mounted = await page();
    expect(mounted.findAll('input[type=checkbox]')).toHaveLength(3);
    const [first, second, third] = mounted.findAll('input[type=checkbox]');
    await first?.setValue(true);
    expect(mounted.text()).toContain('Tick two to compare them');
    await second?.setValue(true);
    expect(mounted.text()).not.toContain('Tick two to compare them');
    expect(third?.attributes('disabled')).toBeDefined();
  });

  it('are removed by whoever made them, and taken back', async () => {
    serve('DELETE /api/planning/plans/p2', {});
    serve('POST /api/planning/plans/p2/restoration', {});
    const mounted = await page();
    expect(mounted.findAll('[aria-label^="Remove "]').map((each) => each.attributes('aria-label'))).toEqual([
      'Remove Marking out',
      'Remove Vane hub',
      'Remove Loose hole',
    ]);
    await mounted.find('[aria-label="Remove Loose hole"]').trigger('click');
    await flushPromises();
    expect(mounted.text()).toContain('Loose hole is removed.');
    await mounted
      .findAll('button')
      .find((each) => each.text() === 'Undo')
      ?.trigger('click');
    await flushPromises();
    expect(called('POST /api/planning/plans/p2/restoration')).toHaveLength(1);
    expect(mounted.text()).not.toContain('is removed');
    expect(calls.filter((call) => call.method === 'DELETE')).toHaveLength(1);
  });

  it('say what they are for while there are none', async () => {
    serve('GET /api/planning/plans', []);
    const mounted = mountIn(PlansPage, {});
    await flushPromises();
    expect(mounted.text()).toContain('Plan a first hole');
  });
});
