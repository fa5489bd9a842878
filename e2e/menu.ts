import { expect, type Locator, type Page } from '@playwright/test';

/**
 * Chooses what stands in the menu that a button opens.
 * By key, since cards grow while their answers come in and would move it from under the pointer; and only once the
 * menu has drawn the focus to itself, which would take the key from what was focused before.
 */
export async function chooseIn(page: Page, button: Locator, item: string): Promise<void> {
  await openMenu(page, button);
  await chooseItem(page, item);
}

/** Opens the menu of a button, up to where it takes keys. */
export async function openMenu(page: Page, button: Locator): Promise<void> {
  await button.click();
  await expect(page.getByRole('menu').locator(':focus')).toHaveCount(1);
}

/** Chooses what stands in the menu that is open. */
export async function chooseItem(page: Page, item: string): Promise<void> {
  const menu = page.getByRole('menu');
  await menu.getByRole('menuitem', { name: item }).press('Enter');
  await expect(menu).toHaveCount(0);
}
