import { expect, type Locator, test } from '@playwright/test';

/** From an empty shop to a trusted answer takes no more (a promise of the product). */
const MOST_CLICKS = 25;

test('an empty shop has its first answer after a place and a car, and says what is wrong with coordinates', async ({
  page,
}) => {
  let clicks = 0;
  const click = async (what: Locator): Promise<void> => {
    clicks += 1;
    await what.click();
  };
  const choose = async (field: string, option: string): Promise<void> => {
    await click(page.getByRole('combobox', { name: field }));
    await click(page.getByRole('option', { name: option }));
  };
  await page.goto('/');
  const where = page.getByLabel('Where it is');
  await where.fill('-120.5, 46.5');
  await click(page.getByRole('button', { name: 'Keep this place' }));
  await expect(page.getByText('North is at most 90: the two look swapped.')).toBeVisible();
  await where.fill('46.5, -84.3');
  await click(page.getByRole('button', { name: 'Keep this place' }));
  await expect(where).toHaveCount(0);

  await page.getByLabel('Name of the car').fill('Red hatch');
  await choose('Body', 'Hatch');
  await choose('Last washed', 'Two weeks ago');
  await click(page.getByRole('button', { name: 'Two weeks of wet roads' }));
  await click(page.getByRole('button', { name: 'Keep this car' }));
  const card = page.getByRole('article', { name: 'Red hatch' });
  await expect(card).toContainText('Self-serve bay');
  await expect(card).toContainText(/soil grade \d/);
  expect(clicks).toBeLessThanOrEqual(MOST_CLICKS);

  // A second car of which nobody knows when it was washed is neither late nor in the plan.
  await page.goto('/vehicles');
  await page.getByRole('button', { name: 'Add a vehicle' }).first().click();
  await page.getByRole('textbox', { name: /^Name/ }).fill('Blue van');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto('/');
  await expect(page.getByText('last wash not known')).toBeVisible();
  await page.getByRole('link', { name: 'Look at Blue van, and say how dirty it is' }).click();
  await expect(page).toHaveURL(/condition/);
  await expect(page.getByRole('button', { name: 'Caked' })).toBeVisible();
});
