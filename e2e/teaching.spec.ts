import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { call, keepOpen, person, putAway } from './people';
import { sitPaper } from './paper';

/** Writing lessons, checks with their hazards and on paper, and keeping what was learned. Each has people of its own. */
const LEAD = 'lead@millstep.example';
const INSTRUCTOR = 'instructor@millstep.example';

test.beforeAll(async ({ browser }) => keepOpen(browser));
test.afterAll(putAway);

const text = (page: Page) => page.getByLabel('Text of the lesson');
const publish = (page: Page) => page.getByRole('button', { name: 'Publish …' });

test('a version is published while somebody is half way in the old one: they finish it, the next begins the new one', async ({
  browser,
}) => {
  const learner = await person(browser, 'verity@millstep.example');
  await learner.goto('/lessons/B5');
  const first = await learner.locator('article h2').textContent();
  await learner.getByRole('button', { name: 'Done, next step' }).click();
  await expect(learner.locator('article h2')).not.toHaveText(first ?? '');

  const lead = await person(browser, LEAD);
  await lead.goto('/teaching/lessons/B5');
  await expect(lead.getByText('Version 1 is taught.')).toBeVisible();
  await expect(lead.getByText('Half way: Verity Wolstencroft')).toBeVisible();
  await text(lead).click();
  const before = await text(lead).inputValue();
  // Both languages change places in the same way: the steps are found by their keys.
  await lead
    .getByRole('button', { name: /^Move down:/ })
    .first()
    .click();
  await expect(lead.getByText(/What you write is kept on this device, and will be version 2/)).toBeVisible();
  await expect(text(lead)).toHaveValue(/^version: 2$/m);
  expect(await text(lead).inputValue()).not.toBe(before);
  // A reload loses nothing.
  await lead.reload();
  await expect(text(lead)).toHaveValue(/^version: 2$/m);
  await publish(lead).click();
  const dialog = lead.getByRole('dialog');
  await expect(dialog.getByText(/Verity Wolstencroft/)).toBeVisible();
  await expect(dialog.getByRole('region', { name: 'What differs' }).first()).toBeVisible();
  await dialog.getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(lead.getByText('Version 2 is taught.')).toBeVisible();

  await learner.reload();
  const mine = (await call(learner, 'GET', '/api/learning/lessons/B5')).body as { version: number };
  expect(mine.version).toBe(1);
  const other = await person(browser, 'magnus@millstep.example');
  const theirs = (await call(other, 'GET', '/api/learning/lessons/B5')).body as { version: number };
  expect(theirs.version).toBe(2);
});

test('a lesson is written from nothing, seen as a learner sees it, published, exported, retired and brought back', async ({
  browser,
}) => {
  const lead = await person(browser, LEAD);
  await lead.goto('/teaching/lessons');
  await lead.getByRole('button', { name: 'New lesson' }).click();
  await lead.getByRole('dialog').getByLabel('Code').fill('A2');
  await lead.getByRole('dialog').getByLabel('Title').fill('The broom and the vice');
  await lead.getByRole('dialog').getByRole('button', { name: 'Begin' }).click();
  await expect(lead.getByText('There is a lesson of this code.')).toBeVisible();
  await lead.getByRole('dialog').getByLabel('Code').fill('Z1');
  await lead.getByRole('dialog').getByRole('button', { name: 'Begin' }).click();
  await expect(lead.getByRole('heading', { name: /The broom and the vice/ })).toBeVisible();
  const preview = lead.getByRole('region', { name: 'As a learner sees it' });
  await expect(preview.getByText('One act, in one sentence.')).toBeVisible();

  // What is wrong is said with its line, and nothing can be published.
  const good = await text(lead).inputValue();
  await text(lead).fill(good.replace('minutes: 15', 'minutes: soon'));
  await expect(lead.getByTestId('faults').getByText('en, line 6')).toBeVisible();
  await text(lead).fill(good.replace('One act, in one sentence.', 'Sweep from the vice to the door.'));
  const began = Date.now();
  await expect(preview.getByText('Sweep from the vice to the door.')).toBeVisible();
  test.info().annotations.push({ type: 'preview', description: `${Date.now() - began} ms` });
  await expect(lead.getByTestId('faults')).toHaveCount(0);
  await lead.getByRole('button', { name: '+ Another step' }).click();
  await expect(text(lead)).toHaveValue(/\{#step-2\}/);
  await publish(lead).click();
  await lead.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(lead.getByText('Version 1 is taught.')).toBeVisible();

  const learner = await person(browser, 'ulrik@millstep.example');
  await learner.goto('/lessons/Z1');
  await expect(learner.locator('article').getByText('Sweep from the vice to the door.')).toBeVisible();

  // Out as a zip, and in again: the same.
  await lead.goto('/teaching/lessons');
  const [file] = await Promise.all([
    lead.waitForEvent('download'),
    lead.getByRole('link', { name: 'All that is written here, as a zip' }).click(),
  ]);
  const zip = readFileSync(await file.path());
  await lead.goto('/workshop/content');
  await lead.getByTestId('bring').setInputFiles({ name: 'own.zip', mimeType: 'application/zip', buffer: zip });
  await expect(lead.getByText(/is taken in\./)).toBeVisible();
  const again = await lead.request.get('/api/content/packs/own/file');
  expect(Buffer.compare(await again.body(), zip)).toBe(0);

  await lead.goto('/teaching/lessons/Z1');
  await lead.getByRole('button', { name: 'Retire this lesson' }).click();
  await expect(lead.getByText('Nobody begins it now.')).toBeVisible();
  const late = await person(browser, 'stellan@millstep.example');
  await late.goto('/lessons/Z1');
  await expect(late.getByText('Lesson Z1 is no longer taught here.')).toBeVisible();
  await lead.getByRole('button', { name: 'Teach it again' }).click();
  await expect(lead.getByText('Nobody begins it now.')).toHaveCount(0);
});

test('a faulty pack is refused with every fault, and changes nothing', async ({ browser }) => {
  const lead = await person(browser, LEAD);
  await lead.goto('/workshop/content');
  const packs = await lead.getByRole('heading', { level: 2 }).count();
  await lead
    .getByTestId('bring')
    .setInputFiles({ name: 'broken.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip at all') });
  await expect(lead.getByText('broken.zip was not taken in. Nothing has changed:')).toBeVisible();
  await expect(lead.getByText('This file is no zip that can be read.')).toBeVisible();
  await lead.reload();
  await expect(lead.getByRole('heading', { level: 2 })).toHaveCount(packs);
});

test('the hazards of a drawn set-up are found by keyboard alone', async ({ browser }) => {
  const learner = await person(browser, 'ivo@millstep.example');
  await learner.goto('/checks/SC-through-holes');
  await expect(learner.locator('[data-question]').first()).toBeVisible();
  const scene = learner
    .locator('[data-question]')
    .filter({ has: learner.locator('[data-place]') })
    .first();
  const places = scene.locator('[data-place]');
  // Each place says what is seen there, and is reached and marked without a pointer.
  const seen = await places.evaluateAll((all) => all.map((place) => place.getAttribute('aria-label') ?? ''));
  expect(seen.every((words) => words.length > 5)).toBe(true);
  expect(new Set(seen).size).toBe(seen.length);
  await places.first().focus();
  for (let at = 0; at < seen.length; at++) {
    await expect(places.nth(at)).toBeFocused();
    await learner.keyboard.press('Space');
    await expect(places.nth(at)).toHaveAttribute('aria-pressed', 'true');
    await learner.keyboard.press('Space');
    await expect(places.nth(at)).toHaveAttribute('aria-pressed', 'false');
    await learner.keyboard.press('Tab');
  }
  await sitPaper(learner);
  await learner.getByRole('button', { name: 'Hand it in' }).click();
  await expect(learner.getByText('100 %')).toBeVisible();
});

test('a check on paper: given out, printed with its answers, typed in, and in the record', async ({ browser }) => {
  const instructor = await person(browser, INSTRUCTOR);
  await instructor.goto('/teaching/checks/SC-hand-drill');
  await instructor.getByRole('button', { name: 'Give it out on paper …' }).click();
  await instructor.getByRole('dialog').getByLabel('Fia Grimwade').check();
  await instructor.getByRole('dialog').getByRole('button', { name: 'Make 1 paper' }).click();
  const paper = instructor.getByRole('article', { name: 'Fia Grimwade' });
  await expect(paper).toBeVisible();
  await expect(paper.getByText('Right:')).toHaveCount(0);
  await instructor.getByLabel('With the answers').check();
  await expect(paper.getByText('Right:').first()).toBeVisible();
  // Its learner is told that it is on paper.
  const learner = await person(browser, 'fia@millstep.example');
  await learner.goto('/checks/SC-hand-drill');
  await expect(learner.getByText(/Fia Grimwade sits this one on paper/)).toBeVisible();
  await expect(learner.getByRole('button', { name: 'Hand it in' })).toHaveCount(0);

  await instructor.goto('/teaching/checks/SC-hand-drill');
  await instructor.getByRole('link', { name: 'Type the answers in' }).click();
  await sitPaper(instructor);
  await instructor.getByRole('button', { name: 'That is what stands there' }).click();
  await expect(instructor.getByText('100 %')).toBeVisible();
  await expect(instructor.getByText('Typed in by Ruaridh Okonjo.')).toBeVisible();
});

test('what was passed is asked again before it fades, and the weakest lessons are the next warm-up', async ({
  browser,
}) => {
  const learner = await person(browser, 'nerys@millstep.example');
  await learner.goto('/path');
  await expect(learner.getByRole('heading', { name: 'What is fading' })).toBeVisible();
  await learner.getByRole('link', { name: "To today's questions" }).click();
  await expect(learner.getByText(/^1 of \d$/)).toBeVisible();
  const answer = learner.getByRole('button', { name: 'That is my answer' });
  await expect(answer).toBeDisabled();
  const asked = (await learner.locator('[data-question]').getAttribute('data-question')) ?? '';
  const { body } = await call(learner, 'POST', '/api/learning/recalls');
  const { question } = (body as { questions: { question: { id: string; kind: string } }[] }).questions.find(
    (each) => each.question.id === asked,
  ) ?? { question: { id: '', kind: '' } };
  const field = learner.locator(`[data-question="${asked}"]`);
  if (question.kind === 'worked') await field.locator('input').fill('1');
  else if (question.kind === 'hazard') await field.locator('[data-place]').first().press('Enter');
  else if (question.kind === 'order')
    while ((await field.locator('ul [data-step]').count()) > 0) await field.locator('ul [data-step]').first().click();
  else await field.locator('input').first().check();
  await answer.click();
  // It is explained at once, right or wrong.
  await expect(field.getByRole('link', { name: /Look it up in lesson/ })).toBeVisible();
  await learner.getByRole('button', { name: 'Next question' }).click();
  await expect(learner.getByText(/^2 of \d$/)).toBeVisible();

  const instructor = await person(browser, INSTRUCTOR);
  await instructor.goto('/teaching/warm-up');
  await instructor.getByRole('link', { name: 'On the wall' }).last().click();
  await expect(instructor.getByText('Weakest lessons')).toBeVisible();
  await expect(instructor.getByText(/^✓ Right$/)).toHaveCount(0);
  await instructor.keyboard.press('ArrowRight');
  await expect(instructor.getByText(/^✓ Right$/)).toBeVisible();
});
