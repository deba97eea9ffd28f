/*
 * What keeps a lesson, a check, the logbook and an open practical sheet going when the network goes: the pages themselves, and
 * what this person has opened. Written by hand, and small enough to be read whole.
 *
 * It never answers for the server where that can be reached, never keeps anything that gives or takes power (gate, live,
 * sign-offs), and never sends: what a person writes waits in the page's own outbox. Whose data it is stands in `people/me`;
 * as soon as that is somebody else, or nobody, all of it is thrown away. Of somebody who teaches it keeps nothing by itself:
 * only what the page of an open sheet hands over, for as long as that sheet is open, and for a day at most.
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
/** What a page hands over so that it is there after a reload: an open sheet, those beside it, and what is measured with. */
const SHEET = /^\/api\/assessment\/attempts\/[\w-]+$/;
const HELD = [SHEET, /^\/api\/assessment\/attempts$/, /^\/api\/workshop\/gauges$/];
const HELD_FOR_MS = 24 * 3_600_000;
const HELD_AT = 'X-Mill-Step-Held-At';
/** When somebody signed out here last. */
const FORGOTTEN = '/forgotten';
/** The server is behind a door that answers for it while it is away. */
const AWAY = [502, 503, 504];

self.addEventListener('install', (event) => event.waitUntil(install()));
self.addEventListener('activate', (event) => event.waitUntil(activate()));
self.addEventListener('message', (event) => {
  if (event.data === 'forget') event.waitUntil(inOrder(forget));
  if (event.data === 'leave') event.waitUntil(leave());
  if (event.data?.hold) event.waitUntil(inOrder(() => hold(event.data.hold, event.data.known)));
  if (event.data?.letGo) event.waitUntil(inOrder(() => letGo(event.data.letGo)));
});
self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (url.pathname.startsWith('/build/')) event.respondWith(built(request));
  else if ([...READ, ...HELD].some((path) => path.test(url.pathname))) event.respondWith(read(request, url));
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
    if (READ.some((path) => path.test(url.pathname))) await caches.delete(DATA);
    else await letGo([url.pathname]);
    return;
  }
  if (!response.ok) return;
  if (url.pathname === ME) {
    if (await isLearner(response.clone())) await (await caches.open(DATA)).put(ME, response);
    return;
  }
  // Only what belongs to the learner who is known here is kept.
  const who = await whoIsKept();
  if (who?.role === 'learner' && READ.some((path) => path.test(url.pathname)))
    await (await caches.open(DATA)).put(url.pathname, response);
}

async function whoIsKept() {
  const there = await caches.match(ME, { cacheName: DATA });
  return there ? (await there.json()).person : null;
}

/** Whether a learner is signed in. What is kept of anybody else than whoever is signed in is thrown away. */
async function isLearner(response) {
  const now = (await response.json()).person;
  const before = await whoIsKept();
  if (!now || (before && before.id !== now.id)) await caches.delete(DATA);
  return now?.role === 'learner';
}

/** What is handed over later is newer, and is there at last. */
let last = Promise.resolve();
const inOrder = (act) => (last = last.then(act, act));

/** Somebody signed out, in whichever tab. A page that does not know it yet, and hands over what it still has, comes too late. */
async function forget() {
  await caches.delete(DATA);
  await (await caches.open(SHELL)).put(FORGOTTEN, new Response(String(Date.now())));
}

async function forgottenAt() {
  const there = await caches.match(FORGOTTEN, { cacheName: SHELL });
  return there ? Number(await there.text()) : 0;
}

/**
 * What the page of an open sheet needs after a reload, as JSON by path; the newest takes the place of the one before. `known` is when
 * the server said last whose page it is.
 */
async function hold(paths, known) {
  if (!(known > (await forgottenAt()))) return;
  const person = JSON.parse(paths[ME] ?? 'null')?.person;
  if (!person || person.role === 'learner') return;
  // A page that was left open by somebody else speaks of what it knew: whoever is known here now is not put aside for it.
  const before = await whoIsKept();
  if (before && before.id !== person.id) return;
  const data = await caches.open(DATA);
  for (const [path, body] of Object.entries(paths)) {
    if (path !== ME && !HELD.some((one) => one.test(path))) continue;
    const headers = { 'Content-Type': 'application/json', [HELD_AT]: String(Date.now()) };
    await data.put(path, new Response(body, { headers }));
  }
}

/** With the last open sheet everything that was held beside it goes. */
async function letGo(paths) {
  const data = await caches.open(DATA);
  for (const path of paths) await data.delete(path);
  const who = await whoIsKept();
  const left = (await data.keys()).some(({ url }) => SHEET.test(new URL(url).pathname));
  if (who && who.role !== 'learner' && !left) await caches.delete(DATA);
}

/** From this device, and said to be. */
async function kept(url) {
  const there = await caches.match(url.pathname, { cacheName: DATA });
  if (!there) return undefined;
  const since = there.headers.get(HELD_AT);
  if (since !== null && Date.now() - Number(since) > HELD_FOR_MS) {
    await caches.delete(DATA);
    return undefined;
  }
  const headers = new Headers(there.headers);
  headers.set('X-Mill-Step-Kept', 'yes');
  return new Response(await there.blob(), { status: 200, headers });
}
