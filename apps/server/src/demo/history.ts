import {
  cellDetail,
  CLEAN,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  localTime,
  inUsualWay,
  methodOf,
  EMPTY_SHELF,
  shopMethod,
  NightAir,
  type PanelId,
  type SeasonJobId,
  SPOTS_SHOW_MG_PER_M2,
  startOfHourMs,
  washCost,
  type WashFound,
  type WashRecord,
  type WeatherHour,
  MS_PER_DAY,
  MS_PER_MINUTE,
} from '@keen/core';
import { demoRun } from './runs.js';
import { DEMO_PLACES, DEMO_VEHICLES, DEMO_ZONE, type NamedPlace, type NamedVehicle } from './scenario.js';

/** Days since the last wash on the demo's morning, in the order of the vehicles. */
const DAYS_SINCE_LAST = [9, 7, 17, 6, 13, 16, 10, 25, 4, 14, 12, 21];
/** How the wanted cadence was kept, over and over. */
const CADENCE_KEPT = [1.1, 0.9, 1.25, 1, 0.85, 1.15];
const USUAL_START_HOURS = [13, 11, 14, 12, 10, 15];

interface Mistake {
  readonly vehicleId: string;
  readonly day: string;
  readonly hour: number;
  readonly placeId: string;
  readonly found: Partial<WashFound>;
}

/** What went wrong this season, and what was written down. */
const MISTAKES: readonly Mistake[] = [
  {
    vehicleId: 'black-suv',
    day: '2025-12-06',
    hour: 15,
    placeId: 'north-drive',
    found: { icePanels: ['roof'], note: 'Roof froze before the towel reached it. The wind was missed.' },
  },
  {
    vehicleId: 'black-saloon',
    day: '2025-11-23',
    hour: 12,
    placeId: 'north-drive',
    found: { spots: 'many', note: 'Sun came round the house; the bonnet dried with well water on it.' },
  },
  {
    vehicleId: 'silver-estate',
    day: '2025-12-11',
    hour: 12,
    placeId: 'beacon-touchless',
    found: { note: 'Third automatic wash in a row: the wax no longer beads.' },
  },
];

function usualPlace({ protection, bodyClass }: NamedVehicle, turn: number): string {
  if (protection === 'bare' || bodyClass === 'van')
    return turn % 2 === 0 ? 'pier-road-bay' : 'beacon-touchless';
  if (protection === 'wax') return turn % 3 === 2 ? 'home-garage' : 'heated-unit';
  return ['pier-road-bay', 'home-garage', 'pier-road-bay', 'heated-unit'][turn % 4] ?? 'pier-road-bay';
}

/** The instant of a local hour on the day of an instant. */
const atLocalHour = (dayMs: number, hour: number): number =>
  startOfHourMs(dayMs) + (hour * 60 - localTime(startOfHourMs(dayMs), DEMO_ZONE).minuteOfDay) * MS_PER_MINUTE;

/** What the engine says happened in the weather that was measured. */
function foundFor(
  vehicle: NamedVehicle,
  place: NamedPlace,
  startMs: number,
  hours: readonly WeatherHour[],
): WashFound {
  const fromMs = hours[0]?.atMs ?? startMs;
  const methodId = place.methods[0]?.methodId ?? 'bay-touch-free';
  const control = { fromMs, hours };
  const { judgement } = cellDetail(
    {
      vehicle,
      place,
      methodId,
      limits: DEFAULT_LIMITS,
      house: DEFAULT_HOUSE,
      shelf: EMPTY_SHELF,
      soil: CLEAN,
      night: new NightAir(null, control),
      roadAhead: null,
      control,
    },
    startMs,
  );
  const ice = judgement.findings.find(({ ruleId }) => ruleId === 'ice-on-car');
  const spots = judgement.findings.find(({ ruleId }) => ruleId === 'spots');
  const icePanels: PanelId[] = ice?.level === 'block' && ice.panel ? [ice.panel] : [];
  const spotted =
    spots?.level === 'block' && (spots.actual ?? 0) > SPOTS_SHOW_MG_PER_M2[vehicle.paintTone] * 0.5;
  return {
    icePanels,
    spots: spotted ? 'few' : 'none',
    leftovers: methodOf(methodId).contact ? '' : 'Film on the lower rear.',
    note: '',
  };
}

function washAt(
  vehicle: NamedVehicle,
  turn: number,
  startMs: number,
  hours: readonly WeatherHour[],
): WashRecord {
  const day = new Date(startMs).toISOString().slice(0, 10);
  const mistake = MISTAKES.find((row) => row.vehicleId === vehicle.id && row.day === day);
  const placeId = mistake?.placeId ?? usualPlace(vehicle, turn);
  const place = DEMO_PLACES.find(({ id }) => id === placeId);
  const offer = place?.methods[0];
  if (!place || !offer) throw new Error(`demo history: no place ${placeId}`);
  // Every other wash was run step by step.
  const run = turn % 2 === 1 ? demoRun(offer.methodId, vehicle, startMs / MS_PER_DAY) : null;
  const minutes = Math.round(
    run
      ? run.steps.reduce((sum, step) => sum + step.minutes, methodOf(offer.methodId).setUpMinutes)
      : methodOf(offer.methodId).minutes * (0.9 + ((turn * 7 + vehicle.id.length) % 5) * 0.08),
  );
  return {
    id: `${vehicle.id}-${day}`,
    vehicleId: vehicle.id,
    placeId,
    methodId: offer.methodId,
    status: 'done',
    startMs,
    minutes,
    workerId: 'owner',
    isLocked: false,
    startedMs: null,
    extras: extrasOn(vehicle, placeId, day),
    costMinor: washCost(place, methodOf(offer.methodId)).totalMinor,
    predicted: null,
    found: { ...foundFor(vehicle, place, startMs, hours), ...mistake?.found, ...(run ? { run } : {}) },
  };
}

/** Before winter undersides were done in the bay; a few got their foam then, so that it is not due yet. */
function extrasOn(vehicle: NamedVehicle, placeId: string, day: string): readonly SeasonJobId[] {
  if (placeId !== 'pier-road-bay') return [];
  const isFoamed = vehicle.keeper === 'The shop' || vehicle.protection === 'coating';
  if (day < '2025-12-01') return isFoamed ? ['underbody', 'anti-corrosion'] : ['underbody'];
  return day >= '2026-01-05' && isFoamed ? ['underbody'] : [];
}

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
      washAt(vehicle, turn, startMs, hours),
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
