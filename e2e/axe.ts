import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** What axe finds, named with the elements: only what is wrong is gathered, in one frame, since there are no others. */
export async function faultsOf(
  page: Page,
  within: { part?: string; without?: string; rules?: string[] } = {},
): Promise<string[]> {
  // Half a megabyte of it is read into a page once, not at every look.
  const isThere = await page.evaluate(() => 'axe' in window);
  const axe = new AxeBuilder({ page, ...(isThere ? { axeSource: ';' } : {}) }).setLegacyMode(true);
  if (within.part) axe.include(within.part);
  if (within.without) axe.exclude(within.without);
  const { violations } = await axe
    .options({ resultTypes: ['violations'], ...(within.rules ? { runOnly: within.rules } : {}) })
    .analyze();
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join('; ')}`,
  );
}
