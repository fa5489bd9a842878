import { describe, expect, it, jest } from '@jest/globals';
import { DEFAULT_DISPLAY, type PlaceRecord, type PlanView, type VehicleRecord } from '@keen/core';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { makeFormat } from '../../format/format.js';
import { show } from '../../testing/show.js';
import { Proposal } from './proposal.js';
import { UnplannedList } from './unplanned.js';

const format = makeFormat(DEFAULT_DISPLAY, 'America/Toronto', 'en-CA');
const at = (text: string): number => Date.parse(`${text}:00-05:00`);
const CARS = ['Black saloon', 'Grey SUV', 'White van'];
const vehicles = CARS.map((name, i) => ({ id: `car-${i}`, name })) as unknown as VehicleRecord[];
const places = [{ id: 'bay', name: 'Pier Road bay' }] as unknown as PlaceRecord[];
const slot = (car: number, start: string, extras: readonly string[] = []) => ({
  vehicleId: `car-${car}`,
  placeId: 'bay',
  methodId: 'bay-contact',
  startMs: at(start),
  extras,
});
const ADD = {
  id: 'one',
  kind: 'add',
  after: slot(0, '2026-01-15T10:00', ['underbody']),
  against: null,
  heldUpBy: null,
};
const MOVE = {
  id: 'two',
  kind: 'move',
  before: slot(1, '2026-01-15T12:00'),
  after: slot(1, '2026-01-16T09:00'),
  against: null,
  heldUpBy: null,
};
const DROP = {
  id: 'three',
  kind: 'drop',
  before: slot(2, '2026-01-15T14:00'),
  against: null,
  heldUpBy: null,
};

describe('what the plan proposes', () => {
  const open = (
    changes: readonly object[],
    onAccept = jest.fn((_ids: readonly string[]) => undefined),
    isNarrow = false,
  ) => {
    show(
      <Proposal
        view={{ changes } as unknown as PlanView}
        places={places}
        vehicles={vehicles}
        format={format}
        onAccept={onAccept}
        isBusy={false}
        isNarrow={isNarrow}
      />,
    );
    return onAccept;
  };
  const lines = (): string[] => screen.getAllByRole('listitem').map(({ textContent }) => textContent);

  it('lists change by change, with its work of the season and why', () => {
    open([ADD, MOVE, DROP]);
    const [add, move, drop] = lines();
    expect(add).toMatch(
      /^Black saloon: add Thu, Jan 15, 10:00, Pier Road bay, self-serve, by hand, with underbody$/,
    );
    expect(move).toMatch(
      /^Grey SUV: move from .*12:00.* to .*Fri, Jan 16, 09:00.* · The new start is worth more\.$/,
    );
    expect(drop).toMatch(/^White van: drop .*14:00.* · Other cars need the hours more\.$/);
  });

  it('says which wash runs late where that is why', () => {
    open([{ ...MOVE, heldUpBy: 'car-2' }]);
    expect(lines()[0]).toContain('The wash of the White van runs late.');
  });

  it('is accepted as a whole', async () => {
    const onAccept = open([ADD, MOVE, DROP]);
    await userEvent.click(screen.getByRole('button', { name: 'Accept all' }));
    expect(onAccept).toHaveBeenCalledWith(['one', 'two', 'three']);
  });

  it('or in part; what was left out can be taken in again', async () => {
    const onAccept = open([ADD, MOVE, DROP]);
    await userEvent.click(screen.getByRole('checkbox', { name: /Grey SUV/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Accept 2' }));
    expect(onAccept).toHaveBeenLastCalledWith(['one', 'three']);
    await userEvent.click(screen.getByRole('checkbox', { name: /Grey SUV/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Accept all' }));
    expect(onAccept).toHaveBeenLastCalledWith(['one', 'two', 'three']);
  });

  it('cannot be accepted where nothing of it is wanted', async () => {
    open([ADD]);
    await userEvent.click(screen.getByRole('checkbox', { name: /Black saloon/ }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Accept 0' }).disabled).toBe(true);
  });

  it.each([
    { isNarrow: true, shown: 4 },
    { isNarrow: false, shown: 8 },
  ])('shows $shown at first, and accepts those too that are folded away', async ({ isNarrow, shown }) => {
    const many = Array.from({ length: 11 }, (_, i) => ({ ...ADD, id: `add-${i}` }));
    const onAccept = open(many, undefined, isNarrow);
    expect(lines()).toHaveLength(shown);
    await userEvent.click(screen.getByRole('button', { name: 'Accept all' }));
    expect(onAccept.mock.calls[0]?.[0]).toHaveLength(11);
    await userEvent.click(screen.getByRole('button', { name: `Show ${11 - shown} more` }));
    expect(lines()).toHaveLength(11);
  });

  it('is nothing where the plan stands as it is', () => {
    open([]);
    expect(screen.queryByRole('region', { name: 'Proposed changes' })).toBeNull();
  });
});

describe('what stands in no plan', () => {
  const NOW = at('2026-01-14T06:40');
  const left = (change: object = {}, period: object = {}) => ({
    vehicleId: 'car-0',
    period: { index: 0, readyByMs: null, ...period },
    reason: { kind: 'room' },
    hurtsMs: at('2026-01-18T12:00'),
    ...change,
  });
  const open = (unplanned: readonly object[], takenId: string | null = null) => {
    const onTake = jest.fn();
    show(
      <UnplannedList
        view={{ unplanned, nowMs: NOW } as unknown as PlanView}
        vehicles={vehicles}
        format={format}
        takenId={takenId}
        onTake={onTake}
      />,
    );
    return onTake;
  };

  it.each([
    { row: left(), says: /late from Sun, Jan 18$/ },
    { row: left({ hurtsMs: NOW }), says: /late already$/ },
    { row: left({ hurtsMs: NOW + 1 }), says: /late from Wed, Jan 14$/ },
    {
      row: left({}, { readyByMs: at('2026-01-15T17:00') }),
      says: /booked for Thu, Jan 15, 17:00.*the booking would be missed$/,
    },
    { row: left({}, { index: 1 }), says: /the wash after next/ },
  ])('says from when it hurts: $says', ({ row, says }) => {
    open([row]);
    expect(screen.getByRole('listitem').querySelector('span')?.textContent).toMatch(says);
  });

  it('can be placed by hand', async () => {
    const onTake = open([left()]);
    await userEvent.click(screen.getByRole('button', { name: /^Place by hand: / }));
    expect(onTake).toHaveBeenCalledWith('car-0');
  });

  it('says what to do once it is taken', () => {
    open([left()], 'car-0');
    expect(screen.getByRole('button', { name: /^Choose a start on the board: / })).toBeTruthy();
  });

  it('is not there where everything is planned', () => {
    open([]);
    expect(screen.queryByText('Not in the plan')).toBeNull();
  });
});
