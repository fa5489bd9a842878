import { expect, test } from '@playwright/test';
import { chooseIn, chooseItem, openMenu } from './menu.js';
import { follow, WORKED_OUT } from './settled.js';

test('a customer is added, booked for a wash, and told of it; the outbox is exported as a file', async ({
  page,
  request,
}) => {
  await page.goto('/customers');
  await page.getByRole('button', { name: 'Add a customer' }).click();
  const form = page.getByRole('dialog');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByText('Give a name.')).toBeVisible();
  await form.getByLabel('Name').fill('Nell Harrow');
  await form.getByLabel('Reached by').fill('text');
  await form.getByRole('combobox', { name: 'Cars', exact: true }).click();
  await page.getByRole('option', { name: 'Black saloon' }).click();
  await page.keyboard.press('Tab');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Nell Harrow' })).toBeVisible();

  await page.getByText(/Bookings/).click();
  await page.getByRole('button', { name: 'Book a wash' }).click();
  const promise = page.getByRole('dialog');
  await promise.getByRole('combobox', { name: 'Car' }).fill('Nell');
  await page.getByRole('option', { name: 'Black saloon, Nell Harrow' }).click();
  await promise.getByLabel('Available from').fill('2026-03-08T02:30');
  await promise.getByLabel('Ready by').fill('2026-03-08T12:00');
  await promise.getByRole('button', { name: 'Book it' }).click();
  await expect(promise.getByText(/skipped by the clock change/)).toBeVisible();
  await promise.getByLabel('Available from').fill('2026-01-15T08:00');
  await promise.getByLabel('Ready by').fill('2026-01-15T13:00');
  await promise.getByRole('combobox', { name: 'Method' }).click();
  await page.getByRole('option', { name: 'rinseless indoors' }).click();
  await promise.getByRole('button', { name: 'Agree on it' }).click();
  await promise.getByRole('button', { name: 'Book it' }).click();
  await expect(page.getByRole('row', { name: /Black saloon/ })).toContainText('$52.00');

  await follow(page, '/plan');
  const proposal = page.getByRole('region', { name: 'Proposed changes' });
  await expect(proposal.getByLabel(/Black saloon: add Thu.*rinseless indoors/).first()).toBeChecked(
    WORKED_OUT,
  );
  const slot = { vehicleId: 'black-saloon', placeId: 'home-garage', methodId: 'garage-rinseless' };
  const startMs = Date.parse('2026-01-15T10:00:00-05:00');
  const planned = await request.post('/api/washes', { data: { ...slot, startMs } });
  const { id } = (await planned.json()) as { id: string };

  await page.goto('/customers?show=messages');
  const draft = page.getByLabel('Booked: Nell Harrow, Black saloon');
  await expect(draft).toHaveValue(/the black saloon will be washed on Thursday/);
  await draft.fill('See you on Thursday, Nell.');
  const box = page.locator('div', { has: draft }).getByRole('button', { name: 'Put in the outbox' }).last();
  await box.click();
  await expect(page.getByRole('listitem').getByText('See you on Thursday, Nell.')).toBeVisible();
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export 1 as a file' }).click();
  expect((await file).suggestedFilename()).toBe('messages.txt');
  await expect(page.getByRole('button', { name: 'Export 0 as a file' })).toBeDisabled();

  await page.getByText('The words that are used').click();
  const words = page.getByLabel('Booked', { exact: true });
  await words.fill('Dear {customer}, {moon}.');
  await words.blur();
  await expect(page.getByText('Not saved: {moon} stands for nothing here.')).toBeVisible();

  await request.delete(`/api/washes/${id}`);
  await page.goto('/customers?show=bookings');
  const booked = page.getByRole('button', { name: 'Cancel the booking of the Black saloon' });
  await expect(booked).toBeVisible();
  let answer = (): void => undefined;
  const isLate = new Promise<void>((resolve) => {
    answer = resolve;
  });
  await page.route('**/api/bookings*', async (route) => {
    if (route.request().method() === 'GET') await isLate;
    await route.continue();
  });
  await booked.click();
  await page.getByText('People', { exact: true }).click();
  const people = page.getByRole('heading', { level: 2 });
  await expect(people.first()).toHaveText('Nell Harrow');
  await openMenu(page, page.getByRole('button', { name: 'More about Nell Harrow' }));
  answer();
  await expect(people.first()).not.toHaveText('Nell Harrow');
  await chooseItem(page, 'Delete');
  await expect(page.getByRole('heading', { name: 'Nell Harrow' })).toHaveCount(0);
});

test('work of the season and a salt target stand on the car, and a price is set by keys', async ({
  page,
}) => {
  await page.goto('/vehicles');
  await chooseIn(page, page.getByRole('button', { name: 'More about Blue hatch' }), 'Edit');
  const form = page.getByRole('dialog');
  await form.getByRole('combobox', { name: 'Never more than' }).click();
  await page.getByRole('option', { name: 'Days with salt on it' }).click();
  await form.getByLabel('Days with salt on it').fill('8');
  await form.getByText('polish', { exact: true }).click();
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/never more than 8 days with salt on it/)).toBeVisible();
  await follow(page, '/condition/blue-hatch');
  await expect(page.getByText(/of 8/)).toBeVisible();
  await expect(page.getByRole('row', { name: /polish/ })).toContainText('not yet');

  await follow(page, '/customers?show=prices');
  const cell = page.getByLabel('waterless spray, Van, CAD');
  await cell.fill('31.5');
  await cell.press('Enter');
  await page.reload();
  await expect(page.getByLabel('waterless spray, Van, CAD')).toHaveValue('31.50');
});
