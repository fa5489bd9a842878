import { resolve } from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { DESK, PHONE } from './browser.js';

const FOLDER = resolve(import.meta.dirname, '../docs/screenshots');

/** The pictures of the README, made from the demo data: npm run screenshots. */
const VIEWS = [
  { name: 'morning', path: '/', ready: 'Silver estate', open: 'Why' },
  { name: 'windows', path: '/windows/black-saloon', ready: 'Ice on the car' },
  { name: 'washes', path: '/washes', ready: 'Roof froze' },
  { name: 'salt', path: '/salt/grey-suv', ready: 'What it says' },
  { name: 'vehicles', path: '/vehicles', ready: 'White van' },
  { name: 'places', path: '/places', ready: 'Pier Road bay' },
  { name: 'desk', path: '/desk/film', ready: 'Wet edge' },
  { name: 'settings', path: '/settings', ready: 'Limits that decide' },
] as const;

async function shoot(page: Page, view: (typeof VIEWS)[number], file: string): Promise<void> {
  await page.goto(view.path);
  await expect(page.getByText(view.ready).first()).toBeVisible({ timeout: 40_000 });
  if ('open' in view) await page.getByRole('button', { name: view.open }).first().click();
  await page.waitForTimeout(600);
  await page.screenshot({ path: `${FOLDER}/${file}.png` });
}

for (const view of VIEWS) {
  test(view.name, async ({ page }) => {
    await page.setViewportSize(DESK);
    await shoot(page, view, view.name);
  });
}

for (const name of ['morning', 'windows'] as const) {
  test(`${name} on a phone at night`, async ({ page }) => {
    await page.setViewportSize(PHONE);
    await page.emulateMedia({ colorScheme: 'dark' });
    const view = VIEWS.find((candidate) => candidate.name === name);
    if (view) await shoot(page, view, `${name}-phone`);
  });
}
