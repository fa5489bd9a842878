import { expect, test } from '@playwright/test';

test.beforeEach(async ({ page }) => {
  await page.goto('/windows/white-van');
  await expect(page.getByRole('region', { name: 'Reasons' })).toBeVisible({ timeout: 40_000 });
});

test('the ribbon is walked, read and planned by keys alone', async ({ page }) => {
  const ribbon = page.getByRole('application', { name: /Windows over the week/ });
  const reasons = page.getByRole('region', { name: 'Reasons' });
  await ribbon.focus();
  await page.keyboard.press('Home');
  const first = await reasons.getByRole('heading').first().innerText();
  await page.keyboard.press('ArrowRight');
  await expect(reasons.getByRole('heading').first()).not.toHaveText(first);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('PageDown');
  await page.keyboard.press('n');
  await expect(reasons).toContainText(/Go(:| if)/);
  await expect(reasons.getByRole('row').filter({ hasText: 'Ice on the car' })).toContainText(/clear|go if/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('White van planned for')).toBeVisible();
  const undone = page.waitForResponse(
    (response) => response.url().includes('/api/washes') && response.request().method() !== 'GET',
  );
  await page.getByRole('button', { name: 'Undo' }).click();
  await undone;
  await page.goto('/washes');
  await expect(page.getByRole('region', { name: 'Planned washes' }).getByText('White van')).toHaveCount(0);
});

test('a cell is chosen with the pointer and says why', async ({ page }) => {
  await page.getByText('Days', { exact: true }).click();
  const ribbon = page.getByRole('application', { name: /Windows over the week/ });
  const box = await ribbon.boundingBox();
  if (!box) throw new Error('no ribbon');
  // The last band is the automatic bay's; at six in the morning it is closed.
  await page.mouse.click(box.x + 8, box.y + box.height - 14);
  const reasons = page.getByRole('region', { name: 'Reasons' });
  await expect(reasons).toContainText('Beacon touchless');
  await expect(reasons).toContainText('Wait: closed at this hour');
});

test('another vehicle is another week', async ({ page }) => {
  await page.getByRole('combobox', { name: 'Vehicle' }).click();
  await page.getByRole('option', { name: 'Cream camper van' }).click();
  await expect(page).toHaveURL(/cream-van/);
  await expect(page.getByText('Cream camper van: when, where and how')).toBeVisible();
});
