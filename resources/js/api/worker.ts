/**
 * The service worker (public/sw.js) that keeps what a learner has opened, and a sheet that is being marked: started for whoever wants it, and gone without a
 * trace for whoever does not.
 */
const FILE = '/sw.js';
const possible = () => 'serviceWorker' in navigator && window.isSecureContext;

/** A page that is opened while it is being set up is served by the network as ever. */
export async function keepOpened(): Promise<void> {
  if (!possible()) return;
  await navigator.serviceWorker.register(FILE, { scope: '/', updateViaCache: 'none' }).catch(() => undefined);
}

/** To the worker itself: a page that was loaded past it has none that answers for it, and speaks to it all the same. */
async function tell(what: unknown): Promise<void> {
  if (possible()) (await navigator.serviceWorker.getRegistration())?.active?.postMessage(what);
}

/**
 * What a page needs after a reload without a network, by path. The newest takes the place of what was handed over before.
 * `known` is when the server said last whose page it is: what was known before somebody signed out is held no more.
 */
export async function hold(paths: Record<string, unknown>, known: number): Promise<void> {
  if (!possible()) return;
  // What is reactive cannot be handed to another thread; what is written down can.
  const written = Object.fromEntries(Object.entries(paths).map(([path, body]) => [path, JSON.stringify(body)]));
  await navigator.serviceWorker.ready;
  await tell({ hold: written, known });
}

/** What was handed over is not needed any more. */
export function letGo(paths: string[]): void {
  void tell({ letGo: paths });
}

/** What was kept of a person is thrown away; the pages stay. */
export function forgetOpened(): void {
  void tell('forget');
}

/** Nothing is kept on this device any more, and nothing stands between it and the server. */
export async function keepNothing(): Promise<void> {
  if (!possible()) return;
  for (const registration of await navigator.serviceWorker.getRegistrations()) {
    registration.active?.postMessage('leave');
    await registration.unregister();
  }
  for (const name of await caches.keys()) if (name.startsWith('millstep-')) await caches.delete(name);
}

export const mayKeep = possible;
