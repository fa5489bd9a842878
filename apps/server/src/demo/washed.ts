import {
  cellDetail,
  CLEAN,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  localTime,
  methodOf,
  EMPTY_SHELF,
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
import { DEMO_PLACES, DEMO_ZONE, type NamedPlace, type NamedVehicle } from './scenario.js';

interface Mistake {
  readonly vehicleId: string;
  readonly day: string;
  readonly hour: number;
  readonly placeId: string;
  readonly found: Partial<WashFound>;
}

/** What went wrong this season, and what was written down. */
export const MISTAKES: readonly Mistake[] = [
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

/** The instant of a local hour on the day of an instant. */
export const atLocalHour = (dayMs: number, hour: number): number =>
  startOfHourMs(dayMs) + (hour * 60 - localTime(startOfHourMs(dayMs), DEMO_ZONE).minuteOfDay) * MS_PER_MINUTE;

/** When a wash began, and the weather of the season. */
interface InWeather {
  readonly startMs: number;
  readonly hours: readonly WeatherHour[];
}

/** What the engine says happened in the weather that was measured. */
function foundFor(vehicle: NamedVehicle, place: NamedPlace, { startMs, hours }: InWeather): WashFound {
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

export function washAt(vehicle: NamedVehicle, turn: number, { startMs, hours }: InWeather): WashRecord {
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
    found: { ...foundFor(vehicle, place, { startMs, hours }), ...mistake?.found, ...(run ? { run } : {}) },
  };
}

/** Before winter undersides were done in the bay; a few got their foam then, so that it is not due yet. */
function extrasOn(vehicle: NamedVehicle, placeId: string, day: string): readonly SeasonJobId[] {
  if (placeId !== 'pier-road-bay') return [];
  const isFoamed = vehicle.keeper === 'The shop' || vehicle.protection === 'coating';
  if (day < '2025-12-01') return isFoamed ? ['underbody', 'anti-corrosion'] : ['underbody'];
  return day >= '2026-01-05' && isFoamed ? ['underbody'] : [];
}

export function usualPlace({ protection, bodyClass }: NamedVehicle, turn: number): string {
  if (protection === 'bare' || bodyClass === 'van')
    return turn % 2 === 0 ? 'pier-road-bay' : 'beacon-touchless';
  if (protection === 'wax') return turn % 3 === 2 ? 'home-garage' : 'heated-unit';
  return ['pier-road-bay', 'home-garage', 'pier-road-bay', 'heated-unit'][turn % 4] ?? 'pier-road-bay';
}
