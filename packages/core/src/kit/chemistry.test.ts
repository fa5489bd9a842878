import { describe, expect, it } from '@jest/globals';
import type { WashStep, WashStepId } from '../method/index.js';
import { chemicalClashes, clashOf, notRinsed, takesOff } from './index.js';

type Group = WashStep['groups'][number];

const step = (id: WashStepId, groups: readonly Group[], inUsePh: number | null = null) => ({
  id,
  groups,
  inUsePh,
});

describe('two pH meet badly', () => {
  it.each([
    { under: 9.5, over: 5, is: 'acid-over-alkali', why: 'both at their limit' },
    { under: 9.4, over: 5, is: null, why: 'just no alkali' },
    { under: 9.5, over: 5.1, is: null, why: 'just no acid' },
    { under: 5, over: 9.5, is: 'alkali-over-acid', why: 'both at their limit, the other way round' },
    { under: 5.1, over: 9.5, is: null, why: 'just no acid below' },
    { under: 5, over: 9.4, is: null, why: 'just no alkali above' },
    { under: 12, over: 12, is: null, why: 'two alkalis' },
    { under: 2, over: 2, is: null, why: 'two acids' },
    { under: null, over: 2, is: null, why: 'nobody knows what lies below' },
    { under: 12, over: null, is: null, why: 'nobody knows what comes over it' },
  ])('$why', ({ under, over, is }) => {
    expect(clashOf(under, over)).toBe(is);
  });
});

describe('what lies on the car', () => {
  it('clashes where the zones meet, though only some of them do, and names both steps', () => {
    const steps = [step('wheels', ['wheels', 'arches'], 2), step('foam', ['upper', 'wheels'], 11)];
    expect(chemicalClashes(steps)).toEqual([{ kind: 'alkali-over-acid', over: 1, under: 0 }]);
  });

  it('does not clash with mild soap that was rinsed off wheel by wheel', () => {
    const over = step('iron', ['wheels'], 4);
    expect(chemicalClashes([step('wheels', ['wheels'], 9.4), over])).toEqual([]);
    expect(chemicalClashes([step('wheels', ['wheels'], 9.5), over])).toHaveLength(1);
  });

  it('does not clash side by side', () => {
    expect(chemicalClashes([step('wheels', ['wheels'], 2), step('foam', ['upper'], 11)])).toEqual([]);
  });

  it('is gone once it was rinsed, and not before', () => {
    const acid = step('wheels', ['wheels'], 2);
    const alkali = step('foam', ['upper', 'wheels'], 11);
    expect(chemicalClashes([acid, step('rinse', ['wheels']), alkali])).toEqual([]);
    expect(chemicalClashes([acid, step('rinse', ['upper']), alkali])).toHaveLength(1);
    expect(chemicalClashes([acid, step('blow', ['wheels']), alkali])).toHaveLength(1);
  });

  it('clashes with each of two that lie there', () => {
    const steps = [step('foam', ['upper'], 11), step('bugs', ['upper'], 10), step('iron', ['upper'], 4)];
    expect(chemicalClashes(steps).map(({ over, under }) => [over, under])).toEqual([
      [2, 0],
      [2, 1],
    ]);
  });
});

describe('what takes a product off', () => {
  it.each([
    { by: 'rinse', product: 'foam', is: true, why: 'water' },
    { by: 'towel', product: 'foam', is: false, why: 'a cloth leaves what its data sheet wants rinsed' },
    { by: 'towel', product: 'rinseless', is: true, why: 'a cloth takes up what needs no rinse' },
    { by: 'blow', product: 'rinseless', is: false, why: 'air only moves it' },
    { by: 'underbody-ramps', product: 'foam', is: false, why: 'water from below' },
  ] as const)('$by on $product: $why', ({ by, product, is }) => {
    expect(takesOff(step(by, ['upper']), step(product, ['upper']))).toBe(is);
  });

  it('reaches only where it goes', () => {
    expect(takesOff(step('rinse', ['lower']), step('foam', ['upper']))).toBe(false);
    expect(takesOff(step('rinse', ['lower', 'upper']), step('foam', ['upper', 'wheels']))).toBe(true);
  });
});

describe('what nothing rinses', () => {
  const dwell = { minMinutes: 1, maxMinutes: 4 } as WashStep['dwell'];
  const laid = (id: WashStepId, groups: readonly Group[], inUsePh: number | null = 8) => ({
    id,
    groups,
    dwell,
    inUsePh,
  });
  const bare = (id: WashStepId, groups: readonly Group[]) => ({ id, groups, dwell: null, inUsePh: null });

  it('is found group by group, for the step that put it on', () => {
    expect(notRinsed([laid('foam', ['upper', 'wheels']), bare('rinse', ['upper'])])).toEqual([
      ['wheels'],
      [],
    ]);
  });

  it('is nothing where several rinses share the car, from below too', () => {
    const steps = [laid('foam', ['upper', 'arches']), bare('rinse', ['upper']), bare('arches', ['arches'])];
    expect(notRinsed(steps).flat()).toEqual([]);
  });

  it('is all of it where water came before and none after', () => {
    expect(notRinsed([bare('rinse', ['upper']), laid('foam', ['upper'])])).toEqual([[], ['upper']]);
  });

  it('is nothing for wheels that are rinsed one by one, unless strong product lies on them', () => {
    expect(notRinsed([laid('wheels', ['wheels'], 7.5)])).toEqual([[]]);
    expect(notRinsed([laid('wheels', ['wheels'], 2)])).toEqual([['wheels']]);
    expect(notRinsed([laid('wheels', ['wheels'], 11), bare('rinse', ['wheels'])])).toEqual([[], []]);
  });

  it('is nothing for what wants no rinse, or does not lie there to work', () => {
    expect(notRinsed([laid('rinseless', ['upper']), bare('foam', ['upper'])])).toEqual([[], []]);
  });
});
