import { expect, type Browser, type Page } from '@playwright/test';

export const PASSWORD = 'mast-and-vane';
export const PIN = '2468';

/** A person at a device of their own. */
export async function person(
  browser: Browser,
  email: string,
  viewport?: { width: number; height: number },
): Promise<Page> {
  const context = await browser.newContext(viewport ? { viewport, hasTouch: true } : {});
  const page = await context.newPage();
  await page.goto('/sign-in');
  await page.getByLabel('Mail address').fill(email);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page).not.toHaveURL(/sign-in/);
  return page;
}

/** Calls the API with the page's own session and CSRF token, as a curious learner might. */
export async function call(
  page: Page,
  method: 'GET' | 'POST',
  path: string,
  body?: unknown,
): Promise<{ status: number; code?: string; body: unknown }> {
  return page.evaluate(
    async ([verb, url, json]) => {
      const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? '');
      const response = await fetch(url as string, {
        method: verb as string,
        headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
        body: json === undefined ? undefined : JSON.stringify(json),
      });
      const answer = await response.json().catch(() => null);
      return { status: response.status, code: answer?.code, body: answer };
    },
    [method, path, body],
  );
}
