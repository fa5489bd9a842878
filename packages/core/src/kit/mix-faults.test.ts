import { describe, expect, it } from '@jest/globals';
import { inUsualWay } from '../method/index.js';
import { bottle, methodWith, VEHICLE } from '../testing/shop.js';
import { type MixFault, mixesFor } from './index.js';

const RINSELESS = bottle({
  id: 'quick',
  role: 'rinseless',
  usualParts: 255,
  fewestParts: 15,
  mostParts: 320,
});

function faultsAt(parts: number, at: { readonly placeC: number; readonly panelC?: number }): MixFault[] {
  const { steps } = inUsualWay(methodWith('rinseless-outdoors', { products: [RINSELESS] }));
  const mixed = steps.map((step) =>
    step.product?.id === 'quick' ? { ...step, product: { ...step.product, parts } } : step,
  );
  const mixes = mixesFor(mixed, { vehicle: VEHICLE, kit: { products: [RINSELESS] }, ...at });
  const found = mixes.find(({ step }) => step === 'rinseless');
  if (!found) throw new Error('nothing is mixed for the rinseless part');
  return found.faults.filter(({ kind }) => kind === 'smears');
}

describe('twice the product in heat', () => {
  it('smears on warm paint, and says how strong, how strong usually and how warm', () => {
    expect(faultsAt(127, { placeC: 18, panelC: 41 })).toEqual([
      { kind: 'smears', parts: 127, usualParts: 255, panelC: 41, warmC: 25 },
    ]);
  });

  it.each([
    { what: 'the usual strength', parts: 255, panelC: 41 },
    { what: 'a little more than usual', parts: 140, panelC: 41 },
    { what: 'cool paint', parts: 127, panelC: 24.9 },
  ])('does not with $what', ({ parts, panelC }) => {
    expect(faultsAt(parts, { placeC: 18, panelC })).toEqual([]);
  });

  it('begins at 25 °C, and the paint is as warm as the air where nobody knows it', () => {
    expect(faultsAt(127, { placeC: 18, panelC: 25 })).toHaveLength(1);
    expect(faultsAt(127, { placeC: 30 })).toHaveLength(1);
    expect(faultsAt(127, { placeC: 20 })).toHaveLength(0);
  });

  it('is no matter of what is rinsed off', () => {
    const foam = bottle({
      id: 'foam',
      role: 'alkaline-pre-wash',
      usualParts: 9,
      fewestParts: 1,
      mostParts: 40,
    });
    const { steps } = inUsualWay(methodWith('bay-contact', { products: [foam] }));
    const strong = steps.map((step) =>
      step.product ? { ...step, product: { ...step.product, parts: 2 } } : step,
    );
    const mixes = mixesFor(strong, { vehicle: VEHICLE, kit: { products: [foam] }, placeC: 30, panelC: 45 });
    expect(mixes.find(({ step }) => step === 'foam')?.parts).toBe(2);
    expect(mixes.flatMap(({ faults }) => faults.filter(({ kind }) => kind === 'smears'))).toEqual([]);
  });
});
