import { describe, expect, it } from '@jest/globals';
import { packFor } from '../testing/live.js';
import type { RunPack } from './index.js';
import { visitOf } from './index.js';

const AIR_MILD = { airTempC: 6, dewPointC: 5, windMetresPerSecond: 1 } as const;
/** A pack of a place that takes two cars, with all its hours known. */
function pack(methodId: string, air: Parameters<typeof packFor>[1], change: Partial<RunPack> = {}): RunPack {
  const made = packFor(methodId, air);
  const [hour] = made.hours;
  return {
    ...made,
    place: { ...made.place, carsAtOnce: 2 },
    hours: Array.from({ length: 8 }, () => hour ?? null),
    ...change,
  };
}
const pair = (
  methodId: string,
  air: Parameters<typeof packFor>[1] = AIR_MILD,
  change: Partial<RunPack> = {},
) => [pack(methodId, air, change), pack(methodId, air, { washId: 'w2', ...change })] as const;
const visit = (...[methodId, air, change]: Parameters<typeof pair>) =>
  visitOf(...pair(methodId, air, change));

describe('two cars in one visit', () => {
  it('take less than one after the other, whose way and laying out they share', () => {
    const [first, second] = pair('bay-touch-free');
    const found = visitOf(first, second);
    expect(found?.against).toEqual([[], []]);
    expect(found?.hold).toBe('meter');
    const apart = first.method.minutes + second.method.minutes + 2 * first.place.travelMinutes;
    expect(found?.minutes).toBeLessThan(apart - 2 * first.place.travelMinutes);
    expect(found?.savedMinutes).toBeCloseTo(apart - (found?.minutes ?? 0), 9);
  });

  it('are held while they are wet where the hand would come to ice on one otherwise', () => {
    const chilly = { airTempC: 1, dewPointC: -5, windMetresPerSecond: 1, cloudFraction: 0 };
    const found = visit('bay-touch-free', chilly);
    expect(found).toMatchObject({ hold: 'wet', against: [[], []] });
    const order = found?.order.steps.map(({ car, step: { id } }) => `${car} ${id}`) ?? [];
    const rinse = order.indexOf('0 rinse');
    const towel = order.indexOf('0 towel');
    expect(order.slice(rinse, towel).every((one) => one.startsWith('0'))).toBe(true);
  });

  it('say what goes wrong where no order works', () => {
    const bitter = { airTempC: -20, dewPointC: -24, windMetresPerSecond: 5 };
    const found = visit('bay-contact', bitter);
    expect(found?.hold).toBe('all');
    expect(found?.against.flat().map(({ ruleId }) => ruleId)).toContain('ice-on-car');
  });

  it('are one visit only at one place that takes both, and where neither drives on', () => {
    const [first, second] = pair('bay-touch-free');
    expect(visitOf(first, { ...second, place: { ...second.place, id: 'other' } })).toBeNull();
    const single = { ...first.place, carsAtOnce: 1 };
    expect(visitOf({ ...first, place: single }, { ...second, place: single })).toBeNull();
    const [step] = second.method.steps;
    if (!step) throw new Error('a method without steps');
    const driven = {
      ...second.method,
      steps: [...second.method.steps, { ...step, id: 'drive-on' as const }],
    };
    expect(visitOf(first, { ...second, method: driven })).toBeNull();
    const unknown = first.hours.map(() => null);
    expect(visitOf({ ...first, hours: unknown }, second)).toBeNull();
  });

  it.each([
    { grade: 2, answer: { kind: 'one' } },
    { grade: 4.9, answer: { kind: 'two', because: 'grade', car: 1 } },
  ] as const)('share a bucket by what is left on the dirtier: soil of $grade', ({ grade, answer }) => {
    const [first, second] = pair('garage-rinseless');
    const dirty = { ...second, soilBefore: { ...second.soilBefore, upper: grade, lower: grade } };
    expect(visitOf(first, dirty)?.bucket).toMatchObject(answer);
  });

  it('ask for a mitt of each car’s own below, and for no bucket where no hand touches', () => {
    const [first, second] = pair('garage-rinseless');
    const { sheet } = second;
    const media = { ...sheet.preparation.media, mitts: 1 };
    const short = { ...second, sheet: { ...sheet, preparation: { ...sheet.preparation, media } } };
    expect(visitOf(first, short)?.bucket).toEqual({ kind: 'two', because: 'mitts', car: 1 });
    expect(visit('bay-touch-free')?.bucket).toEqual({ kind: 'none' });
  });
});
