import { expect, type Page, test } from '@playwright/test';

const TAF = [
  'TAF CKNA 141140Z 1412/1512 29012G22KT P6SM -SHSN BKN030',
  '  TEMPO 1412/1416 2SM SN OVC012',
  '  FM141600 30010KT P6SM SCT040=',
].join('\n');

async function look(page: Page, text: string): Promise<void> {
  await page.getByLabel('Or paste it').fill(text);
  await page.getByRole('button', { name: 'Look at it' }).click();
}

test('hours are read, lead, are left out, and gaps say that nobody knows', async ({ page }) => {
  await page.goto('/weather');
  await page.getByText('METAR, TAF').click();
  await page.getByText('Forecast', { exact: true }).click();
  await page.getByLabel('Name of the source').fill('Harbour airfield');
  await look(page, TAF.slice(0, 70));
  await expect(page.getByRole('alert')).toContainText('cut short');
  await look(page, TAF);
  await expect(page.getByText('24 good, 0 not.')).toBeVisible();
  await expect(page.getByText(/Not taken, since it is not the likely course: TEMPO/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep all' }).click();
  await expect(page.getByText('Harbour airfield (leads)')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();

  await page.getByRole('button', { name: 'Leave out simulated station' }).click();
  await expect(page.getByText('Nobody knows the hours to come')).toBeVisible();
  await page.getByText('Hour by hour, as a table').click();
  await expect(page.getByText('no source has the air, the damp').first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText('Nobody knows the hours to come')).toHaveCount(0);

  await page.getByRole('button', { name: 'Leave out Harbour airfield' }).click();
  await page.getByRole('button', { name: 'Forget Harbour airfield' }).click();
  await expect(page.getByText(/simulated station is used first/)).toBeVisible();
});

test('a table tells the line that failed, and what is seen out of the door counts and is taken back', async ({
  page,
}) => {
  await page.goto('/weather');
  const table =
    'at,airTempC,relHumidityPercent\n2026-01-14T04:00:00-05:00,23F,80\n2026-01-14T05:00:00-05:00,-5,80';
  await look(page, table);
  await expect(page.getByText('1 good, 1 not.')).toBeVisible();
  await expect(page.getByText(/Line 2, airTempC: airTempC is 23F/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep nothing' }).click();

  await page.getByRole('button', { name: 'Count it' }).click();
  await expect(page.getByText('Give the air, the wind, the sky or what falls.')).toBeVisible();
  await page.getByLabel('Air, °C').fill('1.5');
  await page.getByRole('button', { name: 'Count it' }).click();
  await expect(page.getByText(/^\d\d:\d\d: air 1.5 °C$/)).toBeVisible();
  await expect(page.getByRole('banner')).toContainText('1.5 °C');
  await page.getByRole('button', { name: /Delete what was seen at/ }).click();
  await expect(page.getByText('Nothing was noted in the last day.')).toBeVisible();
});
