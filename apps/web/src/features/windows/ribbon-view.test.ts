import { linePoints } from '../../parts/hour-lines.js';
import { describe, expect, it } from '@jest/globals';
import type { Band, Cell, VerdictKind, WindowsView } from '@keen/core';
import { firstChoice, moveByKey, pointOf, startAt } from './chosen-start.js';
import {
  bandLayout,
  cellOpacity,
  goingAt,
  isInDoubt,
  openBands,
  roadRuns,
  runsOf,
  tempScale,
} from './ribbon-view.js';

const cell = (
  i: number,
  verdict: VerdictKind,
  ruleId: Cell['limiting']['ruleId'] = 'ice-on-car',
  comfort = 1,
): Cell => ({
  startMs: i * 3_600_000,
  delayMinutes: 0,
  placeC: null,
  wayId: 'whole',
  verdict,
  limiting: { ruleId, level: 'clear', margin: 1, unit: 'min', comfort },
  untilMs: null,
  blockedFraction: null,
});

const band = (verdicts: readonly VerdictKind[]): Band => ({
  placeId: 'p',
  methodId: 'm',
  refusal: null,
  cells: verdicts.map((verdict, i) => cell(i, verdict)),
});

describe('moving by keys', () => {
  const bands = [band(['no', 'go', 'wait', 'go-if']), band(['go', 'go', 'go', 'go'])];

  it.each([
    { key: 'ArrowRight', from: [0, 1], to: [0, 2] },
    { key: 'ArrowRight', from: [0, 3], to: [0, 3] },
    { key: 'ArrowLeft', from: [0, 0], to: [0, 0] },
    { key: 'ArrowDown', from: [0, 1], to: [1, 1] },
    { key: 'ArrowDown', from: [1, 1], to: [1, 1] },
    { key: 'ArrowUp', from: [1, 2], to: [0, 2] },
    { key: 'Home', from: [0, 2], to: [0, 0] },
    { key: 'End', from: [0, 0], to: [0, 3] },
    { key: 'PageDown', from: [0, 1], to: [0, 3] },
    { key: 'n', from: [0, 1], to: [0, 3] },
    { key: 'n', from: [0, 3], to: [0, 3] },
  ])('$key from $from to $to', ({ key, from: [bandIndex = 0, hourIndex = 0], to }) => {
    const moved = moveByKey(key, { bandIndex, hourIndex }, bands);
    expect([moved?.bandIndex, moved?.hourIndex]).toEqual(to);
  });

  it('leaves other keys alone', () => {
    expect(moveByKey('x', { bandIndex: 0, hourIndex: 0 }, bands)).toBeNull();
  });
});

describe('the first look', () => {
  it('falls on the earliest start that goes and is still to come', () => {
    const bands = [band(['no', 'no', 'no', 'go']), band(['go', 'wait', 'go', 'go'])];
    expect(firstChoice(bands, 3_600_000)).toEqual({ bandIndex: 1, hourIndex: 2 });
  });

  it('stays at the start where nothing goes', () => {
    expect(firstChoice([band(['no', 'wait'])], 0)).toEqual({ bandIndex: 0, hourIndex: 0 });
  });
});

describe('a start that was chosen', () => {
  const [first, second] = [
    { ...band(['no', 'go', 'go']), methodId: 'a' },
    { ...band(['go', 'go', 'go']), methodId: 'b' },
  ];
  const start = startAt([first, second], { bandIndex: 1, hourIndex: 1 });

  it('is found again where it was', () => {
    expect(start).toEqual({ placeId: 'p', methodId: 'b', startMs: 3_600_000 });
    expect(pointOf([first, second], start)).toEqual({ bandIndex: 1, hourIndex: 1 });
  });

  it('stays itself when the first hour has gone by, or a band above it', () => {
    const later = { ...second, cells: second.cells.slice(1) };
    expect(pointOf([later], start)).toEqual({ bandIndex: 0, hourIndex: 0 });
    expect(pointOf([first, later], { ...later, startMs: 2 * 3_600_000 })).toEqual({
      bandIndex: 1,
      hourIndex: 1,
    });
  });

  it('gives way to the nearest that is left', () => {
    expect(pointOf([first], start)).toEqual({ bandIndex: 0, hourIndex: 1 });
    const later = { ...second, cells: second.cells.slice(2) };
    expect(pointOf([first, later], start)).toEqual({ bandIndex: 1, hourIndex: 0 });
    expect(startAt([], { bandIndex: 0, hourIndex: 0 })).toBeNull();
    expect(pointOf([], null)).toEqual({ bandIndex: 0, hourIndex: 0 });
  });
});

describe('drawing', () => {
  it('marks a stretch of one verdict and reason once', () => {
    const cells = [cell(0, 'go'), cell(1, 'go'), cell(2, 'go', 'spots'), cell(3, 'no'), cell(4, 'no')];
    expect(runsOf(cells)).toEqual([
      { from: 0, length: 2, glyph: 'ice' },
      { from: 2, length: 1, glyph: 'spot' },
      { from: 3, length: 2, glyph: 'ice' },
    ]);
  });

  it('is paler the closer to the limit, and full where it does not go', () => {
    expect(cellOpacity(cell(0, 'go', 'ice-on-car', 0))).toBe(0.5);
    expect(cellOpacity(cell(0, 'go', 'ice-on-car', 0.5))).toBe(0.75);
    expect(cellOpacity(cell(0, 'go', 'ice-on-car', 9))).toBe(1);
    expect(cellOpacity(cell(0, 'no', 'ice-on-car', -9))).toBe(1);
  });

  it('shows doubt only where members disagree', () => {
    expect(isInDoubt({ ...cell(0, 'go'), blockedFraction: 0.3 })).toBe(true);
    for (const blockedFraction of [null, 0, 1])
      expect(isInDoubt({ ...cell(0, 'go'), blockedFraction })).toBe(false);
    // What does not go by the main forecast is not marked as if it might.
    expect(isInDoubt({ ...cell(0, 'no'), blockedFraction: 0.3 })).toBe(false);
    expect(isInDoubt({ ...cell(0, 'go-if'), blockedFraction: 0.3 })).toBe(true);
  });

  it('keeps the freeze line on the scale', () => {
    const hour = (airTempC: number) =>
      ({ airTempC, lowTempC: airTempC - 1, highTempC: airTempC + 1 }) as Parameters<
        typeof tempScale
      >[0][number];
    const cold = tempScale([hour(-22), hour(-12)]);
    expect(cold.lowC).toBe(-25);
    expect(cold.highC).toBeGreaterThan(0);
    expect(cold.y(0)).toBeLessThan(cold.y(-20));
  });

  it('puts a point in the middle of each hour', () => {
    const values = [
      { atMs: 0, value: 1 },
      { atMs: 3_600_000, value: 2 },
    ];
    const axes = { x: (atMs: number) => atMs / 360_000, y: (value: number) => value };
    expect(linePoints(values, axes)).toBe('5.0,1.0 15.0,2.0');
  });
});

describe('keys over more than a day', () => {
  const long = [band(Array.from({ length: 60 }, (_, i): VerdictKind => (i === 40 ? 'go' : 'no')))];

  it.each([
    { key: 'PageUp', from: 50, to: 26 },
    { key: 'PageUp', from: 23, to: 0 },
    { key: 'PageDown', from: 10, to: 34 },
    { key: 'PageDown', from: 50, to: 59 },
    { key: 'ArrowLeft', from: 7, to: 6 },
    { key: 'n', from: 39, to: 40 },
    { key: 'n', from: 40, to: 40 },
  ])('$key from $from to $to', ({ key, from, to }) => {
    expect(moveByKey(key, { bandIndex: 0, hourIndex: from }, long)?.hourIndex).toBe(to);
  });

  it('keep their hour on the first and the last band', () => {
    const two = [band(['go']), band(['go'])];
    expect(moveByKey('ArrowUp', { bandIndex: 0, hourIndex: 0 }, two)).toEqual({ bandIndex: 0, hourIndex: 0 });
  });
});

describe('where the bands lie', () => {
  const at = (...places: string[]) => bandLayout(places.map((placeId) => ({ placeId })));

  it('each place has its name once, over its bands', () => {
    expect(at('a', 'a', 'b')).toEqual({
      thick: 34,
      heads: [true, false, true],
      tops: [17, 56, 112],
      height: 151,
    });
    expect(at()).toMatchObject({ height: 0, tops: [] });
  });

  it('they grow thin beyond six', () => {
    expect(at('a', 'a', 'a', 'a', 'a', 'a').thick).toBe(34);
    expect(at('a', 'a', 'a', 'a', 'a', 'a', 'a').thick).toBe(22);
  });

  it('those that are refused for good are not drawn', () => {
    const refused = { ...band([]), refusal: { ruleId: 'floor-drain' } } as Band;
    const open = band(['go']);
    expect(openBands({ bands: [refused, open] } as unknown as WindowsView)).toEqual([open]);
  });
});

describe('what else goes at an hour', () => {
  const of = (verdict: VerdictKind, comfort: number): Band => ({
    ...band([]),
    cells: [cell(0, verdict, 'spots', comfort)],
  });

  it('is go before go if, and of each the one furthest from its limit first', () => {
    const bands = [of('go-if', 9), of('no', 9), of('go', 1), of('wait', 1), of('go', 3), of('unknown', 1)];
    expect(goingAt(bands, 0)).toEqual([4, 2, 0]);
    expect(goingAt(bands, 5)).toEqual([]);
  });
});

describe('the road under the ribbon', () => {
  const roads = (...states: (string | null)[]) =>
    roadRuns(states.map((road) => ({ road })) as unknown as WindowsView['hours']);

  it('is marked where it changes, and not known is a stretch of its own', () => {
    expect(roads('dry', 'dry', 'wet', null, null, 'dry')).toEqual([
      { from: 0, length: 2, state: 'dry' },
      { from: 2, length: 1, state: 'wet' },
      { from: 3, length: 2, state: null },
      { from: 5, length: 1, state: 'dry' },
    ]);
    expect(roads()).toEqual([]);
  });
});

describe('the scale of the air', () => {
  const hour = (airTempC: number, lowTempC = airTempC, highTempC = airTempC) =>
    ({ airTempC, lowTempC, highTempC }) as Parameters<typeof tempScale>[0][number];

  it.each([
    { hours: [hour(-22)], lowC: -25, highC: 5 },
    { hours: [hour(12)], lowC: -5, highC: 15 },
    { hours: [hour(-3, -11, 6)], lowC: -15, highC: 10 },
    { hours: [hour(-5), hour(5)], lowC: -5, highC: 5 },
    { hours: [], lowC: -5, highC: 5 },
  ])('goes in fives from $lowC to $highC', ({ hours, lowC, highC }) => {
    const scale = tempScale(hours);
    expect([scale.lowC, scale.highC]).toEqual([lowC, highC]);
    expect([scale.y(highC), scale.y(lowC)]).toEqual([8, 96]);
  });
});
