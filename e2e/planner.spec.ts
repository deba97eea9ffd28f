import { expect, test, type Page } from '@playwright/test';
import { person, putAway } from './people';

/** The operation of that name in the sequence, by its heading. */
const operation = (page: Page, name: string) =>
  page.getByRole('listitem').filter({ has: page.locator('strong', { hasText: new RegExp(`^${name}$`) }) });

const cannot = (page: Page) => page.getByRole('heading', { name: 'This cannot be made here as it stands' });

/** Pages of paper that printing the page would take. */
async function sheets(page: Page, format: 'A4' | 'Letter'): Promise<number> {
  const pdf = await page.pdf({ format, preferCSSPageSize: true });
  return pdf.toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)?.length ?? 0;
}

async function openHole(page: Page) {
  await page.getByRole('link', { name: 'Planner' }).click();
  await page.getByRole('link', { name: 'Hole', exact: true }).click();
  await expect(page.getByText('Can be made here')).toBeVisible();
}

test.afterAll(putAway);

test('plans a hole as it is said, says what the crib lacks, and follows the units', async ({ browser }) => {
  const page = await person(browser, 'learner@millstep.example');
  await openHole(page);
  // Clearance for M8 in 8 mm steel on the bench drill: 9 mm, after a 2 mm pilot, to 12 on a scale of whole millimetres.
  const drill = operation(page, 'Drill');
  await expect(drill.getByText('9 mm twist drill')).toBeVisible();
  await expect(drill.getByRole('button', { name: 'Scale reading 12 mm' })).toBeVisible();
  await expect(drill.getByRole('button', { name: 'Spindle speed 500 rpm' })).toBeVisible();
  // Every figure has its working.
  await drill.getByRole('button', { name: 'Spindle speed 500 rpm' }).click();
  await expect(page.getByText(/n = 1000 · v/)).toBeVisible();
  await page.keyboard.press('Escape');

  // A size that this crib has not: what is missing, and what would do instead.
  await page.getByLabel('What for').selectOption('plain');
  await page.getByLabel('Diameter', { exact: true }).fill('9.2');
  await expect(cannot(page)).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'The nearest is 9 (9 mm)' })).toBeVisible();
  await page.getByLabel('Diameter', { exact: true }).fill('#7 or so');
  await expect(page.getByText(/is no size that is known here/).first()).toBeVisible();

  // A blind thread that would come out below, then one that fits.
  await page.getByLabel('What for').selectOption('tapped');
  await page.getByLabel('Thread').fill('M8');
  await page.getByLabel('blind, deep').check();
  await page.getByLabel('Depth, measured at full diameter').fill('7');
  await expect(page.getByRole('listitem').filter({ hasText: 'comes out of 8 mm of stock' })).toBeVisible();
  await page.getByLabel('Thickness of the stock').fill('3/4');
  await expect(page.getByText('Understood: 3/4 = 19.05 mm = 0.7500 in')).toBeVisible();
  await expect(page.getByText('Can be made here')).toBeVisible();
  await expect(operation(page, 'Tap').last().getByText('M8x1.25 bottoming tap')).toBeVisible();

  // Units change at once; what was typed in millimetres stays what it was.
  await page.getByRole('button', { name: 'in', exact: true }).click();
  await expect(page.getByLabel('Depth, measured at full diameter')).toHaveValue('7 mm');
  await expect(
    operation(page, 'Tap').last().getByRole('button', { name: 'Full diameter, deep 0.276 in' }),
  ).toBeVisible();
  // This machine's scale stays as it is engraved.
  await expect(operation(page, 'Drill').getByRole('button', { name: /Scale reading \d+ mm/ })).toBeVisible();
  await page.getByRole('button', { name: 'mm', exact: true }).click();

  // Leaving and coming back loses nothing.
  await page.getByRole('link', { name: 'My path' }).click();
  await page.getByRole('link', { name: 'Planner' }).click();
  await page.getByRole('link', { name: 'Hole', exact: true }).click();
  await expect(page.getByLabel('Thickness of the stock')).toHaveValue('3/4');
});

test('plans a tapped blind hole in brass on the inch lathe, and prints it on one sheet', async ({ browser }) => {
  const page = await person(browser, 'instructor@millstep.example');
  await openHole(page);
  await page.getByLabel('Machine').selectOption({ label: 'Inch lathe' });
  await page.getByLabel('Material').selectOption({ label: 'Free-cutting brass (leaded)' });
  await page.getByLabel('Length of the piece').fill('30');
  await page.getByLabel('What for').selectOption('tapped');
  await page.getByLabel('Thread').fill('1/4-20');
  await page.getByLabel('blind, deep').check();
  await page.getByLabel('Depth, measured at full diameter').fill('15');
  await page.getByText('More: position').click();
  await page.getByLabel('Diameter of round work').fill('3/4');
  await expect(page.getByText('Can be made here')).toBeVisible();

  // Drills of this crib, dubbed for brass; the depth on the tailstock's own 32nds; a tap that reaches the floor.
  const drill = operation(page, 'Drill');
  await expect(drill.getByText(/dubbed .* twist drill/)).toBeVisible();
  await expect(
    drill.getByRole('button', {
      name: /Scale reading \d+\/32 in|Scale reading \d+-\d+\/\d+ in|Scale reading \d+\/\d+ in/,
    }),
  ).toBeVisible();
  await expect(operation(page, 'Tap').getByText(/1\/4-20 .*tap/)).toBeVisible();
  await expect(page.getByRole('img', { name: /Section of the hole/ })).toBeVisible();

  for (const [paper, format] of [
    ['A4', 'A4'],
    ['letter', 'Letter'],
  ] as const) {
    await page.getByLabel('Paper').selectOption(paper);
    await page.evaluate(() => (window.print = () => document.body.setAttribute('data-printed', 'yes')));
    await page.getByRole('button', { name: 'Print the job sheet' }).click();
    await expect(page.locator('body[data-printed]')).toHaveCount(1);
    expect(await sheets(page, format)).toBe(1);
  }
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.job')).toContainText('1/4-20');
  await expect(page.locator('.job')).toContainText('Inch lathe');
  await expect(page.getByLabel('Thread', { exact: true })).toBeHidden();
});

test('says what one would need for a hole that the crib cannot make', async ({ browser }) => {
  const page = await person(browser, 'instructor@millstep.example');
  await openHole(page);
  await page.getByLabel('What for').selectOption('reamed');
  await page.getByLabel('Diameter', { exact: true }).fill('7.3');
  const verdict = page.getByRole('status').filter({ hasText: 'This cannot be made here' });
  await expect(verdict).toContainText('no 7.3 mm reamer');
  await expect(page.getByRole('button', { name: 'Save this plan' })).toBeEnabled();
});

test('keeps, copies, compares, removes and restores plans, and takes drawings along', async ({ browser }) => {
  const page = await person(browser, 'instructor@millstep.example');
  await openHole(page);
  await page.getByRole('button', { name: 'Save this plan' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name', { exact: true }).fill('Test bracket');
  await dialog.getByLabel('Part', { exact: true }).selectOption({ index: 1 });
  await dialog.getByLabel(/C6/).check();
  await dialog.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Test bracket' })).toBeVisible();

  for (const format of ['svg', 'dxf', 'csv']) {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: format, exact: true }).click(),
    ]);
    expect(file.suggestedFilename()).toBe(`test-bracket.${format}`);
  }

  await page.getByRole('button', { name: 'Copy', exact: true }).click();
  await dialog.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Test bracket, copy' })).toBeVisible();
  await page.getByText('What is wanted').click();
  await page.getByLabel('Fastener').fill('M6');
  await expect(
    operation(page, 'Drill').getByText('6.5 mm twist drill').or(operation(page, 'Drill').getByText('7 mm twist drill')),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await dialog.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Name and lessons' })).toBeVisible();

  await page.getByRole('link', { name: 'Saved plans' }).click();
  await page.getByLabel('Compare Test bracket', { exact: true }).check();
  await page.getByLabel('Compare Test bracket, copy').check();
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await expect(page.getByRole('row', { name: /Drill/ }).first()).toContainText('9 mm');

  // Shown where it is learnt.
  await page.goto('/lessons/C6');
  await expect(page.getByRole('link', { name: 'Test bracket', exact: true })).toBeVisible();

  await page.goto('/planner');
  for (const name of ['Test bracket', 'Test bracket, copy']) {
    await page.getByRole('button', { name: `Remove ${name}`, exact: true }).click();
    await expect(page.getByText(`${name} is removed.`)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Test bracket, copy' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Test bracket, copy' }).click();
});

test('a learner works the figures out, and has them checked one by one', async ({ browser }) => {
  const page = await person(browser, 'learner@millstep.example');
  await page.goto('/planner');
  await page.getByRole('link', { name: 'Foot plate, corner holes' }).click();
  await page.getByRole('button', { name: 'Hide the answers' }).click();
  await expect(page.getByText(/0 of \d+ worked out/)).toBeVisible();
  await expect(page.getByRole('img', { name: /Section/ })).toHaveCount(0);
  const drill = page.getByRole('listitem').filter({ hasText: 'Drill' }).last();
  const speed = drill.getByLabel('Spindle speed');
  await speed.fill('1400');
  await speed.press('Enter');
  await expect(drill.getByText('Not yet. Try again.')).toBeVisible();
  await speed.fill('500 rpm');
  await speed.press('Enter');
  await expect(drill.getByText('Right')).toBeVisible();
  await expect(page.getByText(/1 of \d+ worked out/)).toBeVisible();
  await page.getByRole('button', { name: 'Show the answers' }).click();
  await expect(operation(page, 'Drill').getByText('9 mm twist drill')).toBeVisible();
});

test('lays a plate out and judges its edges; plans a lathe batch with the bars of a class', async ({ browser }) => {
  const page = await person(browser, 'instructor@millstep.example');
  await page.goto('/planner/layout');
  await expect(page.getByText('Can be marked out like this')).toBeVisible();
  await expect(page.getByRole('row', { name: /^A / })).toContainText('15 mm');
  await page.getByLabel('Inset left and right').fill('5');
  await expect(page.getByText('This cannot be marked out as it stands')).toBeVisible();
  await page.getByLabel('Inset left and right').fill('15');
  await page.getByLabel('Lines are set by').selectOption({ label: 'stack of parallels' });
  await page.getByLabel('Parallels from').selectOption({ label: 'Marking-out table' });
  await expect(page.getByText('Can be marked out like this')).toBeVisible();
  expect(await sheets(page, 'A4')).toBe(1);

  await page.goto('/planner/lathe');
  await page.getByLabel('Machine').selectOption({ label: 'Inch lathe' });
  await page.getByLabel('Learners').fill('9');
  await expect(page.getByText('Can be made here')).toBeVisible();
  await expect(operation(page, 'Part off').getByText('× 6')).toBeVisible();
  await expect(page.getByText(/Blanks of .* for 9 learners/)).toBeVisible();
  await page.getByLabel('How many').fill('40');
  await expect(cannot(page)).toBeVisible();
});
