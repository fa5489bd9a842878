import { expect, type Locator, type Page, test, type ViewportSize } from '@playwright/test';
import { faultsOf } from './axe.js';
import { DESK, PHONE } from './browser.js';
import { follow, NOWHERE, settled, unmoving } from './settled.js';

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
  '/customers?show=prices',
  '/changes',
  '/vehicles',
  '/places',
  '/lab',
  '/desk/film',
  '/settings',
  '/settings?about=people',
  '/settings?about=rules',
  '/settings?about=limits',
  '/settings?about=season',
  '/settings?about=backups',
  '/kit',
  '/clinic',
  '/round',
];

/** Where something is added, and by which button. */
const FORMS = [
  ['/vehicles', 'Add a vehicle'],
  ['/places', 'Add a place'],
  ['/kit', 'Add a product'],
  ['/kit', 'Add gear'],
  ['/washes', 'Log a wash'],
  ['/customers', 'Add a customer'],
  ['/customers?show=bookings', 'Book a wash'],
] as const;

/** What is printed, in a shop. */
const PRINTED = new Set(['/plan', '/run/orange-hatch-planned', '/balance/blue-hatch', '/washes', '/weather']);
/** Within the margins of a sheet that is a little narrower than A4 and lower than Letter. */
const PAPER = { width: 718, height: 970 };
/** Every view, one after the other, on a machine that does other work too. */
const LONG_WALK_MS = 400_000;

/** A desk at twice its size. */
const HALF_A_DESK = { width: DESK.width / 2, height: DESK.height / 2 };

/** Nothing of it is scrolled to sideways, once its drawings have followed the size. */
async function fits(page: Page, size: ViewportSize, what: string): Promise<void> {
  await page.setViewportSize(size);
  await expect
    .configure({ soft: true })
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth), {
      message: `${what} at ${size.width}`,
    })
    .toBeLessThanOrEqual(size.width);
}

/** Units of the other set, behind a figure or in the name of a field. */
const METRIC = /(?:\d\s?|, )(?:°C|km\/h|km|mm|mL|L|m\/s|mg\/L)(?![\w/²])/;
/** The user's own words, what was sent as it was, the sums in their own units, and both sets side by side. */
const NOT_WALKED =
  /Kept at 14|Resin bottle|life \(L\)|own units|settles at|\(−?\d+ °F\)|issolved solids|shipped as 10 mg\/L|^Water, mL$/;

const textsOf = (part: Locator): Promise<string[]> =>
  part.evaluate((root) => {
    for (const details of root.querySelectorAll('details')) details.open = true;
    const texts = [...root.querySelectorAll('[aria-label]')].map(
      (one) => one.getAttribute('aria-label') ?? '',
    );
    const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) texts.push(walker.currentNode.parentElement?.textContent ?? '');
    return texts;
  });

/** What a part of a page still says in the other units. */
const metricIn = async (part: Locator): Promise<string[]> => {
  const texts = await textsOf(part);
  return [...new Set(texts.filter((text) => METRIC.test(text) && !NOT_WALKED.test(text)))].slice(0, 5);
};

async function openForm(page: Page, [path, button]: (typeof FORMS)[number]): Promise<Locator> {
  await follow(page, path);
  await page.getByRole('button', { name: button }).click();
  const form = page.getByRole('dialog');
  await expect(form).toBeVisible();
  return form;
}

/** Rows of the log are alike; of a hundred the first are looked at. */
const ALIKE: Readonly<Record<string, { without: string }>> = {
  '/washes': { without: 'tbody tr:nth-child(n + 20)' },
};

/** Faults that axe finds by day, and contrast that is too low by night. */
async function looksFaultless(page: Page, path: string): Promise<void> {
  await unmoving(page);
  expect.soft(await faultsOf(page, ALIKE[path]), `${path} by day`).toEqual([]);
  await page.emulateMedia({ colorScheme: 'dark' });
  await unmoving(page);
  const night = await faultsOf(page, { ...ALIKE[path], part: 'main', rules: ['color-contrast'] });
  expect.soft(night, `${path} by night`).toEqual([]);
  await page.emulateMedia({ colorScheme: 'light' });
}

/** On half a desk, a phone and, where it is printed, on a sheet of paper. */
async function fitsEverywhere(page: Page, path: string): Promise<void> {
  await fits(page, HALF_A_DESK, path);
  await fits(page, PHONE, path);
  if (PRINTED.has(path)) {
    await page.emulateMedia({ media: 'print' });
    await fits(page, PAPER, `${path} on paper`);
    await page.emulateMedia({ media: 'screen' });
  }
}

test.describe('in the units that were chosen', () => {
  const imperial = { temperature: 'F', wind: 'mph', distance: 'mi', hardness: 'gpg', volume: 'gal' };
  let before: object = {};

  test.beforeAll(async ({ request }) => {
    before = ((await (await request.get('/api/settings')).json()) as { display: object }).display;
    await request.patch('/api/settings', { data: { display: { ...before, ...imperial } } });
  });

  test.afterAll(async ({ request }) => {
    await request.patch('/api/settings', { data: { display: before } });
  });

  test('every view is faultless by day and by night, no wider than a phone or a sheet of paper, and in them', async ({
    page,
  }) => {
    test.setTimeout(LONG_WALK_MS);
    await settled(page, NOWHERE);
    for (const path of VIEWS)
      await test.step(path, async () => {
        await follow(page, path);
        await looksFaultless(page, path);
        await fitsEverywhere(page, path);
        for (const size of [PHONE, DESK]) {
          await page.setViewportSize(size);
          expect.soft(await metricIn(page.getByRole('main')), `${path} at ${size.width}`).toEqual([]);
        }
      });
  });

  test('every form is faultless and in them', async ({ page }) => {
    await settled(page, NOWHERE);
    for (const form of FORMS)
      await test.step(form.join(', '), async () => {
        const dialog = await openForm(page, form);
        await unmoving(page);
        expect.soft(await faultsOf(page, { part: '[role="dialog"]' }), form.join(', ')).toEqual([]);
        expect.soft(await metricIn(dialog), form.join(', ')).toEqual([]);
      });
  });
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

test('scripts are sent as small as they were built, and kept', async ({ page, request }) => {
  await page.goto(NOWHERE);
  const script = await page.locator('script[type="module"]').first().getAttribute('src');
  const packed = await request.get(script ?? '');
  expect(packed.headers()).toMatchObject({
    'content-encoding': 'br',
    'cache-control': 'public, max-age=31536000, immutable',
  });
  const plain = await request.get(script ?? '', { headers: { 'accept-encoding': 'identity' } });
  expect(plain.headers()['content-encoding']).toBeUndefined();
  expect(await packed.text()).toBe(await plain.text());
});

test('an address that is not there says so', async ({ page }) => {
  await page.goto(NOWHERE);
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
});
