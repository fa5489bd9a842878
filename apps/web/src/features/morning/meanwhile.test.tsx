import { describe, expect, it } from '@jest/globals';
import {
  DEFAULT_DISPLAY,
  type EarlyAnswer,
  type MorningSoFar,
  type PlaceRecord,
  type VehicleAnswer,
  type VehicleRecord,
  type Window,
} from '@keen/core';
import { screen } from '@testing-library/react';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { Meanwhile } from './meanwhile.js';

const NOW = Date.UTC(2026, 0, 14, 12);
const HOUR = 3_600_000;
const best = (inHours: number): Window =>
  ({
    placeId: 'bay',
    methodId: 'bay-touch-free',
    wayId: 'whole',
    startMs: NOW + inHours * HOUR,
    endMs: NOW + (inHours + 1) * HOUR,
    verdict: 'go',
    limiting: { ruleId: 'open-hours', level: 'clear', margin: null, unit: 'none', comfort: 1 },
    otherConditions: [],
    failures: null,
    extras: { jobIds: [] },
  }) as unknown as Window;
const soil = { upper: 1, lower: 2, wheels: 0, arches: 0, under: 0 };
const due = { daysLate: 2 } as EarlyAnswer['due'];
const VEHICLES = [
  { id: 'a', name: 'First car', bodyClass: 'hatch' },
  { id: 'b', name: 'Second car', bodyClass: 'saloon' },
] as VehicleRecord[];

function shown(soFar: MorningSoFar): void {
  madeUpServer(() => ({ body: { display: DEFAULT_DISPLAY, timeZone: 'UTC' } }));
  show(
    <Meanwhile
      soFar={soFar}
      progress={{ label: 'b', share: 0.5 }}
      vehicles={VEHICLES}
      places={[{ id: 'bay', name: 'Corner bay' }] as PlaceRecord[]}
      washes={[]}
      nowMs={NOW}
    />,
  );
}

describe('while the morning is worked out', () => {
  it('says of each car that is done what it has by itself', async () => {
    shown({ early: [{ vehicleId: 'a', due, soil, best: best(3) }], last: null });
    expect(await screen.findByText('First car')).toBeTruthy();
    expect(screen.getByText(/Corner bay/).textContent).toContain('15:00');
    expect(screen.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('50');
    expect(screen.queryByText(/As it was/)).toBeNull();
  });

  it('says so where none of its starts goes, and where to see why', () => {
    shown({ early: [{ vehicleId: 'a', due, soil, best: null }], last: null });
    expect(screen.getByText(/No start goes/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Why not' }).getAttribute('href')).toBe('/windows/a');
  });

  it('shows for the others what it said last, marked, and not to be planned from', async () => {
    const zones = [{ zone: 'underbody', loadGramsPerM2: 6, activeHours: 1 }];
    const answer = {
      vehicleId: 'b',
      standing: 'due',
      due,
      soil,
      zones,
      best: best(26),
    } as unknown as VehicleAnswer;
    const last = { nowMs: NOW - 20 * HOUR, source: 's', issuedMs: 0, memberCount: 1, answers: [answer] };
    shown({ early: [], last });
    expect(await screen.findByRole('heading', { name: /As it was on .*16:00.*again/ })).toBeTruthy();
    expect(screen.getByRole('heading', { name: /^Tomorrow/ })).toBeTruthy();
    expect(screen.getByRole('article', { name: 'Second car' })).toBeTruthy();
    const car = screen.getByRole('img', { name: /^Salt on Second car/ });
    expect(car.getAttribute('aria-label')).toContain('6.0 grams a square metre');
    expect(screen.queryByRole('button', { name: /^Plan it/ })).toBeNull();
  });
});
