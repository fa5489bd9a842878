import { describe, expect, it, jest } from '@jest/globals';
import { DEFAULT_DISPLAY, type PlaceRecord, type VehicleRecord, type WashRecord } from '@keen/core';
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { makeFormat } from '../../format/format.js';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { OneVisit } from './one-visit.js';
import type { Block } from './plan-view.js';
import { afterwardsMs, companions } from './visit-view.js';
import type { WashPanelProps } from './wash-panel-props.js';

const format = makeFormat(DEFAULT_DISPLAY, 'UTC', 'en-CA');
const NINE = Date.UTC(2026, 0, 14, 9);
const HOUR = 3_600_000;
const wash = (id: string, startMs: number, change: Partial<WashRecord> = {}): WashRecord =>
  ({
    id,
    vehicleId: `car-${id}`,
    placeId: 'unit',
    methodId: 'garage-rinseless',
    status: 'planned',
    startMs,
    minutes: 70,
    startedMs: null,
    visit: null,
    ...change,
  }) as WashRecord;
const PLACES = [
  { id: 'unit', name: 'Unit', carsAtOnce: 2, travelMinutes: 10 },
  { id: 'small', name: 'Small', carsAtOnce: 1, travelMinutes: 0 },
] as unknown as PlaceRecord[];
const VEHICLES = ['a', 'b', 'c'].map((id) => ({ id: `car-${id}`, name: `Car ${id}` })) as VehicleRecord[];
const a = wash('a', NINE);

describe('washes that could be done in one visit', () => {
  const around = { places: PLACES, format };
  it.each([
    { name: 'another car that day, there', other: wash('b', NINE + 4 * HOUR), is: true },
    { name: 'the same car', other: wash('b', NINE + 4 * HOUR, { vehicleId: 'car-a' }), is: false },
    { name: 'the day after', other: wash('b', NINE + 24 * HOUR), is: false },
    { name: 'another place', other: wash('b', NINE, { placeId: 'small' }), is: false },
    { name: 'one that has started', other: wash('b', NINE, { startedMs: NINE }), is: false },
    { name: 'one in a visit', other: wash('b', NINE, { visit: { withId: 'c', minutes: 9 } }), is: false },
  ])('$name: $is', ({ other, is }) => {
    expect(companions(a, { planned: [a, other] }, around)).toEqual(is ? [other] : []);
  });

  it('are none at a place for one car, and none once it has started', () => {
    const [there, here] = [wash('b', NINE, { placeId: 'small' }), wash('a', NINE, { placeId: 'small' })];
    expect(companions(here, { planned: [here, there] }, around)).toEqual([]);
    expect(companions({ ...a, startedMs: NINE }, { planned: [wash('b', NINE)] }, around)).toEqual([]);
  });

  it('are done one after the other, both ways and the rest between', () => {
    const [unit] = PLACES;
    if (!unit) throw new Error('no place');
    expect(afterwardsMs(a, unit, 5) - NINE).toBe(100 * 60_000);
  });
});

describe('one visit of two cars', () => {
  const open = (chosen: WashRecord, planned: readonly WashRecord[]) => {
    madeUpServer(({ path }) =>
      path.endsWith('/settings') ? { body: { house: { numbers: { restMinutes: 0 } } } } : undefined,
    );
    const onTogether = jest.fn<WashPanelProps['onTogether']>();
    const onApart = jest.fn<WashPanelProps['onApart']>();
    const props = {
      block: { wash: chosen } as Block,
      view: { planned } as unknown as WashPanelProps['view'],
      places: PLACES,
      vehicles: VEHICLES,
      format,
      onTogether,
      onApart,
    } as unknown as WashPanelProps;
    show(<OneVisit {...props} />);
    return { onTogether, onApart };
  };

  it('is made by choosing the other car', async () => {
    const b = wash('b', NINE + 4 * HOUR);
    const { onTogether } = open(a, [a, b]);
    fireEvent.click(screen.getByRole('combobox', { name: 'In one visit with' }));
    fireEvent.click(await screen.findByText('Car b, 13:00'));
    expect(onTogether).toHaveBeenCalledWith(expect.objectContaining({ wash: a }), b);
  });

  it('says who with, how long, and where both are prepared; and is taken apart', async () => {
    const [one, two] = [
      wash('a', NINE, { visit: { withId: 'b', minutes: 110 } }),
      wash('b', NINE, { visit: { withId: 'a', minutes: 110 } }),
    ];
    const { onApart } = open(one, [one, two]);
    expect(screen.getByText(/In one visit with/).textContent).toMatch(/Car b: 110 min for both/);
    expect(screen.getByRole('link').getAttribute('href')).toBe('/round?of=a,b');
    await userEvent.click(screen.getByRole('button', { name: 'Wash it by itself, after the other' }));
    expect(onApart).toHaveBeenCalledWith(expect.objectContaining({ wash: one }), NINE + 100 * 60_000);
  });

  it('is not offered where there is nobody to share it with', () => {
    open(a, [a]);
    expect(screen.queryByRole('combobox')).toBeNull();
  });
});
