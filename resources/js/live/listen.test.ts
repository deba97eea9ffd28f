import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { listen } from './listen';

const events = (...chunks: string[]) =>
  new Response(
    new ReadableStream({
      start(controller) {
        for (const chunk of chunks) controller.enqueue(new TextEncoder().encode(chunk));
        controller.close();
      },
    }),
    { status: 200, headers: { 'Content-Type': 'text/event-stream' } },
  );

describe('a live screen', () => {
  const before = globalThis.fetch;
  const fetched = vi.fn();
  beforeEach(() => {
    vi.useFakeTimers();
    fetched.mockReset();
    globalThis.fetch = fetched as typeof fetch;
  });
  afterEach(() => {
    vi.useRealTimers();
    globalThis.fetch = before;
  });

  it('looks again when it connects and whenever it is told, with the token that it has', async () => {
    fetched.mockResolvedValueOnce(events(': hi\n\n', 'id: 1\nda', 'ta: changed\n\n', 'data: changed\n\n'));
    fetched.mockResolvedValue(new Response('', { status: 403 }));
    const changed = vi.fn();
    const connected = vi.fn();
    const stop = new AbortController();
    const done = listen('machine-bench', '1|token', changed, connected, stop.signal);
    await vi.advanceTimersByTimeAsync(1_500);
    await done;
    expect(changed).toHaveBeenCalledTimes(3);
    expect(connected.mock.calls.map(([is]) => is)).toEqual([true, false]);
    expect(fetched.mock.calls[0]?.[1]).toMatchObject({
      headers: { Authorization: 'Bearer 1|token' },
      credentials: 'omit',
    });
  });

  it('gives up where there is no push, and tries ever more slowly where it breaks off', async () => {
    fetched.mockResolvedValue(new Response('', { status: 404 }));
    await listen('shop', null, vi.fn(), vi.fn(), new AbortController().signal);
    expect(fetched).toHaveBeenCalledTimes(1);
    fetched.mockReset();
    fetched.mockRejectedValue(new TypeError('network'));
    const stop = new AbortController();
    const done = listen('shop', null, vi.fn(), vi.fn(), stop.signal);
    await vi.advanceTimersByTimeAsync(7_500);
    expect(fetched).toHaveBeenCalledTimes(4);
    stop.abort();
    await done;
  });
});
