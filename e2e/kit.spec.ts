import type { RunPack } from '@keen/core';
import { expect, test } from '@playwright/test';
import { chooseIn } from './menu.js';
import { PHONE } from './browser.js';
import { follow, settled } from './settled.js';

test('a product is added as its label says it, mixed on the sheet in caps, and taken off the shelf again', async ({
  page,
  request,
}) => {
  await page.goto('/kit');
  await expect(page.getByRole('region', { name: 'Tonight' })).toContainText(
    /Take Blue rinseless concentrate out of the van: −\d+\.\d °C tonight \(forecast\), it keeps down to 1\.0 °C/,
  );
  await page.getByRole('button', { name: 'Add a product' }).click();
  const form = page.getByRole('dialog', { name: 'Add a product' });
  await form.getByRole('textbox', { name: 'Name' }).fill('Green rinseless');
  await form.getByRole('combobox', { name: 'What it is for' }).click();
  await page.getByRole('option', { name: 'Rinseless wash' }).click();
  await form.getByRole('textbox', { name: 'Usual, 1:N' }).fill('0.1');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form).toContainText('More product than water: is the unit right?');
  await form.getByText('fl oz per gal').click();
  await form.getByRole('textbox', { name: /^Usual/ }).fill('0.5');
  await form.getByRole('textbox', { name: 'Strongest allowed' }).fill('8');
  await form.getByRole('textbox', { name: 'One cap, mL' }).fill('15');
  await form.getByRole('textbox', { name: 'Left, mL' }).fill('5000');
  await page.reload();
  await page.getByRole('button', { name: 'Add a product' }).click();
  await expect(form.getByRole('textbox', { name: 'Name' })).toHaveValue('Green rinseless');
  await form.getByRole('button', { name: 'Save' }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'Green rinseless' });
  await expect(row).toContainText('1:256 (0.39 %), label 1:16 to 1:256');

  await follow(page, '/run/orange-hatch-planned');
  await expect(
    page.getByText(/For “rinseless wash”: Green rinseless, 25 mL and .* 1\.6 caps, in the bucket/),
  ).toBeVisible();
  await follow(page, '/kit');
  await chooseIn(page, row.getByRole('button', { name: 'More about Green rinseless' }), 'Delete');
  await expect(row).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toHaveCount(1);
  const { products } = (await (await request.get('/api/kit')).json()) as {
    products: { id: string; name: string }[];
  };
  const made = products.find(({ name }) => name === 'Green rinseless');
  await request.delete(`/api/kit/products/${made?.id}`);
});

test('cloths are laundered with one tap, and that is taken back with another', async ({ page }) => {
  await page.goto('/kit');
  const towels = page.getByRole('listitem').filter({ hasText: 'Edgeless towels, grey folded towels' });
  const before = await towels.textContent();
  await towels.getByRole('button', { name: 'Edgeless towels, grey are laundered' }).click();
  await expect(towels).toContainText('30 of 30 clean');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(towels).toHaveText(before ?? '');
});

test('the shop keeps its own order of a method, and goes back to the one that ships', async ({ page }) => {
  await page.goto('/run/orange-hatch-planned');
  const steps = page.locator('[data-step]');
  await expect(steps.first()).toHaveAttribute('data-step', 'pre-soak');
  await page.getByRole('button', { name: 'Change the steps' }).click();
  await page.getByRole('button', { name: 'Pre-soak it later' }).click();
  await page.getByRole('textbox', { name: 'Minutes of Wash it rinseless' }).fill('50');
  await page.getByRole('textbox', { name: 'Note to Wash it rinseless' }).fill('slowly round the badge');
  await page.getByRole('button', { name: 'Leave out Wipe the door shuts' }).click();
  await page.getByRole('button', { name: 'Keep for every wash' }).click();
  await expect(steps.first()).toHaveAttribute('data-step', 'rinseless');
  await expect(steps.first()).toContainText('slowly round the badge');
  await expect(page.locator('[data-step="shuts"]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Change the steps' }).click();
  await page.getByRole('button', { name: 'As it ships' }).click();
  await expect(steps.first()).toHaveAttribute('data-step', 'pre-soak');
  await expect(page.locator('[data-step="shuts"]')).toHaveCount(1);
});

test('the spot clinic goes rung by rung on a phone, outlives a reload, and takes an answer back', async ({
  page,
}) => {
  await page.setViewportSize(PHONE);
  await settled(page, '/clinic');
  await page.getByRole('combobox', { name: 'How old' }).click();
  // The list moves while the page grows below it: chosen without a pointer.
  await page.getByRole('option', { name: /^Bonded/ }).dispatchEvent('click');
  await expect(page.getByRole('heading', { name: 'Try the acid on one spot' })).toBeVisible();
  await expect(page.getByText('Never over an alkaline product')).toBeVisible();
  await page.getByRole('button', { name: /^Start the dwell/ }).click();
  await expect(page.getByRole('timer')).toContainText(/wait 0:\d\d more/);
  await page.getByRole('button', { name: 'It still reacts: fizzes or turns' }).click();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Mineral acid on the spots' })).toBeVisible();
  await page.getByRole('button', { name: 'The surface went dull or stained' }).click();
  await expect(page.getByRole('heading', { name: 'Wash the acid off' })).toBeVisible();
  await page.getByRole('button', { name: 'No change' }).click();
  await expect(page.getByRole('heading', { name: 'Stop here and refer it' })).toBeVisible();
  await page.getByRole('button', { name: 'Take the last answer back' }).click();
  await expect(page.getByRole('heading', { name: 'Wash the acid off' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
});

test('a round is prepared in one', async ({ page, request }) => {
  const start = Date.parse('2026-01-16T10:00:00-05:00');
  const answer = await request.post('/api/washes', {
    data: {
      vehicleId: 'blue-hatch',
      placeId: 'home-garage',
      methodId: 'garage-rinseless',
      startMs: start,
    },
  });
  expect(answer.status(), await answer.text()).toBe(201);
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`/round?of=orange-hatch-planned,${id}`);
  await expect(page.getByRole('heading', { name: 'For 2 washes' })).toBeVisible();
  await expect(page.getByText(/Blue rinseless concentrate for “rinseless wash”, 2 cars:/)).toBeVisible();
  // Each car's towels go by its own soil.
  const towelsOf = async (wash: string): Promise<number> => {
    const { pack } = (await (await request.get(`/api/runs/${wash}`)).json()) as { pack: RunPack };
    return pack.sheet.preparation.media.foldedTowels;
  };
  const [orange, blue] = [await towelsOf('orange-hatch-planned'), await towelsOf(id)];
  await expect(page.getByText(new RegExp(`^${orange + blue} folded towels`))).toBeVisible();
  await page.getByRole('checkbox', { name: /Blue hatch/ }).click();
  await expect(page.getByRole('heading', { name: 'For one wash' })).toBeVisible();
  await request.delete(`/api/washes/${id}`);
});
