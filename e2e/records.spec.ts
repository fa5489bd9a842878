import { expect, type Page, test } from '@playwright/test';
import { chooseIn } from './menu.js';
import { follow, WORKED_OUT } from './settled.js';

/** What stands in the menu of a car or a place; by key, since cards grow while their answers come in and would move it from under the pointer. */
async function moreAbout(page: Page, name: string, what: string): Promise<void> {
  await chooseIn(page, page.getByRole('button', { name: `More about ${name}` }), what);
}

test("a vehicle of one's own: faults at the field, kept over a reload, saved, edited, deleted, brought back", async ({
  page,
}) => {
  await page.goto('/vehicles');
  await page.getByRole('button', { name: 'Add a vehicle' }).click();
  const form = page.getByRole('dialog', { name: 'Add a vehicle' });
  await form.getByLabel('Main road').fill('5000');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByText('Give it a name: colour and shape will do.')).toBeVisible();
  await expect(form.getByText('From 0 to 1500 km a day.')).toBeVisible();
  await form.getByLabel('Name').fill('Teal estate');
  await page.reload();
  await page.getByRole('button', { name: 'Add a vehicle' }).click();
  await expect(form.getByLabel('Name')).toHaveValue('Teal estate');
  await form.getByLabel('Main road').fill('25');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Teal estate' })).toBeVisible();

  await moreAbout(page, 'Teal estate', 'Edit');
  const edit = page.getByRole('dialog', { name: 'Edit Teal estate' });
  await edit.getByLabel('Notes').fill('Tow bar rusts.');
  await edit.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Tow bar rusts.')).toBeVisible();

  await page.getByRole('link', { name: 'Windows of Teal estate' }).click();
  await page.getByRole('region', { name: 'Reasons' }).waitFor(WORKED_OUT);
  await follow(page, '/vehicles');
  await moreAbout(page, 'Teal estate', 'Delete');
  await expect(page.getByRole('heading', { name: 'Teal estate' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'Teal estate' })).toBeVisible();
  await moreAbout(page, 'Teal estate', 'Delete');
  await expect(page.getByRole('heading', { name: 'Teal estate' })).toHaveCount(0);
});

test("a place of one's own, with its water and hours", async ({ page }) => {
  await page.goto('/places');
  await page.getByRole('button', { name: 'Add a place' }).click();
  const form = page.getByRole('dialog', { name: 'Add a place' });
  await form.getByLabel('Name').first().fill("Cousin's barn");
  await form.getByRole('checkbox', { name: 'Sunday' }).uncheck();
  // Over midnight is a night shift; hours without a length are none.
  await form.getByLabel('Open Monday, from').fill('22:00');
  await expect(form.getByText('next day')).toBeVisible();
  await form.getByLabel('Open Monday, from').fill('21:00');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByText(/It closes as it opens/)).toBeVisible();
  await form.getByLabel('Open Monday, from').fill('09:00');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: "Cousin's barn" })).toBeVisible();
  await follow(page, '/windows/cream-van');
  await page.getByText("Cousin's barn").first().waitFor(WORKED_OUT);
  await follow(page, '/places');
  await moreAbout(page, "Cousin's barn", 'Delete');
  await expect(page.getByRole('heading', { name: "Cousin's barn" })).toHaveCount(0);
});

test('the log is filtered, sorted and exported', async ({ page }) => {
  await page.goto('/washes');
  const done = page.getByRole('region', { name: 'Done washes' });
  await expect(done.getByRole('row')).not.toHaveCount(0);
  await page.getByLabel('Find').fill('Roof froze');
  await expect(done.getByRole('row').filter({ hasText: 'Black SUV' })).toHaveCount(1);
  await expect(done.getByRole('row')).toHaveCount(2);
  await page.getByLabel('Find').fill('');
  await done.getByRole('button', { name: 'Minutes' }).click();
  await expect(done.getByRole('columnheader', { name: 'Minutes' })).toHaveAttribute('aria-sort', 'ascending');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export CSV' }).click();
  expect((await download).suggestedFilename()).toBe('washes.csv');
});

test('units follow the settings everywhere at once; a limit out of range is refused at its field', async ({
  page,
}) => {
  await page.goto('/settings');
  await page.getByRole('combobox', { name: 'Temperature' }).click();
  await page.getByRole('option', { name: '°F' }).click();
  await expect(page.getByRole('banner').getByText('°F').first()).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find a setting' }).fill('wet-hand chill');
  const limit = page.getByRole('textbox', { name: /wind chill from which wet-hand work needs breaks/ });
  await limit.fill('99');
  await limit.press('Enter');
  await expect(page.getByText('From −58 to 41 °F.')).toBeVisible();
  await page.getByRole('link', { name: 'Units and clock' }).click();
  await page.getByRole('combobox', { name: 'Temperature' }).click();
  await page.getByRole('option', { name: '°C' }).click();
  await expect(page.getByRole('banner').getByText('°C').first()).toBeVisible();
});

test('the desk answers as one types and names what is wrong', async ({ page }) => {
  await page.goto('/desk/dilution');
  await expect(page.getByText(/^Put 100 mL of product in 900 mL of water/)).toBeVisible();
  await page.getByLabel(/Parts of water/).fill('0.1');
  await expect(page.getByText(/allowed is 1 to 100000 parts of water/).first()).toBeVisible();
  await page.getByLabel(/Parts of water/).fill('4');
  await expect(page.getByRole('definition').filter({ hasText: /^200$/ })).toBeVisible();
  // What is in the bottle is pulled by keys, too.
  await page.getByRole('slider', { name: 'Product in the bottle' }).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText(/^Put 205 mL of product in 795 mL of water/)).toBeVisible();
});

test('the server gone is shown differently from an empty list, and what is typed stays', async ({
  page,
  context,
}) => {
  await page.goto('/vehicles');
  await page.getByRole('button', { name: 'Add a vehicle' }).click();
  const form = page.getByRole('dialog', { name: 'Add a vehicle' });
  await form.getByLabel('Name').fill('Unlucky hatch');
  await context.setOffline(true);
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByRole('alert')).toContainText('What you typed is kept');
  await expect(form.getByLabel('Name')).toHaveValue('Unlucky hatch');
  await context.setOffline(false);
  await form.getByRole('button', { name: 'Cancel' }).click();
});
