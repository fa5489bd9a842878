import { type DoneWash, type WashEffect, washEffect, workAmongSteps } from '../log/index.js';
import { type Fittings, fittingsOf, isMethodId, type Method, PLAIN_FITTINGS } from '../method/index.js';
import { withoutPrices } from '../kit/index.js';
import { methodsWithWork, plainMethods } from '../verdict/index.js';
import { type TargetState, targetState } from '../plan/index.js';
import { type CoatEvent, protectionsAfter } from '../protection/index.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import { type CompiledHour, type SaltLedger, type Surroundings, runLedger } from '../salt/index.js';
import { shopSeasonJobs } from '../season/index.js';
import { type ZoneSoil, soilByGroup, soilNow } from '../soil/index.js';
import { type ByGroup, type CarZone, type Vehicle } from '../vehicle/index.js';
import { startOfHourMs } from '../weather/index.js';
import type { Keeper } from './keeper.js';
import { courseDay, DAY_HOUR, daysAhead, SALTED_GRAMS_PER_M2, type SaltDay } from './salt-days.js';
import { roadFacts, surroundingsOf } from './roads.js';
import { type CarFacts, type OfCar, standsAt } from './shop-facts.js';
import { coatEvent, isStillThere, latest, soilFacts } from './since-washes.js';
import { washBefore } from './wash-before.js';
import { type CarCase, livedHours, type LivedHours } from './lived-hours.js';

/** A car brought up to the present: its ledger, what it picks up, how dirty it is. */
export interface CarState extends LivedHours {
  /** With its protection as the washes since have left it. */
  readonly vehicle: Vehicle;
  readonly methods: readonly Pick<Method, 'id' | 'removes'>[];
  /** What each done wash changed, by the steps that were done; in the order of the record, the one before the log first. */
  readonly washes: readonly WashEffect[];
  /** What of that became of its protection. */
  readonly coatEvents: readonly CoatEvent[];
  readonly ledger: SaltLedger;
  readonly days: readonly SaltDay[];
  readonly estimated: readonly ZoneSoil[];
  readonly soil: readonly ZoneSoil[];
  readonly soilByGroup: ByGroup;
  readonly lastWashMs: number | null;
  /** False: nobody has said when it was washed, and the last wash is assumed. */
  readonly isLastWashKnown: boolean;
  readonly lastContactMs: number | null;
  /** What its target has used up, and when it is reached. */
  readonly target: TargetState;
}

/** A car's state by the hour: what happened since it began counts, and time moves on with the next. */
export function carStateOf(question: OfCar, keep: Keeper): CarState {
  const { car, house, limits, shelf, season, drivesOn } = question;
  const inputs = {
    car,
    house,
    limits,
    // A price changes nothing that was done.
    shelf: withoutPrices(shelf),
    season,
    drivesOn,
    standsAt: standsAt(question),
    fittings: Object.fromEntries(question.places.map((place) => [place.id, fittingsOf(place)])),
    nowMs: startOfHourMs(question.nowMs),
    ...roadFacts(question),
  };
  return keep.of('car-state', inputs, (known) => carState(known, surroundingsOf(known, keep)));
}

/** What this shop's ways do to the car, and what each wash of the record did. */
function waysAndWashes(setting: CarCase): Pick<CarState, 'methods' | 'washes' | 'isLastWashKnown'> {
  const { vehicle, washes, washedBefore } = setting.car;
  const methodsWith = methodsWithWork({ ...setting, vehicle });
  const rows = shopSeasonJobs(setting.season);
  const there = ({ placeId = '' }: DoneWash): Fittings => setting.fittings[placeId] ?? PLAIN_FITTINGS;
  const methods = plainMethods({ ...setting, vehicle }, methodsWith);
  const logged = washes.flatMap((wash) =>
    isMethodId(wash.methodId)
      ? [washEffect(wash, methodsWith(workAmongSteps(wash, rows), there(wash))(wash.methodId, null))]
      : [],
  );
  const before = washBefore(setting.car, methods);
  return {
    methods,
    washes: before ? [before, ...logged] : logged,
    isLastWashKnown: logged.some(({ isWash }) => isWash) || (washedBefore?.isKnown ?? false),
  };
}

/** The ledger up to now, what it said each day, and how far its clock was when the car was last clean. */
function ledgerSoFar(
  past: readonly CompiledHour[],
  around: Surroundings,
  since: {
    readonly washes: readonly WashEffect[];
    readonly readings: CarFacts['readings'];
    readonly sinceMs: number;
  },
): { ledger: SaltLedger; days: SaltDay[]; beganActiveHours: number } {
  const days: SaltDay[] = [];
  let beganActiveHours = 0;
  const ledger = runLedger(past, {
    washes: since.washes,
    readings: since.readings,
    looks: [{ atMs: since.sinceMs, see: (then) => (beganActiveHours = then.activeHours) }],
    untilMs: Infinity,
    onHour: (there, { atMs }) => {
      const i = Math.round((atMs - (past[0]?.atMs ?? atMs)) / MS_PER_HOUR);
      if (around.clock.hourOfDay[i] === DAY_HOUR)
        days.push({ atMs, activeHours: there.activeHours, zones: there.zones() });
    },
  });
  return { ledger, days, beganActiveHours };
}

/** Works a car's life through to the present; all that was noted of it has happened. */
function carState(setting: CarCase, around: Surroundings): CarState {
  const { car, nowMs } = setting;
  const { vehicle } = car;
  const { methods, washes, isLastWashKnown } = waysAndWashes(setting);
  const { past, ahead, pickUp } = livedHours(setting, washes, around);
  const lastWashMs = latest(washes.filter(({ isWash }) => isWash));
  const lastContactMs = latest(washes.filter(({ contact }) => contact));
  const sinceMs = lastWashMs ?? car.knownSinceMs;
  const { readings } = car;
  const { ledger, days, beganActiveHours } = ledgerSoFar(past, around, { washes, readings, sinceMs });
  const zones = ledger.zones();
  const facts = soilFacts(car, around, { washes, zones, lastWashMs, lastContactMs, nowMs });
  const looks = car.looks.filter((look) => isStillThere(look, washes));
  const soil = soilNow(facts, looks);
  const course = [
    ...days.filter(({ atMs }) => atMs >= sinceMs).map(courseDay),
    ...daysAhead(ledger, ahead, around.clock.hourOfDay.slice(past.length)),
  ];
  const coatEvents = washes.map(coatEvent);
  const { cadenceDays } = vehicle;
  return {
    vehicle: { ...vehicle, protections: protectionsAfter(vehicle, coatEvents) },
    methods,
    washes,
    coatEvents,
    target: targetState(vehicle.target, { cadenceDays, course, sinceMs, nowMs, beganActiveHours }),
    past,
    ahead,
    ledger,
    pickUp,
    days,
    estimated: soilNow(facts),
    soil,
    soilByGroup: soilByGroup(soil),
    lastWashMs,
    isLastWashKnown,
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
