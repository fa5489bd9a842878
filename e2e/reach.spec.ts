import { expect, test } from '@playwright/test';
import { faultsOf } from './axe.js';
import { settled, unmoving } from './settled.js';

const VIEWS = [
  '/',
  '/plan',
  '/windows/blue-hatch',
  '/weather',
  '/run/orange-hatch-planned',
  '/balance/blue-hatch',
  '/washes',
  '/salt/grey-suv',
  '/condition/white-van',
  '/customers',
  '/customers?show=messages',
  '/vehicles',
  '/places',
  '/lab',
  '/desk/film',
  '/settings',
  '/kit',
  '/clinic',
  '/round',
];

for (const path of VIEWS) {
  test(`axe finds nothing on ${path}, and enough contrast by night`, async ({ page }) => {
    await settled(page, path);
    expect(await faultsOf(page)).toEqual([]);
    await page.emulateMedia({ colorScheme: 'dark' });
    expect(await faultsOf(page, { part: 'main', rules: ['color-contrast'] })).toEqual([]);
  });
}

test('axe finds nothing in the forms', async ({ page }) => {
  for (const [path, button] of [
    ['/vehicles', 'Add a vehicle'],
    ['/places', 'Add a place'],
    ['/washes', 'Log a wash'],
    ['/customers', 'Add a customer'],
    ['/customers?show=promises', 'Promise a wash'],
  ] as const) {
    await settled(page, path);
    await page.getByRole('button', { name: button }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await unmoving(page);
    expect(await faultsOf(page, { part: '[role="dialog"]' }), path).toEqual([]);
  }
});

test('keys: g and a letter, the palette, the sheet, the skip link', async ({ page }) => {
  await settled(page, '/');
  await page.keyboard.press('g');
  await page.keyboard.press('l');
  await expect(page).toHaveURL(/washes/);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('Go to a view or a vehicle').fill('black suv: win');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/windows\/black-suv/);
  await settled(page, '/places');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused();
});

test('an address that is not there says so', async ({ page }) => {
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
});
