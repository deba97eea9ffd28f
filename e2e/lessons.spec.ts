import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { call, keepOpen, person, PIN, putAway } from './people';

/** Lessons of the lathe, the tap and the bench: on another machine, by keyboard, in Spanish. Each has a learner of its own. */
const INSTRUCTOR = 'instructor@millstep.example';

test.beforeAll(async ({ browser }) => keepOpen(browser));
test.afterAll(putAway);

/** The right option of each step, as the lesson's file has it. */
function rightOption(file: string, key: string): string {
  const step =
    readFileSync(file, 'utf8')
      .split(/^## /m)
      .find((each) => each.includes(`{#${key}}`)) ?? '';
  return step.match(/^- \[x\] (.+?) \|/m)?.[1] ?? '';
}
const heading = (page: Page, words: string) => page.getByRole('heading', { name: words, exact: true });

test('the rings on the inch lathe, in inches: chosen for the class, counted, refused and put right, opened from a phone', async ({
  browser,
}) => {
  const tablet = await person(browser, INSTRUCTOR, { width: 1180, height: 820 });
  await tablet.goto('/lessons/D9');
  const cohort = tablet.locator('form').filter({ has: tablet.getByRole('heading', { name: 'Masts, evening group' }) });
  await cohort.getByLabel('Machine').selectOption('Inch lathe');
  // Boring bars alone drill nothing: what is missing is said, and nothing is kept.
  await cohort.getByLabel('Boring bars').check();
  await cohort.getByRole('button', { name: 'Take it for this class' }).click();
  await expect(cohort.getByRole('alert')).toBeVisible();
  await cohort.getByLabel('Boring bars').uncheck();
  await cohort.getByLabel('Metric set by 0.5').check();
  await cohort.getByLabel('Centre drills').check();
  await cohort.getByRole('button', { name: 'Take it for this class' }).click();
  await expect(cohort.getByText('✓ Kept')).toBeVisible();

  const learner = await person(browser, 'rosalba@millstep.example', { width: 1180, height: 820 });
  await call(learner, 'PATCH', '/api/people/me', { units: 'in' });
  await learner.goto('/lessons/D9');
  await expect(heading(learner, 'One move')).toBeVisible();
  await expect(learner.getByText('0.001 in').first()).toBeVisible();
  const answer = learner.getByLabel('How many lines is one move?');
  const check = learner.getByRole('button', { name: 'Check it' });
  await answer.fill('283');
  await check.click();
  await expect(learner.getByText(/Not yet\. Divide the move/)).toBeVisible();
  await answer.fill('284');
  await check.click();
  await expect(learner.getByText(/Right: whole lines/)).toBeVisible();
  await learner.getByRole('button', { name: 'On →' }).click();
  await learner.getByRole('button', { name: rightOption('content/lathe/lessons/D9.md', 'deep') }).click();
  await learner.getByRole('button', { name: 'On →' }).click();
  const out = learner.getByLabel('How far does it stand out?');
  await out.fill('1 in');
  await check.click();
  await expect(learner.getByText(/Too short for the work/)).toBeVisible();
  await out.fill('2 in');
  await check.click();
  await expect(learner.getByText(/Long enough for the work/)).toBeVisible();
  await learner.getByRole('button', { name: 'On →' }).click();
  await learner.getByRole('button', { name: 'Ask for the look' }).click();
  await expect(learner.getByText(/Waiting for your instructor/)).toBeVisible();

  const phone = await person(browser, INSTRUCTOR, { width: 390, height: 844 });
  await phone.goto('/today');
  await phone
    .getByRole('listitem')
    .filter({ hasText: 'Rosalba Stenmark' })
    .getByRole('button', { name: 'Looked, go on' })
    .click();
  await expect(heading(learner, 'Face, centre, bore for all')).toBeVisible();
});

test('tapping by keyboard alone, its look opened by PIN on the learner’s device', async ({ browser }) => {
  // Whoever looks is in the shop.
  const ruaridh = await person(browser, 'instructor@millstep.example');
  await call(ruaridh, 'PUT', '/api/gate/presence', { present: true });
  const page = await person(browser, 'quillon@millstep.example');
  await page.goto('/lessons/C12');
  await expect(heading(page, 'Size from the chart')).toBeVisible();
  /** Tabs on until something of that name has the focus, and presses it. */
  const press = async (name: RegExp) => {
    await expect(page.getByRole('button', { name, disabled: false }).first()).toBeVisible();
    for (let tabs = 0; tabs < 80; tabs++) {
      await page.keyboard.press('Tab');
      const said = await page.evaluate(
        () => (document.activeElement?.matches('button') ? document.activeElement.textContent : '') ?? '',
      );
      if (name.test(said)) return page.keyboard.press('Enter');
    }
    throw new Error(`Nothing called ${name} is reached by Tab.`);
  };
  await press(/and deeper than the thread/);
  await expect(page.getByText(/Right\. The tap needs room/)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await press(/Ask for the look/);
  await expect(page.getByText(/Waiting for your instructor/)).toBeVisible();
  await press(/open it here by PIN/);
  const who = page.getByLabel('Who looked');
  await expect(who).toContainText('Ruaridh');
  await who.focus();
  await page.keyboard.type('Ruaridh');
  await page.keyboard.press('Tab');
  await page.keyboard.type('0000');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText(/PIN/);
  await page.getByLabel('PIN', { exact: true }).focus();
  await page.keyboard.type(PIN);
  await page.keyboard.press('Enter');
  for (const title of ['Drill deep enough', 'A light countersink']) {
    await expect(heading(page, title)).toBeVisible();
    await press(/Done, next step/);
  }
  await expect(heading(page, 'Which tap?')).toBeVisible();
  await press(/it lifts its chips/);
  await page.keyboard.press('ArrowRight');
  for (const title of [
    'By hand, isolated',
    'Two turns, then look',
    'Half on, quarter back',
    'How much does it bear?',
    'Prove the thread',
  ]) {
    await expect(heading(page, title)).toBeVisible();
    await press(/Done, next step/);
  }
  await expect(page.getByText('Lesson completed.')).toBeVisible();
  await call(ruaridh, 'PUT', '/api/gate/presence', { present: false });
});

test('lines of holes in Spanish, from the first step to the last', async ({ browser }) => {
  const page = await person(browser, 'magnus@millstep.example', { width: 390, height: 844 });
  await call(page, 'PATCH', '/api/people/me', { language: 'es' });
  await page.goto('/lessons/B2');
  const file = 'content/marking-out/locales/es/lessons/B2.md';
  for (const step of readFileSync(file, 'utf8').split(/^## /m).slice(1)) {
    await expect(heading(page, step.split(' {#')[0] ?? '')).toBeVisible();
    const right = step.match(/^- \[x\] (.+?) \|/m)?.[1];
    if (right === undefined) await page.getByRole('button', { name: 'Hecho, siguiente paso' }).click();
    else {
      await page.getByRole('button', { name: right }).click();
      const on = page.getByRole('button', { name: /→$/ });
      // A choice stays in sight with what is said to it; after the last step there is nothing to go on to.
      await expect(page.locator('article').getByRole('status')).toContainText('✓');
      if (await on.isEnabled()) await on.click();
    }
  }
  await expect(page.getByText('Lección completada.')).toBeVisible();
  await call(page, 'PATCH', '/api/people/me', { language: 'en' });
});

test('the ladder shows what waits for what, and is read on a phone', async ({ browser }) => {
  const page = await person(browser, 'stellan@millstep.example', { width: 390, height: 844 });
  await page.goto('/path');
  const ladder = page.getByRole('navigation', { name: 'All permits' });
  await expect(ladder.getByRole('button')).toHaveCount(12);
  await expect(ladder.getByRole('button', { name: /Lathe, the long bar/ })).toContainText(
    'First: Lathe, centring and drilling',
  );
  await ladder.locator('[data-permit=drill-depth-sheet]').click();
  await expect(page).toHaveURL(/permit=drill-depth-sheet/);
  await expect(page.getByRole('heading', { name: 'Drill press, depth and sheet' })).toBeVisible();
  await expect(page.getByRole('link', { name: /C8/ }).first()).toBeVisible();
});
