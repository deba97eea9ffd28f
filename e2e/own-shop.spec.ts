import { expect, test, type Browser, type Locator, type Page } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import { sitPaper } from './paper';

/**
 * An empty shop (demo off) from the code that its start printed to the first "may run alone", as shop lead, instructor
 * and learner, in one language. bin/test walks it once in each.
 */
const URL = process.env.OWN_SHOP_URL;
const CODE = process.env.OWN_SHOP_CODE ?? '';
const LANGUAGE = process.env.OWN_SHOP_LANGUAGE ?? 'en';
const PASSWORD = 'ladder sparrow tin';
const PIN = '7305';
const PERMIT = 'drill-through-10';

test.skip(URL === undefined, 'needs an empty shop of its own: bin/test starts one');
test.describe.configure({ mode: 'serial' });
test.use({ baseURL: URL });

type Words = { [key: string]: string | Words };
const merge = (into: Words, from: Words): Words => {
  for (const [key, value] of Object.entries(from)) {
    const known = into[key];
    into[key] = typeof value === 'object' ? merge(typeof known === 'object' ? known : {}, value) : value;
  }
  return into;
};
const words = readdirSync('resources/js', { withFileTypes: true })
  .filter((room) => room.isDirectory())
  .reduce<Words>((all, room) => {
    const file = `resources/js/${room.name}/locale/${LANGUAGE}.json`;
    try {
      return merge(all, JSON.parse(readFileSync(file, 'utf8')) as Words);
    } catch {
      return all;
    }
  }, {});

/** What a key says in the language of this journey. */
function say(key: string, terms: Record<string, string> = {}): string {
  const said = key
    .split('.')
    .reduce<string | Words | undefined>((at, part) => (at as Words | undefined)?.[part], words);
  if (typeof said !== 'string') throw new Error(`${key} says nothing in ${LANGUAGE}`);
  return Object.entries(terms).reduce((text, [name, value]) => text.replace(`{${name}}`, value), said);
}

async function newcomer(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ locale: LANGUAGE === 'es' ? 'es-ES' : 'en-GB', baseURL: URL });
  return context.newPage();
}
const press = (page: Page | Locator, key: string) => page.getByRole('button', { name: say(key), exact: true }).click();
const fill = (page: Page | Locator, key: string, value: string) =>
  page.getByLabel(say(key), { exact: true }).fill(value);

let lead: Page;
let instructor: Page;
let learner: Page;
let gate: Page;
const links: Record<string, string> = {};

test('the first lead makes an account with the code of the start', async ({ browser }) => {
  lead = await newcomer(browser);
  await lead.goto('/');
  await expect(lead.getByRole('heading', { name: say('people.first.title') })).toBeVisible();
  await fill(lead, 'people.first.code', 'AAAAA-AAAAA-AAAAA-AAAAA');
  await fill(lead, 'people.name', 'Ines Marlowe');
  await fill(lead, 'people.email', 'ines@marsh-lane.example');
  await fill(lead, 'people.password', PASSWORD);
  await press(lead, 'people.first.act');
  await expect(lead.getByRole('alert')).toBeVisible();
  await fill(lead, 'people.first.code', CODE);
  await press(lead, 'people.first.act');
  await expect(lead.getByRole('heading', { name: say('setUp.title') })).toBeVisible();
});

test('the shop gets its name, rules, tools and a machine', async () => {
  await lead.getByRole('link', { name: say('setUp.step.shop') }).click();
  await fill(lead, 'shop.name', 'Marsh Lane workshop');
  await press(lead, 'ui.save');
  await lead.goto('/workshop/policy');
  // At whatever hour this is walked.
  await lead.getByLabel(say('policy.hours.label')).fill('1–7 00:00–24:00');
  await fill(lead, 'workshop.why', 'Marsh Lane');
  await press(lead, 'workshop.putInForce');
  await expect(lead.getByText('Marsh Lane').first()).toBeVisible();
  await lead.goto('/workshop/cribs');
  await fill(lead, 'workshop.newCrib', 'Blue cabinet');
  await press(lead, 'ui.add');
  await press(lead, 'workshop.addSet');
  await lead
    .getByRole('group', { name: say('workshop.addSet') })
    .getByRole('button')
    .first()
    .click();
  await expect(lead.getByText(say('workshop.emptyCrib'))).toHaveCount(0);
  await lead.goto('/workshop');
  await press(lead, 'workshop.newMachine');
  const dialog = lead.getByRole('dialog');
  await fill(dialog, 'workshop.name', 'Press 1');
  await dialog.getByLabel(say('workshop.speedSteps')).fill('280, 500, 850, 1400, 2500');
  await dialog.getByLabel(say('workshop.fact.change')).selectOption('stopped_and_isolated');
  await dialog.getByLabel('Blue cabinet').check();
  await press(dialog, 'ui.save');
  await expect(dialog).toHaveCount(0);
});

test('content is taken in, and people are invited', async () => {
  await lead.goto('/workshop/content');
  const packs = lead.getByRole('listitem').filter({ has: lead.getByRole('heading', { level: 2 }) });
  await expect(packs).not.toHaveCount(0);
  for (const pack of await packs.all()) {
    // What a pack is built on comes with it.
    const take = pack.getByRole('button', { name: say('content.take'), exact: true });
    if (await take.isVisible()) await take.click();
    await expect(pack.getByText('✓')).toBeVisible();
  }
  await lead.goto('/records/people');
  await press(lead, 'people.cohort.add');
  await fill(lead.getByRole('dialog'), 'people.cohort.name', 'Tuesday');
  await press(lead.getByRole('dialog'), 'ui.save');
  for (const [name, role] of [
    ['Tove Alder', 'instructor'],
    ['Sami Reed', 'learner'],
  ] as const) {
    await press(lead, 'people.add');
    const dialog = lead.getByRole('dialog');
    await fill(dialog, 'people.name', name);
    await fill(dialog, 'people.email', `${name.split(' ')[0]}@marsh-lane.example`);
    await dialog.getByLabel(say('people.role')).selectOption(role);
    await dialog.getByLabel('Tuesday').check();
    await press(dialog, 'ui.save');
    links[name] = (await lead.locator('[data-link]').textContent()) ?? '';
    await press(lead.getByRole('dialog'), 'people.link.done');
  }
  await lead.getByRole('button', { name: say('people.badge.of', { name: 'Sami Reed' }) }).click();
  await fill(lead.getByRole('dialog'), 'people.badge.code', '0417-2233');
  await press(lead.getByRole('dialog'), 'people.badge.issue');
  await expect(lead.getByText(say('people.badge.hasOne'))).toBeVisible();
});

async function join(browser: Browser, name: string): Promise<Page> {
  const page = await newcomer(browser);
  await page.goto(links[name] ?? '');
  await expect(page.getByRole('heading', { name: say('people.welcome') })).toBeVisible();
  await fill(page, 'people.newPassword', PASSWORD);
  await fill(page, 'people.passwordAgain', PASSWORD);
  await press(page, 'people.setPassword');
  await fill(page, 'people.email', `${name.split(' ')[0]?.toLowerCase()}@marsh-lane.example`);
  await fill(page, 'people.password', PASSWORD);
  await press(page, 'people.signIn');
  await expect(page).not.toHaveURL(/sign-in/);
  return page;
}

test('the instructor joins and sets a PIN; the lead completes the permit', async ({ browser }) => {
  instructor = await join(browser, 'Tove Alder');
  await instructor.goto('/account');
  await press(instructor, 'people.pin.set_it');
  const dialog = instructor.getByRole('dialog');
  await fill(dialog, 'people.password', PASSWORD);
  await fill(dialog, 'people.pin.new', PIN);
  await press(dialog, 'people.pin.set_it');
  await expect(dialog).toHaveCount(0);

  await lead.goto(`/workshop/permits/${PERMIT}`);
  const group = (key: string) => lead.getByRole('group', { name: say(key), exact: true });
  // A first step of this shop's own: the stop, the check and some practice, on one machine.
  const off = (key: string, code: string) => group(key).locator(`input[value="${code}"]`).uncheck();
  for (const code of ['C1', 'C2', 'C3', 'C4', 'C5']) await off('permits.lessons', code);
  for (const code of ['C6', 'C7']) await off('permits.guided', code);
  await off('permits.sheets', 'PS-through-holes');
  await off('permits.prerequisites', 'bench-marking');
  await fill(lead, 'permits.practiceCount', '1');
  await fill(lead, 'permits.practiceMinutes', '30');
  await group('permits.atMachines').getByLabel('Press 1').check();
  await group('permits.maySign').getByLabel('Tove Alder').check();
  await fill(lead, 'permits.ground', 'Assessor course, two sheets watched');
  await press(lead, 'permits.preview');
  await press(lead, 'permits.save');
  await expect(lead).toHaveURL(/permits$/);
});

test('the learner joins, works the lesson through and passes the check', async ({ browser }) => {
  learner = await join(browser, 'Sami Reed');
  await learner.goto('/lessons/A2');
  await expect(learner.getByRole('button', { name: say('lesson.stepDone') })).toBeVisible();
  const lesson = readFileSync(
    LANGUAGE === 'en' ? 'content/drill-press/lessons/A2.md' : 'content/drill-press/locales/es/lessons/A2.md',
    'utf8',
  );
  for (const step of lesson.split(/^## /m).slice(1)) {
    await expect(learner.getByRole('heading', { name: step.split(' {#')[0] ?? '' })).toBeVisible();
    const right = step.match(/^- \[x\] (.+?)(?: \|.*)?$/m)?.[1];
    // A choice stays in sight with what is said to it; one goes on when one has read it.
    if (right === undefined) await press(learner, 'lesson.stepDone');
    else {
      await learner.getByRole('button', { name: right }).click();
      await learner.getByRole('button', { name: new RegExp(`^${say('lesson.forward')} →`) }).click();
    }
  }
  await expect(learner.getByText(say('lesson.completed'))).toBeVisible();
  await learner.goto('/checks/SC-through-holes');
  await sitPaper(learner);
  await press(learner, 'check.handIn');
  await expect(learner.getByText('100 %')).toBeVisible();
});

test('practice is confirmed, the statement acknowledged, and the instructor signs', async () => {
  await learner.goto('/logbook');
  await fill(learner, 'practice.exercise', 'Holes in scrap');
  await learner.getByLabel(say('practice.machine'), { exact: true }).selectOption({ label: 'Press 1' });
  await fill(learner, 'practice.minutes', '30');
  await press(learner, 'practice.log');
  await instructor.goto('/today');
  await press(instructor, 'waiting.practice.act');
  await instructor.getByRole('dialog').locator('button[type=submit]').click();
  await expect(instructor.getByText('Holes in scrap')).toHaveCount(0);
  await learner.goto(`/path?permit=${PERMIT}`);
  await learner.getByRole('link', { name: say('record.move.sign_off') }).click();
  await press(learner, 'sign.acknowledge');
  await instructor.goto('/today');
  await instructor.getByRole('link', { name: say('waiting.signature.act') }).click();
  const stuff = instructor.getByRole('group', { name: say('sign.materials') }).getByRole('checkbox');
  await expect(stuff.first()).toBeVisible();
  for (const box of await stuff.all()) await box.check();
  await fill(instructor, 'sign.pin', PIN);
  await press(instructor, 'sign.sign');
  await expect(instructor.getByTestId('stage')).toContainText('5');
  // A permit without a sheet has nobody assessed at a machine: an instructor shows it.
  await instructor.getByRole('button', { name: `${say('known.show')}: Press 1` }).click();
  const shown = instructor.getByRole('dialog');
  for (const box of await shown.getByRole('checkbox').all()) await box.check();
  await press(shown, 'known.act');
  await expect(shown).toHaveCount(0);
});

test('the machine runs for them alone', async ({ browser }) => {
  gate = await newcomer(browser);
  await gate.goto('/sign-in');
  await fill(gate, 'people.email', 'tove@marsh-lane.example');
  await fill(gate, 'people.password', PASSWORD);
  await press(gate, 'people.signIn');
  await expect(gate).not.toHaveURL(/sign-in/);
  await gate.goto('/gate/press-1');
  const anew = gate.waitForEvent('load');
  await press(gate, 'gate.pair');
  await anew;
  await gate.locator('[data-badge]').fill('0417-9999');
  await gate.keyboard.press('Enter');
  await expect(gate.getByTestId('gate-word')).toHaveText(say('gate.word.no'));
  // A reader types into the screen, whatever was pressed before.
  await gate.locator('[data-badge]').fill('0417-2233');
  await gate.keyboard.press('Enter');
  // Of what, and how large: the first of each is what the signature covers.
  const ask = gate.getByTestId('ask');
  await expect(ask.getByText(say('gate.ask.stuff', { name: 'Sami Reed' }))).toBeVisible();
  await ask.getByRole('button').first().click();
  await expect(ask.getByText(say('gate.ask.job', { name: 'Sami Reed' }))).toBeVisible();
  await ask.getByRole('button').first().click();
  await expect(gate.getByTestId('gate-word')).toHaveText(say('gate.word.alone'));
  await lead.goto('/today');
  await expect(lead.getByText('Press 1')).toBeVisible();
  await expect(lead.getByRole('heading', { name: say('setUp.title') })).toHaveCount(0);
});
