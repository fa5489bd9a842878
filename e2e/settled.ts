import { expect, type Page } from '@playwright/test';

/**
 * For what may have to be worked out from nothing, on a machine that does other work too. Where that only has to be there, use it with `waitFor`:
 * `toBeVisible` describes the whole page at each look that does not find it.
 */
export const WORKED_OUT = { timeout: 150_000 };

/** Waits until a view shows what it is about: nothing of it is being fetched or worked out any more. */
export async function shown(page: Page): Promise<void> {
  await page.getByRole('heading', { level: 1 }).waitFor();
  await expect(page.getByRole('progressbar')).toHaveCount(0, WORKED_OUT);
}

export async function settled(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await shown(page);
}

/** An address at which there is nothing. */
export const NOWHERE = '/nowhere';

/** Within the program, as its links do, by way of a page that has nothing to show: a page load for each view takes longer than the view. */
export async function follow(page: Page, path: string): Promise<void> {
  const isNowhere = new URL(page.url()).pathname === NOWHERE;
  for (const to of isNowhere ? [path] : [NOWHERE, path]) {
    await page.evaluate((next) => {
      document.querySelector('h1')?.setAttribute('data-left', '');
      history.pushState(null, '', next);
      dispatchEvent(new PopStateEvent('popstate'));
    }, to);
    await page.locator('h1:not([data-left])').waitFor();
  }
  await shown(page);
}

/** Waits until nothing moves: a dialog that slides in is there, colours have changed. What was set off just now begins within two frames. */
export const unmoving = (page: Page): Promise<unknown> =>
  page.evaluate(async () => {
    const frame = () => new Promise(requestAnimationFrame);
    await frame();
    await frame();
    return Promise.allSettled(document.getAnimations().map(({ finished }) => finished));
  });
