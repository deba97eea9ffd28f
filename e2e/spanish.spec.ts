import { expect, test, type Page } from '@playwright/test';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { drawn } from './drawn';
import { call, person, putAway } from './people';

/** Every screen in Spanish, searched for what the English words say. What people wrote themselves stays as they wrote it. */
type Words = { [key: string]: string | Words };
const WORDS_OF_A_SENTENCE = 3;

const leaves = (tree: Words, path = ''): [string, string][] =>
  Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'string' ? [[`${path}${key}`, value] as [string, string]] : leaves(value, `${path}${key}.`),
  );
const read = (room: string, language: string) =>
  new Map(leaves(JSON.parse(readFileSync(`resources/js/${room}/locale/${language}.json`, 'utf8')) as Words));

/** Pieces of English sentences between their terms, long enough to be nobody's name. */
function englishPieces(): string[] {
  const rooms = readdirSync('resources/js', { withFileTypes: true }).filter(
    (room) => room.isDirectory() && existsSync(`resources/js/${room.name}/locale/es.json`),
  );
  return rooms.flatMap(({ name }) => {
    const spanish = [...read(name, 'es').values()].join('\n');
    return [...read(name, 'en').values()]
      .flatMap((said) => said.split(/\{\w+\}|\||\n/))
      .map((piece) => piece.trim())
      .filter((piece) => (piece.match(/[a-z]{2,}/gi) ?? []).length >= WORDS_OF_A_SENTENCE && !spanish.includes(piece));
  });
}

async function inSpanish(page: Page) {
  expect((await call(page, 'PATCH', '/api/people/me', { language: 'es' })).status).toBe(200);
  await page.goto('/');
  await expect(page.locator('html')).toHaveAttribute('lang', 'es');
}
const leaveInEnglish: Page[] = [];

test.afterAll(async () => {
  for (const page of leaveInEnglish) await call(page, 'PATCH', '/api/people/me', { language: 'en' });
  await putAway();
});

test('no English sentence stands on a screen in Spanish', async ({ browser }) => {
  test.setTimeout(240_000);
  const pieces = englishPieces();
  expect(pieces.length).toBeGreaterThan(500);
  const found: string[] = [];
  const names: string[] = [];
  const sweep = async (page: Page, paths: string[]) => {
    for (const path of drawn(paths, 3)) {
      await page.goto(path);
      await expect(page.locator('main').first()).not.toBeEmpty();
      // Live pages never fall silent: what a page asks for first is there when it says no more that it waits.
      await expect(page.locator('main h1, main [data-testid]').first()).toBeVisible();
      await expect(page.getByText('Un momento')).toHaveCount(0);
      const text = await page.locator('body').innerText();
      found.push(
        ...pieces.filter((piece) => text.includes(piece) && !names.includes(piece)).map((piece) => `${path}: ${piece}`),
      );
    }
  };
  const lead = await person(browser, 'lead@millstep.example');
  // A machine may be called by its kind, and a screen was named by whoever paired it: they wrote English.
  const machines = (await call(lead, 'GET', '/api/workshop/machines')).body as { name: string }[];
  const devices = (await call(lead, 'GET', '/api/gate/devices')).body as { name: string }[];
  const gauges = (await call(lead, 'GET', '/api/workshop/gauges')).body as { name: string }[];
  names.push(...[...machines, ...devices, ...gauges].map(({ name }) => name));
  const plans = (await call(lead, 'GET', '/api/planning/plans')).body as { id: string }[] | { plans: { id: string }[] };
  const list = Array.isArray(plans) ? plans : plans.plans;
  const today = (await call(lead, 'GET', '/api/records/today')).body as {
    cohorts: { learners: { id: number }[] }[];
  };
  const learners = today.cohorts.flatMap((cohort) => cohort.learners.map(({ id }) => id));
  const learner = await person(browser, 'learner@millstep.example');
  // Whatever is found: the next journey reads English.
  leaveInEnglish.push(lead, learner);
  await inSpanish(lead);
  await inSpanish(learner);
  const leads = sweep(lead, [
    '/today',
    ...learners.slice(0, 6).map((id) => `/learners/${id}`),
    '/planner',
    '/planner/hole',
    '/planner/layout',
    '/planner/lathe',
    '/planner/checks/pin_place',
    '/planner/checks/run_out_check',
    '/planner/wall/seats',
    '/planner/wall/chips',
    '/planner/drill-point',
    ...list.slice(0, 8).map(({ id }) => `/planner/plans/${id}`),
    '/today/assess',
    '/teaching/sheets',
    '/teaching/sheets/PS-rings',
    '/teaching/assessors',
    '/workshop/gauges',
    '/teaching/warm-up',
    '/teaching/lessons',
    '/teaching/lessons/C6',
    '/teaching/checks',
    '/teaching/checks/SC-through-holes',
    '/workshop',
    '/workshop/cribs',
    '/workshop/materials',
    '/workshop/policy',
    '/workshop/permits',
    '/workshop/permits/drill-through-10',
    '/workshop/devices',
    '/workshop/file',
    '/workshop/content',
    '/workshop/shop',
    '/records',
    '/records/people',
    '/records/people/list',
    '/account',
    '/nowhere',
  ]);
  const learns = sweep(learner, [
    '/path',
    '/path/questions',
    '/logbook',
    ...['A2', 'C1', 'C2', 'C3', 'C4', 'C5', 'C6', 'C7'].map((code) => `/lessons/${code}`),
    '/checks/SC-through-holes',
    '/account',
  ]);
  // Both at once: neither changes what the other reads.
  await Promise.all([leads, learns]);
  expect(found).toEqual([]);
});
