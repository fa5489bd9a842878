import {
  DEFAULT_HOUSE,
  inUsualWay,
  shopMethod,
  type WashRecord,
  type WeatherHour,
  MS_PER_DAY,
} from '@keen/core';
import { DEMO_VEHICLES, type NamedVehicle } from './scenario.js';
import { MISTAKES, atLocalHour, washAt } from './washed.js';

/** Days since the last wash on the demo's morning, in the order of the vehicles. */
const DAYS_SINCE_LAST = [9, 7, 17, 6, 13, 16, 10, 25, 4, 14, 12, 21];

/** How the wanted cadence was kept, over and over. */
const CADENCE_KEPT = [1.1, 0.9, 1.25, 1, 0.85, 1.15];

const USUAL_START_HOURS = [13, 11, 14, 12, 10, 15];

function startsOf(
  vehicle: NamedVehicle,
  index: number,
  span: { nowMs: number; seasonStartMs: number },
): number[] {
  const starts: number[] = [];
  let dayMs = span.nowMs - (DAYS_SINCE_LAST[index] ?? 7) * MS_PER_DAY;
  for (let turn = 0; dayMs > span.seasonStartMs + 2 * MS_PER_DAY; turn += 1) {
    starts.push(atLocalHour(dayMs, USUAL_START_HOURS[(index + turn) % USUAL_START_HOURS.length] ?? 12));
    dayMs -= vehicle.cadenceDays * (CADENCE_KEPT[(index + turn) % CADENCE_KEPT.length] ?? 1) * MS_PER_DAY;
  }
  const wrong = MISTAKES.filter(({ vehicleId }) => vehicleId === vehicle.id).map(({ day, hour }) =>
    atLocalHour(Date.parse(`${day}T12:00:00Z`), hour),
  );
  const kept = starts.filter((startMs) => wrong.every((other) => Math.abs(other - startMs) > 2 * MS_PER_DAY));
  return [...kept, ...wrong].sort((a, b) => a - b);
}

/** Two automatic washes that led up to the third. */
function automaticRun(): WashRecord[] {
  const rows = ['2025-12-01', '2025-12-06'];
  return rows.map((day) => ({
    id: `silver-estate-${day}`,
    vehicleId: 'silver-estate',
    placeId: 'beacon-touchless',
    methodId: 'touchless-automatic',
    status: 'done',
    startMs: atLocalHour(Date.parse(`${day}T12:00:00Z`), 12),
    minutes: 10,
    workerId: 'owner',
    isLocked: false,
    startedMs: null,
    extras: [],
    costMinor: 1300,
    predicted: null,
    found: { icePanels: [], spots: 'none', leftovers: 'Film on the lower rear.', note: '' },
  }));
}

/**
 * The season's washes of the demo, with its mistakes; what was found follows from the measured weather.
 *
 * @param hours measured hours of the season
 */
export function demoHistory(hours: readonly WeatherHour[], nowMs: number): WashRecord[] {
  const seasonStartMs = hours[0]?.atMs ?? nowMs;
  const washes = DEMO_VEHICLES.flatMap((vehicle, index) =>
    startsOf(vehicle, index, { nowMs, seasonStartMs }).map((startMs, turn) =>
      washAt(vehicle, turn, { startMs, hours }),
    ),
  );
  return [...washes, ...automaticRun()].filter(
    (wash, i, all) => all.findIndex(({ id }) => id === wash.id) === i,
  );
}

/** One wash that is planned already. */
export function demoPlans(nowMs: number): WashRecord[] {
  const orangeHatch = DEMO_VEHICLES.find(({ id }) => id === 'orange-hatch');
  return [
    {
      id: 'orange-hatch-planned',
      vehicleId: 'orange-hatch',
      placeId: 'heated-unit',
      methodId: 'garage-rinseless',
      status: 'planned',
      startMs: atLocalHour(nowMs + MS_PER_DAY, 15),
      minutes: inUsualWay(shopMethod('garage-rinseless', DEFAULT_HOUSE, orangeHatch)).minutes,
      workerId: 'owner',
      isLocked: true,
      startedMs: null,
      extras: [],
      costMinor: null,
      predicted: null,
      found: null,
    },
  ];
}
