import { expect, type Page, test } from '@playwright/test';
import { DESK, PHONE } from './browser.js';
import { WORKED_OUT } from './settled.js';

async function openMorning(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'This morning' })).toBeVisible();
  // What it said last has no such button.
  const card = page.getByRole('article', { name: 'Silver estate' });
  await card.getByRole('button', { name: 'Plan it' }).waitFor(WORKED_OUT);
}

/** From the answer to a logged wash, and still there after a reload. */
async function aMorning(page: Page, vehicle: string): Promise<void> {
  await openMorning(page);
  const card = page.getByRole('article', { name: vehicle, exact: true });
  await expect(card).toContainText(/Go(:| if)/);
  await card.getByRole('button', { name: 'Why' }).click();
  await expect(card).toContainText('What it gives and takes');
  await expect(card).toContainText('Why not otherwise at that hour');
  await expect(card).toContainText('North drive');
  await card.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByText(`${vehicle} planned for`)).toBeVisible();

  await page.goto('/washes');
  const planned = page
    .getByRole('region', { name: 'Planned washes' })
    .getByRole('row')
    .filter({ hasText: vehicle });
  await expect(planned).toContainText('Foreseen: Go');
  await planned.getByRole('button', { name: 'Mark done' }).click();
  const form = page.getByRole('dialog', { name: 'Mark done' });
  await form.getByLabel('Minutes').fill('48');
  await form.getByText('A few spots').click();
  await form.getByText('bonnet', { exact: true }).click();
  await form.getByLabel('Note').fill(`Found by ${vehicle}`);
  await form.getByRole('button', { name: 'Mark done' }).click();
  await expect(page.getByText('Wash logged.')).toBeVisible();

  await page.reload();
  const done = page
    .getByRole('region', { name: 'Done washes' })
    .getByRole('row')
    .filter({ hasText: `Found by ${vehicle}` });
  await expect(done).toContainText('48 min');
  await expect(done).toContainText('Ice on the bonnet. A few spots.');
}

test('a morning at the kitchen table', async ({ page }) => {
  await page.setViewportSize(DESK);
  await aMorning(page, 'Black saloon');
});

test('the same with a phone', async ({ page }) => {
  await page.setViewportSize(PHONE);
  await aMorning(page, 'Red pickup');
});

test('a plan can be taken back', async ({ page }) => {
  await openMorning(page);
  await page.getByRole('article', { name: 'Silver estate' }).getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByRole('heading', { name: 'Planned' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(
    page.getByRole('article', { name: 'Silver estate' }).getByRole('button', { name: 'Plan it' }),
  ).toBeVisible();
});

test('the phone bar has targets for gloves', async ({ page }) => {
  await page.setViewportSize(PHONE);
  await page.goto('/washes');
  const bar = page.getByRole('navigation', { name: 'Rooms' });
  for (const link of await bar.getByRole('link').all()) {
    const box = await link.boundingBox();
    expect(box?.height).toBeGreaterThanOrEqual(56);
  }
});
