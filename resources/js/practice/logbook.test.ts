import type { Schemas } from '@/api/client';
import { send } from '@/api/outbox';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve } from '@/test/server';
import { machine } from '@/test/shapes';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import LogbookEntries from './LogbookEntries.vue';
import LogbookPage from './LogbookPage.vue';

const entry = (given: Partial<Schemas['PracticeEntry']> = {}): Schemas['PracticeEntry'] => ({
  id: 'e1',
  machine: 'Bench drill',
  machine_slug: 'bench',
  permit: null,
  permit_code: null,
  plan: null,
  chip: null,
  readings: null,
  mishap: null,
  from_gate: false,
  edits: [],
  exercise: 'Two plates',
  minutes: 45,
  done_on: '2031-05-02',
  note: null,
  state: 'waiting',
  reason: null,
  decided_by: null,
  ...given,
});

async function entries(list: Schemas['PracticeEntry'][], role: 'instructor' | 'learner') {
  signedIn(role);
  serve('GET /api/practice/learners/7/entries', list);
  const page = mountIn(LogbookEntries, { learnerId: 7 });
  await flushPromises();
  return page;
}

describe('a logbook', () => {
  it('shows the state of each entry, with the reason of a refusal', async () => {
    const page = await entries(
      [
        entry(),
        entry({ id: 'e2', state: 'confirmed', decided_by: 'Ada Example' }),
        entry({ id: 'e3', state: 'declined', decided_by: 'Ada Example', reason: 'No guard in the picture' }),
      ],
      'learner',
    );
    expect(page.text()).toContain('45 min');
    expect(page.text()).toContain('‖');
    expect(page.text()).toContain('✓');
    expect(page.text()).toContain('No guard in the picture');
    // What waits can be taken back; what is decided stays.
    serve('DELETE /api/practice/entries/e1', null);
    const buttons = page.findAll('button');
    expect(buttons).toHaveLength(1);
    await buttons[0]?.trigger('click');
    await flushPromises();
    expect(called('DELETE /api/practice/entries/e1')).toHaveLength(1);
    expect(page.emitted('taken')?.[0]?.[0]).toMatchObject({ id: 'e1', exercise: 'Two plates' });
  });

  it('is confirmed by whoever teaches in one tap; sent back or declined only with a reason', async () => {
    const page = await entries([entry()], 'instructor');
    serve('POST /api/practice/entries/e1/decision', entry({ state: 'confirmed' }));
    const press = (word: string) =>
      page
        .findAll('button')
        .find((button) => button.text() === word)
        ?.trigger('click');
    const sent = () => called('POST /api/practice/entries/e1/decision').map((call) => call.body);
    await press('Send back');
    expect(sent()).toEqual([]);
    await page.find('form input').setValue('Which holes?');
    await page.find('form').trigger('submit');
    await flushPromises();
    expect(sent()).toEqual([{ confirm: false, back: true, reason: 'Which holes?' }]);
    await press('Decline');
    await page.find('form input').setValue('Nothing was clamped');
    await page.find('form').trigger('submit');
    await flushPromises();
    expect(sent()[1]).toEqual({ confirm: false, back: false, reason: 'Nothing was clamped' });
    await press('Confirm');
    await flushPromises();
    expect(sent()[2]).toEqual({ confirm: true });
    page.unmount();
  });

  it('hands what was sent back to its learner again, to be put right', async () => {
    const page = await entries(
      [entry({ state: 'returned', reason: 'Which holes?', decided_by: 'Ada Example' })],
      'learner',
    );
    expect(page.text()).toContain('Which holes?');
    await page.findAll('button')[0]?.trigger('click');
    expect(page.emitted('taken')?.[0]?.[0]).toMatchObject({ id: 'e1', state: 'returned' });
  });

  it('shows what is still on this device', async () => {
    serve('POST /api/practice/entries', new Refusal(503, 'Away.'));
    signedIn('learner');
    void send('x1', {
      about: 'practice:x1',
      method: 'POST',
      path: '/api/practice/entries',
      body: { exercise: 'Second of today', minutes: 20 },
      label: { key: 'outbox.practice' },
    }).catch(() => undefined);
    const page = await entries([], 'learner');
    expect(page.text()).toContain('Second of today');
    expect(page.text()).toContain('goes out with the network');
  });

  it('says so while it is empty', async () => {
    expect((await entries([], 'learner')).find('ul').exists()).toBe(false);
  });
});

describe('logging practice', () => {
  beforeEach(() => {
    signedIn('learner');
    serve('GET /api/workshop/machines', [
      machine({ permits: [{ code: 'drill', name: 'Through holes', further: false }] as never }),
      machine({ slug: 'table', name: 'Marking-out table' }),
    ]);
    serve('GET /api/practice/learners/7/entries', []);
  });
  async function page() {
    const mounted = mountIn(LogbookPage, {});
    await flushPromises();
    return mounted;
  }

  it('offers the machines that a permit is for', async () => {
    const options = (await page()).findAll('option').map((option) => option.text());
    expect(options).toContain('Bench drill');
    expect(options).not.toContain('Marking-out table');
  });

  it('keeps what is typed until it has arrived, under one id', async () => {
    const mounted = await page();
    await mounted.findAll('input')[0]?.setValue('Two plates');
    await mounted.find('select').setValue('bench');
    await mounted.find('input[type=number]').setValue('45');
    serve('POST /api/practice/entries', new Refusal(422, 'No.', { minutes: ['At least 5 minutes.'] }));
    await mounted.find('form').trigger('submit');
    await flushPromises();
    expect(mounted.text()).toContain('At least 5 minutes.');
    expect(JSON.parse(localStorage.getItem('millstep.logbook.7') ?? '{}')).toMatchObject({ exercise: 'Two plates' });
    serve('POST /api/practice/entries', entry());
    await mounted.find('form').trigger('submit');
    await flushPromises();
    const [first, second] = called('POST /api/practice/entries').map(
      (call) => call.body as { id: string; minutes: number },
    );
    expect(first?.id).toBe(second?.id);
    expect(second?.minutes).toBe(45);
    expect(mounted.findAll('input')[0]?.element.value).toBe('');
    expect(JSON.parse(localStorage.getItem('millstep.logbook.7') ?? '{}').id).not.toBe(second?.id);
  });
});
