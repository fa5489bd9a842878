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
  {
    name: 'plan',
    path: '/plan',
    ready: 'no plan is worth more',
    choose: '[data-kind=planned]',
    then: '[class*=margin][data-verdict=go]',
  },
  { name: 'run', path: '/run/orange-hatch-planned', ready: 'In this order' },
  { name: 'windows', path: '/windows/black-saloon', ready: 'Ice on the car' },
  { name: 'weather', path: '/weather', ready: 'simulated station is used first' },
  { name: 'balance', path: '/balance/black-saloon', ready: 'Pier Road bay' },
  { name: 'lab', path: LAB, ready: 'Time before it dries or freezes' },
  { name: 'washes', path: '/washes', ready: 'Roof froze' },
  { name: 'salt', path: '/salt/red-pickup', ready: 'Hours of salt at work (estimated' },
  { name: 'condition', path: '/condition/white-van', ready: 'Lower left' },
  { name: 'customers', path: '/customers', ready: 'Parks at the office' },
  { name: 'places', path: '/places', ready: 'Pier Road bay' },
  { name: 'desk', path: '/desk/dilution', ready: 'How this is worked out' },
  { name: 'kit', path: '/kit', ready: 'Winter foam' },
  { name: 'clinic', path: '/clinic', ready: 'What you see, what it means' },
  { name: 'settings', path: '/settings?about=limits', ready: 'Limits that decide a verdict' },
] as const;

async function shoot(page: Page, view: (typeof VIEWS)[number], file: string): Promise<void> {
  await page.goto(view.path);
  await expect(page.getByText(view.ready).first()).toBeVisible({ timeout: 40_000 });
  if ('open' in view) await page.getByRole('button', { name: view.open }).first().click();
  if ('choose' in view) await page.locator(view.choose).first().click();
  if ('then' in view) await expect(page.locator(view.then).first()).toBeVisible({ timeout: 40_000 });
  await page.waitForTimeout(600);
  await page.screenshot({ path: `${FOLDER}/${file}.png` });
}

for (const view of VIEWS) {
  test(view.name, async ({ page }) => {
    await page.setViewportSize(DESK);
    await shoot(page, view, view.name);
  });
}

for (const name of ['morning'] as const) {
  test(`${name} on a phone at night`, async ({ page }) => {
    await page.setViewportSize(PHONE);
    await page.emulateMedia({ colorScheme: 'dark' });
    const view = VIEWS.find((candidate) => candidate.name === name);
    if (view) await shoot(page, view, `${name}-phone`);
  });
}

/** In the bay at night: foam works, the meter runs, the first panels are wet. */
test('a run on a phone', async ({ page, request }) => {
  await page.setViewportSize(PHONE);
  await page.emulateMedia({ colorScheme: 'dark' });
  const answer = await request.post('/api/washes', {
    data: {
      vehicleId: 'grey-suv',
      placeId: 'pier-road-bay',
      methodId: 'bay-contact',
      startMs: Date.parse('2026-01-14T14:00:00-05:00'),
    },
  });
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`/run/${id}/live`);
  const press = page.getByRole('navigation', { name: 'Run' }).getByRole('button').first();
  await press.click();
  await expect(press).toContainText('Begin');
  await press.click();
  await page.waitForTimeout(4000);
  await press.click();
  await expect(page.getByRole('region', { name: /^Dwell: Foam the car/ })).toBeVisible();
  await page.waitForTimeout(3000);
  await page.screenshot({ path: `${FOLDER}/live.png` });
  await press.click();
  for (let tap = 0; tap < 12; tap += 1) {
    if ((await page.getByText('Now, step 10').count()) > 0) break;
    await press.click();
    await page.waitForTimeout(300);
  }
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('textbox', { name: 'Reading, °C' }).fill('-5');
  await page.getByRole('button', { name: 'Use this reading' }).click();
  await expect(page.getByText('Air −5.0 °C, measured')).toBeVisible();
  await page.waitForTimeout(1500);
  await page.screenshot({ path: `${FOLDER}/wet-edge.png` });
});
