/**
 * Listens on a channel of the server for "something changed", by server-sent events over fetch, so that a device's token
 * can go along. Ends with the signal; a connection that breaks is made again, ever more slowly.
 */
const FIRST_WAIT_MS = 1_000;
const LONGEST_WAIT_MS = 30_000;

export async function listen(
  channel: string,
  token: string | null,
  changed: () => void,
  connected: (is: boolean) => void,
  signal: AbortSignal,
) {
  let wait = FIRST_WAIT_MS;
  while (!signal.aborted) {
    try {
      const response = await globalThis.fetch(`/live/${channel}`, {
        headers: { Accept: 'text/event-stream', ...(token === null ? {} : { Authorization: `Bearer ${token}` }) },
        credentials: token === null ? 'same-origin' : 'omit',
        cache: 'no-store',
        signal,
      });
      // No push here, or not for us: polling does it alone.
      if (!response.ok || !response.headers.get('Content-Type')?.includes('text/event-stream') || !response.body)
        return;
      wait = FIRST_WAIT_MS;
      connected(true);
      // What happened between the last look and now is seen at once.
      changed();
      await follow(response.body, changed);
    } catch {
      // Broken off; tried again below.
    }
    connected(false);
    await pause(wait, signal);
    wait = Math.min(wait * 2, LONGEST_WAIT_MS);
  }
}

async function follow(body: ReadableStream<Uint8Array>, changed: () => void) {
  const reader = body.getReader();
  const decoder = new TextDecoder();
  let text = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    text += decoder.decode(value, { stream: true });
    const lines = text.split('\n');
    text = lines.pop() ?? '';
    if (lines.some((line) => line.startsWith('data:'))) changed();
  }
}

function pause(milliseconds: number, signal: AbortSignal): Promise<void> {
  return new Promise((done) => {
    const timer = setTimeout(done, milliseconds);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      done();
    });
  });
}
