import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import type { Product } from '../kit/index.js';
import { inUsualWay, inWay, type Method, wayOf } from '../method/index.js';
import { BAY, bottle, methodWith, VEHICLE } from '../testing/shop.js';
import { CLEAN } from '../soil/index.js';
import type { ZoneProtection } from '../vehicle/index.js';
import type { WaitOutcome, WaterOutcome } from '../wash/index.js';
import { DEFAULT_LIMITS, type Finding, type RuleId, ruleOf, wearsProtection } from './index.js';

const WATER: WaterOutcome = {
  ice: { panel: 'roof', minutes: null, needed: 1, step: 'final-rinse' },
  dry: { panel: 'roof', minutes: 60, needed: 1, step: 'final-rinse', filmGramsPerM2: 90, warmestC: 8 },
  dryGlass: null,
  coldest: { panel: 'roof', tempC: 3 },
  product: { panel: 'roof', minutes: null, needed: 1, step: 'foam' },
  label: null,
  sun: { panel: 'left', brightestWm2: 0, dimmestWm2: 0 },
};

const judged = (
  ruleId: RuleId,
  method: Method,
  { vehicle = VEHICLE, label = null }: { vehicle?: typeof VEHICLE; label?: WaitOutcome | null } = {},
): Finding =>
  ruleOf(ruleId).judge({
    vehicle,
    place: BAY,
    method,
    limits: DEFAULT_LIMITS,
    house: DEFAULT_HOUSE,
    soil: CLEAN,
    overnightC: 4,
    site: null,
    water: { ...WATER, label },
  });

const FOAM = bottle({ role: 'alkaline-pre-wash', inUsePh: 10, usualParts: 9, fewestParts: 4, mostParts: 20 });
const ACID = bottle({ role: 'wheel-acid', inUsePh: 2, usualParts: 4, fewestParts: 1, mostParts: 10 });
const withWheels = (wheels: Product, methodId = 'bay-touch-free', products = [FOAM, wheels]): Method =>
  inUsualWay(
    methodWith(methodId, { products, house: { ...DEFAULT_HOUSE, products: { wheels: wheels.id } } }),
  );
const zone = (name: ZoneProtection['zone'], kind: ZoneProtection['kind']): ZoneProtection => ({
  zone: name,
  kind,
  appliedMs: null,
  claimedLifeDays: null,
  observed: null,
});
const coated = (...protections: ZoneProtection[]) => ({
  ...VEHICLE,
  protection: 'coating' as const,
  protections,
});

describe('wear', () => {
  const foamAt = (inUsePh: number): Method =>
    inUsualWay(
      methodWith('bay-touch-free', { products: [{ ...FOAM, inUsePh }, bottle({ role: 'wheel-cleaner' })] }),
    );

  it.each([
    { inUsePh: 9.5, level: 'clear', why: 'at what wax stands' },
    { inUsePh: 9.6, level: 'condition', why: 'above it' },
    { inUsePh: 5.1, level: 'clear', why: 'near its lower end' },
  ])('of wax by foam of pH $inUsePh: $level, $why', ({ inUsePh, level }) => {
    const vehicle = coated(zone('bonnet', 'wax'));
    const finding = judged('wear', foamAt(inUsePh), { vehicle });
    expect(finding).toMatchObject({ level, zone: 'bonnet' });
    if (level === 'condition') expect(finding).toMatchObject({ step: 'foam', remedy: 'protect-after' });
    expect(wearsProtection({ method: foamAt(inUsePh), vehicle, limits: DEFAULT_LIMITS })).toBe(
      level === 'condition',
    );
  });

  it('is of what a product touches: acid on the wheels leaves the bonnet alone', () => {
    const waxed = coated(zone('bonnet', 'wax'));
    const mild = { ...FOAM, inUsePh: 8 };
    const method = withWheels(ACID, 'bay-touch-free', [mild, ACID]);
    expect(judged('wear', method, { vehicle: waxed }).level).toBe('clear');
    const waxedWheels = coated(zone('wheels-left', 'wax'));
    expect(judged('wear', method, { vehicle: waxedWheels })).toMatchObject({
      level: 'condition',
      step: 'wheels',
      zone: 'wheels-left',
      limit: 5,
    });
  });

  it('is a block where the surface itself is hurt', () => {
    const vehicle = { ...VEHICLE, delicateWheels: true };
    expect(judged('wear', withWheels(ACID), { vehicle })).toMatchObject({ level: 'block', step: 'wheels' });
    const mild = bottle({ role: 'wheel-cleaner', inUsePh: 7.5 });
    expect(judged('wear', withWheels(mild), { vehicle }).level).not.toBe('block');
  });

  it('is a condition where a solvent takes off what lies there, whatever its pH', () => {
    const house = {
      ...DEFAULT_HOUSE,
      variants: {
        'bay-touch-free': {
          steps: [
            { key: 'wheels-0', minutes: null, note: '' },
            { key: '+tar', minutes: null, note: '' },
          ],
          leftOut: [],
        },
      },
    };
    const method = inUsualWay(methodWith('bay-touch-free', { house }));
    const vehicle = { ...VEHICLE, protection: 'wax' as const };
    expect(judged('wear', method, { vehicle }).level).toBe('condition');
    expect(wearsProtection({ method, vehicle, limits: DEFAULT_LIMITS })).toBe(true);
    expect(judged('wear', method, { vehicle: { ...VEHICLE, protection: 'coating' } }).level).toBe('clear');
  });
});

describe('chemicals', () => {
  it('block acid on the wheels under alkaline foam, and name both steps', () => {
    expect(judged('chemicals', withWheels(ACID))).toMatchObject({
      level: 'block',
      step: 'foam',
      under: 'wheels',
    });
  });

  it('are clear where the wheels come last, behind the rinse of the foam and before the last', () => {
    const house = {
      ...DEFAULT_HOUSE,
      choices: { ...DEFAULT_HOUSE.choices, wheels: 'last' as const },
      products: { wheels: ACID.id },
    };
    const method = inUsualWay(methodWith('bay-touch-free', { products: [FOAM, ACID], house }));
    expect(judged('chemicals', method).level).toBe('clear');
  });

  it('are clear with mild soap on the wheels, which is rinsed off wheel by wheel', () => {
    const mild = bottle({ role: 'wheel-cleaner', inUsePh: 7.5 });
    expect(judged('chemicals', withWheels(mild)).level).toBe('clear');
  });

  it('block what nothing rinses off, and name its step', () => {
    const house = {
      ...DEFAULT_HOUSE,
      variants: {
        'garage-rinseless': {
          steps: [
            { key: 'towel-0', minutes: null, note: '' },
            { key: '+tar', minutes: null, note: '' },
          ],
          leftOut: [],
        },
      },
    };
    const method = inUsualWay(methodWith('garage-rinseless', { house }));
    expect(judged('chemicals', method)).toMatchObject({ level: 'block', step: 'tar' });
    expect(judged('chemicals', methodWith('garage-rinseless')).level).toBe('clear');
  });

  it('block what wants dry paint on what is wet, and name the water', () => {
    const dressed = (before: 'blow-0' | 'shuts-0') => {
      const keys = ['final-rinse-0', 'blow-0', 'towel-0', 'shuts-0'];
      keys.splice(keys.indexOf(before), 0, '+tyres');
      const steps = keys.map((key) => ({ key, minutes: null, note: '' }));
      const house = { ...DEFAULT_HOUSE, variants: { 'garage-hose': { steps, leftOut: [] } } };
      return judged('chemicals', inUsualWay(methodWith('garage-hose', { house })));
    };
    expect(dressed('blow-0')).toMatchObject({ level: 'block', step: 'tyres', under: 'final-rinse' });
    expect(dressed('shuts-0').level).toBe('clear');
  });
});

describe('the time on the label', () => {
  const method = inUsualWay(methodWith('bay-touch-free', { products: [FOAM] }));
  const lies = (minutes: number, needed: number): WaitOutcome => ({
    panel: 'roof',
    minutes,
    needed,
    step: 'foam',
  });

  it.each([
    { needed: 7.9, level: 'clear', why: 'within it' },
    { needed: 8, level: 'clear', why: 'at it' },
    { needed: 8.1, level: 'block', why: 'beyond it' },
  ])('of 8 min, lying $needed: $level, $why', ({ needed, level }) => {
    expect(judged('label-time', method, { label: lies(8, needed) })).toMatchObject({
      level,
      step: 'foam',
      panel: 'roof',
      actual: needed,
      limit: 8,
    });
  });

  it('counts on wheels from the first wheel to its rinse, and never grows under foam', () => {
    const acid = { ...ACID, dwell: { minMinutes: 0.5, maxMinutes: 1 } };
    // Wheels 4 min, foam 4 min, then the rinse: the first wheel waits eight minutes.
    const finding = judged('label-time', withWheels(acid));
    expect(finding).toMatchObject({ level: 'block', step: 'wheels', limit: 1 });
    expect(finding.actual).toBeCloseTo(8, 9);
  });

  it('of mild soap that is rinsed off wheel by wheel is that of one wheel', () => {
    const mild = bottle({ role: 'wheel-cleaner', inUsePh: 7.5, dwell: { minMinutes: 0.5, maxMinutes: 1 } });
    expect(judged('label-time', withWheels(mild))).toMatchObject({ level: 'clear', actual: 1, limit: 1 });
    const quick = { ...mild, dwell: { minMinutes: 0.5, maxMinutes: 0.9 } };
    expect(judged('label-time', withWheels(quick)).level).toBe('block');
  });

  it('is kept by smaller parts: foam that lies too long on the whole car does not on two panels', () => {
    const strong = { ...FOAM, dwell: { minMinutes: 3, maxMinutes: 8 } };
    const soap = methodWith('drive-hose', {
      products: [strong],
      house: { ...DEFAULT_HOUSE, products: { foam: strong.id } },
    });
    const lying = (wayId: string): number => {
      const { steps } = inWay(soap, wayOf(soap, wayId));
      const from = (i: number): number => steps.slice(0, i).reduce((sum, { minutes }) => sum + minutes, 0);
      const foam = steps.findIndex(({ id }) => id === 'foam');
      const hand = steps.findIndex(({ id, part }) => id === 'contact' && part === steps[foam]?.part);
      return from(hand + 1) - from(foam + 1);
    };
    expect(lying('whole')).toBeGreaterThan(8);
    expect(lying('touch-two-panels')).toBeLessThan(8);
  });

  it('is not known where the water was not looked at, and clear where no label says', () => {
    expect(judged('label-time', method).level).toBe('clear');
    expect(
      ruleOf('label-time').judge({ method, water: null } as Parameters<ReturnType<typeof ruleOf>['judge']>[0])
        .level,
    ).toBe('unknown');
  });
});
