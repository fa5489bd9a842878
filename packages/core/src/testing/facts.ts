import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { EMPTY_SHELF } from '../kit/index.js';
import type { DoneWash } from '../log/index.js';
import { DEFAULT_PRICES, type Worker } from '../plan/index.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { DEFAULT_SEASON } from '../season/index.js';
import type { OfCar, PlanNotes } from '../shop/index.js';
import { COLD_LAKE_PORT, simulateWeather, startOfHourMs, type WeatherHour } from '../weather/index.js';
import { BAY, everyDay, HEATED_UNIT, VEHICLE } from './shop.js';

/** A winter morning before work. */
export const NOW_MS = Date.parse('2026-01-14T06:40:00-05:00');
export const THIS_HOUR_MS = startOfHourMs(NOW_MS);
const PAST_HOURS = 24 * 12;
const AHEAD_HOURS = 200;
export const SEASON_MS = THIS_HOUR_MS - PAST_HOURS * MS_PER_HOUR;

/** The made-up winter, another for each seed. */
export const winter = (fromMs: number, hourCount: number, seed = 1): WeatherHour[] =>
  simulateWeather({ climate: COLD_LAKE_PORT, seed, fromMs, hourCount });

/** A wash that was done so many hours ago. */
export const washAgo = (hours: number, change: Partial<DoneWash> = {}): DoneWash => ({
  methodId: 'garage-hose',
  startMs: NOW_MS - hours * MS_PER_HOUR,
  minutes: 60,
  extras: [],
  found: { spots: 'none' },
  ...change,
});

/** A shop with a heated unit and a bay, and one car that was washed five days ago. */
export const FACTS: OfCar = {
  places: [HEATED_UNIT, BAY],
  limits: DEFAULT_LIMITS,
  prices: DEFAULT_PRICES,
  house: DEFAULT_HOUSE,
  shelf: EMPTY_SHELF,
  drivesOn: 'right',
  season: DEFAULT_SEASON,
  timeZone: 'America/Toronto',
  treatments: [],
  nowMs: NOW_MS,
  weather: {
    stamp: 'base',
    seasonMs: SEASON_MS,
    fromMs: THIS_HOUR_MS,
    roadSights: [],
    observed: winter(SEASON_MS, PAST_HOURS),
    control: winter(THIS_HOUR_MS, AHEAD_HOURS),
    members: [],
  },
  car: {
    vehicle: { ...VEHICLE, driving: { mainRoadKm: 40, townKm: 10, bridgeKm: 2 } },
    knownSinceMs: SEASON_MS,
    washedBefore: null,
    availability: null,
    washes: [washAgo(120)],
    drives: [],
    readings: [],
    looks: [],
  },
};

export const ofCar = (change: Partial<OfCar['car']>): OfCar => ({
  ...FACTS,
  car: { ...FACTS.car, ...change },
});

const OWNER: Worker = { id: 'owner', name: 'Owner', hours: everyDay(480, 1080) };

/** One pair of hands, and nothing planned. */
export const NOTES: PlanNotes = {
  workers: [OWNER],
  fixed: [],
  movable: [],
  busy: [],
  bookings: [],
  stock: {},
};
