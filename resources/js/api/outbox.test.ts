import { signedIn } from '@/test/mountIn';
import { called, calls, Refusal, serve, type Call } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope } from 'vue';
import { Refused, speakFor } from './client';
import { flush, nextTry, openOutbox, send, stuck, throwAway, tryAgain, useOutbox } from './outbox';

const draft = (about: string, body: unknown = {}) => ({
  about,
  method: 'POST' as const,
  path: '/api/practice/entries',
  body,
  label: { key: 'outbox.practice' },
});
const ROUTE = 'POST /api/practice/entries';
const outbox = () => effectScope(true).run(() => useOutbox()) as ReturnType<typeof useOutbox>;
const kept = () => Object.keys(localStorage).filter((key) => key.startsWith('millstep.outbox.'));

describe('the outbox', () => {
  beforeEach(() => signedIn('learner'));

  it('sends a command, answers when the server has, and forgets it then', async () => {
    serve(ROUTE, { id: 'e1' });
    await expect(send('c1', draft('a'))).resolves.toEqual({ id: 'e1' });
    expect(kept()).toEqual([]);
  });

  it('says with every command whom it is from', async () => {
    const from = vi.fn();
    const before = globalThis.fetch;
    globalThis.fetch = ((input: Request, init?: RequestInit) => {
      from(input.headers.get('X-Mill-Step-From'));
      return before(input, init);
    }) as typeof fetch;
    serve(ROUTE, {});
    await send('c1', draft('a'));
    globalThis.fetch = before;
    expect(from).toHaveBeenCalledWith('7');
  });

  it('keeps a command over a lost network and a reload, and sends it as it was', async () => {
    serve(ROUTE, new Refusal(503, 'Away.'));
    void send('c1', draft('a', { id: 'c1', minutes: 30 })).catch(() => undefined);
    await flushPromises();
    expect(stuck.value).toBe('unreachable');
    // It says until when it waits.
    expect((nextTry.value ?? 0) - Date.now()).toBeGreaterThan(10_000);
    // The page is loaded anew: only what is on the device is left.
    openOutbox();
    await flushPromises();
    serve(ROUTE, {});
    await flush();
    const bodies = called(ROUTE).map((call) => call.body);
    expect(bodies.length).toBeGreaterThanOrEqual(2);
    expect(new Set(bodies.map((body) => JSON.stringify(body))).size).toBe(1);
    expect(kept()).toEqual([]);
    expect(nextTry.value).toBeNull();
  });

  it('sends in the order in which things were done, one after the other', async () => {
    const seen: unknown[] = [];
    serve(ROUTE, async ({ body }: Call) => {
      await Promise.resolve();
      seen.push(body);
      return {};
    });
    await Promise.all([1, 2, 3].map((n) => send(`c${n}`, draft(`about ${n}`, { n }))));
    expect(seen).toEqual([{ n: 1 }, { n: 2 }, { n: 3 }]);
  });

  it('takes in what another page of this device has made, and sends it in its turn', async () => {
    const seen: unknown[] = [];
    serve(ROUTE, ({ body }: Call) => {
      seen.push(body);
      return {};
    });
    const other = {
      id: 'other',
      about: 'theirs',
      from: 7,
      method: 'POST',
      path: '/api/practice/entries',
      body: { n: 0 },
    };
    localStorage.setItem(
      'millstep.outbox.other',
      JSON.stringify({ ...other, label: { key: 'outbox.practice' }, madeAt: '2020-01-01T00:00:00Z', refused: null }),
    );
    await send('mine', draft('mine', { n: 1 }));
    expect(seen).toEqual([{ n: 0 }, { n: 1 }]);
    expect(kept()).toEqual([]);
  });

  it('does not send again what another page has sent meanwhile', async () => {
    serve(ROUTE, new Refusal(503, 'Away.'));
    void send('c1', draft('a', { n: 1 })).catch(() => undefined);
    await flushPromises();
    // The other page sent it: it is kept no more.
    localStorage.removeItem('millstep.outbox.c1');
    const before = called(ROUTE).length;
    serve(ROUTE, {});
    await flush();
    expect(called(ROUTE).length).toBe(before);
    expect(outbox().commands.value).toEqual([]);
  });

  it('replaces what has not gone out by what was said later about the same', async () => {
    serve(ROUTE, new Refusal(503, 'Away.'));
    void send('c1', draft('mark', { n: 1 })).catch(() => undefined);
    await flushPromises();
    const second = send('c2', draft('mark', { n: 2 }));
    serve(ROUTE, { done: true });
    await flush();
    await expect(second).resolves.toEqual({ done: true });
    expect(called(ROUTE).at(-1)?.body).toEqual({ n: 2 });
    expect(kept()).toEqual([]);
  });

  it("never sends one person's command in another's session", async () => {
    serve(ROUTE, new Refusal(401, 'Signed out.'));
    void send('c1', draft('a', { by: 'ada' })).catch(() => undefined);
    await flushPromises();
    expect(stuck.value).toBe('signed_out');
    const before = calls.length;
    speakFor(8);
    serve(ROUTE, {});
    openOutbox();
    await flushPromises();
    expect(calls).toHaveLength(before);
    expect(outbox().commands.value).toEqual([]);
    // And when the first is back, it goes to their name.
    speakFor(7);
    openOutbox();
    await flushPromises();
    expect(called(ROUTE).at(-1)?.body).toEqual({ by: 'ada' });
    expect(kept()).toEqual([]);
  });

  it('keeps what the server refuses until the person throws it away or sends it again', async () => {
    serve(ROUTE, new Refusal(409, 'Concluded elsewhere.'));
    await expect(send('c1', draft('a'))).rejects.toBeInstanceOf(Refused);
    expect(outbox().refused.value.map((command) => command.refused?.message)).toEqual(['Concluded elsewhere.']);
    openOutbox();
    expect(outbox().refused.value).toHaveLength(1);
    serve(ROUTE, {});
    tryAgain('c1');
    await flushPromises();
    expect(kept()).toEqual([]);
    serve(ROUTE, new Refusal(409, 'Again.'));
    await send('c2', draft('b')).catch(() => undefined);
    throwAway('c2');
    expect(kept()).toEqual([]);
  });

  it('lets the others go out past a refused one', async () => {
    serve(ROUTE, ({ body }: Call) => ((body as { n: number }).n === 1 ? new Refusal(409, 'No.') : {}));
    const first = send('c1', draft('a', { n: 1 })).catch((cause: Error) => cause.message);
    await send('c2', draft('b', { n: 2 }));
    expect(await first).toBe('No.');
  });

  it('gives back to the form what cannot be understood, and keeps no copy', async () => {
    serve(ROUTE, new Refusal(422, 'No.', { minutes: ['At least 5.'] }));
    await expect(send('c1', draft('a'))).rejects.toMatchObject({ errors: { minutes: ['At least 5.'] } });
    expect(kept()).toEqual([]);
  });
});
