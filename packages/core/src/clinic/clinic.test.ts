import { describe, expect, it } from '@jest/globals';
import {
  RUNGS,
  type RungDone,
  type RungId,
  type Spot,
  SPOT_AGES,
  SPOT_CAUSES,
  SPOT_MATERIALS,
  spotLadder,
  type SpotReaction,
} from './index.js';

const PAINT: Spot = { age: 'bonded', material: 'paint', cause: 'tap-water' };

/** The rungs that come when these things are seen one after the other. */
function course(spot: Spot, ...reactions: SpotReaction[]): RungId[] {
  const done: RungDone[] = [];
  for (const reaction of reactions) done.push({ rung: spotLadder(spot, done).rung.id, reaction });
  return [...done.map(({ rung }) => rung), spotLadder(spot, done).rung.id];
}

describe('the spot ladder', () => {
  it.each([
    { age: 'fresh', material: 'paint', cause: 'tap-water', first: 're-wet' },
    { age: 'not-known', material: 'glass', cause: 'not-known', first: 're-wet' },
    { age: 'bonded', material: 'paint', cause: 'sprinkler', first: 'acid-test' },
    { age: 'bonded', material: 'paint', cause: 'road-salt', first: 're-wet' },
    { age: 'etched', material: 'paint', cause: 'rain-then-sun', first: 'polish' },
    { age: 'etched', material: 'film', cause: 'rain-then-sun', first: 'refer' },
    { age: 'bonded', material: 'metal', cause: 'tap-water', first: 'refer' },
  ] as const)('of $age spots on $material from $cause begins with $first', ({ first, ...spot }) => {
    expect(spotLadder(spot, []).rung.id).toBe(first);
  });

  it('re-wets twice while it helps, then takes the next rung', () => {
    const fresh: Spot = { ...PAINT, age: 'fresh' };
    expect(course(fresh, 'fewer', 'fewer')).toEqual(['re-wet', 're-wet', 'acid-test']);
    expect(course(fresh, 'gone')).toEqual(['re-wet', 'seal']);
  });

  it('puts acid on again while it reacts, four times at most, and washes it off before anything else', () => {
    expect(course(PAINT, 'still-reacting', 'still-reacting', 'no-change', 'no-change', 'no-change')).toEqual([
      'acid-test',
      'acid',
      'acid',
      'neutralise',
      'clay',
      'polish',
    ]);
    const reacting: SpotReaction[] = Array.from({ length: 5 }, () => 'still-reacting');
    expect(course(PAINT, ...reacting).filter((rung) => rung === 'acid')).toHaveLength(4);
    expect(course(PAINT, ...reacting).at(-1)).toBe('neutralise');
  });

  it('refers what went dull, after the acid is washed off', () => {
    expect(course(PAINT, 'dulled', 'no-change')).toEqual(['acid-test', 'neutralise', 'refer']);
  });

  it('blades glass, and never paint', () => {
    expect(course({ ...PAINT, material: 'glass' }, 'no-change', 'no-change', 'no-change')).toContain('blade');
    expect(course(PAINT, 'no-change', 'no-change', 'no-change', 'no-change')).not.toContain('blade');
  });

  it('blades glass while the remover is wet, then washes it off, and blades it no second time', () => {
    const glass: Spot = { ...PAINT, material: 'glass' };
    expect(course(glass, 'still-reacting', 'no-change', 'no-change', 'no-change', 'no-change')).toEqual([
      'acid-test',
      'acid',
      'wet-blade',
      'neutralise',
      'clay',
      'refer',
    ]);
    expect(course(glass, 'still-reacting', 'gone')).toEqual(['acid-test', 'acid', 'neutralise']);
    expect(course(glass, 'still-reacting', 'dulled')).toEqual(['acid-test', 'acid', 'neutralise']);
  });

  it('ends the replay where an answer does not fit', () => {
    const stand = spotLadder(PAINT, [
      { rung: 'acid-test', reaction: 'gone' },
      { rung: 'polish', reaction: 'gone' },
    ]);
    expect(stand.rung.id).toBe('acid');
    expect(stand.done).toHaveLength(1);
  });

  it('comes to an end on every way, with acid never left on and never without a test spot', () => {
    const wrong: string[] = [];
    let walked = 0;
    const walk = (spot: Spot, done: readonly RungDone[]): void => {
      walked += 1;
      const { rung } = spotLadder(spot, done);
      const last = done.at(-1)?.rung;
      const tested = done.some((step) => step.rung === 'acid-test');
      if (done.length >= 16) wrong.push(`goes on and on: ${JSON.stringify(spot)}`);
      const bladesInIt = rung.id === 'wet-blade' && spot.material === 'glass';
      if (last === 'acid' && rung.id !== 'acid' && rung.id !== 'neutralise' && !bladesInIt)
        wrong.push(`acid left on before ${rung.id}`);
      if (last === 'wet-blade' && rung.id !== 'neutralise') wrong.push(`acid left on before ${rung.id}`);
      if (rung.id === 'wet-blade' && last !== 'acid') wrong.push(`a wet blade without acid after ${last}`);
      if (rung.id === 'acid' && !tested) wrong.push(`acid without a test spot: ${JSON.stringify(spot)}`);
      if (wrong.length > 0) return;
      for (const reaction of rung.reactions) walk(spot, [...done, { rung: rung.id, reaction }]);
    };
    for (const age of SPOT_AGES)
      for (const material of SPOT_MATERIALS)
        for (const cause of SPOT_CAUSES) walk({ age, material, cause }, []);
    expect(wrong).toEqual([]);
    expect(walked).toBeGreaterThan(1000);
  });
});

it('rungs have dwell in order, and acid ones their cautions', () => {
  for (const { id, dwellSeconds, cautions } of RUNGS) {
    if (dwellSeconds) expect(dwellSeconds.to).toBeGreaterThan(dwellSeconds.from);
    if (id === 'acid' || id === 'acid-test' || id === 'wet-blade')
      expect(cautions).toEqual(
        expect.arrayContaining(['gloves-and-goggles', 'never-over-alkali', 'data-sheet']),
      );
  }
});
