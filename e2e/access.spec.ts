import { expect, test } from '@playwright/test';
import { chooseIn } from './menu.js';
import { PHONE } from './browser.js';
import { settled } from './settled.js';

test('an owner is added, a phone comes in by a code, is sent away, and nobody has to sign in again', async ({
  page,
  browser,
  baseURL,
}) => {
  await settled(page, '/settings?about=accounts');
  const accounts = page.getByRole('region', { name: 'Accounts and phones' });
  await accounts.getByRole('button', { name: 'Add the owner' }).click();
  await accounts.getByLabel('Name to sign in with').fill('Ida');
  await accounts.getByRole('textbox', { name: 'Password' }).fill('salt on the sills');
  await accounts.getByRole('button', { name: 'Add the account' }).click();
  await expect(accounts.getByText('this one')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Signed in as Ida' })).toBeVisible();

  const away = await browser.newContext({
    viewport: PHONE,
    ...(baseURL && { baseURL }),
    serviceWorkers: 'block',
  });
  const phone = await away.newPage();
  await phone.goto('/vehicles');
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expect(phone.getByRole('button', { name: 'Add a vehicle' })).toHaveCount(0);

  await accounts.getByRole('button', { name: 'Let a phone in for Ida' }).click();
  const dialog = page.getByRole('dialog');
  const code = await dialog.locator('.figure').innerText();
  await page.keyboard.press('Escape');
  await phone.goto('/pair');
  await phone.getByLabel('Code from the desk').fill(code.toLowerCase());
  await phone.getByLabel('What it is called').fill('Bay phone');
  await phone.getByRole('button', { name: 'Let it in' }).click();
  await expect(phone.getByRole('button', { name: 'Signed in as Ida' })).toBeVisible();

  await settled(page, '/settings?about=accounts');
  await accounts.getByRole('button', { name: 'Sign out Bay phone of Ida' }).click();
  await expect(accounts.getByText('Bay phone')).toHaveCount(0);
  await phone.goto('/vehicles');
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await away.close();

  await chooseIn(
    page,
    accounts.getByRole('button', { name: 'More about the account of Ida' }),
    'Delete, and sign out everywhere',
  );
  await expect(accounts.getByText(/Nobody has to sign in/)).toBeVisible();
});
