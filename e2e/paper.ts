import { expect, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { call } from './people';

interface Sheet {
  seed: number;
  check: { code: string };
  questions: { id: string; kind: string }[];
}

/** The file in which a check of this code is written. */
function fileOf(code: string): string {
  const file = readdirSync('content', { withFileTypes: true })
    .filter((pack) => pack.isDirectory())
    .flatMap(({ name: pack }) => readdirSync(`content/${pack}/checks`).map((name) => `content/${pack}/checks/${name}`))
    .find((path) => readFileSync(path, 'utf8').startsWith(`code: ${code}\n`));
  if (file === undefined) throw new Error(`no check is called ${code}`);
  return file;
}

/**
 * Answers the paper that is open, question by question as it stands on the screen, and hands it in; `wrong` are the
 * questions that are answered falsely. Gives back what was asked, in its words.
 */
export async function sitPaper(page: Page, wrong: string[] = []): Promise<string[]> {
  await expect(page.locator('[data-question]').first()).toBeVisible();
  const sheet = (await call(page, 'GET', `/api/learning/attempts/${page.url().split('/').at(-1)}`)).body as Sheet;
  const right = JSON.parse(
    execFileSync('php', ['e2e/right-answers.php', fileOf(sheet.check.code), String(sheet.seed)], { encoding: 'utf8' }),
  ) as Record<string, string[]>;
  const asked: string[] = [];
  for (const { id, kind } of sheet.questions) {
    const question = page.locator(`[data-question="${id}"]`);
    asked.push(await question.locator('p').nth(1).innerText());
    const answer = right[id] ?? [];
    if (kind === 'order') {
      const order = wrong.includes(id) ? [...answer].reverse() : answer;
      for (const step of order) await question.locator(`[data-step="${step}"]`).click();
    } else if (kind === 'worked') {
      await question.locator('input').fill(wrong.includes(id) ? '0.001' : (answer[0] ?? ''));
    } else if (kind === 'hazard') {
      const places = wrong.includes(id) ? question.locator('[data-place]') : null;
      const falsely = places
        ? await places.evaluateAll((all, good) => {
            const other = all.find((place) => !good.includes((place as HTMLElement).dataset.place ?? ''));
            return [(other as HTMLElement | undefined)?.dataset.place ?? ''];
          }, answer)
        : answer;
      for (const place of falsely) await question.locator(`[data-place="${place}"]`).press('Enter');
    } else {
      const options = question.locator('input');
      const chosen = wrong.includes(id)
        ? await options.evaluateAll(
            (all, good) => all.map((one) => (one as HTMLInputElement).value).filter((one) => !good.includes(one)),
            answer,
          )
        : answer;
      for (const option of kind === 'one' ? chosen.slice(0, 1) : chosen) {
        await question.locator(`input[value="${option}"]`).check();
      }
    }
  }
  return asked;
}
