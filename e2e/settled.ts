import { expect, type Page } from '@playwright/test';

/** For what may have to be worked out from nothing, on a machine that does other work too. */
export const WORKED_OUT = { timeout: 150_000 };

/** Waits until a view shows what it is about: nothing of it is being fetched or worked out any more. */
export async function shown(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByRole('progressbar')).toHaveCount(0, WORKED_OUT);
}

export async function settled(page: Page, path: string): Promise<void> {
  await page.goto(path);
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
