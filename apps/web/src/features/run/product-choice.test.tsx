import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, DEFAULT_HOUSE, type Product, type WashRecord } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { ProductChoice } from './product-choice.js';

const bottle = (id: string, role: Product['role'], leftMl = 500) => ({
  id,
  name: `${id} bottle`,
  role,
  leftMl,
});
const LABEL = 'Product for “Clean the wheels”';

const serve = (products: readonly object[], chosen: Record<string, string> = {}) =>
  madeUpServer(({ method, path }) => {
    if (method !== 'GET') return undefined;
    if (path.endsWith('/kit')) return { body: { products, gear: [] } };
    return { body: { display: DEFAULT_DISPLAY, house: { ...DEFAULT_HOUSE, products: chosen } } };
  });

const WASH = { id: 'w', predicted: null };
const ONCE = { verdict: 'go', limiting: null, forecastIssuedMs: 0, products: { wheels: 'acid' } };
const DECIDED = { id: 'w', predicted: ONCE } as unknown as Pick<WashRecord, 'id' | 'predicted'>;

const BOTH = [
  bottle('mild', 'wheel-cleaner'),
  bottle('acid', 'wheel-acid', 0),
  bottle('foam', 'alkaline-pre-wash'),
];

describe('which bottle a step takes', () => {
  it('offers what is for that step, an empty one marked, and keeps the choice for every wash', async () => {
    const sent = serve(BOTH);
    show(<ProductChoice step="wheels" wash={WASH} isBegun={false} />);
    const field = await screen.findByLabelText<HTMLInputElement>(LABEL, { selector: 'input' });
    expect(field.value).toBe('Picked automatically');
    await userEvent.click(field);
    expect(screen.getAllByRole('option', { hidden: true }).map(({ textContent }) => textContent)).toEqual([
      'mild bottle, this wash only',
      'acid bottle (empty), this wash only',
      'Picked automatically',
      'Always mild bottle',
      'Always acid bottle (empty)',
    ]);
    await userEvent.click(screen.getByText('Always acid bottle (empty)'));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ body: { house: { products: { wheels: 'acid' } } } });
  });

  it('goes back to what is picked automatically', async () => {
    const sent = serve(BOTH, { wheels: 'acid' });
    show(<ProductChoice step="wheels" wash={WASH} isBegun={false} />);
    const field = await screen.findByLabelText<HTMLInputElement>(LABEL, { selector: 'input' });
    expect(field.value).toBe('Always acid bottle (empty)');
    await userEvent.click(field);
    await userEvent.click(screen.getByText('Picked automatically'));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ body: { house: { products: { wheels: null } } } });
  });

  it('is chosen for one wash', async () => {
    const sent = serve(BOTH);
    show(<ProductChoice step="wheels" wash={WASH} isBegun={false} />);
    await userEvent.click(await screen.findByLabelText(LABEL, { selector: 'input' }));
    await userEvent.click(screen.getByText('mild bottle, this wash only'));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      path: expect.stringMatching(/washes\/w$/),
      body: { products: { wheels: 'mild' } },
    });
  });

  it('shows what was chosen for this wash before what is for all, and gives it up for that', async () => {
    const sent = serve(BOTH, { wheels: 'mild' });
    show(<ProductChoice step="wheels" wash={DECIDED} isBegun={false} />);
    const field = await screen.findByLabelText<HTMLInputElement>(LABEL, { selector: 'input' });
    expect(field.value).toBe('acid bottle (empty), this wash only');
    await userEvent.click(field);
    await userEvent.click(screen.getByText('Always mild bottle'));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ body: { products: { wheels: null } } });
  });

  it('is for the washes to come alone once this one is begun', async () => {
    serve(BOTH);
    show(<ProductChoice step="wheels" wash={DECIDED} isBegun />);
    const field = await screen.findByLabelText<HTMLInputElement>(LABEL, { selector: 'input' });
    expect(field.value).toBe('Picked automatically');
    await userEvent.click(field);
    expect(screen.getAllByRole('option', { hidden: true }).map(({ textContent }) => textContent)).toEqual([
      'Picked automatically',
      'Always mild bottle',
      'Always acid bottle (empty)',
    ]);
  });

  it('is not asked where there is nothing to choose', async () => {
    serve([bottle('mild', 'wheel-cleaner')]);
    const { client } = show(<ProductChoice step="wheels" wash={WASH} isBegun={false} />);
    await waitFor(() => expect(client.isFetching()).toBe(0));
    expect(screen.queryByLabelText(LABEL)).toBeNull();
  });
});
