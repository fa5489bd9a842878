import { chromium as browserFile } from '../chromium.mjs';
import { chromium } from '@playwright/test';
import { add, PORT } from './shared.mjs';

/** Frames drawn while a wash is dragged over the board. */
export async function dragging() {
  const browser = await chromium.launch({
    executablePath: browserFile() ?? 'chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`http://127.0.0.1:${PORT}/plan`);
  await page.getByRole('button', { name: 'Accept all' }).click({ timeout: 60_000 });
  const wash = page.locator('[data-block][data-kind="planned"]').first();
  await wash.click({ timeout: 60_000 });
  await page.locator('[class*="target"]').first().waitFor({ timeout: 30_000 });
  const box = await wash.boundingBox();
  await page.evaluate(() => {
    globalThis.frames_ = 0;
    const count = () => {
      globalThis.frames_ += 1;
      globalThis.requestAnimationFrame(count);
    };
    count();
  });
  await page.mouse.move(box.x + 20, box.y + 10);
  await page.mouse.down();
  const before = await page.evaluate(() => globalThis.frames_);
  const began = performance.now();
  for (let step = 0; performance.now() - began < 3000; step += 1)
    await page.mouse.move(300 + ((step * 17) % 500), 260 + ((step * 7) % 400));
  const seconds = (performance.now() - began) / 1000;
  const perSecond = ((await page.evaluate(() => globalThis.frames_)) - before) / seconds;
  await page.mouse.up();
  await browser.close();
  add('frames a second while a wash is dragged over the board', {
    measured: perSecond.toFixed(0),
    asked: '> 50',
    ok: perSecond > 50,
  });
}
