import { expect, test, type Page } from '@playwright/test';
import { createHmac } from 'node:crypto';
import { call, PASSWORD, person, PIN, putAway } from './people';

test.afterEach(putAway);

const HEADERS = {
  'content-security-policy': /default-src 'none'.*script-src 'self'; style-src 'self'/,
  'x-content-type-options': /^nosniff$/,
  'x-frame-options': /^DENY$/,
  'referrer-policy': /^same-origin$/,
};

test('every answer carries its headers, and every refusal of the API its code', async ({ request }) => {
  const page = await (await request.get('/')).text();
  const script = /src="[^"]*(\/build\/[^"]+)"/.exec(page)?.[1] ?? '';
  expect(script).not.toBe('');
  for (const path of ['/', script, '/up', '/icon.svg', '/api/people/me', '/api/nothing', '/nothing/at/all', '/%']) {
    const answer = await request.fetch(path, { headers: { Accept: '*/*' } });
    for (const [name, value] of Object.entries(HEADERS))
      expect(answer.headers()[name], `${path} ${name}`).toMatch(value);
  }
  const refused: [string, string, object, number, string][] = [
    ['GET', '/api/nothing', {}, 404, 'not_found'],
    ['GET', '/api/planning/plans', {}, 401, 'signed_out'],
    ['DELETE', '/api/people/me', {}, 419, 'signed_out'],
    ['POST', '/api/people/session', { data: 'x'.repeat(9_000_000) }, 413, 'too_large'],
    ['GET', '/api/%ff', {}, 400, 'bad_request'],
    ['GET', '/api/gate/screen', { headers: { Authorization: 'Bearer 1|x' } }, 401, 'signed_out'],
  ];
  for (const [method, path, more, status, code] of refused) {
    const answer = await request.fetch(path, { method, ...more });
    expect(answer.status(), path).toBe(status);
    expect(await answer.json(), path).toMatchObject({ code, message: expect.stringMatching(/./) });
  }
  expect(await (await request.get('/up')).json()).toEqual({ up: true });
});

test('no page needs a script or style from anywhere but our own files', async ({ browser }) => {
  const blocked: string[] = [];
  const watch = (page: Page) =>
    page.on('console', (said) => {
      if (said.text().includes('Content Security Policy')) blocked.push(`${page.url()}: ${said.text()}`);
    });
  const lead = await person(browser, 'lead@millstep.example');
  const learner = await person(browser, 'learner@millstep.example');
  watch(lead);
  watch(learner);
  const paths = ['/today', '/planner', '/planner/hole', '/planner/layout', '/planner/lathe', '/workshop/policy'];
  for (const path of [...paths, '/workshop/cribs', '/workshop/devices', '/records', '/records/people', '/account']) {
    await lead.goto(path);
    await expect(lead.locator('main')).toContainText(/\w/);
  }
  for (const path of ['/path', '/lessons/C4', '/lessons/C7', '/logbook', '/planner']) {
    await learner.goto(path);
    await expect(learner.locator('main')).toContainText(/\w/);
  }
  expect(blocked).toEqual([]);
});

/** The code that a phone shows now (RFC 6238). */
function codeOf(key: string, steps = 0): string {
  const bits = [...key].map((letter) =>
    'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(letter).toString(2).padStart(5, '0'),
  );
  const secret = Buffer.from((bits.join('').match(/.{8}/g) ?? []).map((byte) => parseInt(byte, 2)));
  const step = Buffer.alloc(8);
  step.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30_000) + steps));
  const hash = createHmac('sha1', secret).update(step).digest();
  return String((hash.readUInt32BE((hash[19] ?? 0) & 15) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

test('a second factor is set up from the phone, asked for at the door, and turned off again', async ({ browser }) => {
  const page = await person(browser, 'tomas@millstep.example');
  await page.goto('/account');
  await page.getByRole('button', { name: 'Set it up' }).click();
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Set it up' }).click();
  const key = ((await page.locator('.reading').first().textContent()) ?? '').replaceAll(/\s/g, '');
  await page.getByLabel(/six digits/).fill(codeOf(key));
  await page.getByRole('button', { name: 'Turn it on' }).click();
  await expect(page.getByText(/recovery codes on paper/)).toBeVisible();
  const paper = await page.locator('ul.reading li').allTextContents();
  expect(paper).toHaveLength(10);
  await page.getByRole('button', { name: 'I have written them down' }).click();
  await expect(page.getByText('● second factor on')).toBeVisible();

  // Somebody who knows the password stands before the door.
  const other = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await other.goto('/sign-in');
  await other.getByLabel('Mail address').fill('tomas@millstep.example');
  await other.getByLabel('Password').fill(PASSWORD);
  await other.getByRole('button', { name: 'Sign in', exact: true }).click();
  await other.getByLabel('Code').fill('000000');
  await other.getByRole('button', { name: 'Go on' }).click();
  await expect(other.getByText(/This code is not right/)).toBeVisible();
  await other.goto('/today');
  await expect(other).toHaveURL(/sign-in/);
  await other.getByLabel('Mail address').fill('tomas@millstep.example');
  await other.getByLabel('Password').fill(PASSWORD);
  await other.getByRole('button', { name: 'Sign in', exact: true }).click();
  await other.getByLabel('Code').fill(paper[0] ?? '');
  await other.getByRole('button', { name: 'Go on' }).click();
  await expect(other).toHaveURL(/today/);

  // Seen on the account's page, and put out from there.
  await page.reload();
  const signedOut = page.waitForResponse((answer) => answer.request().method() === 'DELETE');
  await page.getByRole('button', { name: 'Sign out everywhere else' }).click();
  await signedOut;
  await expect(page.getByRole('button', { name: 'Sign out there' })).toHaveCount(0);
  await other.reload();
  await expect(other).toHaveURL(/sign-in/);
  await other.context().close();

  await page.getByRole('button', { name: 'Turn it off' }).click();
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Turn it off' }).click();
  await expect(page.getByText('○ no second factor')).toBeVisible();
});

test('a tablet signed in on as shared says that it will leave, and leaves', async ({ browser }) => {
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.clock.install();
  await page.goto('/sign-in');
  await page.getByLabel('Mail address').fill('learner@millstep.example');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByLabel(/This tablet is shared/).check();
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page).toHaveURL(/path/);
  await expect(page.getByRole('heading').first()).toBeVisible();
  // At one leap: minute by minute every question that the page asks meanwhile would be asked.
  await page.clock.fastForward(9 * 60_000 + 40_000);
  await expect(page.getByText(/signs out in \d+ seconds/)).toBeVisible();
  await page.getByRole('button', { name: 'I am here' }).click();
  await expect(page.getByText(/signs out in/)).toHaveCount(0);
  await page.clock.fastForward(10 * 60_000 + 5_000);
  await expect(page.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
  await context.close();
});

test('somebody who is no longer here is forgotten by the lead, with the PIN, and stays so', async ({ browser }) => {
  const lead = await person(browser, 'lead@millstep.example');
  const added = await call(lead, 'POST', '/api/people/everybody', {
    name: 'Zephyrine Holloway',
    email: 'zephyrine@millstep.example',
    role: 'learner',
    language: 'en',
  });
  expect(added.status).toBe(201);
  const id = (added.body as { id: number }).id;
  await lead.goto('/records/people');
  await lead.getByLabel('Find').fill('Zephyrine');
  await expect(lead.getByRole('button', { name: 'Forget Zephyrine Holloway' })).toHaveCount(0);
  await lead.getByRole('button', { name: 'Deactivate Zephyrine Holloway' }).click();
  await lead.getByRole('button', { name: 'Forget Zephyrine Holloway' }).click();
  const dialog = lead.getByRole('dialog');
  await expect(dialog.getByText('This cannot be undone.')).toBeVisible();
  await dialog.getByLabel('Your signing PIN').fill('1111');
  await dialog.getByRole('button', { name: 'Forget', exact: true }).click();
  await expect(dialog.getByText(/That PIN is not right/)).toBeVisible();
  await dialog.getByLabel('Your signing PIN').fill(PIN);
  await dialog.getByRole('button', { name: 'Forget', exact: true }).click();
  await expect(lead.getByText('Nobody here by that name.')).toBeVisible();
  await lead.getByLabel('Find').fill(`(no. ${id})`);
  await expect(lead.getByText(`Somebody forgotten (no. ${id})`)).toBeVisible();
  await expect(lead.getByRole('button', { name: /Activate Somebody|Edit Somebody/ })).toHaveCount(0);
  const back = await call(lead, 'PATCH', `/api/people/everybody/${id}`, { active: true });
  expect([back.status, back.code]).toEqual([409, 'person_forgotten']);
});
