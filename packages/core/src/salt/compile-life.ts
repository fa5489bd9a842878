import { type Brine, brineOf, type SaltAgent } from '../brine/index.js';
import { speedFactor } from '../drive/index.js';
import type { RoadClass, RoadHour, RoadState } from '../road/index.js';
import { SALT_ZONES, TRAFFIC_SIDE_FACTOR } from './data/zones.js';

/** How much of the road's salt each state throws up (physics notes; judgement). */
export const SPRAY_FACTOR: Readonly<Record<RoadState, number>> = {
  wet: 1,
  slush: 1.3,
  damp: 0.4,
  dry: 0.05,
  snow: 0.5,
  ice: 0.5,
};

/** Share of a road's salt that a kilometre at 80 km/h puts on the underbody (judgement). */
const PICK_UP_PER_KM = 0.0009;

/** The switch from dry to wet is smooth over this humidity either side. */
const DAMP_WIDTH = 0.03;

/** Spray and meltwater keep a zone wet this long after a drive on a wet road. */
const WET_AFTER_DRIVE_HOURS = 2;

export const AGENTS: readonly SaltAgent[] = ['NaCl', 'MgCl2', 'CaCl2'];

const BRINES = AGENTS.map((agent) => brineOf(agent));

/** One hour of a car's life, as the ledger needs it. */
export interface LedgerHour {
  readonly atMs: number;
  /** Where the car stands. */
  readonly carTempC: number;
  readonly relHumidityFraction: number;
  /** Rain that falls on it in the open, mm. */
  readonly rainMm: number;
  /** Not there: nothing is known of that road. */
  readonly roads: Readonly<Record<RoadClass, RoadHour | undefined>>;
  readonly drives: readonly LedgerDrive[];
}

/** A way driven within one hour. */
export interface LedgerDrive {
  readonly roadClass: RoadClass;
  readonly km: number;
  readonly kmh: number;
}

/** 2^((T − 10)/10): doubles every ten kelvin. */
export const temperaturePace = (tempC: number): number => 2 ** ((tempC - 10) / 10);

interface CarAir {
  readonly tempC: number;
  readonly relHumidityFraction: number;
  readonly isWet: boolean;
}

/** 0–1: is this salt's brine liquid on the car in this air? Smooth over ±3 % of humidity. */
export const wetFraction = (agent: SaltAgent, air: CarAir): number => brineWetFraction(brineOf(agent), air);

function brineWetFraction(brine: Brine, air: CarAir): number {
  if (air.tempC < brine.eutecticC) return 0;
  if (air.isWet) return 1;
  const threshold = brine.deliquescenceFraction(air.tempC) ?? 1;
  return Math.min(1, Math.max(0, (air.relHumidityFraction - threshold + DAMP_WIDTH) / (2 * DAMP_WIDTH)));
}

/** One hour worked out once, so that many courses of washes can be run over it: what it adds, keeps and counts. */
export interface CompiledHour {
  readonly atMs: number;
  /** g/m² added, zone by zone, the agents in turn. */
  readonly added: Float64Array;
  /** Share kept in rain and clean spray, by zone. */
  readonly kept: Float64Array;
  /** Active hours at full pace, by agent. */
  readonly pace: readonly number[];
}

export const NOTHING_ADDED = new Float64Array(SALT_ZONES.length * AGENTS.length);

export const ALL_KEPT = new Float64Array(SALT_ZONES.length).fill(1);

/** How a car picks salt up. */
export interface PickUp {
  /** The vehicle's own, from swab readings; 1 where there are none. */
  readonly factor: number;
  /** The side of the road that one drives on; lorries pass on the other. */
  readonly drivesOn: 'left' | 'right';
}

export const PLAIN_PICK_UP: PickUp = { factor: 1, drivesOn: 'right' };

/** Pick-up by zone, the flank towards passing lorries heavier. */
const zonePickUp = ({ drivesOn }: PickUp): Float64Array =>
  Float64Array.from(SALT_ZONES, ({ pickUp, side }) =>
    side !== null && side !== drivesOn ? pickUp * TRAFFIC_SIDE_FACTOR : pickUp,
  );

/** What the hour's drives put on each zone, agent by agent. */
function addedBy(hour: LedgerHour, factor: number, byZone: Float64Array): Float64Array {
  const added = new Float64Array(NOTHING_ADDED.length);
  for (let a = 0; a < AGENTS.length; a += 1) {
    const agent = AGENTS[a] ?? 'NaCl';
    let onUnderbody = 0;
    for (const { roadClass, km, kmh } of hour.drives) {
      const road = hour.roads[roadClass];
      if (!road) continue;
      onUnderbody +=
        road.saltGramsPerM2[agent] *
        km *
        PICK_UP_PER_KM *
        speedFactor(kmh) *
        SPRAY_FACTOR[road.state] *
        factor;
    }
    if (onUnderbody === 0) continue;
    for (let zone = 0; zone < byZone.length; zone += 1)
      added[zone * AGENTS.length + a] = onUnderbody * (byZone[zone] ?? 0);
  }
  return added;
}

/** Share of its salt that a kilometre at 80 km/h on a wet road without salt splashes off the underbody (judgement). */
const RINSED_PER_KM = 0.004;

/** A road with more salt than this rinses nothing off, g/m²; below it the less there is the more (judgement). */
const RINSES_BELOW_GRAMS_PER_M2 = 1;

/** How much clean water the hour's drives splash under the car: kilometres at 80 km/h on a wet road without salt. */
function rinsingKm({ drives, roads }: LedgerHour): number {
  return drives.reduce((sum, { roadClass, km, kmh }) => {
    const road = roads[roadClass];
    if (!road || (road.state !== 'wet' && road.state !== 'slush')) return sum;
    const grams = AGENTS.reduce((all, agent) => all + road.saltGramsPerM2[agent], 0);
    const cleanFraction = Math.max(0, 1 - grams / RINSES_BELOW_GRAMS_PER_M2);
    return sum + km * speedFactor(kmh) * SPRAY_FACTOR[road.state] * cleanFraction;
  }, 0);
}

/** Share kept by zone: rain takes it off what lies open, clean spray off what the wheels throw at. */
function keptOver(hour: LedgerHour): Float64Array {
  const rinsedKm = rinsingKm(hour);
  if (hour.rainMm <= 0 && rinsedKm === 0) return ALL_KEPT;
  return Float64Array.from(SALT_ZONES, ({ rainLossPerMm, pickUp }) =>
    Math.exp(-rainLossPerMm * hour.rainMm - RINSED_PER_KM * pickUp * rinsedKm),
  );
}

const throwsSpray = (hour: LedgerHour): boolean =>
  hour.drives.some(({ roadClass }) => {
    const road = hour.roads[roadClass];
    return road !== undefined && SPRAY_FACTOR[road.state] >= 0.4;
  });

/**
 * Works out the hours of a car's life for the ledger.
 *
 * @param hours consecutive; how long a car stays wet after a drive follows from their order
 */
export function compileLife(hours: readonly LedgerHour[], pickUp: PickUp = PLAIN_PICK_UP): CompiledHour[] {
  const byZone = zonePickUp(pickUp);
  let wetHoursLeft = 0;
  return hours.map((hour) => {
    const drove = hour.drives.length > 0;
    wetHoursLeft = drove && throwsSpray(hour) ? WET_AFTER_DRIVE_HOURS : Math.max(0, wetHoursLeft - 1);
    const air = {
      tempC: hour.carTempC,
      relHumidityFraction: hour.relHumidityFraction,
      isWet: wetHoursLeft > 0,
    };
    const warmth = temperaturePace(hour.carTempC);
    return {
      atMs: hour.atMs,
      added: drove ? addedBy(hour, pickUp.factor, byZone) : NOTHING_ADDED,
      kept: keptOver(hour),
      pace: BRINES.map((brine) => brineWetFraction(brine, air) * warmth),
    };
  });
}
