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
  await page.goto('/');
  await page.getByRole('link', { name: 'Planner' }).click();
  await page.getByRole('link', { name: 'Hole', exact: true }).click();
  await expect(page.getByText('Can be made here')).toBeVisible();
}

test.afterEach(putAway);

/** What is rarely asked for. Words that come in above it may move it away under a click. */
async function openMore(page: Page): Promise<void> {
  const more = page.locator('details', { hasText: 'More: position, class, thread' });
  await expect(async () => {
    if ((await more.getAttribute('open')) === null) await more.locator('summary').first().click();
    expect(await more.getAttribute('open')).not.toBeNull();
  }).toPass();
}

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
  await expect(page.getByRole('listitem').filter({ hasText: 'The nearest is 9 mm' })).toBeVisible();
  await page.getByLabel('Diameter', { exact: true }).fill('#7 or so');
  await expect(page.getByText(/is no size that is known here/).first()).toBeVisible();

  // A blind thread that would come out below, then one that fits.
  await page.getByLabel('What for').selectOption('tapped');
  await page.getByLabel('Thread', { exact: true }).fill('M8');
  await page.getByLabel('blind, deep').check();
  await page.getByLabel('Depth, measured at full diameter').fill('7');
  await expect(page.getByRole('listitem').filter({ hasText: 'must be left under it' })).toBeVisible();
  await page.getByLabel('Thickness of the stock').fill('3/4');
  await expect(page.getByText('Understood: 3/4 = 19.05 mm = 0.7500 in')).toBeVisible();
  await expect(page.getByText('Can be made here')).toBeVisible();
  await expect(operation(page, 'Tap').last().getByText('M8x1.25 bottoming tap')).toBeVisible();

  // Units change at once; what was typed in millimetres stays what it was.
  await page.getByRole('button', { name: 'in', exact: true }).click();
  await expect(page.getByLabel('Depth, measured at full diameter')).toHaveValue('7 mm');
  await expect(operation(page, 'Tap').last().getByRole('button', { name: 'Full thread 0.276 in' })).toBeVisible();
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
  await page.getByLabel('Thread', { exact: true }).fill('1/4-20');
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
  await page.getByText('About this lesson').click();
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

test('seats a cap screw, says how it is gripped, and what the chip says in one press', async ({ browser }) => {
  const page = await person(browser, 'instructor@millstep.example');
  await openHole(page);
  await page.getByLabel('Thickness of the stock').fill('20');
  await page.getByLabel('What for').selectOption('counterbored');
  await page.getByLabel('Fastener').fill('M8');
  const hold = operation(page, 'Hold');
  await expect(hold.getByText('Taken as 40 mm from the hole')).toBeVisible();
  await openMore(page);
  await page.getByLabel('Gripped how far from the hole').fill('80');
  await expect(hold.getByText('Taken as 40 mm from the hole')).toBeHidden();
  const bore = operation(page, 'Counterbore');
  await expect(bore.getByText('15 mm counterbore, pilot 9 mm')).toBeVisible();
  await expect(bore.getByText('Set 280 rpm with the machine stopped and isolated')).toBeVisible();
  await expect(bore.getByText('Eye protection on.')).toBeVisible();
  await expect(bore.getByRole('button', { name: 'Depth to the tip 8.6 mm' })).toBeVisible();

  const drill = operation(page, 'Drill');
  await drill.getByText('What chip and noise say').click();
  await expect(drill.getByText('Chips come off blue, brown or red.')).toBeVisible();
  await expect(drill.getByText(/ease off for an instant so that it breaks/i)).toBeVisible();
});

test('bores to size with the bar of the crib, on the lathe only, its limits on the sheet', async ({ browser }) => {
  const page = await person(browser, 'instructor@millstep.example');
  await openHole(page);
  const purposes = page.getByLabel('What for');
  await expect(purposes.getByRole('option', { name: 'bored to size' })).toHaveCount(0);
  await page.getByLabel('Machine').selectOption({ label: 'Metric lathe' });
  await purposes.selectOption('bored');
  await page.getByLabel('Diameter', { exact: true }).fill('25 H7');
  await page.getByLabel('Length of the piece').fill('30');
  await openMore(page);
  await page.getByLabel('Diameter of round work').fill('50');
  const bore = operation(page, 'Bore');
  await expect(bore.getByText('12 mm boring bar')).toBeVisible();
  await expect(bore.getByText('Stop at the pass to 24.8 mm.')).toBeVisible();
  await expect(bore.getByText('neither bar nor holder may touch')).toBeVisible();
  await expect(operation(page, 'Measure').getByText('25 mm – 25.021 mm')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByText('25 mm – 25.021 mm').locator('visible=true')).toHaveCount(1);
  expect(await sheets(page, 'A4')).toBe(1);
  await page.emulateMedia({ media: 'screen' });
  // Its bars are too slender for a bore so long: it is said what would do.
  await page.getByLabel('Length of the piece').fill('90');
  await expect(cannot(page)).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'The 12 mm bar reaches 75 mm' })).toBeVisible();
});

test("checks a drill's point, in either unit, and says what it would drill", async ({ browser }) => {
  const page = await person(browser, 'henrike@millstep.example');
  await page.goto('/');
  await page.getByRole('link', { name: 'Planner' }).click();
  await page.getByRole('link', { name: 'Checks' }).click();
  await page.getByRole('link', { name: 'Drill point' }).click();
  await page.getByLabel('Drill', { exact: true }).fill('10');
  await page.getByLabel('First lip').fill('6.2');
  await page.getByLabel('Second lip').fill('5.8');
  await page.getByLabel('Its angle to the axis').first().fill('59');
  await page.getByLabel('Its angle to the axis').last().fill('59');
  const verdict = page.getByRole('status').filter({ hasText: 'Hole it would drill' });
  await expect(verdict.getByText('Regrind it')).toBeVisible();
  await expect(verdict.getByText('10.34 mm', { exact: true })).toBeVisible();
  await page.getByLabel('First lip').fill('5.8');
  await expect(verdict.getByText('Sound')).toBeVisible();
  await page.getByLabel('First lip').fill('a bit');
  await expect(page.getByText(/is no size that is known here/).first()).toBeVisible();
  await expect(verdict).toBeHidden();
});

test('hangs a chart of this shop: on the screen, on paper, and by its code on a phone', async ({ browser }) => {
  const page = await person(browser, 'instructor@millstep.example');
  await page.goto('/');
  await page.getByRole('link', { name: 'Planner' }).click();
  await page.getByRole('link', { name: 'Wall charts' }).click();
  await expect(page.getByRole('heading', { name: 'Bench drill press: revolutions per minute' })).toBeVisible();
  await expect(page.getByText('500 rpm: belt 2')).toBeVisible();
  const steel = page.getByRole('row', { name: /^mild steel/ });
  await expect(steel.getByRole('cell').first()).toHaveText('1400');
  const sheet = page.getByRole('img', { name: /sheet 1 of 2/ });
  await expect.poll(() => sheet.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Next sheet' }).click();
  await expect(page.getByRole('img', { name: /sheet 2 of 2/ })).toBeVisible();
  await page.getByLabel('Paper').selectOption({ label: 'A3' });
  await expect(page.getByRole('img', { name: /sheet 1 of 1/ })).toBeVisible();
  const pdf = await page.request.get((await page.getByRole('link', { name: 'as PDF' }).getAttribute('href')) ?? '');
  expect(pdf.headers()['content-type']).toBe('application/pdf');

  await page.getByLabel('Chart').selectOption({ label: 'What the chip says' });
  await page.getByLabel('Material').selectOption({ label: 'Grey cast iron' });
  await expect(page.getByRole('heading', { name: 'Grey cast iron: what the chip says' })).toBeVisible();
  // What the code on the sheet opens: the same chart, by its address alone, on a learner's phone.
  const phone = await person(browser, 'henrike@millstep.example', { width: 390, height: 844 });
  await phone.goto(page.url());
  await expect(phone.getByRole('heading', { name: 'Grey cast iron: what the chip says' })).toBeVisible();
});

test('checks a chuck and keeps it with the machine, and a plan says what that does to a hole', async ({ browser }) => {
  const page = await person(browser, 'instructor@millstep.example');
  await page.goto('/');
  await page.getByRole('link', { name: 'Planner' }).click();
  await page.getByRole('link', { name: 'Checks' }).click();
  await page.getByRole('link', { name: 'Run-out' }).click();
  await expect(page.getByText('Power isolated.')).toBeVisible();
  await page.getByLabel('Least').fill('-0.02');
  await page.getByLabel('Most').fill('0.04');
  await expect(page.getByText('Sound', { exact: false }).first()).toBeVisible();
  await expect(page.getByText('0.06 mm', { exact: true })).toBeVisible();
  await page.getByLabel('Keep with machine').selectOption({ label: 'Bench drill press' });
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Kept' })).toBeDisabled();
  await expect(page.getByRole('listitem').filter({ hasText: 'Bench drill press' })).toHaveCount(1);

  await page.getByRole('link', { name: 'Place over pins' }).click();
  await page.getByLabel('Reading').fill('50.1');
  await page.getByLabel('Pin', { exact: true }).fill('6');
  await page.getByLabel(/^Pin in the other hole/).fill('8');
  await expect(page.getByText('43.1 mm', { exact: true })).toBeVisible();

  await openHole(page);
  await page.getByLabel('Thickness of the stock').fill('8');
  await page.getByLabel('What for').selectOption('plain');
  await page.getByLabel('Diameter', { exact: true }).fill('9');
  await expect(operation(page, 'Measure').getByText(/chuck ran out 0.06 mm/)).toBeVisible();
  // Where the holding goes, and the belt for the speed; the step that is looked at stands out in the section.
  await expect(page.getByRole('img', { name: /The holding from above/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /Belt on the cone pulleys/ }).first()).toBeVisible();
  await operation(page, 'Drill').last().scrollIntoViewIfNeeded();
});
