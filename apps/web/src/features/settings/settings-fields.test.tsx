import { describe, expect, it, jest } from '@jest/globals';
import { DEFAULT_WORKERS, type Worker } from '@keen/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ApiError } from '../../api/client.js';
import { show } from '../../testing/show.js';
import { WorkersSection } from './workers.js';
import { type NumberRow, NumberRows } from './number-rows.js';
import { Stock } from './stock.js';

const ROW: NumberRow = {
  id: 'frost',
  value: -4.5,
  min: -20,
  max: 5,
  unit: '°C',
  means: 'coldest air to wash in',
  origin: 'judgement',
};
const OTHER: NumberRow = {
  ...ROW,
  id: 'wind',
  value: 8,
  min: 0,
  max: 20,
  unit: 'm/s',
  means: 'strongest wind',
};
const fault = (field: string, message: string): ApiError =>
  new ApiError(400, [{ code: 'invalid', field, message }]);

describe('a number that decides', () => {
  const field = () => screen.getByLabelText<HTMLInputElement>('coldest air to wash in, °C');
  const open = (onSave = jest.fn((_id: string, _value: number): Promise<unknown> => Promise.resolve())) => {
    show(<NumberRows rows={[ROW, OTHER]} values={{ frost: -3, wind: 8 }} onSave={onSave} />);
    return onSave;
  };

  it('says what it means, where it comes from and what was shipped, with its sign', () => {
    open();
    expect(screen.getByText('Coldest air to wash in').textContent).toContain('judgement; shipped as −4.5 °C');
    expect(field().value.replace('−', '-')).toBe('-3');
  });

  it.each([
    { typed: '-0.5', value: -0.5 },
    { typed: '2.25', value: 2.25 },
    { typed: '0', value: 0 },
  ])('keeps $typed as $value when one leaves the field', async ({ typed, value }) => {
    const onSave = open();
    await userEvent.clear(field());
    await userEvent.type(field(), typed);
    await userEvent.tab();
    expect(onSave.mock.calls).toEqual([['frost', value]]);
  });

  it('is kept by Enter too, and not at all where it is empty or as it was', async () => {
    const onSave = open();
    await userEvent.clear(field());
    await userEvent.tab();
    expect(onSave).not.toHaveBeenCalled();
    await userEvent.type(field(), '-3');
    await userEvent.tab();
    expect(onSave).not.toHaveBeenCalled();
    await userEvent.clear(field());
    await userEvent.type(field(), '-2{Enter}');
    expect(onSave).toHaveBeenCalledWith('frost', -2);
  });

  it('goes back to what was shipped', async () => {
    const onSave = open();
    // The other one is as it was shipped: there is one button.
    await userEvent.click(screen.getByRole('button', { name: 'As shipped' }));
    expect(onSave).toHaveBeenCalledWith('frost', -4.5);
  });

  it('tells a refusal at its own field, and takes it away once it is kept', async () => {
    const answers = [
      Promise.reject(fault('limits.frost', 'is not what this shop can have.')),
      Promise.resolve(),
    ];
    answers[0]?.catch(() => undefined);
    const onSave = open(jest.fn((_id: string, _value: number) => answers.shift() ?? Promise.resolve()));
    await userEvent.clear(field());
    await userEvent.type(field(), '-19{Enter}');
    expect(await screen.findByText('is not what this shop can have.')).toBeTruthy();
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByLabelText('strongest wind, km/h').getAttribute('aria-invalid')).not.toBe('true');
    await userEvent.clear(field());
    await userEvent.type(field(), '-9{Enter}');
    await waitFor(() => expect(screen.queryByText('is not what this shop can have.')).toBeNull());
    expect(onSave).toHaveBeenCalledTimes(2);
  });
});

describe('a number in the user’s own unit', () => {
  const PRICE: NumberRow = {
    id: 'hour',
    value: 3000,
    min: 0,
    max: 100_000,
    unit: 'minor units per hour',
    means: 'an hour of work',
    origin: 'judgement',
  };
  const SHARE: NumberRow = {
    ...PRICE,
    id: 'hand',
    value: 0.33,
    min: 0,
    max: 1,
    unit: 'share',
    means: 'in hand',
  };
  const open = () => {
    const onSave = jest.fn((_id: string, _value: number): Promise<unknown> => Promise.resolve());
    show(<NumberRows rows={[PRICE, SHARE]} values={{ hour: 3500, hand: 0.33 }} onSave={onSave} />);
    return onSave;
  };

  it('is money, not minor units, and a percentage, not a fraction', async () => {
    const onSave = open();
    const hour = screen.getByLabelText<HTMLInputElement>(/an hour of work, [A-Z]{3} per hour/);
    expect(hour.value).toBe('35');
    expect(screen.getByText('An hour of work').textContent).toMatch(/shipped as \$30\.00 per hour/);
    await userEvent.clear(hour);
    await userEvent.type(hour, '42.5{Enter}');
    expect(onSave).toHaveBeenLastCalledWith('hour', 4250);
    const hand = screen.getByLabelText<HTMLInputElement>('in hand, %');
    expect(hand.value).toBe('33');
    await userEvent.click(hand);
    await userEvent.tab();
    expect(onSave.mock.calls.some(([id]) => id === 'hand')).toBe(false);
  });

  it('says what is allowed in that unit, and sends nothing', async () => {
    const onSave = open();
    const hour = screen.getByLabelText(/an hour of work/);
    await userEvent.clear(hour);
    await userEvent.type(hour, '5000{Enter}');
    expect(await screen.findByText(/^From 0 to 1000 [A-Z]{3} per hour\.$/)).toBeTruthy();
    expect(onSave).not.toHaveBeenCalled();
  });
});

describe('product counted by hand', () => {
  it('sends the one count that was changed; empty is not counted', async () => {
    const onSave = jest.fn((_stock: object): Promise<unknown> => Promise.resolve());
    show(<Stock stock={{ 'garage-rinseless': 3 }} onSave={onSave} />);
    const [first] = screen.getAllByRole<HTMLInputElement>('textbox').filter(({ value }) => value === '3');
    if (!first) throw new Error('no count of 3');
    await userEvent.click(first);
    await userEvent.tab();
    expect(onSave).not.toHaveBeenCalled();
    await userEvent.clear(first);
    await userEvent.type(first, '5{Enter}');
    expect(onSave).toHaveBeenLastCalledWith({ 'garage-rinseless': 5 });
    await userEvent.clear(first);
    await userEvent.tab();
    expect(onSave).toHaveBeenLastCalledWith({ 'garage-rinseless': null });
    await userEvent.type(first, '-5{Enter}');
    expect(onSave).toHaveBeenLastCalledWith({ 'garage-rinseless': -5 });
  });

  it('tells a refusal at the count it is of', async () => {
    const onSave = () => Promise.reject(fault('stock', 'must be a whole number from 0 to 100000.'));
    show(<Stock stock={{}} onSave={onSave} />);
    const [first] = screen.getAllByRole('textbox');
    if (first) await userEvent.type(first, '999999{Enter}');
    expect(await screen.findByText('must be a whole number from 0 to 100000.')).toBeTruthy();
  });
});

describe('workers', () => {
  const open = (
    workers: readonly Worker[],
    onSave: (workers: readonly Worker[], read: readonly Worker[]) => Promise<unknown>,
  ) => show(<WorkersSection workers={workers} onSave={onSave} />);
  const [OWNER] = DEFAULT_WORKERS;

  it('send what was typed and what was read, and nothing before something is touched', async () => {
    const onSave = jest.fn((_workers: readonly Worker[], _read: readonly Worker[]): Promise<unknown> =>
      Promise.resolve(),
    );
    open(DEFAULT_WORKERS, onSave);
    expect(screen.queryByRole('button', { name: 'Save people' })).toBeNull();
    const name = screen.getAllByLabelText<HTMLInputElement>('Name')[0];
    if (!name || !OWNER) throw new Error('no hands');
    await userEvent.type(name, '!');
    await userEvent.click(screen.getByRole('button', { name: 'Save people' }));
    expect(onSave).toHaveBeenCalledWith(
      [{ ...OWNER, name: `${OWNER.name}!` }, ...DEFAULT_WORKERS.slice(1)],
      DEFAULT_WORKERS,
    );
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Save people' })).toBeNull());
  });

  it('leave all as it was, if one wishes', async () => {
    open(DEFAULT_WORKERS, () => Promise.resolve());
    await userEvent.click(screen.getByRole('button', { name: 'Add a person' }));
    expect(screen.getAllByLabelText('Name')).toHaveLength(DEFAULT_WORKERS.length + 1);
    await userEvent.click(screen.getByRole('button', { name: 'Leave as it was' }));
    expect(screen.getAllByLabelText('Name')).toHaveLength(DEFAULT_WORKERS.length);
  });

  it('cannot be kept without a name', async () => {
    open(DEFAULT_WORKERS, () => Promise.resolve());
    const name = screen.getAllByLabelText<HTMLInputElement>('Name')[0];
    if (name) await userEvent.clear(name);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save people' }).disabled).toBe(true);
    expect(name?.getAttribute('aria-invalid')).toBe('true');
  });

  it('tell that a night ends the next day', () => {
    const night: Worker = {
      id: 'night',
      name: 'Night',
      hours: [{ openMinute: 1320, closeMinute: 360 }, null, null, null, null, null, null],
    };
    open([night], () => Promise.resolve());
    expect(within(screen.getByRole('group', { name: /Hours of Night/ })).getByText(/next day/)).toBeTruthy();
  });
});
