// See bin/tablets. Each tablet keeps what it has not been answered for and sends it again under the same id, as the page's outbox does.
import { randomUUID } from 'node:crypto';

const [tablets, seconds, seed, base] = [Number(process.argv[2]), Number(process.argv[3]), Number(process.argv[4]), process.argv[5]];
let state = seed;
/** The same seed, the same cuts (mulberry32). */
function random() {
  state = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(state ^ (state >>> 15), 1 | state);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}
const sleep = (ms) => new Promise((done) => setTimeout(done, ms));
const one = (of) => of[Math.floor(random() * of.length)];

/** Somebody who is signed in: cookies and the token that goes with them. */
class Session {
  cookies = new Map();
  me = '';

  async call(method, path, body, signal) {
    const response = await fetch(base + path, {
      method,
      signal,
      headers: {
        Accept: 'application/json',
        'Content-Type': 'application/json',
        Cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
        'X-XSRF-TOKEN': decodeURIComponent(this.cookies.get('XSRF-TOKEN') ?? ''),
        'X-Mill-Step-From': this.me,
        Referer: base,
      },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
    for (const line of response.headers.getSetCookie()) {
      const [, name, value] = line.match(/^([^=]+)=([^;]*)/) ?? [];
      if (name) this.cookies.set(name, value);
    }
    return { status: response.status, body: await response.json().catch(() => null) };
  }

  async signIn(email) {
    await this.call('GET', '/api/people/me');
    const answer = await this.call('POST', '/api/people/session', { email, password: 'mast-and-vane' });
    if (answer.status >= 300) throw new Error(`${email}: ${answer.status} ${JSON.stringify(answer.body)}`);
    this.me = String((await this.call('GET', '/api/people/me')).body.person.id);
  }
}

const lead = new Session();
await lead.signIn('lead@millstep.example');
const policy = (await lead.call('GET', '/api/workshop/policy')).body.settings;
await lead.call('PUT', '/api/workshop/policy', { settings: { ...policy, sheet_wait_hours: 0, sheet_exercises: 0 }, note: 'For the tablets' });
const people = [];
for (const email of ['instructor@millstep.example', 'henrike@millstep.example', 'lead@millstep.example']) {
  const person = new Session();
  await person.signIn(email);
  people.push(person);
}
const learners = (await lead.call('GET', '/api/records/today')).body.cohorts.flatMap((cohort) => cohort.learners);
if (learners.length < tablets) throw new Error(`The demo has ${learners.length} learners; so many tablets at most.`);

const took = [];
let [cuts, dropped, twice, failures] = [0, 0, 0, 0];
async function tablet(number) {
  const who = people[number % people.length];
  const learner = learners[number];
  const opened = await who.call('POST', '/api/assessment/attempts', { id: randomUUID(), sheet: 'PS-through-holes', learner_id: learner.id });
  if (opened.status !== 201) throw new Error(`${learner.name}: ${opened.status} ${JSON.stringify(opened.body)}`);
  const id = opened.body.id;
  const before = marksOf(opened.body);
  const criteria = opened.body.criteria.filter((criterion) => criterion.kind === 'observed');
  const verdict = new Map(criteria.map((criterion) => [criterion.id, criterion.mark?.result ?? '']));
  const made = [];
  const outbox = [];
  let offUntil = 0;
  const end = Date.now() + seconds * 1000;
  async function flush() {
    while (outbox.length > 0) {
      if (Date.now() < offUntil) return;
      const mark = outbox[0];
      const started = performance.now();
      try {
        // Now and then the answer gets lost on its way, or somebody sends twice.
        const lost = random() < 0.03;
        const answer = await who.call('POST', `/api/assessment/attempts/${id}/marks`, mark, lost ? AbortSignal.timeout(12) : undefined);
        if (answer.status !== 200) {
          failures++;
          console.error(`${learner.name}: ${answer.status} ${JSON.stringify(answer.body)}`);
        }
        took.push(performance.now() - started);
        if (random() < 0.03) {
          twice++;
          await who.call('POST', `/api/assessment/attempts/${id}/marks`, mark);
        }
        outbox.shift();
      } catch {
        dropped++;
        await sleep(50);
      }
    }
  }
  while (Date.now() < end) {
    const criterion = one(criteria);
    // A verdict that stops would end the sheet: what is critical stays met.
    const next = criterion.critical ? 'met' : verdict.get(criterion.id) === 'met' ? 'prompted' : 'met';
    if (verdict.get(criterion.id) !== next) {
      verdict.set(criterion.id, next);
      const mark = { id: randomUUID(), criterion: criterion.id, seat: 'assessor', result: next, made_at: new Date().toISOString(), why: 'Looked again' };
      made.push(mark);
      outbox.push(mark);
    }
    if (random() < 0.02) {
      cuts++;
      offUntil = Date.now() + 500 + random() * 6000;
    }
    await flush();
    await sleep(400 + random() * 1600);
  }
  offUntil = 0;
  await flush();
  const there = (await who.call('GET', `/api/assessment/attempts/${id}`)).body;
  const wrong = there.criteria.filter((criterion) => criterion.kind === 'observed' && (criterion.mark?.result ?? '') !== verdict.get(criterion.id));
  return { made: made.length, counted: marksOf(there) - before, wrong: wrong.length };
}
/** Every mark that stands, and every one that stood before. */
function marksOf(attempt) {
  return attempt.criteria.reduce((sum, criterion) => sum + criterion.before.length + (criterion.mark ? 1 : 0), 0);
}

const results = await Promise.all(Array.from({ length: tablets }, (_, number) => tablet(number)));
const sum = (key) => results.reduce((all, result) => all + result[key], 0);
took.sort((a, b) => a - b);
const at = (part) => took[Math.min(took.length - 1, Math.floor(part * took.length))]?.toFixed(0);
console.log(`${tablets} tablets, ${seconds} s: ${sum('made')} marks made, ${sum('counted')} counted on the server, ${sum('wrong')} verdicts differ`);
console.log(`${cuts} cuts, ${dropped} answers lost on the way, ${twice} sent twice, ${failures} refused`);
console.log(`a save took ${at(0.5)} ms (median), ${at(0.95)} ms (p95), ${at(0.99)} ms (p99)`);
process.exit(sum('made') === sum('counted') && sum('wrong') === 0 && failures === 0 ? 0 : 1);
