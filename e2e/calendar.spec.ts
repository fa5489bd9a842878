import { expect, test } from '@playwright/test';
import { chooseIn } from './menu.js';

const AWAY = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'PRODID:-//made up//EN',
  'BEGIN:VEVENT',
  'UID:away',
  'DTSTAMP:20260101T000000Z',
  'DTSTART;TZID=America/Toronto:20260115T080000',
  'DTEND;TZID=America/Toronto:20260115T120000',
  'RRULE:FREQ=WEEKLY;COUNT=4',
  'SUMMARY:Choir',
  'END:VEVENT',
  'END:VCALENDAR',
  '',
].join('\r\n');

test('the plan is followed from a calendar, and keeps clear of another', async ({ page, request }) => {
  await page.goto('/settings?about=calendars');
  await page.getByLabel('Who follows the plan').fill('Partner');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = page.getByRole('textbox', { name: 'Partner' });
  const first = await address.inputValue();
  const feed = await request.get(first);
  expect(await feed.text()).toContain('SUMMARY:Wash Orange hatch');
  await chooseIn(
    page,
    page.getByRole('button', { name: 'More about Partner' }),
    'New address, shut out the old',
  );
  await expect(address).not.toHaveValue(first);
  expect((await request.get(first)).status()).toBe(404);
  const second = await address.inputValue();
  await chooseIn(page, page.getByRole('button', { name: 'More about Partner' }), 'Delete');
  await expect(address).toHaveCount(0);
  expect((await request.get(second)).status()).toBe(404);

  await page.getByLabel('Name of the calendar').fill('Choir');
  const file = { name: 'choir.ics', mimeType: 'text/calendar', buffer: Buffer.from(AWAY) };
  await page.locator('input[type="file"]').setInputFiles(file);
  await expect(page.getByText('4 good, 0 not.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep all' }).click();
  await expect(page.getByText(/Choir, everybody: 4 to come/)).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();

  const bad = { ...file, buffer: Buffer.from(AWAY.replace('END:VCALENDAR', '')) };
  await page.locator('input[type="file"]').setInputFiles(bad);
  await expect(page.getByRole('alert')).toContainText('not a whole iCalendar file');
  await expect(page.getByText(/Choir, everybody: 4 to come/)).toBeVisible();
  await page.getByRole('button', { name: 'Delete Choir' }).click();
  await expect(page.getByText('No other calendar is read')).toBeVisible();
});
