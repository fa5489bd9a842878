import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, DEFAULT_HOUSE, type WashRecord } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { LearnedProduct } from './learned-ml.js';

const washed = (startMs: number): WashRecord =>
  ({
    vehicleId: 'car',
    status: 'done',
    startMs,
    found: { used: { products: [{ productId: 'soap', ml: 40 }] } },
  }) as unknown as WashRecord;

const shown = (readMl: number) => {
  const levels = [
    { atMs: 0, readMl: 1000, expectedMl: 1000 },
    { atMs: 100, readMl, expectedMl: 880 },
  ];
  const sent = madeUpServer(({ method, path }) => {
    if (method !== 'GET') return undefined;
    if (path.endsWith('/vehicles')) return { body: [{ id: 'car', bodyClass: 'saloon' }] };
    if (path.endsWith('/kit'))
      return { body: { products: [{ id: 'soap', name: 'Plain shampoo', carMl: null, levels }], gear: [] } };
    if (path.endsWith('/settings')) return { body: { display: DEFAULT_DISPLAY, house: DEFAULT_HOUSE } };
    return undefined;
  });
  return { sent, ...show(<LearnedProduct washes={[washed(10), washed(20), washed(30)]} />) };
};

describe('your own product', () => {
  it('says what a saloon really takes beside what is counted, and counts it so by one tap', async () => {
    const { sent } = shown(820);
    const region = await screen.findByRole('region', { name: 'Product use by your bottles' });
    expect(region.textContent).toContain(
      'Plain shampoo: a saloon takes you 60 mL, the program counts 40 mL (3 washes between readings of the bottle)',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Count 60 mL of Plain shampoo' }));
    await waitFor(() => expect(sent).toMatchObject([{ method: 'PATCH', body: { carMl: 60 } }]));
  });

  it('says nothing where the bottle agrees', async () => {
    const { client } = shown(880);
    await waitFor(() => expect(client.isFetching()).toBe(0));
    expect(screen.queryByRole('region')).toBeNull();
  });
});
