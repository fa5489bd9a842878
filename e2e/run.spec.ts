import { expect, type Page, test } from '@playwright/test';
import { PHONE } from './browser.js';

const MARGIN = { top: '10mm', bottom: '10mm', left: '10mm', right: '10mm' };

/** The smallest letters on paper, points. */
async function smallestPoints(page: Page): Promise<number> {
  await page.emulateMedia({ media: 'print' });
  const px = await page.getByRole('main').evaluate((main) => {
    const texts = document.createTreeWalker(main, NodeFilter.SHOW_TEXT);
    const sizes: number[] = [];
    while (texts.nextNode()) {
      const { parentElement: element, textContent } = texts.currentNode;
      if (element?.checkVisibility() && textContent?.trim())
        sizes.push(Number.parseFloat(getComputedStyle(element).fontSize));
    }
    return Math.min(...sizes);
  });
  await page.emulateMedia({ media: null });
  return (px * 72) / 96;
}

async function isOnePage(page: Page): Promise<void> {
  expect(await smallestPoints(page)).toBeGreaterThanOrEqual(9);
  for (const format of ['A4', 'Letter'] as const) {
    const file = (await page.pdf({ format, margin: MARGIN })).toString('latin1');
    expect(file.match(/\/Type\s*\/Page\b/g), format).toHaveLength(1);
  }
}

test('a planned wash has its run sheet, on a desk, on a phone and on one page of paper that can be read', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Run sheet' }).first().click();
  await expect(page.getByRole('heading', { name: 'Run sheet: Orange hatch' })).toBeVisible();
  await expect(page.locator('[data-step="rinseless"]')).toContainText('Weight of the mitt only');
  await expect(page.getByText(/on arrival: .* hot and .* cold/)).toBeVisible();
  await expect(page.getByText('floor squeegee')).toBeVisible();
  await expect(page.getByText('Work on two panels at a time')).toBeVisible();
  await expect(page.getByRole('note')).toContainText('Wash two panels at a time');
  await expect(page.getByRole('heading', { name: 'The wash, panel by panel' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Freeze care tonight' })).toBeVisible();
  await page.setViewportSize(PHONE);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
  await isOnePage(page);
});

test('a wash before a coating, with another car close: told by the place, minded step by step, still one page', async ({
  page,
}) => {
  await page.goto('/places');
  await page.getByRole('button', { name: 'Edit Rented heated unit' }).click();
  await page.getByRole('combobox', { name: 'Forbidden here' }).focus();
  await page.keyboard.press('ArrowDown');
  await page.getByRole('option', { name: 'No jet, hose or foam: a car is parked beside it' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  const planned = await page.request.post('/api/washes', {
    data: {
      vehicleId: 'silver-saloon',
      placeId: 'heated-unit',
      methodId: 'pre-coating',
      startMs: Date.parse('2026-01-16T10:00:00-05:00'),
    },
  });
  const { id } = (await planned.json()) as { id: string };
  await page.goto(`/run/${id}`);
  await expect(page.getByText('wash before a coating')).toBeVisible();
  const step = (name: string) => page.locator('[data-step]').filter({ hasText: name });
  await expect(step('Put tar remover on')).toContainText('A car is parked beside it: sheet over it');
  await expect(step('Blow out the gaps')).toContainText('Blow away from the other car');
  await expect(step('See that no panel beads')).toContainText('Bare from here');
  // A drying aid would lie between the paint and its coat.
  await expect(step('Towel it dry')).not.toContainText('drying aid');
  await expect(page.getByText('sheet for the car parked beside it')).toBeVisible();
  await isOnePage(page);
  await page.request.delete(`/api/washes/${id}`);
  await page.request.patch('/api/places/heated-unit', { data: { forbids: [] } });
});

test('a wash that is not there has no sheet, and says so', async ({ page }) => {
  await page.goto('/run/none');
  await expect(page.getByRole('alert')).toContainText('There is no wash none');
  await page.getByRole('link', { name: 'Back to the plan' }).click();
  await expect(page).toHaveURL(/plan/);
});
