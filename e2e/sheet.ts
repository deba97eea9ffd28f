import { expect, type Page } from '@playwright/test';
import { call, learnerId, person } from './people';

/** A practical sheet as it is used at the machine: the criterion in hand, and what is marked there. */
export const hand = (page: Page) => page.getByTestId('hand');

/** Takes a criterion into hand. */
export async function take(page: Page, id: string): Promise<void> {
  await page.locator(`#criterion-${id}`).click();
  await expect(page.locator(`#criterion-${id}`)).toHaveAttribute('aria-current', 'step');
}

/** The big key of a verdict, for the criterion in hand. */
export const key = (page: Page, word: 'met' | 'prompted' | 'not met' | 'not seen') =>
  hand(page).getByRole('button', { name: new RegExp(`^${word}`) });

export async function say(page: Page, id: string, word: 'met' | 'prompted' | 'not met' | 'not seen'): Promise<void> {
  await take(page, id);
  await key(page, word).click();
}

async function type(page: Page, reading: Record<string, string>): Promise<void> {
  for (const [field, text] of Object.entries(reading)) await hand(page).getByLabel(field, { exact: true }).fill(text);
  await hand(page).getByRole('button', { name: 'Enter the reading' }).click();
}

/** What somebody answered to each reason that was drawn, in a few words. */
export async function answerReasons(page: Page): Promise<void> {
  for (const reason of await page.locator('[id^="criterion-why"]').all()) {
    await reason.click();
    await expect(hand(page).getByText('Ask further:')).toBeVisible();
    await hand(page).getByLabel('What they answered').fill('It would turn with it');
    await hand(page).getByRole('button', { name: 'Keep the answer' }).click();
    await expect(hand(page).getByText('It would turn with it')).toBeVisible();
  }
}

/** The learner measures on this tablet, and whoever assesses after them. */
export async function measure(page: Page, id: string, reading: Record<string, string>): Promise<void> {
  await take(page, id);
  await type(page, reading);
  // What was marked before it goes out first.
  await expect(hand(page).getByText('has measured')).toBeVisible({ timeout: 30_000 });
  await expect(hand(page).getByText('Now you measure')).toBeVisible();
  await type(page, reading);
}

/** Whoever assesses measures what the learner has measured already, or measures again. */
export const measureToo = type;

async function allowed(page: Page, wanted: { sheet: string; learner_id: number }): Promise<void> {
  const browser = page.context().browser();
  if (!browser) throw new Error('no browser');
  const lead = await person(browser, 'lead@millstep.example');
  await call(lead, 'POST', '/api/assessment/exceptions', {
    id: crypto.randomUUID(),
    ...wanted,
    kind: 'other',
    words: 'Shown here before, by another shop',
  });
  await lead.close();
}

export async function openSheet(page: Page, learner: string, sheet = 'PS-through-holes'): Promise<string> {
  const wanted = { sheet, learner_id: await learnerId(page, learner) };
  const open = () => call(page, 'POST', '/api/assessment/attempts', { id: crypto.randomUUID(), ...wanted });
  let { status, body } = await open();
  if (status === 409 && (body as { code: string }).code === 'not_piloted') {
    // Whoever is not that far yet may try once, where somebody else allows it.
    await allowed(page, wanted);
    ({ status, body } = await open());
  }
  expect(status, JSON.stringify(body)).toBe(201);
  const id = (body as { id: string }).id;
  await page.goto(`/sheets/${id}`);
  await expect(page.getByRole('heading', { name: new RegExp(learner) })).toBeVisible();
  return id;
}

/** Puts the open sheet away, for a reason of the list and in words where it has marks. */
export async function putSheetAway(page: Page, because: string, words?: string): Promise<void> {
  await page.getByRole('button', { name: 'Put away' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('The reason').selectOption({ label: because });
  if (words) await dialog.getByLabel('In your own words').fill(words);
  await dialog.getByRole('button', { name: 'Put it away' }).click();
  await expect(page.getByText('This sheet was put away')).toBeVisible();
}

export interface Criterion {
  id: string;
  kind: 'observed' | 'measured' | 'judged';
  asks?: 'length' | 'place' | 'plug' | 'thread';
  wants?: { lower_mm?: number; upper_mm?: number };
  mark: { result: string } | null;
  readings?: { typed: Record<string, string>; units: string }[];
  learner?: { done: boolean; readings: { typed: Record<string, string> }[] | null };
}

/** A sheet as the server has it. */
export async function kept(
  page: Page,
  id: string,
): Promise<{ criteria: Criterion[]; outcome: string | null; part_code: string | null }> {
  return (await call(page, 'GET', `/api/assessment/attempts/${id}`)).body as Awaited<ReturnType<typeof kept>>;
}
