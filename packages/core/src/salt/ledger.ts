import { brineOf, type SaltAgent } from '../brine/index.js';
import { ROAD_CLASSES, type RoadClass, type RoadHour, type RoadState } from '../road/index.js';
import { SALT_ZONES, type SaltZone } from './data/zones.js';

/** How much of the road's salt each state throws up (physics notes; judgement). */
export const SPRAY_FACTOR: Readonly<Record<RoadState, number>> = {
  wet: 1,
  slush: 1.3,
  damp: 0.4,
  dry: 0.05,
  snow: 0.5,
  ice: 0.5,
};

/** Share of a road's salt that a kilometre puts on the underbody, by class, for its usual speed (judgement). */
const PICK_UP_PER_KM: Readonly<Record<RoadClass, number>> = { main: 0.0009, town: 0.00045, bridge: 0.0008 };

/** Half of the metal's full pace at this load, g/m². */
const HALF_PACE_GRAMS_PER_M2 = 2;
/** The switch from dry to wet is smooth over this humidity either side. */
const DAMP_WIDTH = 0.03;
/** Spray and meltwater keep a zone wet this long after a drive on a wet road. */
const WET_AFTER_DRIVE_HOURS = 2;

const AGENTS: readonly SaltAgent[] = ['NaCl', 'MgCl2', 'CaCl2'];

/** One hour of a car's life, as the ledger needs it. */
export interface LedgerHour {
  readonly atMs: number;
  /** Where the car stands. */
  readonly carTempC: number;
  readonly relHumidityFraction: number;
  /** Rain that falls on it in the open, mm. */
  readonly rainMm: number;
  readonly roads: Readonly<Record<RoadClass, RoadHour>>;
  /** Kilometres in this hour by road class. */
  readonly km: Readonly<Record<RoadClass, number>>;
}

/** A wash as the ledger sees it: the share of salt taken off each group of zones, at an instant. */
export interface SaltWash {
  readonly atMs: number;
  readonly removes: { readonly upper: number; readonly lower: number; readonly under: number };
}

export interface ZoneSalt {
  readonly zone: SaltZone;
  /** All agents, g/m². */
  readonly loadGramsPerM2: number;
  /** Since the ledger began. */
  readonly activeHours: number;
}

/** g(load): how much of its full pace the metal is eaten at. */
export const paceOf = (loadGramsPerM2: number): number =>
  loadGramsPerM2 / (loadGramsPerM2 + HALF_PACE_GRAMS_PER_M2);

/** 2^((T − 10)/10): doubles every ten kelvin. */
export const temperaturePace = (tempC: number): number => 2 ** ((tempC - 10) / 10);

/** 0–1: is this salt's brine liquid on the car in this air? Smooth over ±3 % of humidity. */
export function wetShare(
  agent: SaltAgent,
  air: { readonly tempC: number; readonly relHumidityFraction: number; readonly isWet: boolean },
): number {
  const brine = brineOf(agent);
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
  /** Share kept in the rain, by zone. */
  readonly kept: Float64Array;
  /** Active hours at full pace, by agent. */
  readonly pace: readonly number[];
}

const NOTHING_ADDED = new Float64Array(SALT_ZONES.length * AGENTS.length);
const ALL_KEPT = new Float64Array(SALT_ZONES.length).fill(1);

const drives = (hour: LedgerHour): boolean => ROAD_CLASSES.some((roadClass) => hour.km[roadClass] > 0);

/** What the hour's drive puts on each zone, agent by agent. */
function addedBy(hour: LedgerHour, pickUpFactor: number): Float64Array {
  const onUnderbody = AGENTS.map((agent) =>
    ROAD_CLASSES.reduce((sum, roadClass) => {
      const road = hour.roads[roadClass];
      const share = hour.km[roadClass] * PICK_UP_PER_KM[roadClass] * SPRAY_FACTOR[road.state];
      return sum + road.saltGramsPerM2[agent] * share * pickUpFactor;
    }, 0),
  );
  return Float64Array.from(SALT_ZONES.flatMap(({ pickUp }) => onUnderbody.map((grams) => grams * pickUp)));
}

const keptIn = (rainMm: number): Float64Array =>
  Float64Array.from(SALT_ZONES, ({ rainLossPerMm }) => Math.exp(-rainLossPerMm * rainMm));

/**
 * Works out the hours of a car's life for the ledger.
 *
 * @param hours consecutive; how long a car stays wet after a drive follows from their order
 * @param pickUpFactor the vehicle's own, from swab readings; 1 where there are none
 */
export function compileLife(hours: readonly LedgerHour[], pickUpFactor = 1): CompiledHour[] {
  let wetHoursLeft = 0;
  return hours.map((hour) => {
    const drove = ROAD_CLASSES.some(
      (roadClass) => hour.km[roadClass] > 0 && SPRAY_FACTOR[hour.roads[roadClass].state] >= 0.4,
    );
    wetHoursLeft = drove ? WET_AFTER_DRIVE_HOURS : Math.max(0, wetHoursLeft - 1);
    const air = {
      tempC: hour.carTempC,
      relHumidityFraction: hour.relHumidityFraction,
      isWet: wetHoursLeft > 0,
    };
    const warmth = temperaturePace(hour.carTempC);
    return {
      atMs: hour.atMs,
      added: drives(hour) ? addedBy(hour, pickUpFactor) : NOTHING_ADDED,
      kept: hour.rainMm > 0 ? keptIn(hour.rainMm) : ALL_KEPT,
      pace: AGENTS.map((agent) => wetShare(agent, air) * warmth),
    };
  });
}

/** The salt on a car, moved forward hour by hour; copies cheaply, so that a wash can be tried. */
export class SaltLedger {
  private readonly loads: Float64Array;
  private readonly active: Float64Array;

  constructor(from?: SaltLedger) {
    this.loads = from ? from.loads.slice() : new Float64Array(SALT_ZONES.length * AGENTS.length);
    this.active = from ? from.active.slice() : new Float64Array(SALT_ZONES.length);
  }

  /** Weighted over the zones; the clock that a wash is to slow. */
  get activeHours(): number {
    return SALT_ZONES.reduce((sum, { weight }, i) => sum + weight * (this.active[i] ?? 0), 0);
  }

  private loadOf(zoneIndex: number): number {
    return AGENTS.reduce((sum, _, a) => sum + (this.loads[zoneIndex * AGENTS.length + a] ?? 0), 0);
  }

  zones(): ZoneSalt[] {
    return SALT_ZONES.map(({ zone }, i) => ({
      zone,
      loadGramsPerM2: this.loadOf(i),
      activeHours: this.active[i] ?? 0,
    }));
  }

  /** Takes off what a wash removes. */
  wash(removes: SaltWash['removes']): void {
    SALT_ZONES.forEach(({ group }, i) => {
      for (let a = 0; a < AGENTS.length; a += 1) {
        const at = i * AGENTS.length + a;
        this.loads[at] = (this.loads[at] ?? 0) * (1 - removes[group]);
      }
    });
  }

  /** One hour: drive and pick up, lose to rain, count the clock (each agent by its share of the load). */
  step(hour: CompiledHour): void {
    const { loads, active } = this;
    const agents = hour.pace.length;
    for (let zone = 0; zone < active.length; zone += 1) {
      const kept = hour.kept[zone] ?? 1;
      let total = 0;
      let paced = 0;
      for (let a = 0; a < agents; a += 1) {
        const at = zone * agents + a;
        const load = ((loads[at] ?? 0) + (hour.added[at] ?? 0)) * kept;
        loads[at] = load;
        total += load;
        paced += load * (hour.pace[a] ?? 0);
      }
      // g(total) × the mean pace of the agents, in which one total cancels.
      active[zone] = (active[zone] ?? 0) + paced / (total + HALF_PACE_GRAMS_PER_M2);
    }
  }
}

/**
 * How much salt is on each zone, and how long has it been eating?
 *
 * @param hours consecutive compiled hours of the car's life
 * @param washes in any order; each counts from the first hour that begins at or after it
 * @param onHour called after each hour, for charts
 * @returns the ledger at the end
 */
export function runLedger(
  hours: readonly CompiledHour[],
  washes: readonly SaltWash[],
  onHour?: (ledger: SaltLedger, hour: CompiledHour) => void,
): SaltLedger {
  const ledger = new SaltLedger();
  const waiting = [...washes].sort((a, b) => a.atMs - b.atMs);
  let next = 0;
  for (const hour of hours) {
    for (let due = waiting[next]; due && due.atMs <= hour.atMs; due = waiting[next]) {
      ledger.wash(due.removes);
      next += 1;
    }
    ledger.step(hour);
    onHour?.(ledger, hour);
  }
  return ledger;
}

/**
 * What would a wash save? Both courses run over the same hours; new salt afterwards is in both.
 *
 * @returns active hours saved, weighted over the zones, for a wash at the start of each hour (same order)
 */
export function activeHoursSaved(
  now: SaltLedger,
  hours: readonly CompiledHour[],
  removes: SaltWash['removes'],
): number[] {
  const without = new SaltLedger(now);
  const befores = hours.map((hour) => {
    const before = new SaltLedger(without);
    without.step(hour);
    return before;
  });
  return befores.map((withWash, i) => {
    withWash.wash(removes);
    for (let h = i; h < hours.length; h += 1) {
      const hour = hours[h];
      if (hour) withWash.step(hour);
    }
    return without.activeHours - withWash.activeHours;
  });
}
