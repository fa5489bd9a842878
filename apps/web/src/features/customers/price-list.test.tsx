import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, EMPTY_PRICE_LIST, type Settings } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, refusal } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { PriceListTable } from './price-list.js';

const settings = {
  display: DEFAULT_DISPLAY,
  priceList: {
    ...EMPTY_PRICE_LIST,
    methods: { 'garage-rinseless': { saloon: 4550 } },
  },
} as unknown as Settings;
const LABEL = /^rinseless indoors, saloon/i;

const cell = () => screen.getByLabelText<HTMLInputElement>(LABEL);

describe('a price', () => {
  it('sends itself alone, in hundredths', async () => {
    const sent = madeUpServer();
    show(<PriceListTable settings={settings} />);
    expect(cell().value).toBe('45.50');
    await userEvent.clear(cell());
    await userEvent.type(cell(), '52,25{Enter}');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      method: 'PATCH',
      path: '/api/settings',
      body: { priceList: { methods: { 'garage-rinseless': { saloon: 5225 } } } },
    });
  });

  it('is taken out where it is emptied, and not sent where it stays', async () => {
    const sent = madeUpServer();
    show(<PriceListTable settings={settings} />);
    await userEvent.click(cell());
    await userEvent.tab();
    expect(sent).toEqual([]);
    await userEvent.clear(cell());
    await userEvent.tab();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      body: { priceList: { methods: { 'garage-rinseless': { saloon: null } } } },
    });
  });

  it('keeps its sign, so that it can be refused at its own field', async () => {
    const sent = madeUpServer(({ method }) =>
      method === 'PATCH' ? refusal('priceList', 'must be a whole number from 0 to 100000000.') : undefined,
    );
    show(<PriceListTable settings={settings} />);
    await userEvent.clear(cell());
    await userEvent.type(cell(), '-5{Enter}');
    expect(await screen.findByText(/must be a whole number/)).toBeTruthy();
    expect(sent[0]).toMatchObject({
      body: { priceList: { methods: { 'garage-rinseless': { saloon: -500 } } } },
    });
    expect(cell().getAttribute('aria-invalid')).toBe('true');
  });
});
