import { describe, expect, it } from '@jest/globals';
import { FieldError } from '../quantity/index.js';
import {
  calculate,
  type Calculator,
  CALCULATORS,
  schemasOf,
  solve,
  type Solver,
  SOLVERS,
  type SolverWatch,
} from './index.js';

function named(name: string): Calculator {
  const calculator = CALCULATORS.get(name);
  if (!calculator) throw new Error(`no calculator ${name}`);
  return calculator;
}

const FILM = {
  material: 'steel',
  tiltDeg: 90,
  absorptanceFraction: 0.7,
  solarWm2: 0,
  airTempC: -5,
  relHumidityFraction: 0.7,
  airSpeedMetresPerSecond: 1.5,
  skyTempC: -15,
  filmGramsPerM2: 100,
  startTempC: 10,
};

describe('the catalogue', () => {
  it('holds the sums by their contracted names', () => {
    expect([...CALCULATORS.keys()].sort()).toEqual([
      'bottle-mix',
      'brine',
      'bucket-cooling',
      'deliquescence',
      'dilution',
      'film',
      'hardness',
      'humid-air',
      'meter',
      'mix-water',
      'mixed',
      'panel-impact',
      'residue',
      'resin-life',
      'sun',
      'sun-on-panel',
      'swab',
      'wash',
      'wind-chill',
    ]);
  });

  it.each([...CALCULATORS.values()].map((calculator) => [calculator.name, calculator] as const))(
    '%s has schemas for what goes in and out',
    (_, calculator) => {
      const { input, output } = schemasOf(calculator);
      expect(input).toMatchObject({ type: 'object', additionalProperties: false });
      expect(output).toMatchObject({ type: 'object' });
    },
  );
});

describe('calculate', () => {
  it.each([
    { name: 'wind-chill', input: { airTempC: -10, windKmh: 20 } },
    { name: 'humid-air', input: { airTempC: -5, relHumidityFraction: 0.8 } },
    { name: 'sun', input: { latitudeDeg: 46.5, longitudeDeg: -84.3, at: '2026-01-14T12:00:00-05:00' } },
    {
      name: 'sun-on-panel',
      input: {
        latitudeDeg: 46.5,
        longitudeDeg: -84.3,
        at: '2026-01-14T12:00:00-05:00',
        tiltDeg: 90,
        panelAzimuthDeg: 180,
        cloudFraction: 0.2,
        albedoFraction: 0.6,
      },
    },
    { name: 'film', input: FILM },
    { name: 'film', input: { ...FILM, brine: { agent: 'NaCl', massPercent: 8 } } },
    { name: 'brine', input: { agent: 'NaCl', massPercent: 30 } },
    {
      name: 'wash',
      input: {
        material: 'steel',
        tiltDeg: 90,
        absorptanceFraction: 0.7,
        climate: [
          {
            fromMinute: 0,
            solarWm2: 0,
            airTempC: -5,
            relHumidityFraction: 0.7,
            airSpeedMetresPerSecond: 1,
            skyTempC: -15,
          },
        ],
        events: [
          { kind: 'wet', atMinute: 0, filmGramsPerM2: 60, passesGramsPerM2: 3000, waterTempC: 34 },
          { kind: 'blow', atMinute: 3, leavesFraction: 0.1 },
          { kind: 'wipe', atMinute: 5, leavesGramsPerM2: 3 },
        ],
      },
    },
    { name: 'deliquescence', input: { agent: 'CaCl2', tempC: 20 } },
    { name: 'hardness', input: { value: 312, unit: 'mgPerLitreCaCO3' } },
    { name: 'dilution', input: { totalMl: 1000, partsWater: 9 } },
    { name: 'mixed', input: { productMl: 350, waterMl: 3000, wantedPartsWater: 10 } },
    { name: 'bottle-mix', input: { bottleMl: 1000, partsWater: [9, 19] } },
    {
      name: 'panel-impact',
      input: { panelPercent: 6, applicator: 'lance', bottleMl: 1000, outputLitresPerBottle: 20 },
    },
    { name: 'mix-water', input: { hotC: 60, coldC: 6, targetC: 38, litres: 10 } },
    {
      name: 'bucket-cooling',
      input: { litres: 10, startC: 45, ambientC: -10, uaWattsPerK: 1.8, minutes: 30 },
    },
    { name: 'swab', input: { deltaMicroSiemensPerCm: 1, volumeMl: 15, areaMm2: 1250 } },
    { name: 'residue', input: { tdsMgPerLitre: 300, filmGramsPerM2: 60 } },
    { name: 'resin-life', input: { resinLitres: 5, capacityGramsPerLitre: 23, tdsMgPerLitre: 312 } },
    {
      name: 'meter',
      input: {
        startPriceMinor: 300,
        startSeconds: 240,
        blockPriceMinor: 50,
        blockSeconds: 30,
        pausable: false,
        stepSeconds: [120, 90],
        gapSeconds: [240],
      },
    },
  ])('$name answers as its own schema says', ({ name, input }) => {
    const calculator = named(name);
    const answer = calculate(calculator, input);
    if (!answer.ok) throw new Error(answer.error.message);
    expect(calculator.output.safeParse(answer.value).error).toBeUndefined();
  });

  it('a swab of 15 mL on 1250 mm² is 6.0 mg/m² a µS/cm', () => {
    expect(calculate(named('swab'), { deltaMicroSiemensPerCm: 1, volumeMl: 15, areaMm2: 1250 })).toEqual({
      ok: true,
      value: { mgPerM2: expect.closeTo(6, 9) },
    });
  });

  it.each([
    { why: 'a missing field', input: { airTempC: -10 }, code: 'missing-field', field: 'windKmh' },
    {
      why: 'an unknown field',
      input: { airTempC: -10, windKmh: 5, gust: 9 },
      code: 'unknown-field',
      field: 'gust',
    },
    {
      why: 'a text for a number',
      input: { airTempC: '-10', windKmh: 5 },
      code: 'wrong-type',
      field: 'airTempC',
    },
    {
      why: 'a number out of range',
      input: { airTempC: -10, windKmh: 900 },
      code: 'out-of-range',
      field: 'windKmh',
    },
    { why: 'no object at all', input: 7, code: 'wrong-type', field: 'input' },
    { why: 'null', input: null, code: 'wrong-type', field: 'input' },
  ])('refuses $why and names it', ({ input, code, field }) => {
    expect(calculate(named('wind-chill'), input)).toMatchObject({ ok: false, error: { code, field } });
  });

  it('says of a missing field that it is needed, and of another what is wrong', () => {
    expect(calculate(named('wind-chill'), { airTempC: -10 })).toMatchObject({
      error: { message: 'windKmh: is needed' },
    });
    expect(calculate(named('film'), { ...FILM, brine: null })).toMatchObject({
      error: { code: 'wrong-type', field: 'brine' },
    });
    expect(calculate(named('film'), { ...FILM, brine: { agent: 'NaCl' } })).toMatchObject({
      error: { code: 'missing-field', field: 'brine.massPercent' },
    });
  });

  it('names a field inside another, and an unknown name', () => {
    expect(calculate(named('film'), { ...FILM, brine: { agent: 'KCl', massPercent: 8 } })).toMatchObject({
      ok: false,
      error: { code: 'unknown-name', field: 'brine.agent' },
    });
    expect(calculate(named('sun'), { latitudeDeg: 46, longitudeDeg: 8, at: 'noon' })).toMatchObject({
      ok: false,
      error: { field: 'at' },
    });
  });
});

describe('a sum that searches', () => {
  const watch: SolverWatch = { clockSeconds: () => 0 };
  const solver = (run: () => Promise<unknown>): Solver =>
    ({ ...[...SOLVERS.values()][0], input: named('wind-chill').input, solve: run }) as unknown as Solver;
  const good = { airTempC: -10, windKmh: 5 };

  it('answers with what it found, and is not begun on bad input', async () => {
    let begun = 0;
    const counts = solver(async () => {
      begun += 1;
      return await Promise.resolve(42);
    });
    expect(await solve(counts, good, watch)).toEqual({ ok: true, value: 42 });
    expect(await solve(counts, { airTempC: -10 }, watch)).toMatchObject({
      ok: false,
      error: { code: 'missing-field', field: 'windKmh' },
    });
    expect(begun).toBe(1);
  });

  it('names the field that it found wrong while searching; what is no fault of the input is thrown', async () => {
    const refuses = solver(() =>
      Promise.reject(new FieldError('out-of-range', 'jobs.0', 'jobs.0: too long')),
    );
    expect(await solve(refuses, good, watch)).toMatchObject({ ok: false, error: { field: 'jobs.0' } });
    await expect(
      solve(
        solver(() => Promise.reject(new Error('broken'))),
        good,
        watch,
      ),
    ).rejects.toThrow('broken');
  });
});
