import {
  type ByGroup,
  carLife,
  type CarZone,
  type CompiledHour,
  compileLife,
  learnPickUp,
  type LearntPickUp,
  type Method,
  MS_PER_HOUR,
  PLAIN_PICK_UP,
  runLedger,
  type SaltCourseDay,
  type SaltLedger,
  type SaltWash,
  shopMethods,
  soilByGroup,
  type SoilFacts,
  soilNow,
  type Surroundings,
  targetState,
  type TargetState,
  type ZoneSalt,
  type ZoneSoil,
} from '@keen/core';
import type { EngineSetting, EngineVehicle } from './engine-job.js';

/** One day of the season on one car. */
export interface SaltDay {
  readonly atMs: number;
  readonly activeHours: number;
  readonly zones: readonly ZoneSalt[];
}

/** A car brought up to the present: its ledger, what it picks up, how dirty it is. */
export interface CarState {
  readonly methods: readonly Method[];
  readonly washes: readonly SaltWash[];
  readonly past: readonly CompiledHour[];
  readonly ahead: readonly CompiledHour[];
  readonly ledger: SaltLedger;
  readonly pickUp: LearntPickUp;
  readonly days: readonly SaltDay[];
  readonly estimated: readonly ZoneSoil[];
  readonly soil: readonly ZoneSoil[];
  readonly soilByGroup: ByGroup;
  readonly lastWashMs: number | null;
  readonly lastContactMs: number | null;
  /** What its target has used up, and when it is reached. */
  readonly target: TargetState;
}

const MS_PER_DAY = 24 * MS_PER_HOUR;
const MS_PER_MINUTE = 60_000;
/** Local hour at which the day's salt is written down: before the morning's drive. */
const DAY_HOUR = 5;
/** Spots wash off with the months. */
const SPOTS_LAST_DAYS = 60;
/** Load from which a zone counts as under salt, g/m². */
const SALTED_GRAMS_PER_M2 = 0.3;
const NOTHING_LEARNT: LearntPickUp = { factor: 1, count: 0, checks: [] };

const latest = (washes: readonly { readonly atMs: number }[]): number | null =>
  washes.length > 0 ? Math.max(...washes.map(({ atMs }) => atMs)) : null;

function soilFacts(
  car: EngineVehicle,
  around: Surroundings,
  known: {
    zones: readonly ZoneSalt[];
    lastWashMs: number | null;
    lastContactMs: number | null;
    nowMs: number;
  },
): SoilFacts {
  const { nowMs, lastWashMs, lastContactMs } = known;
  const sinceMs = lastWashMs ?? car.knownSinceMs;
  const hours = around.hours
    .flatMap((hour, i) => (hour ? [{ hour, road: around.roads[i]?.main }] : []))
    .filter(({ hour }) => hour.atMs >= sinceMs && hour.atMs < nowMs);
  const wet = hours.filter(({ road }) => road && road.state !== 'dry' && road.state !== 'damp').length;
  const warmth = hours.reduce((sum, { hour }) => sum + hour.airTempC, 0);
  return {
    nowMs,
    zones: known.zones,
    daysSinceWash: (nowMs - sinceMs) / MS_PER_DAY,
    daysSinceContactWash: (nowMs - (lastContactMs ?? car.knownSinceMs)) / MS_PER_DAY,
    wetRoadShare: hours.length > 0 ? wet / hours.length : 0,
    meanAirC: hours.length > 0 ? warmth / hours.length : 0,
    spottedWashes: car.washes.filter(
      ({ isSpotted, atMs }) => isSpotted && atMs > nowMs - SPOTS_LAST_DAYS * MS_PER_DAY,
    ).length,
  };
}

const courseDay = ({ atMs, activeHours, zones }: SaltDay): SaltCourseDay => ({
  atMs,
  activeHours,
  isSalted: zones.some(({ loadGramsPerM2 }) => loadGramsPerM2 >= SALTED_GRAMS_PER_M2),
});

/** The days to come, if nobody washes it. */
function daysAhead(
  now: SaltLedger,
  hours: readonly CompiledHour[],
  hourOfDay: readonly number[],
): SaltCourseDay[] {
  const ledger = now.copy();
  const days: SaltCourseDay[] = [];
  hours.forEach((hour, i) => {
    ledger.step(hour);
    if (hourOfDay[i] === DAY_HOUR)
      days.push(courseDay({ atMs: hour.atMs, activeHours: ledger.activeHours, zones: ledger.zones() }));
  });
  return days;
}

/** Works a car's life through to the present. */
export function carState(car: EngineVehicle, setting: EngineSetting, around: Surroundings): CarState {
  const { vehicle } = car;
  const methods = shopMethods(setting.house, vehicle);
  const removesOf = new Map<string, ByGroup>(methods.map(({ id, removes }) => [id, removes]));
  const whole = new Set<string>(methods.filter(({ scope }) => scope === 'wash').map(({ id }) => id));
  const contacts = new Set<string>(methods.filter(({ contact }) => contact).map(({ id }) => id));
  const washes = car.washes.flatMap(({ atMs, methodId }): SaltWash[] => {
    const removes = removesOf.get(methodId);
    return removes ? [{ atMs, removes }] : [];
  });
  const standsAt = setting.places.find(({ id }) => id === vehicle.standsAtPlaceId) ?? null;
  const { driving, weekShares } = vehicle;
  const life = carLife({ driving, weekShares, standsAt, drives: car.drives }, around);
  const seasonHours = setting.weather.observed.length;
  const { drivesOn } = setting;
  // The present is told to the minute: what happened within it counts.
  const untilMs = setting.nowMs + MS_PER_MINUTE;
  const plain = compileLife(life, { ...PLAIN_PICK_UP, drivesOn });
  const pickUp =
    car.readings.length > 0
      ? learnPickUp(plain.slice(0, seasonHours), {
          washes,
          readings: car.readings,
          untilMs,
        })
      : NOTHING_LEARNT;
  const own = pickUp.factor === 1 ? plain : compileLife(life, { factor: pickUp.factor, drivesOn });
  const past = own.slice(0, seasonHours);
  const days: SaltDay[] = [];
  const ledger = runLedger(past, {
    washes,
    readings: car.readings,
    untilMs,
    onHour: (there, { atMs }) => {
      const i = Math.round((atMs - (past[0]?.atMs ?? atMs)) / MS_PER_HOUR);
      if (around.clock.hourOfDay[i] === DAY_HOUR)
        days.push({ atMs, activeHours: there.activeHours, zones: there.zones() });
    },
  });
  const lastWashMs = latest(car.washes.filter(({ methodId }) => whole.has(methodId)));
  const lastContactMs = latest(car.washes.filter(({ methodId }) => contacts.has(methodId)));
  const zones = ledger.zones();
  const facts = soilFacts(car, around, { zones, lastWashMs, lastContactMs, nowMs: setting.nowMs });
  const soil = soilNow(
    facts,
    car.looks.filter(({ atMs }) => atMs > (lastWashMs ?? 0)),
  );
  const ahead = own.slice(seasonHours);
  const sinceMs = lastWashMs ?? car.knownSinceMs;
  const course = [
    ...days.filter(({ atMs }) => atMs >= sinceMs).map(courseDay),
    ...daysAhead(ledger, ahead, around.clock.hourOfDay.slice(seasonHours)),
  ];
  const { cadenceDays } = vehicle;
  return {
    methods,
    washes,
    target: targetState(vehicle.target, { cadenceDays, course, sinceMs, nowMs: setting.nowMs }),
    past,
    ahead,
    ledger,
    pickUp,
    days,
    estimated: soilNow(facts),
    soil,
    soilByGroup: soilByGroup(soil),
    lastWashMs,
    lastContactMs,
  };
}

/** Days on which a zone carried salt, since an instant. */
export const saltDaysOn =
  ({ days }: Pick<CarState, 'days'>, zone: CarZone) =>
  (sinceMs: number): number =>
    days.filter(
      (day) =>
        day.atMs >= sinceMs &&
        (day.zones.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? 0) >= SALTED_GRAMS_PER_M2,
    ).length;
