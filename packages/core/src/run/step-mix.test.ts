import { describe, expect, it } from '@jest/globals';
import type { Mix } from '../kit/index.js';
import type { StepProduct, WashStep } from '../method/index.js';
import { stepFix } from './step-fix.js';
import { isMixOf, shareOfMix } from './step-mix.js';
import { roundOf } from './round.js';
import type { Preparation } from './preparation.js';

const MIX: Mix = {
  step: 'foam',
  role: 'film-remover',
  into: 'foamer',
  product: { id: 'own', name: 'Own', inUsePh: 7, dwell: null },
  productMl: 30,
  waterMl: 270,
  parts: 9,
  percent: 10,
  caps: 6,
  panelPercent: null,
  faults: [],
};
const PRODUCT = {
  id: 'own',
  role: 'film-remover',
  parts: 9,
  productMl: 10,
  fewestParts: 9,
  panelPercent: null,
} as unknown as StepProduct;
const step = (minutes: number, product: Partial<StepProduct> | null = {}): WashStep =>
  ({
    id: 'foam',
    groups: ['upper'],
    minutes,
    ...(product ? { product: { ...PRODUCT, ...product } } : {}),
  }) as unknown as WashStep;

describe('what of a batch goes on with one step', () => {
  it('is all of it, with its fills, where the step stands alone', () => {
    const mix = { ...MIX, fills: { count: 1, vesselMl: 1000 }, costMinor: 90 };
    expect(shareOfMix(mix, step(4), [step(4)])).toBe(mix);
  });

  it('is its part by what goes on with each', () => {
    const [first, second] = [step(4, { productMl: 10 }), step(4, { productMl: 20 })];
    const share = shareOfMix({ ...MIX, fills: { count: 1, vesselMl: 1000 }, costMinor: 90 }, second, [
      first,
      second,
    ]);
    expect(share).toMatchObject({ productMl: 20, waterMl: 180, caps: 4, costMinor: 60 });
    expect(share).not.toHaveProperty('fills');
  });

  it('is its part by minutes where an old sheet does not say, without caps or money that nobody knows', () => {
    const [first, second] = [step(1, null), step(3, null)];
    const share = shareOfMix({ ...MIX, caps: null }, first, [first, second]);
    expect(share).toMatchObject({ productMl: 7.5, waterMl: 67.5, caps: null });
    expect(share).not.toHaveProperty('costMinor');
  });

  it.each([
    { why: 'its bottle', product: {}, is: true },
    { why: 'another bottle', product: { id: 'other' }, is: false },
    { why: 'another role', product: { role: 'shampoo' as const }, is: false },
    { why: 'another strength of its own', product: { parts: 4, hasOwnParts: true }, is: false },
    { why: 'its own strength', product: { parts: 9, hasOwnParts: true }, is: true },
    { why: 'the strength of all', product: { parts: 4 }, is: true },
  ])('is mixed for a step or not: $why', ({ product, is }) => {
    expect(isMixOf(MIX, step(4, product))).toBe(is);
    expect(isMixOf(MIX, { ...step(4, product), id: 'rinse' })).toBe(false);
  });
});

describe('what mends a step', () => {
  const weakened = (product: Partial<StepProduct>) =>
    stepFix({ kind: 'too-strong' } as never, step(4, product));

  it('is so much water that no more than the label allows arrives on the panel', () => {
    // Mixed 1:4 and as it is: the label's own 1:9.
    expect(weakened({ parts: 4, panelPercent: null })).toEqual({ kind: 'weaken', parts: 9 });
    // A lance that thins 1:4 (20 %) to 5 % thins four times: 1:9 at the panel is 1:1.5 in the bottle.
    expect(weakened({ parts: 4, panelPercent: 5 })).toEqual({ kind: 'weaken', parts: 1.5 });
    // One that thins more than the label asks may be neat.
    expect(weakened({ parts: 4, panelPercent: 1 })).toEqual({ kind: 'weaken', parts: 0 });
    expect(stepFix({ kind: 'too-strong' } as never, step(4, null))).toBeNull();
  });

  it.each([
    ['not-rinsed', 'rinse-behind'],
    ['acid-over-alkali', 'rinse-before'],
    ['alkali-over-acid', 'rinse-before'],
    ['wet-paint', 'dry-before'],
    ['forbidden', 'leave-out'],
  ])('after %s is to %s', (fault, fix) => {
    expect(stepFix({ kind: fault } as never, step(4))).toEqual({ kind: fix });
  });

  it('is the program’s own choice where one’s own bottle does not do, and nothing where it is that already', () => {
    const own = { ...step(4), ownBottle: 'own' } as unknown as WashStep;
    expect(stepFix({ kind: 'meets' } as never, own)).toEqual({ kind: 'own-choice' });
    expect(stepFix({ kind: 'too-cold' } as never, own)).toEqual({ kind: 'own-choice' });
    expect(stepFix({ kind: 'meets' } as never, step(4))).toBeNull();
  });
});

describe('what is mixed once for a round', () => {
  const prepared = (mixes: readonly Mix[]): Preparation =>
    ({
      mixes,
      water: null,
      media: { mitts: 1, foldedTowels: 4, dryingTowels: 2 },
      clean: { mitts: 3, foldedTowels: null, dryingTowels: null },
      pack: ['mitts'],
      money: { visitMinor: 100, meterMinor: 250 },
      cold: { windChill: { windChillC: null }, handsMinutes: 12 },
    }) as unknown as Preparation;

  it('is the same product at the same strength in the same bottle, its water and caps added up', () => {
    const round = roundOf([
      prepared([MIX, { ...MIX, parts: 4 }]),
      prepared([{ ...MIX, productMl: 10, waterMl: 90, caps: 2 }]),
    ]);
    expect(round.mixes).toMatchObject([
      { count: 2, productMl: 40, waterMl: 360, caps: 8 },
      { count: 1, productMl: 30, waterMl: 270, caps: 6 },
    ]);
    expect(roundOf([prepared([MIX]), prepared([{ ...MIX, caps: null }])]).mixes[0]?.caps).toBeNull();
    for (const other of [
      { role: 'shampoo' as const },
      { into: 'bucket' as const },
      { product: { ...MIX.product, id: 'other' } as Mix['product'] },
    ])
      expect(roundOf([prepared([MIX]), prepared([{ ...MIX, ...other }])]).mixes).toHaveLength(2);
  });

  it('adds up cloths, money and minutes of wet hands, and counts clean cloths once', () => {
    expect(roundOf([prepared([]), prepared([])])).toMatchObject({
      media: { mitts: 2, foldedTowels: 8, dryingTowels: 4 },
      clean: { mitts: 3, foldedTowels: null, dryingTowels: null },
      moneyMinor: 700,
      handsMinutes: 24,
      windChillC: null,
      bucketLitres: 0,
    });
    expect(roundOf([]).clean).toEqual({ mitts: null, foldedTowels: null, dryingTowels: null });
  });
});
