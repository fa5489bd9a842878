import { describe, expect, it, jest } from '@jest/globals';
import { DEFAULT_DISPLAY, type VehicleAnswer, type VehicleRecord } from '@keen/core';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { VehicleCard } from './vehicle-card.js';

const CAR = {
  id: 'a',
  name: 'Blue hatch',
  keeper: 'Tamsin Roe',
  bodyClass: 'hatch',
  protection: 'sealant',
  waterBehaviour: 'beading',
  standsAtPlaceId: null,
  driving: { mainRoadKm: 10, townKm: 8, bridgeKm: 4 },
  notes: 'Tow bar rusts.',
  target: { kind: 'days' },
  cadenceDays: 14,
} as unknown as VehicleRecord;

function card(answer?: Partial<VehicleAnswer>) {
  madeUpServer(({ path }) =>
    path.endsWith('/settings') ? { body: { display: DEFAULT_DISPLAY, timeZone: 'Etc/UTC' } } : undefined,
  );
  const acts = { onEdit: jest.fn(), onDelete: jest.fn() };
  show(
    <VehicleCard
      vehicle={CAR}
      answer={answer as VehicleAnswer | undefined}
      washes={[]}
      places={[]}
      {...acts}
    />,
  );
  return acts;
}

describe('the card of a car', () => {
  it('says how it is kept before its morning is known', () => {
    card();
    expect(
      screen.getByText(/Sealant, water beads; every 14 days; parked overnight in the street; 22 km a day/i),
    ).toBeTruthy();
    expect(screen.getByText('Tow bar rusts.')).toBeTruthy();
    expect(screen.queryByText(/late|due/)).toBeNull();
  });

  it('then when it is due, what keeps it waiting, and the salt on it', () => {
    card({
      standing: 'no-window',
      best: null,
      reason: null,
      due: { daysLate: 3, isLastWashKnown: true } as VehicleAnswer['due'],
      zones: [{ zone: 'roof', loadGramsPerM2: 2, activeHours: 1 }],
    });
    expect(screen.getByText('3 days late')).toBeTruthy();
    expect(screen.getByText('nothing goes in the coming days')).toBeTruthy();
    expect(screen.getByRole('img', { name: /Salt on Blue hatch:.*roof 2.0 grams/i })).toBeTruthy();
  });

  it('leads to its windows, and has the rest in one menu', async () => {
    const { onEdit, onDelete } = card();
    expect(screen.getByRole('link', { name: 'Windows of Blue hatch' }).getAttribute('href')).toBe(
      '/windows/a',
    );
    const more = screen.getByRole('button', { name: 'More about Blue hatch' });
    await userEvent.click(more);
    expect((await screen.findByRole('menuitem', { name: 'Salt' })).getAttribute('href')).toBe('/salt/a');
    await userEvent.click(screen.getByRole('menuitem', { name: 'Edit' }));
    expect(onEdit).toHaveBeenCalledTimes(1);
    await userEvent.click(more);
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Delete' }));
    expect(onDelete).toHaveBeenCalledTimes(1);
  });
});
