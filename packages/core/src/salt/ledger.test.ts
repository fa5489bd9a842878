import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import type { SaltAgent } from '../brine/index.js';
import { NO_SALT, type RoadHour, type RoadState } from '../road/index.js';
import { byGroup } from '../vehicle/index.js';
import {
  activeHoursSaved,
  compileLife,
  learnPickUp,
  type LedgerHour,
  paceOf,
  runLedger,
  SALT_ZONES,
  SaltLedger,
  temperaturePace,
  wetFraction,
} from './index.js';

function road(state: RoadState, salt: Partial<Record<SaltAgent, number>>): RoadHour {
  return { atMs: 0, state, surfaceTempC: 0, waterMm: 0, snowMm: 0, saltGramsPerM2: { ...NO_SALT, ...salt } };
}

function hour(i: number, change: Partial<LedgerHour> = {}): LedgerHour {
  const dry = road('dry', {});
  return {
    atMs: i * MS_PER_HOUR,
    carTempC: 2,
    relHumidityFraction: 0.9,
    rainMm: 0,
    roads: { main: dry, town: dry, bridge: dry },
    drives: [],
    ...change,
  };
}

/** Puts salt on by driving a very salty wet road, then stands for some hours. */
function salted(hours: number, change: Partial<LedgerHour> = {}, agent: SaltAgent = 'NaCl'): LedgerHour[] {
  const drive = hour(0, {
    drives: [{ roadClass: 'main', km: 100, kmh: 80 }],
    roads: { main: road('wet', { [agent]: 40 }), town: road('dry', {}), bridge: road('dry', {}) },
  });
  return [drive, ...Array.from({ length: hours }, (_, i) => hour(i + 1, change))];
}

const underbody = (ledger: SaltLedger): { load: number; active: number } => {
  const zone = ledger.zones().find((entry) => entry.zone === 'underbody');
  return { load: zone?.loadGramsPerM2 ?? NaN, active: zone?.activeHours ?? NaN };
};

describe('the clock', () => {
  it('is the worked example: 4 g/m² at +2 °C, damp, counts 0.383 an hour; a tenth of it 0.0957', () => {
    expect(paceOf(4) * temperaturePace(2)).toBeCloseTo(0.383, 3);
    expect(paceOf(0.4) * temperaturePace(2)).toBeCloseTo(0.0957, 4);
    expect(72 * (paceOf(4) - paceOf(0.4)) * temperaturePace(2)).toBeCloseTo(20.7, 1);
  });

  it('saves those 20.7 active hours in the ledger itself', () => {
    const damp = Array.from({ length: 72 }, (_, i) => hour(i, { relHumidityFraction: 0.99 }));
    const start = new SaltLedger();
    const drive = salted(0);
    // 100 km on 40 g/m²: scaled so that the underbody carries exactly 4 g/m².
    const carried = underbody(runLedger(compileLife(drive), { washes: [] })).load;
    for (const compiled of compileLife(drive, { factor: 4 / carried, drivesOn: 'right' }))
      start.step(compiled);
    expect(underbody(start).load).toBeCloseTo(4, 9);
    const without = new SaltLedger(start);
    const washed = new SaltLedger(start);
    washed.wash(byGroup(() => 0.9));
    for (const compiled of compileLife(damp)) {
      without.step(compiled);
      washed.step(compiled);
    }
    expect(underbody(without).active - underbody(washed).active).toBeCloseTo(20.7, 1);
  });

  it.each([
    { relHumidityFraction: 0.7, wet: 0, why: 'drier than the salt takes up water' },
    { relHumidityFraction: 0.755, wet: 0.5, why: 'at the threshold, half way' },
    { relHumidityFraction: 0.8, wet: 1, why: 'damper' },
  ])('rock salt at $relHumidityFraction: $why', ({ relHumidityFraction, wet }) => {
    expect(wetFraction('NaCl', { tempC: 20, relHumidityFraction, isWet: false })).toBeCloseTo(wet, 1);
  });

  it('runs in dry air for magnesium chloride, which stays wet', () => {
    const air = { tempC: 15, relHumidityFraction: 0.45, isWet: false };
    expect(wetFraction('MgCl2', air)).toBe(1);
    expect(wetFraction('NaCl', air)).toBe(0);
  });

  it('stops below the eutectic, even on a wet car', () => {
    expect(wetFraction('NaCl', { tempC: -22, relHumidityFraction: 1, isWet: true })).toBe(0);
  });

  it('runs faster in a warm damp garage than in the frozen street', () => {
    const warm = runLedger(compileLife(salted(48, { carTempC: 14, relHumidityFraction: 0.8 })), {
      washes: [],
    });
    const cold = runLedger(compileLife(salted(48, { carTempC: -12, relHumidityFraction: 0.8 })), {
      washes: [],
    });
    expect(warm.activeHours).toBeGreaterThan(4 * cold.activeHours);
  });
});

describe('the load', () => {
  it('is heaviest below and lightest above, and heavier towards passing lorries', () => {
    const zones = Object.fromEntries(
      runLedger(compileLife(salted(0)), { washes: [] })
        .zones()
        .map(({ zone, loadGramsPerM2 }) => [zone, loadGramsPerM2]),
    );
    expect(zones.underbody).toBeGreaterThan(zones['lower-left'] ?? NaN);
    expect(zones['lower-left'] ?? NaN).toBeCloseTo(1.3 * (zones['lower-right'] ?? NaN), 6);
    expect(zones['upper-right']).toBeLessThan(0.1 * (zones.underbody ?? NaN));
  });

  it('comes thickest from slush, hardly from a dry road', () => {
    const on = (state: RoadState): number => {
      const drive = hour(0, {
        drives: [{ roadClass: 'main', km: 10, kmh: 80 }],
        roads: { main: road(state, { NaCl: 20 }), town: road('dry', {}), bridge: road('dry', {}) },
      });
      return underbody(runLedger(compileLife([drive]), { washes: [] })).load;
    };
    expect(on('slush') / on('wet')).toBeCloseTo(1.3, 6);
    expect(on('dry') / on('wet')).toBeCloseTo(0.05, 6);
  });

  it('is washed off the upper body by rain, not off the underbody', () => {
    const before = runLedger(compileLife(salted(0)), { washes: [] }).zones();
    const after = runLedger(compileLife(salted(5, { rainMm: 2 })), { washes: [] }).zones();
    const kept = (zone: string): number =>
      (after.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? NaN) /
      (before.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? NaN);
    expect(kept('boot')).toBeCloseTo(Math.exp(-0.2 * 10), 6);
    expect(kept('underbody')).toBe(1);
  });

  it('is washed off by rain also while no brine is liquid, and stays to the gram where nothing happens', () => {
    const boot = (life: readonly LedgerHour[]): number =>
      runLedger(compileLife(life), { washes: [] })
        .zones()
        .find(({ zone }) => zone === 'boot')?.loadGramsPerM2 ?? NaN;
    const frozen = { carTempC: -60, relHumidityFraction: 0.1 };
    // Spray keeps it wet two hours; the rain falls later.
    const still = salted(6, frozen);
    const wet = still.map((one, i) => (i < 5 ? one : { ...one, rainMm: 3 }));
    expect(boot(still)).toBe(boot(salted(0)));
    expect(boot(wet)).toBeCloseTo(boot(still) * Math.exp(-0.2 * 6), 9);
  });

  it('loses to the rain of part of an hour its part, so that a wash within the hour takes what is left then', () => {
    const life = compileLife(salted(2, { rainMm: 4, relHumidityFraction: 0.1 }));
    const left = (minute: number): number =>
      runLedger(life, {
        washes: [{ atMs: 1 * MS_PER_HOUR + minute * 60_000, removes: byGroup(() => 0.5) }],
        untilMs: Infinity,
      })
        .zones()
        .find(({ zone }) => zone === 'boot')?.loadGramsPerM2 ?? NaN;
    const before =
      runLedger(compileLife(salted(0)), { washes: [] })
        .zones()
        .find(({ zone }) => zone === 'boot')?.loadGramsPerM2 ?? NaN;
    // Shares multiply whichever comes first: all of the rain falls, and half is washed off.
    for (const minute of [0, 15, 59]) expect(left(minute)).toBeCloseTo(before * Math.exp(-0.2 * 8) * 0.5, 9);
  });

  it('is of the salt that lay there, each agent on every zone in proportion to its pick-up', () => {
    const agents: readonly SaltAgent[] = ['NaCl', 'MgCl2', 'CaCl2'];
    const loads = agents.map((agent) =>
      runLedger(compileLife(salted(0, {}, agent)), { washes: [] })
        .zones()
        .map((zone) => zone.loadGramsPerM2),
    );
    expect(loads[1]).toEqual(loads[0]);
    expect(loads[2]).toEqual(loads[0]);
    const [roof] = loads[0] ?? [];
    expect(roof).toBeCloseTo(0.05 * (loads[0]?.at(-1) ?? NaN), 9);
  });

  it('keeps the car wet two hours after a drive that throws spray, and no longer', () => {
    const dry = { relHumidityFraction: 0.1, carTempC: 10 };
    const active = (hours: number): number =>
      runLedger(compileLife(salted(hours, dry)), { washes: [] }).activeHours;
    expect(active(1)).toBeGreaterThan(active(0));
    expect(active(2)).toBe(active(1));
    expect(active(9)).toBe(active(1));
  });

  it('scales with the pick-up factor that a swab has found', () => {
    expect(
      underbody(runLedger(compileLife(salted(0), { factor: 1.5, drivesOn: 'right' }), { washes: [] })).load,
    ).toBeCloseTo(1.5 * underbody(runLedger(compileLife(salted(0)), { washes: [] })).load, 9);
  });
});

describe('a wash', () => {
  const removes = { upper: 0.9, lower: 0.8, wheels: 0.7, arches: 0.6, under: 0.5 };

  it('takes off its share of each zone when its hour has come', () => {
    const life = compileLife(salted(10, { relHumidityFraction: 0.1 }));
    const before = underbody(runLedger(life, { washes: [] })).load;
    expect(underbody(runLedger(life, { washes: [{ atMs: 5 * MS_PER_HOUR, removes }] })).load).toBeCloseTo(
      before * 0.5,
      9,
    );
    expect(underbody(runLedger(life, { washes: [{ atMs: 99 * MS_PER_HOUR, removes }] })).load).toBeCloseTo(
      before,
      9,
    );
  });

  it('saves more the earlier it is, and nothing on a clean car', () => {
    const life = compileLife(salted(48));
    const now = runLedger(life.slice(0, 1), { washes: [] });
    const saved = activeHoursSaved(now, life.slice(1), { removes });
    expect(saved[0]).toBeGreaterThan(saved[24] ?? NaN);
    expect(saved.at(-1)).toBeGreaterThan(0);
    // As the ledger itself has it, run to the end with the wash and without.
    const runOn = (ledger: SaltLedger, from: number): SaltLedger =>
      life.slice(1 + from).reduce((one, next) => (one.step(next), one), ledger);
    for (const at of [0, 7, 47]) {
      const then = life.slice(1, 1 + at).reduce((one, next) => (one.step(next), one), now.copy());
      const washed = then.copy();
      washed.wash(removes);
      expect(saved[at]).toBeCloseTo(runOn(then, at).activeHours - runOn(washed, at).activeHours, 9);
    }
    expect(activeHoursSaved(now, life.slice(1), { removes, only: new Set([7]) })[7]).toBe(saved[7]);
    expect(activeHoursSaved(now, life.slice(1), { removes, only: new Set([7]) })[0]).toBeNaN();
    expect(activeHoursSaved(new SaltLedger(), life.slice(1), { removes })[0]).toBeCloseTo(0, 9);
  });

  it('saves what mixed salt does on each zone, as the ledger itself has it', () => {
    const mixed: LedgerHour = {
      ...hour(0),
      drives: [{ roadClass: 'main', km: 60, kmh: 80 }],
      roads: { main: road('wet', { NaCl: 20, CaCl2: 9, MgCl2: 4 }), town: undefined, bridge: undefined },
    };
    const life = compileLife([
      mixed,
      ...Array.from({ length: 30 }, (_, i) => hour(i + 1, { carTempC: i - 12 })),
    ]);
    const now = runLedger(life.slice(0, 1), { washes: [] });
    const ahead = life.slice(1);
    const washed = now.copy();
    washed.wash(removes);
    const end = (ledger: SaltLedger): number =>
      ahead.reduce((one, next) => (one.step(next), one), ledger).activeHours;
    const saved = activeHoursSaved(now, ahead, { removes });
    expect(saved).toHaveLength(ahead.length);
    expect(saved[0]).toBeCloseTo(end(now.copy()) - end(washed), 9);
    expect(activeHoursSaved(now, ahead, { removes: byGroup(() => 0) }).every((hours) => hours === 0)).toBe(
      true,
    );
    expect(activeHoursSaved(now, [], { removes })).toEqual([]);
  });

  it('earns nothing by itself just before the salt comes', () => {
    const clean = new SaltLedger();
    const storm = compileLife(salted(24));
    expect(activeHoursSaved(clean, storm, { removes })[0]).toBeCloseTo(0, 9);
  });
});

it('weighs the zones to one', () => {
  expect(SALT_ZONES.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
});

describe('what happens within an hour', () => {
  const removes = { upper: 1, lower: 1, wheels: 1, arches: 1, under: 1 };
  const DRIVE = { roadClass: 'main', km: 40, kmh: 80 } as const;
  const salty = { main: road('wet', { NaCl: 20 }), town: road('dry', {}), bridge: road('dry', {}) };
  /** A drive over a salted road in the second hour of three. */
  const life = compileLife([hour(0), hour(1, { drives: [DRIVE], roads: salty }), hour(2)]);
  const whole = underbody(runLedger(life, { washes: [] })).load;

  it.each([
    { minute: 60, left: 1, why: 'washed as the hour of the drive begins: all of it comes after' },
    { minute: 75, left: 0.75, why: 'a quarter of the drive is washed off' },
    { minute: 90, left: 0.5, why: 'half of it' },
    { minute: 120, left: 0, why: 'all of it' },
  ])('counts to the minute: $why', ({ minute, left }) => {
    const ledger = runLedger(life, { washes: [{ atMs: minute * 60_000, removes }] });
    expect(underbody(ledger).load).toBeCloseTo(left * whole, 9);
  });

  it('goes in order: wash, look, swab, also at one instant', () => {
    const atMs = 1.5 * MS_PER_HOUR;
    const seen: number[] = [];
    const see = (ledger: SaltLedger) => void seen.push(underbody(ledger).load);
    const ledger = runLedger(life, {
      washes: [{ atMs, removes }],
      readings: [{ atMs, zone: 'underbody', gramsPerM2: 3 }],
      looks: [
        { atMs: atMs - 1, see },
        { atMs, see },
        { atMs: atMs + 1, see },
      ],
    });
    expect(seen[0]).toBeCloseTo(0.5 * whole, 5);
    expect(seen[1]).toBe(0);
    expect(seen[2]).toBeCloseTo(3, 5);
    expect(underbody(ledger).load).toBeCloseTo(3 + 0.5 * whole, 5);
  });

  it('teaches from a swab in the hour of a wash what was left then', () => {
    const after = 0.5 * MS_PER_HOUR;
    const washed = compileLife([hour(0, { drives: [DRIVE], roads: salty }), hour(1)]);
    const tenth = { ...removes, under: 0.9 };
    const load = underbody(runLedger(washed, { washes: [] })).load;
    // Driven for half an hour, then nine tenths washed off: the swab finds a twentieth of the hour's load.
    const readings = [
      { atMs: after + 60_000, zone: 'underbody', gramsPerM2: (0.05 + 0.5 / 30) * load },
    ] as const;
    const { factor, checks } = learnPickUp(washed, { washes: [{ atMs: after, removes: tenth }], readings });
    expect(checks[0]?.expectedGramsPerM2).toBeCloseTo((0.05 + 1 / 60) * load, 9);
    expect(factor).toBeCloseTo(1, 9);
  });

  it('counts up to the present, and not beyond it', () => {
    const late = { atMs: 3.2 * MS_PER_HOUR, removes };
    expect(underbody(runLedger(life, { washes: [late] })).load).toBeCloseTo(whole, 9);
    expect(underbody(runLedger(life, { washes: [late], untilMs: 3.2 * MS_PER_HOUR - 1 })).load).toBeCloseTo(
      whole,
      9,
    );
    expect(underbody(runLedger(life, { washes: [late], untilMs: 3.2 * MS_PER_HOUR })).load).toBe(0);
  });
});

describe('wet roads without salt', () => {
  const on = (state: RoadState, salt: number, km = 100) => {
    const roads = { main: road(state, { NaCl: salt }), town: road('dry', {}), bridge: road('dry', {}) };
    const loaded = compileLife(salted(0));
    const rinsing = compileLife([hour(1, { drives: [{ roadClass: 'main', km, kmh: 80 }], roads })]);
    const before = runLedger(loaded, { washes: [] });
    const after = before.copy();
    for (const one of rinsing) after.step(one);
    const of = (ledger: SaltLedger, zone: string) =>
      ledger.zones().find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? NaN;
    return {
      under: of(after, 'underbody') / of(before, 'underbody'),
      boot: of(after, 'boot') / of(before, 'boot'),
    };
  };

  it('rinse the underbody, and hardly the boot', () => {
    const { under, boot } = on('wet', 0);
    expect(under).toBeCloseTo(Math.exp(-0.4), 6);
    expect(boot).toBeGreaterThan(0.95);
    expect(on('slush', 0).under).toBeLessThan(under);
  });

  it.each([
    { state: 'damp', why: 'not wet enough' },
    { state: 'dry', why: 'dry' },
    { state: 'snow', why: 'frozen' },
  ] as const)('$state roads rinse nothing: $why', ({ state }) => {
    expect(on(state, 0).under).toBe(1);
  });

  it('rinse the less the more salt lies on them, and nothing from 1 g/m² on', () => {
    const [none = NaN, half = NaN, one = NaN] = [0, 0.5, 1].map((salt) => on('wet', salt).under);
    expect(none).toBeLessThan(half);
    expect(half).toBeLessThan(1);
    expect(one).toBeGreaterThan(1);
  });
});
