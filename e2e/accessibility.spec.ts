import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { drawn } from './drawn';
import { person, putAway } from './people';
import { openSheet, say, take } from './sheet';

test.afterAll(putAway);

test('no main view has a serious fault of accessibility', async ({ browser }) => {
  const instructor = await person(browser, 'henrike@millstep.example');
  const lead = await person(browser, 'lead@millstep.example');
  const learner = await person(browser, 'linnea@millstep.example');
  const look = async (page: Page, path: string) => {
    await page.goto(path);
    await expect(page.locator('h1').first()).toBeVisible();
    // A live page never falls silent; what it says while it loads is gone once it has its data.
    await expect(page.getByText('One moment')).toHaveCount(0);
    // Nothing here is framed from elsewhere, so the page is asked alone.
    const { violations } = await new AxeBuilder({ page })
      .setLegacyMode(true)
      .options({ resultTypes: ['violations'] })
      .analyze();
    const serious = violations.filter((fault) => fault.impact === 'serious' || fault.impact === 'critical');
    expect(serious.map((fault) => `${path}: ${fault.id} ${fault.nodes[0]?.html.slice(0, 140)}`)).toEqual([]);
  };
  const views = [
    [instructor, '/today'],
    [instructor, '/planner'],
    [instructor, '/planner/hole'],
    [instructor, '/planner/layout'],
    [instructor, '/planner/lathe'],
    [instructor, '/planner/drill-point'],
    [instructor, '/planner/checks/pin_place'],
    [instructor, '/planner/wall/tap_drills'],
    [lead, '/workshop'],
    [lead, '/workshop/cribs'],
    [lead, '/workshop/materials'],
    [lead, '/workshop/policy'],
    [lead, '/workshop/file'],
    [lead, '/workshop/devices'],
    [lead, '/records'],
    [lead, '/records/tries'],
    [lead, '/records/people'],
    [learner, '/path'],
    [learner, '/lessons/C6'],
    [instructor, '/lessons/D9'],
    [learner, '/logbook'],
    [learner, '/path/questions'],
    [learner, '/checks/SC-hand-drill'],
    [instructor, '/teaching/warm-up'],
    [instructor, '/teaching/checks/SC-through-holes'],
    [lead, '/teaching/lessons'],
    [lead, '/teaching/lessons/C6'],
    [lead, '/workshop/content'],
    [lead, '/workshop/gauges'],
    [instructor, '/today/assess'],
    [instructor, '/teaching/sheets'],
    [instructor, '/teaching/sheets/PS-rings'],
    [lead, '/teaching/assessors'],
  ] as const;
  // Open, at the machine, with something marked and something to measure.
  const sheet = await openSheet(instructor, 'Ansel');
  await say(instructor, 'eyes', 'met');
  await take(instructor, 'dia-A');
  await look(instructor, `/sheets/${sheet}`);
  // Each at their own device, all at once.
  await Promise.all(
    [instructor, lead, learner].map(async (who) => {
      for (const [page, path] of drawn(views, 2)) if (page === who) await look(page, path);
    }),
  );
});
