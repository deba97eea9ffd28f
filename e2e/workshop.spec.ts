import { expect, test, type Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { call, holdBadge, learnerId, machineScreen, person, putAway } from './people';

/** Journeys that change the shop put it back as it was: other journeys count on it. */
test.afterAll(putAway);

test('a changed school is seen in every saved plan before it is put in force, and in the planner after', async ({
  browser,
}) => {
  const lead = await person(browser, 'lead@millstep.example');
  const learner = await person(browser, 'learner@millstep.example');
  const pilots = (page: Page) =>
    page.getByRole('listitem').filter({ has: page.locator('strong', { hasText: /^Pilot$/ }) });
  await learner.goto('/planner/hole');
  await expect(pilots(learner)).toHaveCount(1);

  await lead.goto('/workshop/policy');
  await expect(lead.getByText('nothing is changed')).toBeVisible();
  await lead.getByLabel('Pilot', { exact: true }).selectOption({ label: 'straight in' });
  await expect(lead.getByText(/Changes \d+ of 1\d saved plans\./)).toBeVisible();
  await expect(lead.getByRole('row', { name: /Pilot/ })).toContainText('goes: 2 mm twist drill');
  // Previewed only: nothing is in force yet.
  await learner.reload();
  await expect(pilots(learner)).toHaveCount(1);

  await lead.getByLabel('Why, in a sentence').fill('Split-point drills have come');
  await lead.getByRole('button', { name: 'Put in force' }).click();
  await expect(lead.getByRole('listitem').filter({ hasText: 'Split-point drills have come' })).toBeVisible();
  await learner.reload();
  await expect(learner.getByText('Can be made here')).toBeVisible();
  await expect(pilots(learner)).toHaveCount(0);
  // A kept plan says that the shop has changed since.
  await learner.goto('/planner');
  await learner.getByRole('link', { name: 'Foot plate, corner holes' }).click();
  await expect(learner.getByText('The shop has changed since this was saved')).toBeVisible();

  await lead.getByLabel('Pilot', { exact: true }).selectOption({ label: 'web pilot' });
  await lead.getByLabel('Why, in a sentence').fill('They are gone again');
  await lead.getByRole('button', { name: 'Put in force' }).click();
  await expect(lead.getByText('They are gone again')).toBeVisible();
});

test('a length of the policy is written as in the shop, and a bad one is refused beside it', async ({ browser }) => {
  const lead = await person(browser, 'lead@millstep.example');
  await lead.goto('/workshop/policy');
  const field = lead.getByLabel('Past the far side', { exact: true });
  const before = await field.inputValue();
  await field.fill('3/32');
  await expect(lead.getByText(/Understood: 3\/32 = 2\.381 mm/)).toBeVisible();
  await expect(lead.getByText(/Changes \d+ of 1\d saved plans\./)).toBeVisible();
  await field.fill('a good bit');
  await expect(lead.getByText(/is no size that is known here/).first()).toBeVisible();
  await lead.getByRole('button', { name: 'As it was' }).click();
  await expect(field).toHaveValue(before);
});

test('a broken workshop file is refused with every fault, and changes nothing; a whole one comes back as it went', async ({
  browser,
}) => {
  const lead = await person(browser, 'lead@millstep.example');
  const whole = await lead.request.get('/api/workshop/file');
  const text = await whole.text();
  await lead.goto('/workshop/file');
  const choose = (name: string, body: string) =>
    lead
      .getByLabel('Choose a file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(body, 'utf8') });

  await choose('broken.json', text.slice(0, text.length / 2));
  await expect(lead.getByText(/1 fault; nothing was changed/)).toBeVisible();

  const spoilt = text
    .replace('"kind": "bench_drill_press"', '"kind": "lathe with legs"')
    .replace('"kind": "drill"', '"kind": "spoon"')
    .replace('"pilot_school": "web"', '"pilot_school": "guess"')
    .replace('"time_zone": "', '"time_zone": "Atlantis/');
  await choose('spoilt.json', spoilt);
  await expect(lead.getByText('4 faults; nothing was changed')).toBeVisible();
  await expect(lead.getByText('/machines/0/kind')).toBeVisible();
  await expect(lead.getByText(/"lathe with legs" is none of/)).toBeVisible();
  await expect(lead.getByText('/policy/time_zone')).toBeVisible();
  await expect(lead.getByText('/policy/pilot_school')).toBeVisible();
  expect(await (await lead.request.get('/api/workshop/file')).text()).toBe(text);

  await choose('whole.json', text);
  await expect(lead.getByText('This is what it would change:')).toBeVisible();
  await expect(lead.getByText(/entries stay as they are/)).toBeVisible();
  await expect(lead.getByRole('button', { name: 'Bring it in' })).toBeDisabled();

  const added = JSON.parse(text) as { cribs: object[] };
  added.cribs.push({ slug: 'lent-set', name: 'Lent set', tools: [] });
  await choose('added.json', JSON.stringify(added));
  await expect(lead.getByText('+ crib: Lent set')).toBeVisible();
  await lead.getByRole('button', { name: 'Bring it in' }).click();
  await expect(lead.getByText('● Brought in.')).toBeVisible();

  const [file] = await Promise.all([lead.waitForEvent('download'), lead.locator('a[download]').click()]);
  expect(await readFile(await file.path(), 'utf8')).toContain('Lent set');
});

test('a drill set is there in two clicks, tools wear, and a machine goes out of service with its reason', async ({
  browser,
}) => {
  const lead = await person(browser, 'lead@millstep.example');
  await lead.goto('/workshop/cribs');
  await lead.getByLabel('New crib').fill('Spare drills');
  await lead.getByRole('button', { name: 'Add', exact: true }).first().click();
  const crib = lead.getByRole('region', { name: 'Spare drills' });
  await expect(crib.getByText('Nothing is in this crib yet')).toBeVisible();
  await crib.getByRole('button', { name: 'Add a drill set' }).click();
  await crib.getByRole('button', { name: 'A–Z' }).click();
  await expect(crib.getByLabel(/Condition of/)).toHaveCount(26);
  await crib.getByLabel('Condition of F', { exact: true }).selectOption({ label: 'worn out' });
  await crib.getByRole('button', { name: 'Remove G', exact: true }).click();
  await expect(crib.getByLabel(/Condition of/)).toHaveCount(25);
  await crib.getByRole('button', { name: 'Undo' }).click();
  await expect(crib.getByLabel(/Condition of/)).toHaveCount(26);
  await crib.getByRole('button', { name: 'Change the crib' }).click();
  await lead.getByLabel(/Its 26 tools go with it/).check();
  await lead.getByRole('button', { name: 'Remove this crib' }).click();
  await expect(lead.getByRole('button', { name: /Spare drills/ })).toHaveCount(0);

  await lead.goto('/workshop');
  const floor = lead.getByRole('listitem').filter({ has: lead.getByRole('heading', { name: 'Metric lathe' }) });
  await floor.getByRole('button', { name: 'Take out of service' }).click();
  await lead.getByLabel('Why, in a sentence').fill('The belt guard is cracked');
  await lead.getByRole('dialog').getByRole('button', { name: 'Take out of service' }).click();
  await expect(floor.getByText('The belt guard is cracked').first()).toBeVisible();
  await lead.goto('/planner/hole');
  await lead.getByLabel('Machine').selectOption({ label: 'Metric lathe (out of service)' });
  await expect(lead.getByRole('listitem').filter({ hasText: 'out of service' })).toBeVisible();
  await lead.goto('/workshop');
  await floor.getByRole('button', { name: 'Put back into service' }).click();
  await lead.getByLabel('Why, in a sentence').fill('A new guard is on');
  await lead.getByRole('dialog').getByRole('button', { name: 'Put back into service' }).click();
  await expect(floor.getByRole('button', { name: 'Take out of service' })).toBeVisible();
});

test('a machine that nobody has shown is not run alone; shown in two minutes, it is', async ({ browser }) => {
  const instructor = await person(browser, 'instructor@millstep.example');
  const screen = await machineScreen(browser, 'inch-lathe', 'instructor@millstep.example');
  await holdBadge(screen, 'Otis');
  await expect(screen.getByText('Not familiar with this machine yet.')).toBeVisible();
  await instructor.goto(`/learners/${await learnerId(instructor, 'Otis')}`);
  await instructor.getByRole('button', { name: 'Show this machine: Inch lathe' }).click();
  const dialog = instructor.getByRole('dialog', { name: /Inch lathe: shown to Otis/ });
  await expect(dialog).toContainText('What differs from Metric lathe, which they know');
  await expect(dialog).toContainText('here: At the left foot of the stand');
  const enter = dialog.getByRole('button', { name: 'Enter: shown' });
  await expect(enter).toBeDisabled();
  for (const one of await dialog.getByRole('checkbox').all()) await one.check();
  await enter.click();
  await expect(instructor.locator('#machines').getByText('shown by an instructor')).toBeVisible();
  await expect(instructor.getByRole('button', { name: 'Show this machine: Inch lathe' })).toHaveCount(0);
  await screen.reload();
  await holdBadge(screen, 'Otis');
  await expect(screen.getByText('Not familiar with this machine yet.')).toHaveCount(0);
});

test('guards and stop are looked at at the start of the day; what is not in order stands still at once', async ({
  browser,
}) => {
  const lead = await person(browser, 'lead@millstep.example');
  await lead.goto('/workshop');
  const drill = lead.getByRole('listitem').filter({ has: lead.getByRole('heading', { name: 'Hand power drill' }) });
  await drill.getByRole('button', { name: 'Hand power drill, Guards and covers: ✓ in order' }).click();
  await expect(drill.getByText('✓ Guards and covers: in order')).toBeVisible();
  await drill.getByRole('button', { name: 'Hand power drill: Emergency stop, not in order' }).click();
  await lead.getByLabel('Why, in a sentence').fill('The trigger sticks');
  await lead.getByRole('dialog').getByRole('button', { name: 'Take out of service' }).click();
  await expect(drill.getByText('The trigger sticks').first()).toBeVisible();
  await drill.getByRole('button', { name: 'Put back into service' }).click();
  await lead.getByLabel('Why, in a sentence').fill('The trigger was mended');
  await lead.getByRole('dialog').getByRole('button', { name: 'Put back into service' }).click();
  await expect(drill.getByRole('button', { name: 'Take out of service' })).toBeVisible();
});

test('a learner may look at the workshop, and change nothing of it', async ({ browser }) => {
  const learner = await person(browser, 'learner@millstep.example');
  await learner.goto('/workshop/policy');
  await expect(learner.getByRole('heading', { name: 'Shop policy' })).toBeVisible();
  await expect(learner.getByLabel('Pilot', { exact: true })).toBeDisabled();
  await expect(learner.getByRole('button', { name: 'Put in force' })).toHaveCount(0);
  await learner.goto('/workshop');
  await expect(learner.getByRole('heading', { name: 'Bench drill press' })).toBeVisible();
  await expect(learner.getByRole('button', { name: 'Take out of service' })).toHaveCount(0);
  for (const [method, path] of [
    ['POST', '/api/workshop/machines/bench-drill/service'],
    ['POST', '/api/workshop/file'],
  ] as const) {
    expect((await call(learner, method, path, { in_service: false, reason: 'A try', text: '{}' })).status).toBe(403);
  }
});
