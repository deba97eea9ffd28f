/*
 * What keeps a lesson, a check and the logbook going when the network goes: the pages themselves, and what this person has
 * opened. Written by hand, and small enough to be read whole.
 *
 * It never answers for the server where that can be reached, never keeps anything that gives or takes power (gate, live,
 * sign-offs), and never sends: what a person writes waits in the page's own outbox. Whose data it is stands in `people/me`;
 * as soon as that is somebody else, somebody who teaches, or nobody, all of it is thrown away.
 */
const VERSION = 2;
const SHELL = `millstep-shell-${VERSION}`;
const DATA = `millstep-data-${VERSION}`;
const ME = '/api/people/me';

/** What may be read from this device when the server is away. Nothing else is kept. */
const READ = [
  /^\/api\/people\/me$/,
  /^\/api\/learning\/lessons\/[\w-]+$/,
  /^\/api\/learning\/attempts\/[\w-]+$/,
  /^\/api\/learning\/learners\/\d+\/memory$/,
  /^\/api\/records\/learners\/\d+$/,
  /^\/api\/practice\/learners\/\d+\/entries$/,
  /^\/api\/workshop\/machines$/,
];
/** The server is behind a door that answers for it while it is away. */
const AWAY = [502, 503, 504];

self.addEventListener('install', (event) => event.waitUntil(install()));
self.addEventListener('activate', (event) => event.waitUntil(activate()));
self.addEventListener('message', (event) => {
  if (event.data === 'forget') event.waitUntil(caches.delete(DATA));
  if (event.data === 'leave') event.waitUntil(leave());
});
self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (url.pathname.startsWith('/build/')) event.respondWith(built(request));
  else if (READ.some((path) => path.test(url.pathname))) event.respondWith(read(request, url));
  else if (request.mode === 'navigate' && !/^\/(api|gate|live|schemas)(\/|$)/.test(url.pathname)) event.respondWith(page(request));
});

/** The page and every file that it may ask for: a learner may go from the lesson to the logbook without a network. */
async function install() {
  const shell = await caches.open(SHELL);
  await keepShell(shell, await fetch('/', { cache: 'no-store', credentials: 'omit' }));
  const manifest = await (await fetch('/build/manifest.json', { cache: 'no-store' })).json();
  const files = new Set(Object.values(manifest).flatMap((entry) => [entry.file, ...(entry.css ?? []), ...(entry.assets ?? [])]));
  for (const file of files) {
    // Files are named by what is in them: one that is here is the same one.
    if (!(await shell.match(`/build/${file}`))) await shell.add(`/build/${file}`);
  }
  await self.skipWaiting();
}

async function activate() {
  const ours = await caches.keys();
  await Promise.all(
    ours.filter((name) => name.startsWith('millstep-') && name !== SHELL && name !== DATA).map((name) => caches.delete(name)),
  );
  await self.clients.claim();
}

/** Gone without a trace: the device is as it was before. */
async function leave() {
  await Promise.all((await caches.keys()).filter((name) => name.startsWith('millstep-')).map((name) => caches.delete(name)));
  await self.registration.unregister();
}

async function keepShell(shell, response) {
  if (response.ok && response.headers.get('Content-Type')?.includes('text/html')) await shell.put('/', response);
}

async function page(request) {
  const shell = await caches.open(SHELL);
  try {
    const fresh = await fetch(request);
    if (!AWAY.includes(fresh.status)) {
      await keepShell(shell, fresh.clone());
      return fresh;
    }
    return (await shell.match('/')) ?? fresh;
  } catch (gone) {
    const kept = await shell.match('/');
    if (kept) return kept;
    throw gone;
  }
}

async function built(request) {
  const shell = await caches.open(SHELL);
  const kept = await shell.match(request.url);
  if (kept) return kept;
  const fresh = await fetch(request);
  if (fresh.ok) await shell.put(request.url, fresh.clone());
  return fresh;
}

async function read(request, url) {
  try {
    const fresh = await fetch(request);
    if (!AWAY.includes(fresh.status)) {
      await keep(request, url, fresh.clone());
      return fresh;
    }
    return (await kept(url)) ?? fresh;
  } catch (gone) {
    const there = await kept(url);
    if (there) return there;
    throw gone;
  }
}

async function keep(request, url, response) {
  if ([401, 403, 419].includes(response.status)) {
    await caches.delete(DATA);
    return;
  }
  if (!response.ok) return;
  if (url.pathname === ME && !(await isSomebody(response.clone()))) return;
  // Only what belongs to the person who is known here is kept.
  if (url.pathname === ME || (await caches.match(ME, { cacheName: DATA })))
    await (await caches.open(DATA)).put(url.pathname, response);
}

/** Whether a learner is signed in: nobody else goes on here without the server. What is kept of anybody else is thrown away. */
async function isSomebody(response) {
  const person = (await response.json()).person;
  const now = person?.role === 'learner' ? person.id : null;
  const before = now === null ? undefined : await caches.match(ME, { cacheName: DATA });
  const was = before ? ((await before.json()).person?.id ?? null) : now;
  if (now === null || was !== now) await caches.delete(DATA);
  return now !== null;
}

/** From this device, and said to be. */
async function kept(url) {
  const there = await caches.match(url.pathname, { cacheName: DATA });
  if (!there) return undefined;
  const headers = new Headers(there.headers);
  headers.set('X-Mill-Step-Kept', 'yes');
  return new Response(await there.blob(), { status: 200, headers });
}
