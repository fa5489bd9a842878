import { chromium } from '@playwright/test';
import { chromium as browserFile } from '../chromium.mjs';
import { add, median, PORT } from './shared.mjs';

const site = `http://127.0.0.1:${PORT}`;
const VIEWS = [
  '/',
  '/plan',
  '/windows/blue-hatch',
  '/weather',
  '/run/orange-hatch-planned',
  '/balance/blue-hatch',
  '/washes',
  '/salt/grey-suv',
  '/condition/white-van',
  '/customers',
  '/vehicles',
  '/places',
  '/lab',
  '/desk/film',
  '/settings?about=limits',
  '/kit',
  '/clinic',
  '/round',
];

/** Milliseconds from a link within the program to its view, with nothing of it being fetched any more. */
const follow = (page, path) =>
  page.evaluate(
    (to) =>
      new Promise((done) => {
        globalThis.document.querySelector('h1')?.setAttribute('data-left', '');
        const from = performance.now();
        globalThis.history.pushState(null, '', to);
        globalThis.dispatchEvent(new globalThis.PopStateEvent('popstate'));
        const look = () => {
          const isThere = globalThis.document.querySelector('h1:not([data-left])');
          const ms = performance.now() - from;
          if ((isThere && !globalThis.document.querySelector('[role="progressbar"]')) || ms > 30_000)
            done(ms);
          else globalThis.requestAnimationFrame(look);
        };
        globalThis.requestAnimationFrame(look);
      }),
    path,
  );

const settled = async (page) => {
  await page.locator('h1').first().waitFor({ timeout: 60_000 });
  await page.waitForFunction(() => !globalThis.document.querySelector('[role="progressbar"]'), null, {
    timeout: 60_000,
  });
};

/** How far things have moved by themselves since the page was opened, as browsers count it (CLS). */
const shiftOf = async (page, path) => {
  await page.goto(`${site}${path}`);
  await settled(page);
  await page.waitForTimeout(800);
  return page.evaluate(() => globalThis.shift_);
};

/** What one waits for, and what jumps, in the browser. */
export async function pages() {
  const browser = await chromium.launch({
    executablePath: browserFile() ?? 'chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await page.addInitScript(() => {
    globalThis.shift_ = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if (!entry.hadRecentInput) globalThis.shift_ += entry.value;
    }).observe({ type: 'layout-shift', buffered: true });
  });

  const firsts = [];
  for (let run = 0; run < 3; run += 1) {
    const from = performance.now();
    await page.goto(site);
    await page
      .getByText(/cars? to wash today|nothing to wash today/i)
      .first()
      .waitFor({ timeout: 60_000 });
    firsts.push(performance.now() - from);
  }
  add('first sentence of the morning on screen', {
    measured: `${median(firsts).toFixed(0)} ms`,
    asked: '≤ 1500 ms',
    ok: median(firsts) <= 1500,
  });

  // From elsewhere, so that the first of them is a switch as well.
  await page.goto(`${site}/nowhere`);
  await settled(page);
  for (const path of VIEWS) await follow(page, path);
  const times = [];
  for (const path of VIEWS) times.push({ path, ms: await follow(page, path) });
  const slowest = times.reduce((a, b) => (b.ms > a.ms ? b : a));
  add(`page switch with the data there, slowest of ${VIEWS.length}: ${slowest.path}`, {
    measured: `${slowest.ms.toFixed(0)} ms, median ${median(times.map(({ ms }) => ms)).toFixed(0)}`,
    asked: '≤ 300 ms',
    ok: slowest.ms <= 300,
  });

  const shifts = [];
  for (const path of VIEWS) shifts.push({ path, shift: await shiftOf(page, path) });
  const most = shifts.reduce((a, b) => (b.shift > a.shift ? b : a));
  add(`layout shift, most of ${VIEWS.length}: ${most.path}`, {
    measured: most.shift.toFixed(3),
    asked: '≤ 0.05',
    ok: most.shift <= 0.05,
  });
  await browser.close();
}
