import { expect, test } from '@playwright/test';
import { person } from './people';

test('plans a hole as it is said, says what the crib lacks, and follows the units', async ({ browser }) => {
  const page = await person(browser, 'learner@millstep.example');
  await page.getByRole('link', { name: 'Planner' }).click();
  // Clearance for M8 in 8 mm steel on the bench drill: 9 mm, after a 2 mm pilot.
  await expect(page.getByText('Can be made here')).toBeVisible();
  await expect(page.getByText('9 mm twist drill')).toBeVisible();
  await expect(page.getByText(/drill to 12 mm on the scale/)).toBeVisible();
  await page.getByRole('button', { name: 'in', exact: true }).click();
  await expect(page.getByText(/drill to 0\.472 in on the scale/)).toBeVisible();
  await page.getByRole('button', { name: 'mm', exact: true }).click();

  // A size that this crib has not: what is missing, and what would do instead.
  await page.getByLabel('What for').selectOption('plain');
  await page.getByLabel('Diameter').fill('9.2');
  await expect(page.getByText(/The nearest is 9 \(9 mm\)/)).toBeVisible();
  await page.getByLabel('Diameter').fill('#7 or so');
  await expect(page.getByText(/is no size that is known here/).first()).toBeVisible();

  // A blind thread that would come out below, then one that fits.
  await page.getByLabel('What for').selectOption('tapped');
  await page.getByLabel('Thread').fill('M8');
  await page.getByLabel('blind, deep').check();
  await page.getByLabel('Depth, measured at full diameter').fill('7');
  await expect(page.getByText(/comes out of 8 mm of stock/)).toBeVisible();
  await page.getByLabel('Thickness of the stock').fill('3/4');
  await expect(page.getByText('Can be made here')).toBeVisible();
  await expect(page.getByText('M8x1.25 bottoming tap')).toBeVisible();

  // Leaving and coming back loses nothing.
  await page.getByRole('link', { name: 'My path' }).click();
  await page.getByRole('link', { name: 'Planner' }).click();
  await expect(page.getByLabel('Thickness of the stock')).toHaveValue('3/4');
});
