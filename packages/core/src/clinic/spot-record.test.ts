import { describe, expect, it } from '@jest/globals';
import { type RungDone, type Spot, spotLadder, spotStanding, materialOfZone } from './index.js';

const PAINT: Spot = { age: 'fresh', material: 'paint', cause: 'tap-water' };
const gone: RungDone = { rung: 're-wet', reaction: 'gone' };
const same: RungDone = { rung: 're-wet', reaction: 'no-change' };

describe('spots on a record', () => {
  it.each([
    { done: [], standing: 'open' },
    { done: [gone], standing: 'gone' },
    { done: [same], standing: 'open' },
    { done: [same, { rung: 'acid-test', reaction: 'dulled' }], standing: 'open' },
  ] as const)('stand $standing after $done', ({ done, standing }) => {
    expect(spotStanding({ ...PAINT, done })).toBe(standing);
  });

  it('are for somebody else where the material bears no more', () => {
    expect(spotStanding({ ...PAINT, material: 'metal', done: [same] })).toBe('referred');
  });

  it('are gentler work on painted plastic than on paint, and gentler still on trim', () => {
    const tried: RungDone[] = [same, { rung: 'acid-test', reaction: 'still-reacting' }];
    const next = (material: Spot['material']) => spotLadder({ ...PAINT, material }, tried).rung.id;
    expect(next('paint')).toBe('acid');
    expect(next('painted-plastic')).toBe('acid');
    // Acid is tested on trim, and no more than that.
    expect(next('plastic')).toBe('neutralise');
    const clayed: RungDone[] = [
      same,
      { rung: 'acid-test', reaction: 'no-change' },
      { rung: 'neutralise', reaction: 'no-change' },
      { rung: 'clay', reaction: 'no-change' },
    ];
    expect(spotLadder({ ...PAINT, material: 'paint' }, clayed).rung.id).toBe('polish');
    expect(spotLadder({ ...PAINT, material: 'painted-plastic' }, clayed).rung.id).toBe('refer');
  });

  it('sit on what the zone is made of', () => {
    expect(materialOfZone('roof')).toBe('paint');
    expect(materialOfZone('front')).toBe('painted-plastic');
    expect(materialOfZone('glass')).toBe('glass');
    expect(materialOfZone('wheels-left')).toBe('metal');
  });
});
