import { MS_PER_HOUR } from '../quantity/index.js';
import type { ByGroup, CarZone } from '../vehicle/index.js';
import { SALT_ZONES } from './data/zones.js';
import { AGENTS, type CompiledHour, NOTHING_ADDED, ALL_KEPT } from './compile-life.js';

/** Half of the metal's full pace at this load, g/m². */
export const HALF_PACE_GRAMS_PER_M2 = 2;

/** A wash as the ledger sees it: the share of salt taken off each group of zones, at an instant. */
export interface SaltWash {
  readonly atMs: number;
  readonly removes: ByGroup;
}

/** A swab as the ledger sees it: from then on the zone carries what was measured. */
export interface SaltReading {
  readonly atMs: number;
  readonly zone: CarZone;
  readonly gramsPerM2: number;
}

export interface ZoneSalt {
  readonly zone: CarZone;
  /** All agents, g/m². */
  readonly loadGramsPerM2: number;
  /** Since the ledger began. */
  readonly activeHours: number;
}

/** g(load): how much of its full pace the metal is eaten at. */
export const paceOf = (loadGramsPerM2: number): number =>
  loadGramsPerM2 / (loadGramsPerM2 + HALF_PACE_GRAMS_PER_M2);

/** The salt on a car, moved forward hour by hour; copies cheaply, so that a wash can be tried. */
export class SaltLedger {
  private readonly loads: Float64Array;
  private readonly active: Float64Array;

  constructor(from?: SaltLedger) {
    this.loads = from ? from.loads.slice() : new Float64Array(NOTHING_ADDED.length);
    this.active = from ? from.active.slice() : new Float64Array(SALT_ZONES.length);
  }

  copy(): SaltLedger {
    return new SaltLedger(this);
  }

  /** Weighted over the zones; the clock that a wash is to slow. */
  get activeHours(): number {
    return SALT_ZONES.reduce((sum, { weight }, i) => sum + weight * (this.active[i] ?? 0), 0);
  }

  /** Of one zone, agent by agent, g/m². */
  loadsOf(zoneIndex: number): Float64Array {
    return this.loads.slice(zoneIndex * AGENTS.length, (zoneIndex + 1) * AGENTS.length);
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

  private scale(zoneIndex: number, factor: number): void {
    for (let a = 0; a < AGENTS.length; a += 1) {
      const at = zoneIndex * AGENTS.length + a;
      this.loads[at] = (this.loads[at] ?? 0) * factor;
    }
  }

  /** Takes off what a wash removes. */
  wash(removes: ByGroup): void {
    SALT_ZONES.forEach(({ group }, i) => this.scale(i, 1 - removes[group]));
  }

  /** Sets a zone to what a swab found; the mix of salts stays, rock salt where there was none. */
  measure({ zone, gramsPerM2 }: Pick<SaltReading, 'zone' | 'gramsPerM2'>): void {
    const i = SALT_ZONES.findIndex((row) => row.zone === zone);
    const load = this.loadOf(i);
    if (load > 0) this.scale(i, gramsPerM2 / load);
    else this.loads[i * AGENTS.length] = gramsPerM2;
  }

  /**
   * One hour: drive and pick up, lose to rain, count the clock (each agent by its share of the load).
   *
   * @param fraction of the hour that passes, 0–1: what falls and is picked up is spread evenly over it
   */
  step(hour: CompiledHour, fraction = 1): void {
    const { loads, active } = this;
    const agents = hour.pace.length;
    const stillThere = hour.kept === ALL_KEPT;
    const asleep = hour.pace.every((pace) => pace === 0);
    if (hour.added === NOTHING_ADDED && stillThere && asleep) return;
    for (let zone = 0; zone < active.length; zone += 1) {
      const whole = hour.kept[zone] ?? 1;
      const kept = fraction === 1 ? whole : whole ** fraction;
      let total = 0;
      let paced = 0;
      for (let a = 0; a < agents; a += 1) {
        const at = zone * agents + a;
        const load = ((loads[at] ?? 0) + (hour.added[at] ?? 0) * fraction) * kept;
        loads[at] = load;
        total += load;
        paced += load * (hour.pace[a] ?? 0);
      }
      // g(total) × the mean pace of the agents, in which one total cancels.
      active[zone] = (active[zone] ?? 0) + (fraction * paced) / (total + HALF_PACE_GRAMS_PER_M2);
    }
  }
}

/** What happened to a car besides driving: washes and swab readings. */
export interface LedgerEvents {
  readonly washes: readonly SaltWash[];
  readonly readings?: readonly SaltReading[];
  /** Instants at which somebody looks at the ledger, after the washes and before the readings of the same instant. */
  readonly looks?: readonly { readonly atMs: number; readonly see: (ledger: SaltLedger) => void }[];
  /** What happened since the last hour began, up to here, counts too. */
  readonly untilMs?: number;
  /** Called after each hour, for charts. */
  readonly onHour?: (ledger: SaltLedger, hour: CompiledHour) => void;
}

interface LedgerEvent {
  readonly atMs: number;
  readonly apply: (ledger: SaltLedger) => void;
}

/** In order of time; of one instant washes come first, then looks, then readings. */
const eventsInOrder = ({ washes, looks = [], readings = [] }: LedgerEvents): LedgerEvent[] =>
  [
    ...washes.map(({ atMs, removes }) => ({ atMs, apply: (ledger: SaltLedger) => ledger.wash(removes) })),
    ...looks.map(({ atMs, see }) => ({ atMs, apply: see })),
    ...readings.map((reading) => ({
      atMs: reading.atMs,
      apply: (ledger: SaltLedger) => ledger.measure(reading),
    })),
  ].sort((a, b) => a.atMs - b.atMs);

/**
 * How much salt is on each zone, and how long has it been eating?
 *
 * @param hours consecutive compiled hours of the car's life
 * @param events washes and readings in any order, each at its own minute: what the hour brings is spread evenly over it. Those since the
 *   last hour ended count up to `untilMs`, on what lies there then
 * @returns the ledger at the end
 */
export function runLedger(hours: readonly CompiledHour[], events: LedgerEvents): SaltLedger {
  const ledger = new SaltLedger();
  const waiting = eventsInOrder(events);
  let next = 0;
  for (const hour of hours) {
    let passed = 0;
    for (let due = waiting[next]; due && due.atMs < hour.atMs + MS_PER_HOUR; due = waiting[next]) {
      const fraction = Math.max(passed, (due.atMs - hour.atMs) / MS_PER_HOUR);
      if (fraction > passed) ledger.step(hour, fraction - passed);
      passed = fraction;
      due.apply(ledger);
      next += 1;
    }
    ledger.step(hour, 1 - passed);
    events.onHour?.(ledger, hour);
  }
  const { untilMs = -Infinity } = events;
  for (const due of waiting.slice(next)) if (due.atMs <= untilMs) due.apply(ledger);
  return ledger;
}
