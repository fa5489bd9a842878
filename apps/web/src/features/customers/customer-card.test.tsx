import { describe, expect, it } from '@jest/globals';
import type { BookingRecord, Customer, UnsentMessage, VehicleRecord, WashRecord } from '@keen/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { CustomerList } from './customer-list.js';
import { byPromise, carsOf, expectsText, unsentCount } from './customer-view.js';

const NOW = Date.parse('2026-01-14T06:40:00-05:00');
const HOUR = 3_600_000;
const customer = (id: string, name: string): Customer => ({
  id,
  name,
  contact: '555-0100',
  notes: '',
  photoConsent: 'none',
  consentMs: null,
  availability: null,
});
const ANN = customer('ann', 'Ann Arbour');
const ZOE = customer('zoe', 'Zoe Quill');
const car = (id: string, customerId: string): VehicleRecord =>
  ({ id, name: `Car ${id}`, customerId }) as VehicleRecord;
const wash = (vehicleId: string, status: 'planned' | 'done', startMs: number): WashRecord =>
  ({ id: `${vehicleId}-${startMs}`, vehicleId, status, startMs }) as WashRecord;
const booking = (vehicleId: string, readyByMs: number): BookingRecord =>
  ({ id: `b-${vehicleId}`, vehicleId, readyByMs }) as BookingRecord;
const AROUND = {
  vehicles: [car('a', 'ann'), car('z', 'zoe')],
  bookings: [booking('z', NOW + 5 * HOUR), booking('a', NOW - HOUR)],
  washes: [
    wash('a', 'done', NOW - 90 * HOUR),
    wash('a', 'done', NOW - 50 * HOUR),
    wash('z', 'planned', NOW + HOUR),
  ],
  unsent: [{ customerId: 'zoe' }, { customerId: 'zoe' }] as unknown as readonly UnsentMessage[],
  nowMs: NOW,
};
const format = {
  dayTime: (atMs: number) => `${(atMs - NOW) / HOUR} h`,
  dayShort: (atMs: number) => `day ${(atMs - NOW) / HOUR}`,
};

describe('a customer at a glance', () => {
  it('has for each car the promise that is still to come, the next wash and the last', () => {
    expect(carsOf(ZOE, AROUND)).toEqual([
      { id: 'z', name: 'Car z', promisedMs: NOW + 5 * HOUR, plannedMs: NOW + HOUR, lastWashMs: null },
    ]);
    expect(carsOf(ZOE, AROUND).map((one) => expectsText(one, format))).toEqual([
      'promised by 5 h; planned 1 h',
    ]);
    expect(carsOf(ANN, AROUND).map((one) => expectsText(one, format))).toEqual([
      'nothing planned; last washed day -50',
    ]);
    const unplanned = { ...AROUND, washes: [] };
    expect(carsOf(ZOE, unplanned).map((one) => expectsText(one, format))).toEqual([
      'promised by 5 h; no wash planned for it yet',
    ]);
  });

  it('stands before others where somebody waits for a promise', () => {
    expect(byPromise([ANN, ZOE], AROUND).map(({ id }) => id)).toEqual(['zoe', 'ann']);
    expect(byPromise([ZOE, ANN], { ...AROUND, bookings: [] }).map(({ id }) => id)).toEqual(['ann', 'zoe']);
    expect([unsentCount(ZOE, AROUND), unsentCount(ANN, AROUND)]).toEqual([2, 0]);
  });
});

describe('a customer who is to be erased', () => {
  const opened = () => {
    const sent = madeUpServer(({ path }) =>
      path.endsWith('/everything') ? { body: { madeMs: NOW, records: {} } } : undefined,
    );
    show(<CustomerList customers={[ANN]} vehicles={[]} />);
    return sent;
  };
  const open = async (): Promise<HTMLElement> => {
    await userEvent.click(screen.getByRole('button', { name: 'More about Ann Arbour' }));
    await userEvent.click(await screen.findByRole('menuitem', { name: /Erase for good/ }));
    return screen.findByRole('dialog', { name: 'Erase Ann Arbour for good' });
  };

  it('is named once more first; another name erases nobody', async () => {
    const sent = opened();
    const dialog = await open();
    await userEvent.type(within(dialog).getByLabelText('Type the name to erase it'), 'Ann');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Erase for good' }));
    expect(await within(dialog).findByText('Type Ann Arbour as it is written here.')).toBeTruthy();
    expect(sent).toEqual([]);
    await userEvent.type(within(dialog).getByLabelText('Type the name to erase it'), ' Arbour');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Erase for good' }));
    await waitFor(() => expect(sent).toMatchObject([{ method: 'DELETE' }]));
    expect(sent[0]?.path).toMatch(/customers\/ann\/everything$/);
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });
});
