import { describe, expect, it } from '@jest/globals';
import { refused } from '../testing/refused-field.js';
import { checkedNamedWays, checkedVariants } from './own-steps.js';

describe('the shop’s own way of a method', () => {
  const variant = (change: object) => ({ 'bay-contact': { steps: [], leftOut: [], ...change } });
  const step = (change: object) => variant({ steps: [{ key: 'rinse-0', ...change }] });

  it('is kept with what was not said left as it ships', () => {
    expect(checkedVariants(step({}))).toEqual(
      variant({ steps: [{ key: 'rinse-0', minutes: null, note: '' }] }),
    );
    const all = variant({
      steps: [
        { key: '+iron', minutes: 240, note: 'x'.repeat(200) },
        { key: '+rinse-12', minutes: 0.1, note: '' },
        {
          key: 'foam-0',
          minutes: null,
          note: '',
          groups: ['lower', 'wheels'],
          litres: 0,
          dwell: { minMinutes: 3, maxMinutes: 3 },
          section: 'two-panels',
          stage: 'second',
          product: 'bottle',
          parts: 0,
        },
      ],
      leftOut: ['shuts-0'],
    });
    expect(checkedVariants(all)).toEqual(all);
  });

  it.each([
    { change: variant({}), methodId: 'sandblast', field: 'house.variants.sandblast' },
    { change: { 'bay-contact': [] }, field: 'house.variants.bay-contact' },
    { change: { 'bay-contact': null }, field: 'house.variants.bay-contact' },
    { change: variant({ steps: {} }), field: 'house.variants.bay-contact.steps' },
    { change: variant({ leftOut: 'rinse-0' }), field: 'house.variants.bay-contact.leftOut' },
    {
      change: variant({ steps: Array(61).fill({ key: 'rinse-0' }) }),
      field: 'house.variants.bay-contact.steps',
    },
    { change: variant({ steps: ['rinse-0'] }), field: 'house.variants.bay-contact.steps.0' },
    { change: step({ key: 'Rinse' }), field: 'house.variants.bay-contact.steps.0.key' },
    { change: step({ key: 7 }), field: 'house.variants.bay-contact.steps.0.key' },
    { change: step({ key: '++rinse' }), field: 'house.variants.bay-contact.steps.0.key' },
    { change: step({ minutes: 0 }), field: 'house.variants.bay-contact.steps.0.minutes' },
    { change: step({ minutes: 240.1 }), field: 'house.variants.bay-contact.steps.0.minutes' },
    { change: step({ minutes: '4' }), field: 'house.variants.bay-contact.steps.0.minutes' },
    { change: step({ note: 'x'.repeat(201) }), field: 'house.variants.bay-contact.steps.0.note' },
    { change: step({ note: 4 }), field: 'house.variants.bay-contact.steps.0.note' },
    { change: variant({ leftOut: ['shuts-123'] }), field: 'house.variants.bay-contact.leftOut.0' },
    { change: step({ groups: [] }), field: 'house.variants.bay-contact.steps.0.groups' },
    { change: step({ groups: ['upper', 'upper'] }), field: 'house.variants.bay-contact.steps.0.groups' },
    { change: step({ groups: ['sky'] }), field: 'house.variants.bay-contact.steps.0.groups' },
    { change: step({ litres: 500.1 }), field: 'house.variants.bay-contact.steps.0.litres' },
    { change: step({ litres: '4' }), field: 'house.variants.bay-contact.steps.0.litres' },
    { change: step({ dwell: 4 }), field: 'house.variants.bay-contact.steps.0.dwell' },
    {
      change: step({ dwell: { minMinutes: 3 } }),
      field: 'house.variants.bay-contact.steps.0.dwell.maxMinutes',
    },
    {
      change: step({ dwell: { minMinutes: 3, maxMinutes: 2 } }),
      field: 'house.variants.bay-contact.steps.0.dwell.maxMinutes',
    },
    { change: step({ section: 'half' }), field: 'house.variants.bay-contact.steps.0.section' },
    { change: step({ stage: 'third' }), field: 'house.variants.bay-contact.steps.0.stage' },
    { change: step({ product: '' }), field: 'house.variants.bay-contact.steps.0.product' },
    { change: step({ parts: -1 }), field: 'house.variants.bay-contact.steps.0.parts' },
    { change: step({ parts: 5001 }), field: 'house.variants.bay-contact.steps.0.parts' },
  ])('is refused by $field', ({ change, methodId, field }) => {
    const given = methodId ? { [methodId]: change['bay-contact'] } : change;
    expect(refused(() => checkedVariants(given))).toBe(field);
  });

  it('tells each step once, and leaves out none that it tells', () => {
    const twice = variant({ steps: [{ key: 'rinse-0' }, { key: 'foam-0' }, { key: 'rinse-0' }] });
    expect(refused(() => checkedVariants(twice))).toBe('house.variants.bay-contact.steps.2.key');
    const both = variant({ steps: [{ key: 'rinse-0' }], leftOut: ['rinse-0'] });
    expect(refused(() => checkedVariants(both))).toBe('house.variants.bay-contact.steps.0.key');
  });

  it('has sixty steps at most', () => {
    const steps = Array.from({ length: 60 }, (_, i) => ({ key: `rinse-${i}` }));
    expect(checkedVariants(variant({ steps }))['bay-contact']?.steps).toHaveLength(60);
  });
});

describe('orders of steps by a name', () => {
  const way = (change: object = {}) => ({
    name: ' Short winter wash ',
    methodId: 'bay-contact',
    variant: { steps: [{ key: 'foam-0', minutes: 3, note: '' }], leftOut: ['towel-0'] },
    ...change,
  });

  it('are kept with their name trimmed, one name for each method', () => {
    const other = way({ methodId: 'bay-touch-free' });
    expect(checkedNamedWays([way(), other]).map(({ name, methodId }) => [name, methodId])).toEqual([
      ['Short winter wash', 'bay-contact'],
      ['Short winter wash', 'bay-touch-free'],
    ]);
  });

  it.each([
    { rows: [way({ name: '  ' })], field: 'namedWays.0.name' },
    { rows: [way({ name: 'x'.repeat(61) })], field: 'namedWays.0.name' },
    { rows: [way({ name: 7 })], field: 'namedWays.0.name' },
    { rows: [way({ methodId: 'moonwash' })], field: 'namedWays.0.methodId' },
    { rows: [way({ variant: null })], field: 'namedWays.0.variant' },
    { rows: [way(), way()], field: 'namedWays.1.name' },
    { rows: ['a name'], field: 'namedWays.0' },
  ])('are refused at $field', ({ rows, field }) => {
    expect(() => checkedNamedWays(rows)).toThrow(
      expect.objectContaining({
        response: expect.objectContaining({ error: expect.objectContaining({ field }) }),
      }),
    );
  });
});
