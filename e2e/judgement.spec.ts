import { expect, type Page, test } from '@playwright/test';
import { follow, settled, WORKED_OUT } from './settled.js';

const ready = async (page: Page): Promise<void> =>
  expect(page.getByRole('progressbar')).toHaveCount(0, WORKED_OUT);

test('the balance: every way side by side, another hour, another order, exported; cadences of one’s own', async ({
  page,
}) => {
  await page.goto('/balance/black-saloon');
  const table = page.getByRole('region', { name: 'Methods side by side' });
  await expect(table.getByRole('row', { name: /self-serve, touch-free/ })).toContainText(
    'Pier Road bay',
    WORKED_OUT,
  );
  await expect(table.getByRole('row', { name: /hose on the drive/ })).toContainText(
    'forbidden here: no washing in frost',
  );
  await expect(table.getByRole('row', { name: /self-serve, by hand/ })).toContainText('meter');
  const first = await page.getByRole('combobox', { name: 'Hour' }).inputValue();
  await page.getByRole('button', { name: 'An hour later' }).click();
  await expect(page.getByRole('combobox', { name: 'Hour' })).not.toHaveValue(first);
  await expect(page).toHaveURL(/at=\d+/);
  await page.getByRole('combobox', { name: 'Order' }).click();
  await page.getByRole('option', { name: 'Least water' }).click();
  const litres = await table.getByRole('row').locator('td[data-label="Water"]').allInnerTexts();
  const figures = litres.map((text) => Number.parseFloat(text.replace(/^Water\s*/, '')));
  expect(figures.length).toBeGreaterThan(5);
  expect(figures).toEqual([...figures].sort((a, b) => a - b));
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export' }).click();
  expect((await saved).suggestedFilename()).toBe('balance-black-saloon.csv');

  const cadences = page.getByRole('region', { name: 'Cadences' });
  await expect(cadences.getByRole('row', { name: /Touch-free every week/ })).toContainText('$');
  await page.getByRole('button', { name: 'Weigh it too' }).click();
  await expect(cadences.getByRole('row', { name: /Your own/ })).toBeVisible();
});

test('the lab begins from a verdict, answers at once, keeps what is dialled over a reload and goes back', async ({
  page,
}) => {
  await page.goto('/windows/black-saloon');
  const reasons = page.getByRole('region', { name: 'Reasons' });
  await reasons.waitFor(WORKED_OUT);
  await reasons.getByRole('link', { name: 'roof' }).click();
  await expect(page.getByText(/Started from the roof, /)).toBeVisible();
  const edge = page.locator('strong.figure').first();
  await expect(edge).toContainText(/min|h|open/);
  const air = page.getByRole('slider', { name: 'Air', exact: true });
  await air.focus();
  await expect(air).toHaveAttribute('aria-valuetext', /°C/);
  const before = await air.getAttribute('aria-valuetext');
  // As cold as it gets.
  await page.keyboard.press('Home');
  await expect(air).not.toHaveAttribute('aria-valuetext', before ?? '');
  await expect(page.getByText('it freezes first')).toBeVisible();
  const dialled = await air.getAttribute('aria-valuenow');
  await expect(page).toHaveURL(new RegExp(`airTempC=${dialled?.replace('.', '\\.')}`));
  await page.reload();
  await expect(page.getByRole('slider', { name: 'Air', exact: true })).toHaveAttribute(
    'aria-valuenow',
    dialled ?? '',
  );
  await page.getByRole('combobox', { name: 'The water is' }).click();
  await page.getByRole('option', { name: /rock salt/ }).click();
  await expect(page.getByRole('slider', { name: 'Strength of the brine' })).toBeVisible();
  await page.getByRole('button', { name: 'Reset' }).click();
  await expect(page.getByRole('slider', { name: 'Strength of the brine' })).toHaveCount(0);
  await expect(page.getByText(/Worked out in \d+\.\d ms/)).toBeVisible();
});

test('the lab is left for another view at once, though what was dialled is still to be kept', async ({
  page,
}) => {
  await settled(page, '/lab');
  let letThrough = (): void => undefined;
  const held = new Promise<void>((done) => (letThrough = done));
  await page.route(/assets\/vehicles-page.*\.js/, async (route) => {
    await held;
    await route.continue();
  });
  await page.getByRole('slider', { name: 'Air', exact: true }).press('ArrowLeft');
  await page.getByRole('navigation', { name: 'Rooms' }).getByRole('link', { name: 'Cars' }).click();
  await expect(page).toHaveURL(/airTempC=/);
  letThrough();
  await expect(page.getByRole('heading', { level: 1, name: 'Vehicles' })).toBeVisible();
});

test('what would change an answer is searched when it is asked for', async ({ page }) => {
  await page.goto('/windows/white-van');
  // By key: what stands above it grows while its answers come in, and would move it from under the pointer.
  const ask = page.getByRole('button', { name: 'What would change this answer?' });
  await ask.press('Enter', WORKED_OUT);
  const flips = page.getByRole('region', { name: 'What would change this answer' });
  await expect(flips.getByRole('row', { name: /^Air / })).toContainText('°C', WORKED_OUT);
  await expect(flips.getByRole('row', { name: /^Start / })).toContainText(/Go|No|Not known/);
});

test('a long sum can be stopped and taken up again', async ({ page }) => {
  // The first request is held on its way, so that there is time to press the button however fast the machine is.
  let letGo = (): void => undefined;
  const go = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  const held = page.waitForEvent('requestfailed', (request) =>
    request.url().includes('/api/verdicts/windows/'),
  );
  await page.route(
    '**/api/verdicts/windows/*',
    async (route) => {
      await go;
      await route.continue().catch(() => undefined);
    },
    { times: 1 },
  );
  await page.goto('/windows/red-pickup');
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped. What was worked out so far is kept.')).toBeVisible();
  await held;
  letGo();
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.getByRole('region', { name: 'Reasons' }).waitFor(WORKED_OUT);
});

test('soil is graded by tapping the unfolded car and by keys, and taken back', async ({ page }) => {
  await page.goto('/condition/blue-hatch');
  await ready(page);
  await page.getByRole('button', { name: /^Bonnet / }).click();
  const panel = page.getByRole('region', { name: 'Soil on bonnet' });
  await panel.getByRole('button', { name: /^Grit/ }).click();
  await panel.focus();
  await page.keyboard.press('4');
  await expect(page.getByText('Bonnet: grit 4, heavy.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Bonnet 4, heavy, seen' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Bonnet .*estimated/ })).toBeVisible();
});

test('protection: a coat of tomorrow is refused, one of today kept on all zones, seen flat, tested and found clogged', async ({
  page,
}) => {
  await page.goto('/condition/silver-saloon');
  await ready(page);
  await page.getByText('Protection', { exact: true }).first().click();
  await page.getByRole('button', { name: /^Roof / }).click();
  const panel = page.getByRole('region', { name: 'Protection of roof' });
  await panel.getByRole('combobox', { name: 'Put on' }).click();
  await page.getByRole('option', { name: 'Sealant' }).click();
  await panel.getByLabel('On', { exact: true }).fill('2026-01-15');
  await panel.getByRole('button', { name: 'Keep' }).click();
  await expect(panel.getByText('That day is still to come')).toBeVisible();
  await panel.getByLabel('On', { exact: true }).fill('2026-01-05');
  await panel.getByRole('checkbox', { name: /On all 9 zones/ }).check();
  await panel.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Sealant kept on 9 zones.')).toBeVisible();
  await expect(panel).toContainText('Sealant: sound (estimated)');
  await panel.getByRole('button', { name: 'Lies flat' }).first().click();
  await expect(panel).toContainText('clogged or gone (seen)');
  await panel.getByRole('button', { name: 'Clogged or gone? Test it' }).click();
  await panel.getByRole('button', { name: 'Lies flat' }).last().click();
  await expect(panel).toContainText('use an iron remover');
  await expect(panel).toContainText('gloves, fresh air');
  await panel.getByRole('button', { name: 'Beads' }).last().click();
  await expect(panel).toContainText('It was clogged: an iron remover brought it back');
  await panel.getByRole('button', { name: 'Keep what water does now' }).click();
  await expect(panel).toContainText('Sealant: sound (seen)');

  await page.getByRole('combobox', { name: 'Product' }).click();
  await page.getByRole('option', { name: 'Film remover' }).click();
  await expect(page.getByText('Protect again after')).toBeVisible();
  await page.getByLabel('pH in use').fill('99');
  await expect(page.getByText('From 0 to 14.')).toBeVisible();
});

test('salt: the season is walked by keys, a swab corrects it, a drive and a bulletin count, faults stay at the field', async ({
  page,
}) => {
  await page.goto('/salt/green-estate');
  await ready(page);
  const slider = page.getByRole('slider', { name: 'Day of the season' });
  await expect(slider).toHaveAttribute('aria-valuetext', 'now');
  await slider.focus();
  await page.keyboard.press('Home');
  await expect(page.getByRole('heading', { name: /On the car on / })).toBeVisible();
  await page.keyboard.press('End');
  await expect(page.getByRole('heading', { name: 'On the car now (estimated)' })).toBeVisible();

  await page.getByLabel('Rise').fill('400');
  await expect(page.getByText('2.40 g/m²')).toBeVisible();
  await page.getByRole('button', { name: 'Keep the reading' }).click();
  await expect(page.getByText(/This car picks up \d\.\d\d times the usual, from 1 reading/)).toBeVisible();
  await page.getByRole('button', { name: /Delete the reading/ }).click();
  await expect(page.getByText('No readings yet')).toBeVisible();

  await page.getByLabel('Driven').fill('5000');
  await page.getByRole('button', { name: 'Keep the drive' }).click();
  await expect(page.getByText('From 0 to 250 km within an hour')).toBeVisible();
  await page.getByLabel('Driven').fill('18');
  await page.getByRole('button', { name: 'Keep the drive' }).click();
  await expect(page.getByText(/18 km, main road/)).toBeVisible();

  await page.getByLabel('Rate').fill('900');
  await page.getByRole('button', { name: 'Keep the bulletin' }).click();
  await expect(page.getByText(/gramsPerM2 is 900; allowed is 0.1 to 80/)).toBeVisible();
});

test('files are read line by line; one keeps the good lines or nothing', async ({ page }) => {
  await page.goto('/salt/cream-van');
  await ready(page);
  const track = Array.from({ length: 21 }, (_, i) => {
    const time = i === 5 ? '' : `<time>2026-01-12T15:${String(i).padStart(2, '0')}:00Z</time>`;
    return `<trkpt lat="${46.5 + i * 0.01}" lon="-84.3">${time}</trkpt>`;
  }).join('\n');
  const gpx = `<gpx>\n<trk><trkseg>\n${track}\n</trkseg></trk>\n</gpx>`;
  const input = page.locator('input[type=file]').first();
  await input.setInputFiles({ name: 'way.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(gpx) });
  await expect(page.getByText('1 good, 1 not.')).toBeVisible();
  await expect(page.getByText(/Line 8, no-time/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep the good one' }).click();
  await expect(page.getByText('Kept 1, left out 1.')).toBeVisible();
  await expect(page.getByText(/22 km, main road, \d+ km\/h mean/).first()).toBeVisible();

  const bulletins = page.locator('input[type=file]').last();
  const broken = Buffer.from('<gpx>');
  await bulletins.setInputFiles({ name: 'bulletins.csv', mimeType: 'text/csv', buffer: broken });
  await expect(page.getByRole('alert')).toContainText('line 1: The first line must name the columns');
});

test('a house rule is chosen and moves the sums', async ({ page }) => {
  await page.goto('/settings?about=rules');
  const drying = page.getByRole('group', { name: 'How is it dried?' });
  await drying.getByRole('radio', { name: /Towel with a drying aid/ }).check();
  await follow(page, '/balance/black-saloon');
  const table = page.getByRole('region', { name: 'Methods side by side' });
  const row = table.getByRole('row', { name: /self-serve, touch-free/ });
  await expect(row).toContainText('60 mL in seals', WORKED_OUT);
  await follow(page, '/settings?about=rules');
  await drying.getByRole('radio', { name: /Blow out the gaps/ }).check();
  await follow(page, '/balance/black-saloon');
  await expect(row).toContainText('6.0 mL in seals', WORKED_OUT);
});

test('the desk speaks the user’s units and shows its working', async ({ page }) => {
  await page.request.patch('/api/settings', { data: { display: { temperature: 'F', wind: 'mph' } } });
  await page.goto('/desk/wind-chill');
  await expect(page.getByLabel('Air, °F')).toHaveValue('14');
  await page.getByLabel('Air, °F').fill('5');
  await page.getByLabel('Wind at 10 m, as forecasts have it, mph').fill('20');
  // Published: 5 °F at 20 mph feels like −15 °F.
  await expect(page.getByText(/^-15\.\d+$/)).toBeVisible();
  await expect(page.getByText(/^It feels like −15 °F;/)).toBeVisible();
  await page.getByText('How this is worked out').click();
  await expect(page.getByText(/V\^0\.16/).first()).toBeVisible();
  await page.request.patch('/api/settings', { data: { display: { temperature: 'C', wind: 'kmh' } } });
});
