// See bin/cuts. One learner at a browser whose network goes and comes; what was done is counted on the server.
import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';

const [cuts, seed, base] = [Number(process.argv[2]), Number(process.argv[3]), process.argv[4]];
/** The same seed, the same cuts (mulberry32). */
let state = seed;
function random() {
  state = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(state ^ (state >>> 15), 1 | state);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}
const upTo = (most) => Math.floor(random() * most);
const one = (of) => of[upTo(of.length)];
const sleep = (ms) => new Promise((done) => setTimeout(done, ms));

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});
async function person(email) {
  const context = await browser.newContext({ baseURL: base, viewport: { width: 1180, height: 820 } });
  const page = await context.newPage();
  await page.goto('/sign-in');
  await page.getByLabel('Mail address').fill(email);
  await page.getByLabel('Password').fill('mast-and-vane');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await page.waitForURL((url) => !url.pathname.includes('sign-in'));
  return page;
}
async function call(page, method, path, body) {
  return page.evaluate(
    async ([verb, url, json]) => {
      const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? '');
      const me = await (await fetch('/api/people/me', { headers: { Accept: 'application/json' } })).json();
      const headers = {
        Accept: 'application/json',
        'Content-Type': 'application/json',
        'X-XSRF-TOKEN': token,
        'X-Mill-Step-From': String(me.person?.id ?? ''),
      };
      const response = await fetch(url, { method: verb, headers, body: json ? JSON.stringify(json) : undefined });
      return { status: response.status, body: await response.json().catch(() => null) };
    },
    [method, path, body],
  );
}
const lead = await person('lead@millstep.example');
const policy = (await call(lead, 'GET', '/api/workshop/policy')).body.settings;
const changed = await call(lead, 'PUT', '/api/workshop/policy', {
  settings: { ...policy, check_wait_minutes: 0, check_tries_a_day: 50 },
  note: 'For the cuts',
});
if (changed.status !== 200) throw new Error(`the policy was not changed: ${JSON.stringify(changed.body)}`);
const checks = Object.fromEntries(
  readdirSync('content').flatMap((pack) =>
    readdirSync(`content/${pack}/checks`).map((name) => {
      const file = `content/${pack}/checks/${name}`;
      return [readFileSync(file, 'utf8').match(/^code: (.+)$/m)[1], file];
    }),
  ),
);

let page = await person('verity@millstep.example');
const context = page.context();
const learner = (await call(page, 'GET', '/api/people/me')).body.person.id;
const LESSONS = ['A1', 'A3', 'B1', 'B2', 'B3', 'B4', 'B5', 'E1', 'E3', 'A2', 'C1', 'C2', 'C3', 'C4', 'C5', 'D1', 'D2'];
await page.goto('/logbook');
await page.evaluate(async () => {
  await navigator.serviceWorker.ready;
  while (navigator.serviceWorker.controller === null) await new Promise((done) => setTimeout(done, 100));
});
// Each is opened once, as a learner would; from then on it is on this device.
for (const code of LESSONS) {
  await page.goto(`/lessons/${code}`);
  await page.locator('article h2').waitFor();
}

async function checksInLedger() {
  const { body } = await call(page, 'GET', `/api/records/learners/${learner}`);
  return body.ledger.filter((line) => line.type === 'check_attempted').length;
}
const before = await checksInLedger();

const did = { entries: [], steps: [], papers: [] };
let number = 0;
/** What is done next, as far as a click: the cut comes somewhere around that. */
const acts = {
  async entry() {
    const what = `Cut ${seed}-${++number}`;
    await page.goto('/logbook');
    await page.getByLabel('What you made').fill(what);
    await page.getByLabel('Machine', { exact: true }).selectOption({ index: 1 });
    await page.getByLabel('Minutes at the machine').fill('10');
    did.entries.push(what);
    return () => page.getByRole('button', { name: 'Write it down' }).click();
  },
  async step() {
    for (let tries = 0; tries < LESSONS.length; tries++) {
      const code = one(LESSONS);
      await page.goto(`/lessons/${code}`);
      await page.locator('article h2').waitFor();
      const done = page.getByRole('button', { name: 'Done, next step' });
      if ((await done.count()) > 0) {
        did.steps.push([code, (await page.locator('article h2').textContent()).trim()]);
        return () => done.click();
      }
      const options = page.locator('article fieldset button:not(:disabled)');
      // A choice is answered in whatever order, until it is right: the step is done then.
      if ((await options.count()) > 0) {
        await answerRight(code);
        continue;
      }
      const reading = page.locator('article form input:not(:disabled)');
      if ((await reading.count()) > 0) continue;
    }
    return acts.entry();
  },
  async paper() {
    const code = one(['SC-bench', 'SC-hand-drill', 'SC-grab']);
    await page.goto(`/checks/${code}`);
    await page.waitForURL(/papers/);
    await page.locator('[data-question]').first().waitFor();
    const id = page.url().split('/').at(-1);
    const { body } = await call(page, 'GET', `/api/learning/attempts/${id}`);
    const right = JSON.parse(execFileSync('php', ['e2e/right-answers.php', checks[code], String(body.seed)], { encoding: 'utf8' }));
    // Typed on this device, as the page keeps it.
    await page.evaluate(([name, answers]) => localStorage.setItem(name, JSON.stringify(answers)), [`millstep.paper.${id}`, right]);
    await page.reload();
    await page.locator('[data-question]').first().waitFor();
    did.papers.push(id);
    return () => page.getByRole('button', { name: 'Hand it in' }).click();
  },
};
async function answerRight(code) {
  const { body } = await call(page, 'GET', `/api/learning/lessons/${code}`);
  const step = body.steps.find((each) => each.key === body.progress.next);
  for (const option of step?.choice ?? []) {
    await call(page, 'PUT', `/api/learning/progress/${body.progress.id}/steps/${step.key}`, { value: option.id });
  }
}
async function outboxEmpty() {
  const empty = () => Object.keys(localStorage).every((key) => !key.startsWith('millstep.outbox.'));
  try {
    await page.waitForFunction(empty, undefined, { timeout: 40_000 });
  } catch {
    const kept = await page.evaluate(() => Object.entries(localStorage).filter(([key]) => key.startsWith('millstep.outbox.')));
    throw new Error(`not sent, at ${page.url()}: ${JSON.stringify(kept)}`);
  }
}

/** What happens to the page while there is no network. */
const mishaps = {
  nothing: async () => sleep(upTo(400)),
  reload: async () => {
    await page.reload();
    await sleep(upTo(200));
  },
  tab: async () => {
    const other = await context.newPage();
    await other.goto('/logbook').catch(() => undefined);
    await sleep(upTo(200));
    await (random() < 0.5 ? other : page).close();
    if (page.isClosed()) page = other;
  },
  closed: async () => {
    const other = await context.newPage();
    await page.close();
    page = other;
    await page.goto('/path').catch(() => undefined);
  },
};

const started = Date.now();
for (let cut = 1; cut <= cuts; cut++) {
  const act = one(['entry', 'step', 'step', 'step', 'entry', ...(cut % 8 === 0 ? Array(15).fill('paper') : [])]);
  const click = await acts[act]();
  const early = random() < 0.4;
  if (early) await context.setOffline(true);
  const pressed = click().catch(() => undefined);
  if (!early) {
    await sleep(upTo(80));
    await context.setOffline(true);
  }
  await Promise.race([pressed, sleep(1_500)]);
  await mishaps[one(Object.keys(mishaps))]();
  await context.setOffline(false);
  await outboxEmpty();
  if (cut % 20 === 0) console.log(`  ${cut} cuts, ${Math.round((Date.now() - started) / 1000)} s`);
}

// What is there, as the server has it.
const faults = [];
const entries = (await call(page, 'GET', `/api/practice/learners/${learner}/entries`)).body.map(({ exercise }) => exercise);
for (const what of did.entries) {
  const times = entries.filter((each) => each === what).length;
  if (times !== 1) faults.push(`logbook "${what}" is there ${times} times`);
}
for (const code of LESSONS) {
  const { body } = await call(page, 'GET', `/api/learning/lessons/${code}`);
  for (const [, title] of did.steps.filter(([lesson]) => lesson === code)) {
    if (!body.steps.find((step) => step.title.trim() === title)?.done) faults.push(`${code} "${title}" is not done`);
  }
}
const handedIn = (await checksInLedger()) - before;
const papers = new Set(did.papers);
for (const id of papers) {
  const { body } = await call(page, 'GET', `/api/learning/attempts/${id}`);
  if (body.result?.score_percent !== 100) faults.push(`paper ${id} is not handed in with all that was answered`);
}
if (handedIn !== papers.size) faults.push(`${handedIn} checks are in the ledger, ${papers.size} were handed in`);
await browser.close();
console.log(
  `${cuts} cuts: ${did.entries.length} entries, ${did.steps.length} steps, ${papers.size} checks; ` +
    `${faults.length === 0 ? 'nothing lost, nothing twice' : `${faults.length} faults`}`,
);
faults.forEach((fault) => console.log(`  ✗ ${fault}`));
process.exit(faults.length === 0 ? 0 : 1);
