import { queryClient } from '@/api/queries';
import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve, type Call } from '@/test/server';
import { gateRead, gateScreen, machine, running } from '@/test/shapes';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { VueWrapper } from '@vue/test-utils';
import GateScreenPage from './GateScreenPage.vue';

const NOW = '2031-05-02T10:00:00Z';
const READS = 'POST /api/gate/reads';
/** Answers with the question's own nonce and the time that it is, as the server does. */
const live = (given: Partial<Schemas['GateScreen']>) => (call: Call) =>
  gateScreen({ answered_at: new Date().toISOString(), ...given, nonce: new URLSearchParams(call.query).get('nonce') });
const alone = gateRead({ decision: 'alone', interlock: 'on' });
const on = { interlock: 'on' as const, running: running({ person: 'Ada', idle_at: '2031-05-02T18:00:00Z' }) };

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
  const power = () => page.find('[data-testid=interlock]').text();
  const button = (words: string) => page.findAll('button').find((each) => each.text().includes(words));
  async function badge(name = 'Wren') {
    await button(name)?.trigger('click');
    await vi.advanceTimersByTimeAsync(50);
  }
  const reads = () => called(READS).map((call) => call.body as Schemas['BadgeRead']);

  it('is paired once, by whoever teaches, who is signed out on it by the same press', async () => {
    const leave = vi.fn();
    vi.stubGlobal('location', { ...window.location, href: 'http://shop.example/', replace: leave });
    serve('POST /api/gate/machines/bench/devices', { token: '7|fresh' });
    serve('GET /api/gate/screen', live({}));
    await open(false);
    expect(page.find('[data-testid=gate-word]').exists()).toBe(false);
    expect(page.text()).toContain('signs you out');
    await button('Pair this screen')?.trigger('click');
    await vi.advanceTimersByTimeAsync(50);
    expect(called('POST /api/gate/machines/bench/devices')[0]?.body).toMatchObject({ here: true });
    expect(localStorage.getItem('millstep.gate.bench')).toBe('7|fresh');
    expect(leave).toHaveBeenCalledWith('/gate/bench');
    vi.unstubAllGlobals();
  });

  it('sends a learner who would pair it to sign in as somebody who may', async () => {
    signedIn('learner');
    await open(false);
    expect(page.find('button').exists()).toBe(false);
    expect(page.find('a').exists()).toBe(true);
  });

  it('offers no pairing for a machine that is not there, and says it of one that no permit covers', async () => {
    serve('GET /api/workshop/machines', [machine({ slug: 'table', name: 'Marking-out table', permits: [] })]);
    await open(false);
    expect(page.find('button').exists()).toBe(false);
    expect(page.find('[role=alert]').text()).toContain('bench');
    page.unmount();
    serve('GET /api/workshop/machines', [machine({ slug: 'bench', name: 'Bench drill', permits: [] })]);
    queryClient.clear();
    signedIn('instructor');
    await open(false);
    expect(page.text()).toContain('Bench drill');
    expect(page.text()).toContain('No permit covers this machine');
  });

  it('asks for no badge where no permit could ever allow one', async () => {
    serve('GET /api/gate/screen', live({ machine: { ...gateScreen({}).machine, permits: [] } }));
    await open();
    expect(page.find('[data-testid=no-permit]').exists()).toBe(true);
    expect(button('Wren')).toBeUndefined();
    // What is on stays in sight, and may be finished.
    serve('GET /api/gate/screen', live({ ...on, machine: { ...gateScreen({}).machine, permits: [] } }));
    await vi.advanceTimersByTimeAsync(1_500);
    expect(page.find('[data-testid=no-permit]').exists()).toBe(false);
    expect(button('Wren')).toBeDefined();
  });

  it('shows the answer to a badge, and forgets it after half a minute', async () => {
    serve('GET /api/gate/screen', live({ ...on, last_read: alone }));
    await open();
    expect(word()).toBe('Alone');
    serve('GET /api/gate/screen', live({ last_read: gateRead({ reasons: ['held'] }) }));
    await vi.advanceTimersByTimeAsync(2_000);
    expect(word()).toBe('No');
    await vi.advanceTimersByTimeAsync(31_000);
    expect(word()).toBe('Badge, please');
  });

  it('says no as soon as it cannot ask: it never fails open', async () => {
    serve('GET /api/gate/screen', live({ ...on, last_read: alone }));
    await open();
    expect(power()).toContain('interlock on');
    serve('GET /api/gate/screen', new Refusal(503, 'The shop is away.'));
    await vi.advanceTimersByTimeAsync(1_500);
    expect(word()).toBe('No');
    expect(power()).toContain('off');
  });

  it('has no power three seconds after the last answer, when the server hangs', async () => {
    serve('GET /api/gate/screen', live({ ...on, last_read: alone }));
    await open();
    expect(power()).toContain('interlock on');
    serve('GET /api/gate/screen', () => new Promise(() => undefined));
    await vi.advanceTimersByTimeAsync(4_500);
    expect(power()).toContain('off');
    expect(word()).toBe('No');
  });

  it('takes no old answer for a new one', async () => {
    serve('GET /api/gate/screen', live({}));
    await open();
    serve('GET /api/gate/screen', gateScreen({ ...on, nonce: 'of another question' }));
    await vi.advanceTimersByTimeAsync(1_500);
    expect(power()).toContain('off');
    expect(word()).toBe('No');
  });

  it('asks to be paired again when its token no longer counts', async () => {
    serve('GET /api/gate/screen', new Refusal(401, 'No.'));
    await open();
    expect(page.find('[data-testid=gate-word]').exists()).toBe(false);
    expect(page.find('h1').exists()).toBe(true);
  });

  it('starts at a free machine and finishes at one in use, each under an id of its own', async () => {
    serve('GET /api/gate/screen', live({}));
    serve(READS, ({ body }: Call) => gateRead({ ...alone, id: (body as { id: string }).id }));
    await open();
    await badge();
    serve('GET /api/gate/screen', live(on));
    await vi.advanceTimersByTimeAsync(1_100);
    await badge();
    expect(reads()).toMatchObject([
      { intent: 'start', badge: 'MS-1' },
      { intent: 'finish', badge: 'MS-1' },
    ]);
    expect(reads()[0]?.id).not.toBe(reads()[1]?.id);
  });

  it('asks again under the same id when an answer is lost, and reads no other badge meanwhile', async () => {
    serve('GET /api/gate/screen', live(on));
    serve(READS, new Refusal(503, 'Away.'));
    await open();
    await badge();
    expect(word()).toBe('No');
    serve('GET /api/gate/screen', live({}));
    await vi.advanceTimersByTimeAsync(1_000);
    await badge();
    serve(READS, ({ body }: Call) => gateRead({ event: 'finished', id: (body as { id: string }).id }));
    await vi.advanceTimersByTimeAsync(2_500);
    expect(new Set(reads().map((read) => `${read.id} ${read.intent}`)).size).toBe(1);
    expect(reads().length).toBeGreaterThan(1);
  });

  it('goes on asking after a reload', async () => {
    serve('GET /api/gate/screen', live(on));
    serve(READS, new Refusal(503, 'Away.'));
    await open();
    await badge();
    page.unmount();
    serve(READS, ({ body }: Call) => gateRead({ event: 'finished', id: (body as { id: string }).id }));
    await open();
    await vi.advanceTimersByTimeAsync(1_100);
    expect(new Set(reads().map((read) => read.id)).size).toBe(1);
    expect(sessionStorage.getItem('millstep.gate.bench.read') ?? 'null').toBe('null');
  });

  it('hands a turn over only after that was pressed', async () => {
    serve('GET /api/gate/screen', live(on));
    serve(READS, ({ body }: Call) => gateRead({ event: 'finished', id: (body as { id: string }).id }));
    await open();
    await button('hand over')?.trigger('click');
    await badge('Ada Example');
    expect(reads()).toMatchObject([{ intent: 'hand_over', badge: 'MS-2' }]);
  });

  it('asks in two taps what the signature limits, and sends it as the answer to that question', async () => {
    const asked = gateRead({
      event: 'asks',
      asks: ['material', 'thickness', 'operation', 'diameter'],
      scopes: [{ materials: ['mild_steel'], operations: ['drill'], max_diameter_mm: 10, min_thickness_mm: 3 }],
      choices: {
        materials: [
          { key: 'mild_steel', name: 'Mild steel' },
          { key: 'acrylic', name: 'Acrylic' },
        ],
        operations: ['drill', 'ream'],
        supervisors: [],
      },
    });
    serve('GET /api/gate/screen', live({ last_read: asked }));
    serve(READS, ({ body }: Call) => gateRead({ ...alone, id: (body as { id: string }).id }));
    await open();
    expect(page.find('[data-testid=ask]').text()).toContain('what is it made of');
    await button('from 3 mm thick')?.trigger('click');
    await button('up to 8 mm')?.trigger('click');
    await vi.advanceTimersByTimeAsync(50);
    expect(reads()).toMatchObject([
      {
        intent: 'start',
        follows: 'r1',
        request: { material: 'mild_steel', thickness_mm: 3, operation: 'drill', diameter_mm: 8 },
      },
    ]);
  });

  it('asks for the companion, whose badge answers', async () => {
    const asked = gateRead({ event: 'asks', asks: ['companion', 'material'], reasons: ['companion_absent'] });
    serve('GET /api/gate/screen', live({ last_read: asked }));
    serve(READS, ({ body }: Call) => gateRead({ id: (body as { id: string }).id }));
    await open();
    expect(page.find('[data-testid=ask]').text()).toContain('who is with you');
    await badge('Ada Example');
    expect(reads()).toMatchObject([{ intent: 'start', follows: 'r1', companion_badge: 'MS-2' }]);
  });

  it('asks who supervises where several may, and names whoever is chosen or badges', async () => {
    const asked = gateRead({
      event: 'asks',
      asks: ['supervisor'],
      choices: {
        materials: [],
        operations: [],
        supervisors: [
          { id: 7, name: 'Orla Example' },
          { id: 8, name: 'Bram Example' },
        ],
      },
    });
    serve('GET /api/gate/screen', live({ last_read: asked }));
    serve(READS, ({ body }: Call) => gateRead({ id: (body as { id: string }).id }));
    await open();
    expect(page.find('[data-testid=ask]').text()).toContain('Who supervises?');
    await button('Bram Example')?.trigger('click');
    await vi.advanceTimersByTimeAsync(50);
    expect(reads()).toMatchObject([{ intent: 'start', follows: 'r1', supervisor: 8 }]);
    await badge('Ada Example');
    expect(reads()[1]).toMatchObject({ intent: 'start', follows: 'r1', supervisor_badge: 'MS-2' });
  });

  it('names who supervises, and says why a companion does not do', async () => {
    serve(
      'GET /api/gate/screen',
      live({ ...on, running: running({ decision: 'supervised', supervisor: 'Orla Example' }) }),
    );
    await open();
    expect(page.text()).toContain('Supervised by Orla Example');
    serve(
      'GET /api/gate/screen',
      live({
        last_read: gateRead({ reasons: ['companion_absent', 'supervisor_absent'], refused: ['companion_runs'] }),
      }),
    );
    await vi.advanceTimersByTimeAsync(1_500);
    expect(page.text()).toContain('The companion has a machine of their own.');
  });

  it('renews its token long before it runs out', async () => {
    serve('POST /api/gate/renewal', { token: '1|renewed' });
    serve('GET /api/gate/screen', live({ device: { expires_at: '2031-05-20T00:00:00Z' } }));
    await open();
    await vi.advanceTimersByTimeAsync(100);
    expect(localStorage.getItem('millstep.gate.bench')).toBe('1|renewed');
  });
});
