import { queryClient } from '@/api/queries';
import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve } from '@/test/server';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { VueWrapper } from '@vue/test-utils';
import GateScreenPage from './GateScreenPage.vue';

const NOW = '2031-05-02T10:00:00Z';
const read = (given: Partial<Schemas['GateAnswer']>): Schemas['GateAnswer'] => ({
  id: 'r1',
  event: 'decision',
  person: 'Wren Example',
  decision: 'alone',
  reasons: [],
  missing: [],
  interlock: 'on',
  read_at: NOW,
  ...given,
});
const screen = (last_read: Schemas['GateAnswer'] | null): Schemas['GateScreen'] => ({
  machine: { slug: 'bench', name: 'Bench drill', in_service: true, service_note: null, permits: ['Through holes'] },
  running: null,
  last_read,
});

describe("the machine's screen", () => {
  let page: VueWrapper;
  beforeEach(() => {
    vi.useFakeTimers({ now: new Date(NOW) });
    queryClient.clear();
    signedIn('instructor');
    serve('GET /api/gate/demo-badges', [
      { name: 'Wren Example', role: 'learner', code: 'MS-1' },
      { name: 'Ada Example', role: 'instructor', code: 'MS-2' },
    ]);
  });
  afterEach(() => {
    page.unmount();
    vi.useRealTimers();
  });
  async function open(paired = true) {
    if (paired) localStorage.setItem('millstep.gate.bench', '1|token');
    page = mountIn(GateScreenPage, { machine: 'bench' });
    await vi.advanceTimersByTimeAsync(50);
  }
  const word = () => page.find('[data-testid=gate-word]').text();

  it('is paired once, by whoever teaches, and then keeps its own token', async () => {
    serve('POST /api/gate/machines/bench/devices', { token: '7|fresh' });
    serve('GET /api/gate/screen', screen(null));
    await open(false);
    expect(page.find('[data-testid=gate-word]').exists()).toBe(false);
    await page.find('button').trigger('click');
    await vi.advanceTimersByTimeAsync(50);
    expect(localStorage.getItem('millstep.gate.bench')).toBe('7|fresh');
    expect(word()).toBe('Badge, please');
  });

  it('sends a learner who would pair it to sign in as somebody who may', async () => {
    signedIn('learner');
    await open(false);
    expect(page.find('button').exists()).toBe(false);
    expect(page.find('a').exists()).toBe(true);
  });

  it('shows the answer to a badge, and forgets it after half a minute', async () => {
    serve('GET /api/gate/screen', screen(read({})));
    await open();
    expect(word()).toBe('Alone');
    await vi.advanceTimersByTimeAsync(31_000);
    expect(word()).toBe('Badge, please');
  });

  it('says no as soon as it cannot ask: it never fails open', async () => {
    serve('GET /api/gate/screen', screen(read({})));
    await open();
    expect(word()).toBe('Alone');
    serve('GET /api/gate/screen', new Refusal(503, 'The shop is away.'));
    await vi.advanceTimersByTimeAsync(2_000);
    expect(word()).toBe('No');
    expect(page.find('[data-testid=interlock]').text()).toContain('off');
  });

  it('asks to be paired again when its token no longer counts', async () => {
    serve('GET /api/gate/screen', new Refusal(401, 'No.'));
    await open();
    expect(page.find('[data-testid=gate-word]').exists()).toBe(false);
    expect(page.find('h1').exists()).toBe(true);
  });

  it('reads a badge, with a companion or without, each read under an id of its own', async () => {
    serve('GET /api/gate/screen', screen(null));
    serve('POST /api/gate/reads', read({}));
    await open();
    await page.findAll('details button')[0]?.trigger('click');
    await vi.advanceTimersByTimeAsync(50);
    await page.find('details select').setValue('MS-2');
    await page.find('details input').setValue('MS-NOBODY');
    await page.find('details form').trigger('submit');
    await vi.advanceTimersByTimeAsync(50);
    const reads = called('POST /api/gate/reads').map((call) => call.body as { id: string });
    expect(reads).toMatchObject([
      { badge: 'MS-1', companion_badge: null },
      { badge: 'MS-NOBODY', companion_badge: 'MS-2' },
    ]);
    expect(reads[0]?.id).not.toBe(reads[1]?.id);
  });
});
