import { expect, test } from '@playwright/test';
import { PHONE } from './browser.js';

const MARGIN = { top: '10mm', bottom: '10mm', left: '10mm', right: '10mm' };

test('a planned wash has its run sheet, on a desk, on a phone and on one page of paper', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Run sheet' }).first().click();
  await expect(page.getByRole('heading', { name: 'Run sheet: Orange hatch' })).toBeVisible();
  const steps = page.getByRole('listitem').filter({ hasText: 'Why here' });
  await expect(steps.filter({ hasText: 'Wash it rinseless' })).toContainText('Weight of the mitt only');
  await expect(page.getByText(/on arrival: .* hot and .* cold/)).toBeVisible();
  await expect(page.getByText('floor squeegee')).toBeVisible();
  await expect(page.getByText(/Wet .* at once, and wipe it within/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Freeze care tonight' })).toBeVisible();
  await page.setViewportSize(PHONE);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
  for (const format of ['A4', 'Letter'] as const) {
    const file = (await page.pdf({ format, margin: MARGIN })).toString('latin1');
    expect(file.match(/\/Type\s*\/Page\b/g), format).toHaveLength(1);
  }
});

test('a wash that is not there has no sheet, and says so', async ({ page }) => {
  await page.goto('/run/none');
  await expect(page.getByRole('alert')).toContainText('There is no wash none');
  await page.getByRole('link', { name: 'Back to the plan' }).click();
  await expect(page).toHaveURL(/plan/);
});
