import { type APIRequestContext, expect, type Page, test } from '@playwright/test';
import { faultsOf } from './axe.js';
import { PHONE } from './browser.js';
import { WORKED_OUT } from './settled.js';
import { Signal } from './signal.js';

const BAY = { vehicleId: 'grey-suv', placeId: 'pier-road-bay', methodId: 'bay-contact' } as const;
/** The afternoon of the demo's day. */
const START_MS = Date.parse('2026-01-14T14:00:00-05:00');
/** A gloved thumb, CSS pixels. */
const LEAST_TARGET = 56;

async function planned(request: APIRequestContext, change: object = {}): Promise<string> {
  const answer = await request.post('/api/washes', { data: { ...BAY, startMs: START_MS, ...change } });
  expect(answer.status(), await answer.text()).toBe(201);
  return ((await answer.json()) as { id: string }).id;
}

const bar = (page: Page) => page.getByRole('navigation', { name: 'Run' });
const press = (page: Page) => bar(page).getByRole('button').first();
/** Presses it and waits until it says what comes next: until then it would be the same deed once more. */
async function pressOn(page: Page): Promise<void> {
  const label = (await press(page).textContent()) ?? '';
  await press(page).click();
  await expect(press(page)).not.toHaveText(label);
}
const sent = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'All sent' })).toBeVisible();
const log = async (request: APIRequestContext, id: string) =>
  (
    (await (await request.get(`/api/runs/${id}/actions`)).json()) as {
      actions: { deed: { kind: string; text?: string } }[];
    }
  ).actions;

test.describe('a run on a phone', () => {
  test.use({ viewport: PHONE, hasTouch: true });
  let id = '';

  test.beforeEach(async ({ request }) => {
    id = await planned(request);
  });

  test.afterEach(async ({ request }) => {
    await request.delete(`/api/washes/${id}`);
  });

  test('goes from the sheet through steps, dwell, meter and wet edge into the log', async ({
    page,
    request,
  }) => {
    await page.goto(`/run/${id}`);
    await page.getByRole('link', { name: 'Go to the run' }).click();
    await expect(page.getByText('This page now works with no signal')).toBeVisible();
    await page.getByRole('button', { name: 'Start the run' }).click();
    await page.getByRole('button', { name: 'Begin: clean the wheels' }).click();
    const dwell = page.getByRole('region', { name: /^Dwell: Clean the wheels/ });
    await expect(dwell).toContainText('may come off in');
    await page.getByRole('button', { name: 'Done; now foam the car' }).click();
    // The wheels were rinsed one by one: their cleaner is off.
    await expect(page.getByRole('region', { name: /^Dwell: Foam the car/ })).toBeVisible();
    await expect(page.getByRole('region', { name: /^Dwell:/ })).toHaveCount(1);
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(page.getByText(/Wait \d+:\d\d: “Foam the car” has not worked/)).toBeVisible();
    await page.getByRole('button', { name: 'Begin all the same: rinse it' }).click();
    const meter = page.getByRole('region', { name: 'Meter' });
    await expect(meter).toContainText('$3.00 paid of $10.50 estimated');
    await expect(meter).toContainText(/2:\d\d paid/);
    await bar(page).getByRole('button', { name: 'Undo' }).click();
    await expect(meter).toContainText('starting costs $3.00');
    await pressOn(page);
    await pressOn(page);
    await expect(page.getByRole('region', { name: /^Dwell:/ })).toHaveCount(0);
    const edge = page.getByRole('region', { name: 'Time before each panel dries or freezes' });
    await expect(edge.getByRole('button')).toHaveCount(8);

    await bar(page).getByRole('button', { name: 'More' }).click();
    await page.getByRole('textbox', { name: 'Reading, °C' }).fill('-6');
    await page.getByRole('button', { name: 'Use this reading' }).click();
    await expect(edge).toContainText('Air −6.0 °C, just measured');
    await expect(edge.getByRole('button', { name: /^roof: freezes in/ })).toBeVisible();
    await edge.getByRole('button', { name: /^roof/ }).click();
    await expect(edge.getByRole('button', { name: 'roof: wiped; tap when wetted' })).toBeVisible();

    await bar(page).getByRole('button', { name: 'Close', exact: true }).click();
    const closing = page.getByRole('dialog', { name: 'Close the run' });
    await expect(closing).toContainText('Not all steps are done');
    await closing.getByRole('button', { name: 'A few spots' }).click();
    await closing.getByRole('button', { name: 'Close the run' }).click();
    await expect(page.getByRole('heading', { name: 'Run closed' })).toBeVisible();
    await sent(page);
    const wash = (await (await request.get(`/api/washes/${id}`)).json()) as { status: string; found: object };
    expect(wash).toMatchObject({ status: 'done', found: { spots: 'few', run: { meterMinor: 300 } } });
    await bar(page).getByRole('button', { name: 'Open it again' }).click();
    await sent(page);
    await expect(bar(page).getByRole('button', { name: 'Pause' })).toBeVisible();
  });

  test('has targets for a glove, fits the screen and is clean for assistive technology', async ({ page }) => {
    await page.goto(`/run/${id}/live`);
    for (let i = 0; i < 5; i += 1) await pressOn(page);
    await expect(page.getByRole('region', { name: 'Meter' })).toBeVisible();
    const small = await page.getByRole('button').evaluateAll((buttons, least) => {
      const sizes = buttons.map((button) => ({
        name: button.textContent,
        box: button.getBoundingClientRect(),
      }));
      return sizes.filter(({ box }) => box.width < least || box.height < least).map(({ name }) => name);
    }, LEAST_TARGET);
    expect(small).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
    for (const colorScheme of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme });
      expect(await faultsOf(page)).toEqual([]);
    }
    await bar(page).getByRole('button', { name: 'More' }).click();
    await expect(page.getByRole('dialog', { name: 'More' })).toBeVisible();
    expect(await faultsOf(page)).toEqual([]);
  });

  test('is worked by keys alone', async ({ page }) => {
    await page.goto(`/run/${id}/live`);
    await expect(press(page)).toHaveText('Start the run');
    await page.keyboard.press('Space');
    await expect(press(page)).toHaveText('Begin: clean the wheels');
    await page.keyboard.press('Space');
    await page.keyboard.press('p');
    await expect(page.getByText('Paused at, step 1')).toBeVisible();
    await page.keyboard.press('p');
    await page.keyboard.press('u');
    await page.keyboard.press('u');
    await page.keyboard.press('u');
    await expect(press(page)).toHaveText('Begin: clean the wheels');
    await press(page).click();
    await page.keyboard.press('n');
    await expect(page.getByRole('dialog', { name: 'More' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await page.keyboard.press('u');
    await expect(press(page)).toHaveText('Begin: clean the wheels');
  });

  test('keeps its timers right over an hour away and the change to summer time', async ({
    page,
    context,
  }) => {
    const pageMs = () => page.evaluate(() => Date.now());
    await page.clock.install({ time: new Date('2026-03-08T06:30:00Z') });
    await page.goto(`/run/${id}/live`);
    await press(page).click();
    await expect(press(page)).toHaveText('Begin: clean the wheels');
    const beforeMs = await pageMs();
    await press(page).click();
    const step = page.getByRole('region', { name: 'Step at hand' });
    await expect(step).toContainText('Now, step 1');
    const afterMs = await pageMs();
    // The server's clock does not jump with the page's: it is out of reach, as in a bay.
    await context.setOffline(true);
    await page.clock.fastForward('01:00:00');
    await page.clock.runFor(1000);
    const [text, nowMs] = await step.evaluate((element) => [element.textContent, Date.now()] as const);
    const shown = /(\d+):(\d\d):(\d\d) of 4:00/.exec(text);
    const seconds = Number(shown?.[1]) * 3600 + Number(shown?.[2]) * 60 + Number(shown?.[3]);
    expect(seconds).toBeGreaterThanOrEqual((nowMs - afterMs) / 1000 - 1);
    expect(seconds).toBeLessThanOrEqual((nowMs - beforeMs) / 1000 + 1);
    expect(seconds).toBeGreaterThanOrEqual(3600);
  });

  test('refuses a photograph that is none, keeps what was typed, and keeps one that is', async ({ page }) => {
    await page.goto(`/run/${id}/live`);
    await press(page).click();
    await bar(page).getByRole('button', { name: 'More' }).click();
    const dialog = page.getByRole('dialog', { name: 'More' });
    await dialog.getByRole('textbox', { name: 'Note' }).fill('chip by the handle');
    const file = dialog.locator('input[type=file]');
    await file.setInputFiles({ name: 'list.png', mimeType: 'image/png', buffer: Buffer.from('shopping') });
    await expect(dialog).toContainText('cannot be opened as a picture');
    await expect(dialog.getByRole('textbox', { name: 'Note' })).toHaveValue('chip by the handle');
    await file.evaluate((input: HTMLInputElement) => {
      const files = new DataTransfer();
      files.items.add(new File([new Uint8Array(80_000_000)], 'big.jpg', { type: 'image/jpeg' }));
      input.files = files.files;
      input.dispatchEvent(new Event('change', { bubbles: true }));
    });
    await expect(dialog).toContainText('80 MB');
    await file.setInputFiles({
      name: 'real.png',
      mimeType: 'image/png',
      buffer: await page.screenshot(),
    });
    await expect(page.getByRole('region', { name: 'Notes' })).toContainText('chip by the handle');
    await sent(page);
    const [popup] = await Promise.all([
      page.waitForEvent('popup'),
      page.getByRole('link', { name: 'photograph' }).click(),
    ]);
    expect(popup.url()).toContain(`/api/runs/${id}/photos/`);
  });

  test('is followed on a second phone', async ({ page, browser, baseURL }) => {
    const other = await (await browser.newContext({ viewport: PHONE, baseURL })).newPage();
    await page.goto(`/run/${id}/live`);
    await other.goto(`/run/${id}/live`);
    await pressOn(page);
    await pressOn(page);
    await expect(other.getByRole('region', { name: 'Step at hand' })).toContainText('Now, step 1');
    await other.getByRole('button', { name: 'Done; now foam the car' }).click();
    await expect(page.getByRole('region', { name: 'Step at hand' })).toContainText('Foam the car');
    await other.close();
  });

  test('that never was on this phone says so without a signal', async ({ page }) => {
    await page.route('**/api/runs/**', (route) => route.abort());
    await page.goto(`/run/${id}/live`);
    await expect(page.getByText('This phone has not opened this run before')).toBeVisible();
  });
});

test.describe('with no signal', () => {
  test.use({ viewport: PHONE, serviceWorkers: 'allow' });
  let signal: Signal;
  let id = '';

  test.beforeEach(async ({ baseURL, request }) => {
    signal = await Signal.to(baseURL ?? '');
    id = await planned(request);
  });

  test.afterEach(async ({ request }) => {
    signal.end();
    await request.delete(`/api/washes/${id}`);
  });

  test('the run opens, goes on through a reload, and is sent once and in order afterwards', async ({
    page,
    context,
    request,
  }) => {
    await page.goto(`${signal.address}/run/${id}/live`);
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    await page.reload();
    await expect(press(page)).toHaveText('Start the run');
    await signal.cut(context);
    await page.reload();
    await press(page).click();
    await expect(press(page)).toHaveText('Begin: clean the wheels');
    await press(page).click();
    await expect(page.getByRole('region', { name: 'Step at hand' })).toContainText('Now, step 1');
    await expect(page.getByRole('status')).toContainText('kept here, no signal');
    await page.reload();
    await expect(page.getByRole('region', { name: 'Step at hand' })).toContainText('Now, step 1');
    await press(page).click();
    await expect(page.getByRole('region', { name: /^Dwell: Foam the car/ })).toBeVisible();
    await page.goto(signal.address);
    await expect(page.getByRole('heading', { name: 'Grey SUV' })).toBeVisible();
    await expect(page).toHaveURL(`${signal.address}/run/${id}/live`);
    expect(await log(request, id)).toEqual([]);
    await signal.give(context);
    await sent(page);
    const kinds = (await log(request, id)).map(({ deed }) => deed.kind);
    expect(kinds).toEqual(['start', 'begin', 'product-on', 'end', 'begin', 'product-on']);
  });

  test('the sheet, what to prepare and the plan open as they were, and say from when that is', async ({
    page,
    context,
  }) => {
    await page.goto(`${signal.address}/run/${id}`);
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    const views = [
      [`/run/${id}`, 'Run sheet: Grey SUV'],
      [`/round?of=${id}`, 'Mix, in this order'],
      ['/plan', 'Plan'],
    ] as const;
    const opened = async ([path, heading]: (typeof views)[number]): Promise<void> => {
      await page.goto(`${signal.address}${path}`);
      await page.getByRole('heading', { name: heading, exact: true }).waitFor(WORKED_OUT);
    };
    for (const view of views) await opened(view);
    await expect(page.getByText('No signal: this is how it was')).toHaveCount(0);
    await signal.cut(context);
    for (const view of views) {
      await opened(view);
      await expect(page.getByText('No signal: this is how it was')).toBeVisible();
    }
    await signal.give(context);
    await opened(views[0]);
    await expect(page.getByText('No signal: this is how it was')).toHaveCount(0);
  });

  test('nothing is lost or doubled while the network is cut and the page killed at random', async ({
    context,
    request,
  }) => {
    let state = 20_260_114;
    const random = (): number => {
      state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
      return state / 4_294_967_296;
    };
    let page = await context.newPage();
    await page.goto(`${signal.address}/run/${id}/live`);
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    await press(page).click();
    // What is shown is kept.
    await expect(bar(page).getByRole('button', { name: 'More' })).toBeVisible();
    const written: string[] = [];
    for (let event = 0; event < 24; event += 1) {
      const dice = random();
      if (dice < 0.3) await (random() < 0.5 ? signal.cut(context) : signal.give(context));
      else if (dice < 0.5) {
        // Killed, not closed: nothing is asked and nobody is waited for.
        await page.close({ runBeforeUnload: false });
        page = await context.newPage();
        await page.goto(`${signal.address}/run/${id}/live`);
        await expect(bar(page).getByRole('button', { name: 'More' })).toBeVisible();
      } else {
        const text = `deed ${written.length}`;
        await page.keyboard.press('n');
        await page.getByRole('textbox', { name: 'Note' }).fill(text);
        await page.getByRole('button', { name: 'Add the note' }).click();
        // To the end of its line: "deed 1" and the time of the next line would read as "deed 10".
        const line = page.getByRole('region', { name: 'Notes' }).getByRole('listitem');
        await expect(line.filter({ hasText: new RegExp(`${text}$`) })).toBeVisible();
        written.push(text);
      }
    }
    await signal.give(context);
    await sent(page);
    const notes = (await log(request, id)).flatMap(({ deed }) => (deed.kind === 'note' ? [deed.text] : []));
    expect(notes).toEqual(written);
    expect(written.length).toBeGreaterThan(6);
  });
});

test.describe('two cars under one pair of hands', () => {
  test.use({ viewport: PHONE, hasTouch: true });

  test('take turns: while foam works on one, the other is next', async ({ page, request }) => {
    const methodId = 'bay-touch-free';
    const later = { methodId, vehicleId: 'black-saloon', startMs: START_MS - 3_600_000 };
    const first = await planned(request, later);
    const second = await planned(request, {
      ...later,
      vehicleId: 'white-van',
      startMs: later.startMs + 5_400_000,
    });
    await page.goto(`/visit/${first}/${second}`);
    const cars = page.getByRole('group', { name: 'Cars of this visit' });
    await expect(page.getByText('While a product works on one, go on with the other')).toBeVisible();
    await press(page).click();
    const turn = (name: string) => expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
    await expect(press(page)).toHaveText('Start the meter: rinse it');
    await press(page).click();
    await press(page).click();
    await expect(press(page)).toHaveText('Done; now foam the car');
    await press(page).click();
    await expect(press(page)).toHaveText('Done; now the White van');
    await press(page).click();
    await turn('White van');
    await expect(press(page)).toHaveText('Begin: clean the wheels');
    await expect(cars.getByRole('button', { name: /^Black saloon/ })).toContainText(
      'foam the car: off within 7:',
    );
    await press(page).click();
    await press(page).click();
    // Both were begun with one tap; what is done on one is noted on that one.
    await cars.getByRole('button', { name: /^Black saloon/ }).click();
    await turn('Black saloon');
    await expect(page.getByRole('region', { name: /^Dwell: Foam the car/ })).toBeVisible();
    expect(await faultsOf(page)).toEqual([]);
    await sent(page);
    const kinds = async (of: string) => (await log(request, of)).map(({ deed }) => deed.kind);
    expect(await kinds(first)).toEqual(
      expect.arrayContaining(['start', 'begin', 'meter-on', 'meter-off', 'product-on', 'pause']),
    );
    expect((await kinds(second)).slice(0, 3)).toEqual(['start', 'pause', 'resume']);
    for (const of of [first, second]) await request.delete(`/api/washes/${of}`);
  });
});
