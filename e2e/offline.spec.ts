import { expect, test, type Page } from '@playwright/test';
import { call, keepOpen, learnerId, PASSWORD, person, putAway, withWorkers } from './people';
import { sitPaper } from './paper';
import { kept as onServer, openSheet, putSheetAway, say } from './sheet';

/** The network goes while a learner is at it, and comes back: nothing is lost, nothing is sent twice. */
withWorkers();
test.beforeAll(async ({ browser }) => keepOpen(browser));
test.afterAll(putAway);

/** Waits until the worker has this page, and everything that it may ask for. */
async function kept(page: Page) {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    for (let tries = 0; navigator.serviceWorker.controller === null && tries < 100; tries++)
      await new Promise((done) => setTimeout(done, 100));
  });
}
/** The paths of all that is kept on this device. */
const heldBy = (page: Page) =>
  page.evaluate(async () => {
    const names = (await caches.keys()).filter((name) => name.startsWith('millstep-data'));
    const lists = await Promise.all(names.map(async (name) => (await caches.open(name)).keys()));
    return lists.flat().map(({ url }) => new URL(url).pathname);
  });
/** What is kept of a path on this device, as it was written down. */
const keptOf = (page: Page, path: string) =>
  page.evaluate(async (one) => (await (await caches.match(one))?.text()) ?? '', path);
const next = (page: Page) => page.getByRole('button', { name: 'Done, next step' });
const title = (page: Page) => page.locator('article h2');

test('a lesson half way without a network: steps go on, a reload too, what must be judged waits, all of it is sent once', async ({
  browser,
}) => {
  const learner = await person(browser, 'perpetua@millstep.example', { width: 1180, height: 820 });
  await learner.goto('/lessons/D1');
  await kept(learner);
  // Opened once with the worker there: from now on it is on this device.
  await learner.reload();
  await expect(next(learner)).toBeVisible();
  const first = await title(learner).textContent();
  await learner.context().setOffline(true);
  await next(learner).click();
  await expect(title(learner)).not.toHaveText(first ?? '');
  await expect(learner.getByTestId('kept-here')).toBeVisible();
  const second = await title(learner).textContent();
  // The page is loaded anew without a network, and stands where it stood.
  await learner.reload();
  await expect(title(learner)).toHaveText(second ?? '');
  // Until a step that has to be judged: it is kept, and nothing behind it is done.
  for (let steps = 0; steps < 12 && (await next(learner).count()) > 0; steps++) {
    const before = await title(learner).textContent();
    await next(learner).click();
    await expect(title(learner)).not.toHaveText(before ?? '');
  }
  const judged = await title(learner).textContent();
  await learner.locator('article fieldset button').first().click();
  await expect(learner.getByText('Kept here, and not judged yet.')).toBeVisible();
  await learner.getByRole('button', { name: 'On →' }).click();
  await expect(next(learner)).toHaveCount(0);
  await learner.context().setOffline(false);
  await expect(learner.getByTestId('kept-here')).toHaveCount(0, { timeout: 20_000 });
  const there = async () => {
    const { body } = await call(learner, 'GET', '/api/learning/lessons/D1');
    const steps = (body as { steps: { title: string; done: boolean; answer: unknown }[] }).steps;
    const at = steps.findIndex((step) => step.title === judged);
    return at > 1 && steps.slice(0, at).every((step) => step.done) && steps[at]?.answer !== null;
  };
  await expect.poll(there, { timeout: 20_000 }).toBe(true);
});

test('two tabs without a network do not fight: what each did is sent once, by one of them', async ({ browser }) => {
  const one = await person(browser, 'otis@millstep.example');
  await one.goto('/logbook');
  await kept(one);
  await one.reload();
  await expect(one.getByLabel('What you made')).toBeVisible();
  const two = await one.context().newPage();
  await two.goto('/logbook');
  await expect(two.getByLabel('What you made')).toBeVisible();
  const id = await learnerId(await person(browser, 'instructor@millstep.example'), 'Otis');
  const entries = async () => {
    const { body } = await call(one, 'GET', `/api/practice/learners/${id}/entries`);
    return (body as { exercise: string }[]).map(({ exercise }) => exercise).filter((words) => words.startsWith('Cut '));
  };
  await one.context().setOffline(true);
  // Through the outbox of each, as the logbook sends it.
  for (const [page, words] of [
    [one, 'Cut off once'],
    [two, 'Cut off twice'],
  ] as const) {
    await page.getByLabel('What you made').fill(words);
    await page.getByLabel('Machine', { exact: true }).selectOption({ index: 1 });
    await page.getByLabel('Minutes at the machine').fill('20');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByTestId('outbox')).toBeVisible();
  }
  await one.context().setOffline(false);
  await expect(one.getByTestId('outbox')).toHaveCount(0, { timeout: 20_000 });
  await expect(two.getByTestId('outbox')).toHaveCount(0, { timeout: 20_000 });
  const sorted = async () => (await entries()).sort().join();
  await expect.poll(sorted, { timeout: 20_000 }).toBe('Cut off once,Cut off twice');
});

test('a check sat without a network is handed in when it is back', async ({ browser }) => {
  const learner = await person(browser, 'nerys@millstep.example');
  await learner.goto('/checks/SC-hand-drill');
  await expect(learner.locator('[data-question]').first()).toBeVisible();
  await kept(learner);
  await learner.reload();
  await sitPaper(learner);
  await learner.context().setOffline(true);
  await learner.getByRole('button', { name: 'Hand it in' }).click();
  await expect(learner.getByTestId('outbox')).toBeVisible();
  await learner.reload();
  await expect(learner.getByTestId('outbox')).toBeVisible();
  await learner.context().setOffline(false);
  await expect(learner.getByText('100 %')).toBeVisible({ timeout: 20_000 });
});

test('what was kept is gone with whoever signs out, and all of it with whoever wants none', async ({ browser }) => {
  const learner = await person(browser, 'blanka@millstep.example');
  await learner.goto('/path');
  await kept(learner);
  await learner.reload();
  await expect(learner.getByRole('heading', { name: 'My path' })).toBeVisible();
  const caches = () => learner.evaluate(async () => await window.caches.keys());
  expect((await caches()).some((name) => name.startsWith('millstep-data'))).toBe(true);
  await learner.getByRole('button', { name: 'Sign out' }).click();
  await expect(learner).toHaveURL(/sign-in/);
  await expect.poll(async () => (await caches()).filter((name) => name.startsWith('millstep-data'))).toEqual([]);
  const again = await person(browser, 'blanka@millstep.example');
  await again.goto('/account');
  await kept(again);
  await again.getByLabel(/Lessons go on here/).uncheck();
  await expect.poll(() => again.evaluate(async () => (await window.caches.keys()).length)).toBe(0);
  expect(await again.evaluate(async () => (await navigator.serviceWorker.getRegistrations()).length)).toBe(0);
});

test('of somebody who teaches nothing is kept, also where a learner was before', async ({ browser }) => {
  const page = await person(browser, 'blanka@millstep.example');
  await page.goto('/path');
  await kept(page);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'My path' })).toBeVisible();
  const held = () => heldBy(page);
  expect(await held()).toContain('/api/people/me');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  await page.getByLabel('Mail address').fill('henrike@millstep.example');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page).not.toHaveURL(/sign-in/);
  const id = await learnerId(page, 'Ansel');
  await page.goto(`/learners/${id}`);
  await expect(page.getByRole('heading', { name: /Ansel/ })).toBeVisible();
  expect(await held()).toEqual([]);
});

test('a sheet at the machine is there after a reload without a network, marked as it was, and gone when it has ended', async ({
  browser,
}) => {
  const tablet = await person(browser, 'henrike@millstep.example', { width: 1180, height: 820 });
  const id = await openSheet(tablet, 'Ivo');
  const path = `/api/assessment/attempts/${id}`;
  const mark = (criterion: string) => tablet.locator(`#criterion-${criterion}`);
  await kept(tablet);
  await say(tablet, 'eyes', 'met');
  await expect(tablet.getByText('all saved')).toBeVisible();
  await expect.poll(() => keptOf(tablet, path)).toContain('"result":"met"');
  await tablet.context().setOffline(true);
  await say(tablet, 'key', 'met');
  // Its battery was flat: it starts anew where nobody can be asked who is signed in.
  await tablet.reload();
  await expect(tablet.getByRole('heading', { name: /Ivo/ })).toBeVisible();
  await expect(mark('eyes')).toContainText('✓');
  await expect(mark('key')).toContainText('✓');
  await say(tablet, 'deburred', 'prompted');
  await expect(tablet.getByTestId('outbox')).toContainText('cannot be reached');
  await tablet.reload();
  await expect(mark('deburred')).toContainText('▲');
  await tablet.context().setOffline(false);
  await expect(tablet.getByText('all saved')).toBeVisible({ timeout: 20_000 });
  const marked = (await onServer(tablet, id)).criteria.filter((one) => one.mark !== null);
  expect(Object.fromEntries(marked.map((one) => [one.id, one.mark?.result]))).toEqual({
    eyes: 'met',
    key: 'met',
    deburred: 'prompted',
  });
  // Of everything else that an instructor looks at nothing is kept.
  await tablet.goto(`/learners/${await learnerId(tablet, 'Ivo')}`);
  await expect(tablet.getByRole('heading', { name: /Ivo/ })).toBeVisible();
  const beside = ['/api/people/me', '/api/assessment/attempts', '/api/workshop/gauges'];
  expect((await heldBy(tablet)).filter((one) => !beside.includes(one) && !one.startsWith(`${beside[1]}/`))).toEqual([]);
  await tablet.goto(`/sheets/${id}`);
  await putSheetAway(tablet, 'out of time', 'Only to see it come back');
  await expect.poll(() => heldBy(tablet)).not.toContain(path);
});

test('whoever signs out on a page that was loaded past the worker leaves no sheet behind', async ({ browser }) => {
  const tablet = await person(browser, 'henrike@millstep.example', { width: 1180, height: 820 });
  const id = await openSheet(tablet, 'Delphine');
  await kept(tablet);
  await expect.poll(() => heldBy(tablet)).toContain(`/api/assessment/attempts/${id}`);
  const browsers = await tablet.context().newCDPSession(tablet);
  const anew = tablet.waitForEvent('load');
  await browsers.send('Page.reload', { ignoreCache: true });
  await anew;
  await expect(tablet.getByRole('heading', { name: /Delphine/ })).toBeVisible();
  expect(await tablet.evaluate(() => navigator.serviceWorker.controller)).toBeNull();
  await tablet.getByRole('button', { name: 'Sign out' }).click();
  await expect(tablet).toHaveURL(/sign-in/);
  await expect.poll(() => heldBy(tablet)).toEqual([]);
});

test('a tablet that is signed in on as shared keeps no sheet', async ({ browser }) => {
  const tablet = await person(browser, 'henrike@millstep.example', { width: 1180, height: 820 }, true);
  await openSheet(tablet, 'Delphine');
  await say(tablet, 'eyes', 'met');
  await expect(tablet.getByText('all saved')).toBeVisible();
  // What would have been handed over with the first mark is there when the second one is saved.
  await say(tablet, 'key', 'met');
  await expect(tablet.getByText('all saved')).toBeVisible();
  expect(await heldBy(tablet)).toEqual([]);
  await putSheetAway(tablet, 'out of time', 'Only to see that nothing is kept');
});
