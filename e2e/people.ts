import { expect, test, type Browser, type BrowserContext, type Page } from '@playwright/test';

export const PASSWORD = 'mast-and-vane';
export const PIN = '2468';

const devices: BrowserContext[] = [];

/**
 * The service worker fetches the whole front end for each device anew, a third of what a journey costs: only journeys about what is
 * kept without a network have one.
 */
let workers: 'allow' | 'block' = 'block';

/** For the journeys of a file that are about what a device keeps. */
export function withWorkers(): void {
  test.beforeAll(() => {
    workers = 'allow';
  });
  test.afterAll(() => {
    workers = 'block';
  });
}

/** Puts all devices away: screens that are left open go on asking, and slow the next journey. */
export async function putAway(): Promise<void> {
  await Promise.all(devices.splice(0).map((device) => device.close()));
}

/** A page of ours with nothing on it: from here a journey goes where it wants. */
const NOWHERE = '/icon.svg';

/** A person at a device of their own, signed in already; the door itself has journeys of its own. */
export async function person(
  browser: Browser,
  email: string,
  viewport?: { width: number; height: number },
  shared = false,
): Promise<Page> {
  const context = await browser.newContext({
    serviceWorkers: workers,
    ...(viewport ? { viewport, hasTouch: true } : {}),
  });
  devices.push(context);
  await context.request.get('/api/people/me');
  const token = (await context.cookies()).find(({ name }) => name === 'XSRF-TOKEN')?.value ?? '';
  const answer = await context.request.post('/api/people/session', {
    data: { email, password: PASSWORD, shared },
    headers: { Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token) },
  });
  expect(answer.status(), `${email} signs in`).toBe(200);
  const page = await context.newPage();
  await page.goto(NOWHERE);
  return page;
}

/** Calls the API with the page's own session and CSRF token, as a curious learner might. */
export async function call(
  page: Page,
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<{ status: number; code?: string; body: unknown }> {
  return page.evaluate(
    async ([verb, url, json]) => {
      const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? '');
      const me = await (await fetch('/api/people/me', { headers: { Accept: 'application/json' } })).json();
      const response = await fetch(url as string, {
        method: verb as string,
        headers: {
          Accept: 'application/json',
          'Content-Type': 'application/json',
          'X-XSRF-TOKEN': token,
          'X-Mill-Step-From': String(me.person?.id ?? ''),
        },
        body: json === undefined ? undefined : JSON.stringify(json),
      });
      const answer = await response.json().catch(() => null);
      return { status: response.status, code: answer?.code, body: answer };
    },
    [method, path, body],
  );
}

/** The demo's shop has hours; journeys are walked at any hour, so the lead opens it round the clock. */
export async function keepOpen(browser: Browser): Promise<void> {
  await changePolicy(browser, { hours: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '00:00', to: '24:00' }] });
}

/** The lead changes the shop's policy, and leaves. */
export async function changePolicy(browser: Browser, to: Record<string, unknown>): Promise<void> {
  const lead = await person(browser, 'lead@millstep.example');
  const { body } = await call(lead, 'GET', '/api/workshop/policy');
  const settings = {
    ...(body as { settings: Record<string, unknown> }).settings,
    ...to,
  };
  const changed = await call(lead, 'PUT', '/api/workshop/policy', { settings, note: 'For a journey' });
  expect(changed.status).toBe(200);
  await lead.context().close();
}

/** A screen at a machine, paired by an instructor who is signed out on it by that. */
export async function machineScreen(browser: Browser, machine: string, by: string): Promise<Page> {
  const screen = await person(browser, by);
  await screen.goto(`/gate/${machine}`);
  // Pairing loads the page anew, without whoever paired it.
  const anew = screen.waitForEvent('load');
  await screen.getByRole('button', { name: 'Pair this screen' }).click();
  await anew;
  // What the machine said last stays in sight for up to two minutes, so another journey's end or refusal may stand here.
  await expect(screen.getByTestId('gate-word')).toHaveText(/^(Badge, please|Finished|No)$/);
  return screen;
}

/** Comes to the floor or leaves it, on Today; only what was answered counts at a machine. */
export async function onTheFloor(page: Page, here: boolean): Promise<void> {
  const [press, then] = here ? ['I am on the floor', 'I leave the floor'] : ['I leave the floor', 'I am on the floor'];
  await page.getByRole('button', { name: press }).click();
  await expect(page.getByRole('button', { name: then })).toBeVisible();
}

/** Holds a badge of the demo's tray to the reader. */
export async function holdBadge(screen: Page, who: string): Promise<void> {
  const badge = screen.getByRole('button', { name: new RegExp(who) });
  await expect(badge).toBeEnabled();
  await badge.click();
}

/** Answers what a limited signature asks: who is with them, of what, what and how large. */
export async function sayWhat(screen: Page, companion: string, stuff: string, job: string): Promise<void> {
  await expect(screen.getByText(/who is with you/)).toBeVisible();
  await holdBadge(screen, companion);
  await expect(screen.getByText(/what is it made of/)).toBeVisible();
  await screen.getByRole('button', { name: stuff }).click();
  // Of several kinds of work that reach so far, the first.
  await screen.getByRole('button', { name: job }).first().click();
}

/** The learner whose name begins so, as whoever teaches sees them. */
export async function learnerId(page: Page, name: string): Promise<number> {
  const { body } = await call(page, 'GET', '/api/records/today');
  const learners = (body as { cohorts: { learners: { id: number; name: string }[] }[] }).cohorts.flatMap(
    (cohort) => cohort.learners,
  );
  return learners.find((learner) => learner.name.startsWith(name))?.id ?? 0;
}
