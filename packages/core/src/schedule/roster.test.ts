import { describe, expect, it } from '@jest/globals';
import { apartSchedule } from '../testing/schedules.js';
import { compile } from './compiled.js';
import { fill, localSearch, rosterOf } from './improve.js';
import { Roster } from './roster.js';
import { grainOf, type ScheduleOption } from './schedule-problem.js';

const option = (job: number, startSlot: number, change: Partial<ScheduleOption> = {}): ScheduleOption => ({
  job,
  place: 0,
  startSlot,
  durationMinutes: 30,
  crew: 0,
  value: 10,
  stock: null,
  ...change,
});
/** Twelve slots of a quarter of an hour at two places twenty minutes apart. */
const laid = (options: ScheduleOption[], change: { stock?: number[]; capacity?: number } = {}) =>
  compile({
    slotMinutes: 15,
    slotCount: 12,
    jobCount: 1 + Math.max(...options.map(({ job }) => job)),
    crewCount: 2,
    capacity: [0, 1].map(() => Array<number>(12).fill(change.capacity ?? 2)),
    travelMinutes: [
      [0, 20],
      [20, 0],
    ],
    stock: change.stock ?? [],
    options,
  });
const all = (count: number): Int32Array => Int32Array.from({ length: count }, (_, i) => i);

describe('a schedule in the making', () => {
  it('counts what is left of a stock, and has no room beyond it', () => {
    const compiled = laid(
      [option(0, 0, { stock: 0 }), option(1, 4, { stock: 0 }), option(2, 8, { stock: 0 })],
      {
        stock: [2],
      },
    );
    const roster = new Roster(compiled);
    expect(roster.stockOver(0)).toBe(2);
    roster.add(0);
    expect(roster.stockOver(0)).toBe(1);
    roster.add(1);
    expect(roster.stockOver(0)).toBe(0);
    expect(roster.hasRoom(2)).toBe(false);
  });

  it('lets a crew begin when it has arrived, and not a slot sooner', () => {
    // Done at minute 30, there at minute 50: slot 4 begins at 60, slot 3 at 45.
    const soon = laid([option(0, 0), option(1, 3, { place: 1 }), option(1, 4, { place: 1 })]);
    const roster = new Roster(soon);
    roster.add(0);
    expect(roster.inTheWay(1, 100)).toEqual([0]);
    expect(roster.inTheWay(2, 100)).toEqual([]);
  });

  it('takes two crews at one place side by side, as many as it holds', () => {
    const pair = [option(0, 0), option(1, 0, { crew: 1 })];
    expect(rosterOf([0, 1], laid(pair)).chosen).toEqual([0, 1]);
    expect(rosterOf([0, 1], laid(pair, { capacity: 1 })).chosen).toHaveLength(1);
  });

  it('gives up what is worth less, and nothing beyond the limit', () => {
    const roster = new Roster(laid([option(0, 0, { value: 4 }), option(1, 0, { value: 9 })]));
    roster.add(0);
    expect(roster.inTheWay(1, 9)).toEqual([0]);
    expect(roster.inTheWay(1, 4)).toBeNull();
  });

  it('is filled up with every job that nothing stands in the way of, each once', () => {
    const compiled = laid([option(0, 0), option(0, 4), option(1, 4), option(2, 0)]);
    const roster = new Roster(compiled);
    fill(roster, all(4), compiled);
    // The options are laid out by start: 0 and 2 at slot 0, then 1 and 3 at slot 4.
    const jobs = roster.chosen.map((i) => compiled.job[i]);
    expect(jobs.sort()).toEqual([0, 1]);
    expect(roster.value).toBe(20);
  });

  it('is never made worse by trading', () => {
    const compiled = compile(apartSchedule({ jobCount: 9, slotCount: 24, crewCount: 2, stock: 2 }));
    const order = all(compiled.count);
    const roster = rosterOf(order, compiled);
    const before = roster.value;
    localSearch(roster, order, compiled);
    expect(roster.value).toBeGreaterThanOrEqual(before);
    expect(roster.stockOver(0)).toBeGreaterThanOrEqual(0);
    expect(new Set(roster.chosen.map((i) => compiled.job[i])).size).toBe(roster.chosen.length);
  });
});

describe('of what all values are whole multiples', () => {
  it.each([
    { values: [3, 12, 400], grain: 1 },
    { values: [3, 0.2, 7.5], grain: 0.1 },
    { values: [3, 0.25], grain: 0.01 },
    { values: [3, 0.2504], grain: 0 },
    { values: [Math.PI], grain: 0 },
  ])('$values: $grain', ({ values, grain }) => {
    expect(grainOf(Float64Array.from(values))).toBe(grain);
  });
});
