import { resolve } from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { DESK, PHONE } from './browser.js';

const FOLDER = resolve(import.meta.dirname, '../docs/screenshots');

/** A black bonnet in the shade, a brine on it. */
const LAB =
  '/lab?material=steel&tiltDeg=8&airTempC=-4&relHumidityFraction=0.7&airSpeedMetresPerSecond=1&skyTempC=-18&solarWm2=20&filmGramsPerM2=100&startTempC=14&absorptanceFraction=0.93&horizonMinutes=60&agent=NaCl&massPercent=2';

/** The pictures of the README, made from the demo data: npm run screenshots. */
const VIEWS = [
  { name: 'morning', path: '/', ready: 'Silver estate', open: 'Why' },
  { name: 'plan', path: '/plan', ready: 'no plan is worth more', choose: '[data-kind=planned]' },
  { name: 'run', path: '/run/orange-hatch-planned', ready: 'In this order' },
  { name: 'windows', path: '/windows/black-saloon', ready: 'Ice on the car' },
  { name: 'weather', path: '/weather', ready: 'simulated station leads' },
  { name: 'balance', path: '/balance/black-saloon', ready: 'Pier Road bay' },
  { name: 'lab', path: LAB, ready: 'Wet edge' },
  { name: 'washes', path: '/washes', ready: 'Roof froze' },
  { name: 'salt', path: '/salt/red-pickup', ready: 'What it says' },
  { name: 'condition', path: '/condition/white-van', ready: 'Lower left' },
  { name: 'customers', path: '/customers?show=promises', ready: 'Back before five.' },
  { name: 'vehicles', path: '/vehicles', ready: 'White van' },
  { name: 'places', path: '/places', ready: 'Pier Road bay' },
  { name: 'desk', path: '/desk/dilution', ready: 'The working' },
  { name: 'settings', path: '/settings', ready: 'House rules' },
] as const;

async function shoot(page: Page, view: (typeof VIEWS)[number], file: string): Promise<void> {
  await page.goto(view.path);
  await expect(page.getByText(view.ready).first()).toBeVisible({ timeout: 40_000 });
  if ('open' in view) await page.getByRole('button', { name: view.open }).first().click();
  if ('choose' in view) await page.locator(view.choose).first().click();
  await page.waitForTimeout(600);
  await page.screenshot({ path: `${FOLDER}/${file}.png` });
}

for (const view of VIEWS) {
  test(view.name, async ({ page }) => {
    await page.setViewportSize(DESK);
    await shoot(page, view, view.name);
  });
}

for (const name of ['morning', 'plan', 'run', 'windows'] as const) {
  test(`${name} on a phone at night`, async ({ page }) => {
    await page.setViewportSize(PHONE);
    await page.emulateMedia({ colorScheme: 'dark' });
    const view = VIEWS.find((candidate) => candidate.name === name);
    if (view) await shoot(page, view, `${name}-phone`);
  });
}
