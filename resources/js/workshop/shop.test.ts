import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve, type Call } from '@/test/server';
import { crib, machine, material, said } from '@/test/shapes';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import BarsPanel from './BarsPanel.vue';
import CribsPage from './CribsPage.vue';
import MachineFacts from './MachineFacts.vue';
import MachinesPage from './MachinesPage.vue';
import MaterialsPage from './MaterialsPage.vue';
import WorkshopFilePage from './WorkshopFilePage.vue';

let mounted: VueWrapper | undefined;
async function open(page: object, role: 'lead' | 'instructor' | 'learner' = 'lead') {
  signedIn(role, 'mm');
  serve('GET /api/workshop/machines', [
    machine(),
    machine({ slug: 'out', name: 'Old lathe', kind: 'lathe', in_service: false, service_note: 'belt guard cracked' }),
  ]);
  serve('GET /api/workshop/cribs', [crib(), crib({ slug: 'empty', name: 'Empty crib', tools: [], machines: [] })]);
  serve('GET /api/workshop/materials', [
    material(),
    material({
      key: 'brass',
      name: 'Brass',
      group: 'copper_alloy',
      own: true,
      word: 'Brass',
      unsure: { cutting_speed_m_min: said('reference.unsure.materials_3') },
    }),
  ]);
  mounted = mountIn(page as never, {}, { attachTo: document.body });
  await flushPromises();
  return mounted;
}
afterEach(() => mounted?.unmount());
/** Dialogs are teleported, so what is on the page is looked for in the document. */
const button = (name: string) =>
  [...document.querySelectorAll('button')].find(
    (each) => (each.getAttribute('aria-label') ?? each.textContent?.trim()) === name,
  );
const labelled = (label: string) => {
  const found = [...document.querySelectorAll('label')].find((each) => each.textContent?.trim() === label);
  return document.getElementById(found?.htmlFor ?? '') as HTMLInputElement | null;
};
async function write(label: string, text: string) {
  const input = labelled(label);
  if (!input) throw new Error(`no field "${label}"`);
  input.value = text;
  input.dispatchEvent(new Event(input.tagName === 'SELECT' ? 'change' : 'input', { bubbles: true }));
  await flushPromises();
}
async function press(name: string) {
  const found = button(name);
  if (!found) throw new Error(`no button "${name}"`);
  found.click();
  await flushPromises();
}
async function submit(title: string) {
  const form = [...document.querySelectorAll('form')].find((each) => each.textContent?.includes(title));
  form?.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));
  await flushPromises();
}

describe('what a machine can do', () => {
  it("is said in the machine's own units for its scale, the reader's for the rest", () => {
    signedIn('learner', 'in');
    const facts = mountIn(MachineFacts, {
      machine: machine({
        speeds_rpm: [110, 280],
        speed_names: ['A', 'B'],
        depth_scale: { unit: 'mm', graduation_mm: 0.5, travel_mm: 80 },
        chuck_max_mm: 12.7,
        dial: { graduation_mm: 0.0254, divisions_per_turn: 100, reads_diameter: false },
        cross_dial: { graduation_mm: 0.05, divisions_per_turn: 60, reads_diameter: true },
        taper: 2,
      }),
    });
    const said = Object.fromEntries(
      facts.findAll('dt').map((term, index) => [term.text(), facts.findAll('dd')[index]?.text()]),
    );
    expect(said).toMatchObject({
      Speeds: '110 (A), 280 (B) rpm',
      'Depth scale': 'lines at 0.5 mm, travel 80 mm',
      'Chuck up to': '0.500 in',
      'Carriage dial': '0.0010 in a division, 100 a turn',
      Taper: 'Morse 2',
    });
    expect(said['Cross-slide dial']).toContain('on the diameter');
    expect(said).not.toHaveProperty('Bore through the spindle');
  });

  it('may be a range of speeds, or none', () => {
    signedIn('learner');
    expect(
      mountIn(MachineFacts, { machine: machine({ speeds_rpm: null, min_rpm: 50, max_rpm: 3000 }) }).text(),
    ).toContain('50 to 3000 rpm');
    expect(mountIn(MachineFacts, { machine: machine({ speeds_rpm: null }) }).text()).not.toContain('Speeds');
  });
});

describe('the machines', () => {
  it('stand with their state and its reason, to be read by everybody', async () => {
    const page = await open(MachinesPage, 'learner');
    expect(page.text()).toContain('■ out of service: belt guard cracked');
    expect(button('New machine')).toBeUndefined();
    expect(button('Take out of service')).toBeUndefined();
  });

  it('are taken out by whoever teaches, with a reason; put back by the lead alone', async () => {
    await open(MachinesPage, 'instructor');
    expect(button('Put back into service')).toBeUndefined();
    serve('POST /api/workshop/machines/bench/service', ({ body }: Call) =>
      (body as { reason: string }).reason.length < 5
        ? new Refusal(422, 'Say why.', { reason: ['Say why, in a sentence.'] })
        : machine({ in_service: false }),
    );
    await press('Take out of service');
    await write('Why, in a sentence', 'No');
    await submit('Why, in a sentence');
    expect(document.body.textContent).toContain('Say why, in a sentence.');
    expect(labelled('Why, in a sentence')?.value).toBe('No');
    await write('Why, in a sentence', 'The quill is stiff');
    await submit('Why, in a sentence');
    const sent = called('POST /api/workshop/machines/bench/service').map(
      (call) => call.body as { id: string; reason: string },
    );
    expect(sent[1]).toMatchObject({ in_service: false, reason: 'The quill is stiff' });
    // One press is one entry, however often it has to be sent.
    expect(sent[0]?.id).toBe(sent[1]?.id);
    expect(document.querySelector('[role=dialog]')).toBeNull();
  });

  it('are written down as their plates say, and a fault keeps what was typed', async () => {
    await open(MachinesPage);
    serve(
      'POST /api/workshop/machines',
      new Refusal(422, 'One field will not do.', { speeds_rpm: ['A speed is more than 0.'] }),
    );
    await press('New machine');
    await write('Name', 'Pillar drill');
    await write('Speed steps, rpm', '280, -3');
    await write('Chuck takes up to', '1/2');
    await submit('Speed steps, rpm');
    expect(called('POST /api/workshop/machines')[0]?.body).toMatchObject({
      name: 'Pillar drill',
      speeds: '280, -3',
      chuck_max: '1/2',
      taper: null,
      kind: 'bench_drill_press',
    });
    expect(document.body.textContent).toContain('A speed is more than 0.');
    expect(labelled('Speed steps, rpm')?.value).toBe('280, -3');
  });

  it('ask of a lathe what only a lathe has, and of a bench nothing that turns', async () => {
    await open(MachinesPage);
    await press('New machine');
    expect(labelled('Carriage dial, a division')).toBeNull();
    await write('Kind', 'lathe');
    expect(labelled('Carriage dial, a division')).not.toBeNull();
    await write('Kind', 'bench');
    expect(labelled('Speed steps, rpm')).toBeNull();
  });

  it('are changed from what they are', async () => {
    await open(MachinesPage);
    await press('Change Bench drill');
    expect(labelled('Speed steps, rpm')?.value).toBe('500, 850, 1400');
    expect(labelled('Chuck takes up to')?.value).toBe('13 mm');
    serve('PUT /api/workshop/machines/bench', machine());
    await submit('Speed steps, rpm');
    expect(called('PUT /api/workshop/machines/bench')[0]?.body).toMatchObject({
      speeds: '500, 850, 1400',
      scale_graduation: '1 mm',
      cribs: ['metric'],
    });
  });
});

describe('the tool cribs', () => {
  it('take a whole drill set in two presses, sharp or dubbed', async () => {
    await open(CribsPage, 'instructor');
    serve('POST /api/workshop/cribs/metric/sets', crib());
    await press('Add a drill set');
    await press('#1–#80');
    expect(called('POST /api/workshop/cribs/metric/sets')[0]?.body).toEqual({ series: 'number', edge: 'normal' });
    await press('Add a drill set');
    document.querySelector<HTMLInputElement>('[role=group] input[type=checkbox]')?.click();
    await press('A–Z');
    expect(called('POST /api/workshop/cribs/metric/sets')[1]?.body).toEqual({ series: 'letter', edge: 'zero_rake' });
  });

  it('say of each tool its kind, size and condition', async () => {
    serve('GET /api/workshop/cribs', []);
    const page = await open(CribsPage, 'learner');
    expect(page.text()).toContain('Drills');
    expect(page.text()).toContain('9 mm');
    expect(page.text()).toContain('good');
    expect(page.find('select').exists()).toBe(false);
  });

  it('note wear, and take a removal back', async () => {
    await open(CribsPage, 'instructor');
    serve('PATCH /api/workshop/tools/1', crib());
    serve('DELETE /api/workshop/tools/1', crib({ tools: [] }));
    serve('POST /api/workshop/tools/1/restore', crib());
    const condition = document.querySelector<HTMLSelectElement>('[aria-label="Condition of 9 mm"]');
    if (condition) condition.value = 'dull';
    condition?.dispatchEvent(new Event('change'));
    await flushPromises();
    expect(called('PATCH /api/workshop/tools/1')[0]?.body).toEqual({ condition: 'dull' });
    await press('Remove 9 mm');
    expect(document.body.textContent).toContain('9 mm is removed.');
    await press('Undo');
    expect(called('POST /api/workshop/tools/1/restore')).toHaveLength(1);
    expect(document.body.textContent).not.toContain('is removed');
  });

  it('are opened one at a time; an empty one says how it is filled', async () => {
    await open(CribsPage);
    await press('Empty crib 0');
    expect(document.body.textContent).toContain('Nothing is in this crib yet');
  });

  it('are removed by the lead, after a word of warning', async () => {
    await open(CribsPage);
    serve('DELETE /api/workshop/cribs/metric', {});
    await press('Change the crib');
    expect(document.body.textContent).toContain('Its 1 tool goes with it');
    expect(button('Remove this crib')?.disabled).toBe(true);
    document.querySelector<HTMLInputElement>('[role=dialog] input[type=checkbox]')?.click();
    await flushPromises();
    await press('Remove this crib');
    expect(called('DELETE /api/workshop/cribs/metric')).toHaveLength(1);
  });

  it('ask of a tool what its kind has', async () => {
    await open(CribsPage, 'instructor');
    serve(
      'POST /api/workshop/cribs/metric/tools',
      new Refusal(422, 'No.', { size: ['"M99" is no thread that is known here.'] }),
    );
    await write('Add a tool', 'tap');
    await write('Kind of tap', 'spiral_point');
    const size = [...document.querySelectorAll('label')].find((label) => label.textContent === 'Size');
    const input = document.getElementById(size?.htmlFor ?? '') as HTMLInputElement;
    input.value = 'M99';
    input.dispatchEvent(new Event('input'));
    await submit('Kind of tap');
    expect(called('POST /api/workshop/cribs/metric/tools')[0]?.body).toEqual({
      kind: 'tap',
      size: 'M99',
      type: 'spiral_point',
    });
    expect(document.body.textContent).toContain('is no thread that is known here');
  });
});

describe('materials and stock', () => {
  beforeEach(() =>
    serve('GET /api/workshop/bars', [{ id: 4, material: 'brass', diameter_mm: 12, length_mm: 1000, count: 3 }]),
  );

  it('are found by name or group, the unsure figure marked, the own row named', async () => {
    const page = await open(MaterialsPage);
    expect(page.text()).toContain('24 m/min');
    expect(page.find('abbr').attributes('title')).toContain('family is wide');
    await page.find('input[type=search]').setValue('copper');
    expect(page.findAll('tbody th').map((row) => row.text())).toEqual([expect.stringContaining('Brass')]);
    await page.find('input[type=search]').setValue('unobtainium');
    expect(page.text()).toContain('unobtainium');
  });

  it('let only an own row go', async () => {
    await open(MaterialsPage);
    expect(button('Remove Mild steel')).toBeUndefined();
    serve('DELETE /api/workshop/materials/brass', {});
    await press('Remove Brass');
    expect(called('DELETE /api/workshop/materials/brass')).toHaveLength(1);
    serve('PUT /api/workshop/materials/brass', material());
    await press('Undo');
    expect(called('PUT /api/workshop/materials/brass')[0]?.body).toMatchObject({
      name: 'Brass',
      group: 'copper_alloy',
    });
    expect(button('Undo')).toBeUndefined();
  });

  it('are new under a name of their own, or say what is in the way', async () => {
    await open(MaterialsPage);
    serve('POST /api/workshop/materials', new Refusal(422, 'No.', { name: ['There is a material called "Brass".'] }));
    await press('A row of our own');
    await write('Name', 'Brass');
    await write('Cutting speed, m/min', '30');
    await submit('Cutting speed');
    expect(document.body.textContent).toContain('There is a material called "Brass".');
    expect(called('PUT /api/workshop/materials/brass')).toHaveLength(0);
  });

  it('are written down with a decimal comma or point', async () => {
    await open(MaterialsPage);
    serve('POST /api/workshop/materials', material());
    await press('A row of our own');
    await write('Name', 'Mast alloy');
    await write('Cutting speed, m/min', '45,5');
    await write('Point angle, degrees', '118,0');
    await submit('Cutting speed');
    expect(called('POST /api/workshop/materials')[0]?.body).toMatchObject({
      name: 'Mast alloy',
      cutting_speed_m_min: '45.5',
      point_angle_deg: '118.0',
    });
  });

  it('list the bars in stock, take them in as they are typed, and say which field is at fault', async () => {
    const panel = await open(BarsPanel, 'instructor');
    expect(panel.text()).toContain('⌀ 12 mm × 1000 mm');
    serve('POST /api/workshop/bars', new Refusal(422, 'No.', { count: ['At least one bar.'] }));
    await panel.find('form').trigger('submit');
    await flushPromises();
    expect(panel.text()).toContain('At least one bar.');
    serve('DELETE /api/workshop/bars/4', {});
    await press('Remove Brass ⌀ 12 mm × 1000 mm');
    expect(called('DELETE /api/workshop/bars/4')).toHaveLength(1);
  });

  it('give a removed bar back as it was', async () => {
    const panel = await open(BarsPanel, 'instructor');
    serve('DELETE /api/workshop/bars/4', {});
    await press('Remove Brass ⌀ 12 mm × 1000 mm');
    expect(panel.find('[role=status]').text()).toContain('Brass ⌀ 12 mm × 1000 mm is removed.');
    serve('POST /api/workshop/bars', {});
    await press('Undo');
    expect(called('POST /api/workshop/bars')[0]?.body).toMatchObject({
      material: 'brass',
      diameter: '12 mm',
      length: '1000 mm',
    });
    expect(panel.find('[role=status]').exists()).toBe(false);
  });
});

describe('the workshop file', () => {
  async function bring(outcome: Partial<Schemas['WorkshopOutcome']>) {
    serve('POST /api/workshop/file', ({ body }: Call) => ({
      faults: [],
      added: [],
      changed: [],
      same: 0,
      ...outcome,
      applied: (body as { apply: boolean }).apply && !outcome.faults?.length,
    }));
    const page = await open(WorkshopFilePage);
    const input = page.find('input[type=file]');
    Object.defineProperty(input.element, 'files', { value: [new File(['{"format": "x"}'], 'shop.json')] });
    await input.trigger('change');
    await flushPromises();
    await flushPromises();
    return page;
  }

  it('is looked at first; every fault stands with its place, and nothing can be brought in', async () => {
    const page = await bring({
      faults: [
        { where: '/machines/0/kind', what: '"mill" is none of these.' },
        { where: '/policy', what: 'colour is not known here.' },
      ],
    });
    expect(page.text()).toContain('2 faults; nothing was changed');
    expect(page.text()).toContain('/machines/0/kind');
    expect(page.text()).toContain('colour is not known here.');
    expect(button('Bring it in')).toBeUndefined();
    expect(called('POST /api/workshop/file').map((call) => (call.body as { apply: boolean }).apply)).toEqual([false]);
  });

  it('says what it would change, and changes it on a second press', async () => {
    const page = await bring({ added: ['crib: Lent set'], changed: ['machine: Bench drill'], same: 12 });
    expect(page.text()).toContain('This is what it would change:');
    expect(page.text()).toContain('+ crib: Lent set');
    expect(page.text()).toContain('12 entries stay as they are');
    await press('Bring it in');
    expect(page.text()).toContain('● Brought in.');
    expect(called('POST /api/workshop/file')[1]?.body).toEqual({ text: '{"format": "x"}', apply: true });
  });

  it('that changes nothing cannot be brought in', async () => {
    await bring({ same: 20 });
    expect(button('Bring it in')?.disabled).toBe(true);
  });

  it('is written out by whoever teaches, brought in by the lead only', async () => {
    const page = await open(WorkshopFilePage, 'instructor');
    expect(page.find('a[download]').attributes('href')).toBe('/api/workshop/file');
    expect(page.find('input[type=file]').exists()).toBe(false);
  });
});
