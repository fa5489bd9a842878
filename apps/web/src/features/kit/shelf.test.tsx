import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type Product } from '@keen/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { levelY } from './bottle.js';
import { Shelf } from './shelf.js';

const BOTTLE: Product = {
  id: 'foam',
  name: 'Winter foam',
  role: 'shampoo',
  inUsePh: 9,
  usualParts: 9,
  fewestParts: 4,
  mostParts: 20,
  capMl: 30,
  carMl: null,
  dwell: { minMinutes: 3, maxMinutes: 8 },
  lowestWorkC: 5,
  lowestStoreC: 1,
  keptIn: 'van',
  bottleMl: 1000,
  leftMl: 700,
  lowMl: 250,
  priceMinor: 2000,
  notes: '',
};

const shown = (...products: Product[]) => {
  const edited: string[] = [];
  const sent = madeUpServer(({ path }) =>
    path.endsWith('/settings') ? { body: { display: DEFAULT_DISPLAY, timeZone: 'Etc/UTC' } } : undefined,
  );
  show(<Shelf products={products} onEdit={({ id }) => edited.push(id)} />);
  return { sent, edited };
};

describe('the level in a bottle', () => {
  it.each([
    [0, 80],
    [0.5, 51],
    [1, 22],
    [2.4, 22],
    [-1, 80],
  ])('of %s of it stands at %s', (share, y) => {
    expect(levelY(share)).toBe(y);
  });
});

describe('the shelf', () => {
  it('says of each bottle what is left, how it is mixed and what cold it stands', () => {
    shown(BOTTLE, {
      ...BOTTLE,
      id: 'low',
      name: 'Wheel cleaner',
      leftMl: 250,
      lowestWorkC: null,
      lowestStoreC: null,
    });
    const [foam, low] = screen.getAllByRole('listitem');
    expect(foam?.textContent).toContain('700 mL left of 1.00 L');
    expect(foam?.textContent).toContain(
      '1:9 (10 %), label 1:4 to 1:20; dwell 3.0 min to 8.0 min; works from 5.0 °C; kept in the van above 1.0 °C',
    );
    expect(low?.textContent).toContain('250 mL left, low: buy it');
    expect(low?.textContent).toContain('works in any cold; kept in the van, may freeze');
    expect(foam?.querySelector('[data-low]')).toBeNull();
    expect(low?.querySelectorAll('[data-low]')).toHaveLength(2);
  });

  it('says so where more than one bottle is left', () => {
    shown({ ...BOTTLE, leftMl: 1920 });
    expect(screen.getByText('1.92 L left, in bottles of 1.00 L')).toBeTruthy();
  });

  it('takes a new bottle, and gives it back', async () => {
    const { sent } = shown(BOTTLE);
    await userEvent.click(await screen.findByRole('button', { name: 'New bottle of Winter foam' }));
    await waitFor(() => expect(sent.at(-1)?.body).toMatchObject({ leftMl: 1700 }));
    await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(sent.at(-1)?.body).toMatchObject({ leftMl: 700 }));
  });

  it('keeps changing and deleting in one menu', async () => {
    const { edited, sent } = shown(BOTTLE);
    const more = await screen.findByRole('button', { name: 'More about Winter foam' });
    await userEvent.click(more);
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Edit' }));
    expect(edited).toEqual(['foam']);
    await userEvent.click(more);
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Delete' }));
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ method: 'DELETE' }));
    expect(
      within(await screen.findByRole('alert')).getByText('Winter foam taken off the shelf.'),
    ).toBeTruthy();
  });

  it('says what to do where nothing stands on it', () => {
    shown();
    expect(screen.getByText('No products yet')).toBeTruthy();
  });
});
