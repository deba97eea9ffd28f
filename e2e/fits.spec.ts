import { expect, test, type Page } from '@playwright/test';
import { drawn } from './drawn';
import { learnerId, person } from './people';
import { openSheet, say, take } from './sheet';

/** Phones are 390 wide and scroll one way only; a finger, oily or in a glove, needs 48 px. */
const PHONE = { width: 390, height: 844 };
const TABLET = { width: 1180, height: 820 };
const SHOP = ['/today', '/workshop', '/workshop/cribs', '/workshop/materials', '/workshop/policy', '/workshop/devices'];
const LEAD = [
  '/workshop/permits',
  '/workshop/content',
  '/workshop/shop',
  '/records',
  '/records/tries',
  '/records/people',
  '/account',
];
const TEACHING = [
  '/today/assess',
  '/teaching/sheets',
  '/teaching/assessors',
  '/workshop/gauges',
  '/teaching/warm-up',
  '/teaching/lessons',
  '/teaching/lessons/C6',
  '/teaching/checks',
  '/teaching/checks/SC-through-holes',
];
const PLANNER = [
  '/planner',
  '/planner/hole',
  '/planner/layout',
  '/planner/lathe',
  '/planner/drill-point',
  '/planner/checks/tram_check',
  '/planner/wall',
];

/** What reaches past the right edge of the page. */
const beyond = (page: Page) =>
  page.evaluate(() => {
    const width = document.documentElement.clientWidth;
    if (document.documentElement.scrollWidth <= width) return [];
    const out = [...document.querySelectorAll('body *')].filter(
      (each) => each.getBoundingClientRect().right > width + 1,
    );
    return [
      `${location.pathname} is ${document.documentElement.scrollWidth} px wide`,
      ...out.slice(-2).map((each) => each.outerHTML.slice(0, 90)),
    ];
  });

/** What a finger would miss: less than 48 px high, its label and the room round a figure counted in. */
const small = (page: Page) =>
  page.evaluate(() => {
    const reach = (each: Element) => {
      const after = getComputedStyle(each, '::after');
      const more = after.position === 'absolute' ? -parseFloat(after.top) - parseFloat(after.bottom) : 0;
      return (each.closest('label') ?? each).getBoundingClientRect().height + Math.max(0, more || 0);
    };
    return [...document.querySelectorAll('button, a, select, summary, input:not([type=file])')]
      .filter((each) => each.checkVisibility() && !each.closest('.sr-only') && each.getBoundingClientRect().width > 2)
      .filter((each) => reach(each) < 47.5)
      .map((each) => `${location.pathname} ${each.tagName} ${reach(each)} px: ${each.textContent.trim().slice(0, 40)}`);
  });

/** Every page once: on the tablet everything takes a finger, and on the phone nothing is wider than that. */
async function look(page: Page, paths: string[]) {
  const found: string[] = [];
  for (const path of drawn(paths, 3)) {
    await page.setViewportSize(TABLET);
    await page.goto(path);
    await expect(page.locator('main h1').first()).toBeVisible();
    await expect(page.getByText('One moment …')).toHaveCount(0);
    found.push(...(await small(page)));
    await page.setViewportSize(PHONE);
    await expect.poll(() => page.evaluate(() => innerWidth)).toBe(PHONE.width);
    found.push(...(await beyond(page)));
  }
  expect(found).toEqual([]);
}

test('no page is wider than a phone, and everything to press on the tablet takes a finger', async ({ browser }) => {
  test.slow();
  const lead = await person(browser, 'lead@millstep.example', TABLET);
  const id = await learnerId(lead, 'Kasimir');
  const assessor = await person(browser, 'instructor@millstep.example', TABLET);
  const sheet = await openSheet(assessor, 'Emrys');
  await say(assessor, 'eyes', 'met');
  await take(assessor, 'dia-A');
  expect(await small(assessor)).toEqual([]);
  const learner = await person(browser, 'learner@millstep.example', TABLET);
  const lesson = '/lessons/D9';
  // Each at their own device, both at once.
  await Promise.all([
    look(lead, [...SHOP, ...LEAD, ...TEACHING, ...PLANNER, lesson, `/learners/${id}`, `/sheets/${sheet}`]),
    look(learner, [
      '/path',
      '/path/questions',
      '/logbook',
      '/lessons/A2',
      lesson,
      '/checks/SC-through-holes',
      ...PLANNER,
    ]),
  ]);
});

test('a long word without a blank stays on the page', async ({ browser }) => {
  const learner = await person(browser, 'learner@millstep.example', PHONE);
  await learner.goto('/logbook');
  await learner.getByLabel('What you made').fill(`Plate${'x'.repeat(100)}`);
  await learner.getByLabel('Machine', { exact: true }).selectOption({ label: 'Bench drill press' });
  await learner.getByLabel('Minutes at the machine').fill('30');
  await learner.getByRole('button', { name: 'Write it down' }).click();
  await expect(learner.getByText('waits for an instructor').first()).toBeVisible();
  expect(await beyond(learner)).toEqual([]);
  const instructor = await person(browser, 'instructor@millstep.example', PHONE);
  await instructor.goto('/today');
  await expect(instructor.getByText('Platexxx').first()).toBeVisible();
  expect(await beyond(instructor)).toEqual([]);
  const me = await learner.evaluate(
    async () => (await (await fetch('/api/people/me')).json()) as { person: { id: number } },
  );
  await instructor.goto(`/learners/${me.person.id}`);
  await expect(instructor.getByText('Platexxx').first()).toBeVisible();
  expect(await beyond(instructor)).toEqual([]);
  await learner
    .getByRole('button', { name: /^Take Plate/ })
    .first()
    .click();
});

test('a page of another role says whose it is, and signing in over it leads home', async ({ browser }) => {
  const learner = await person(browser, 'learner@millstep.example', TABLET);
  await learner.goto('/records/people');
  await expect(learner.getByTestId('not-yours')).toContainText('shop lead');
  await learner.getByRole('link', { name: 'Back to the first screen' }).click();
  await expect(learner).toHaveURL(/\/path$/);
});
