import { describe, expect, it } from '@jest/globals';
import { MS_PER_HOUR } from '../quantity/index.js';
import type { Finding } from '../rules/index.js';
import { type Band, type Cell, nearestWays, type VerdictKind } from './index.js';

const T = 1_000 * MS_PER_HOUR;
const finding = (comfort: number): Finding => ({
  ruleId: 'ice-on-car',
  level: comfort < 0 ? 'block' : 'clear',
  margin: comfort,
  unit: 'min',
  comfort,
});
const cell = (hour: number, verdict: VerdictKind, change: Partial<Cell> = {}): Cell => ({
  startMs: T + hour * MS_PER_HOUR,
  delayMinutes: 0,
  wayId: 'whole',
  placeC: null,
  verdict,
  limiting: finding(verdict === 'no' || verdict === 'wait' ? -1 : 1),
  untilMs: null,
  blockedFraction: null,
  ...change,
});
const band = (placeId: string, methodId: string, ...cells: Cell[]): Band => ({
  placeId,
  methodId,
  refusal: null,
  cells,
});
const wanted = { placeId: 'bay', methodId: 'hand', startMs: T };
const named = (bands: readonly Band[], of = wanted) =>
  nearestWays(bands, of).map(({ placeId, methodId, startMs, verdict }) => [
    `${placeId} ${methodId}`,
    (startMs - T) / MS_PER_HOUR,
    verdict,
  ]);

describe('the nearest ways to a start that does not go', () => {
  it('is the same wash a little later, before another place at once', () => {
    const later = band('bay', 'hand', cell(0, 'wait'), cell(2, 'go'));
    const elsewhere = band('garage', 'hand', cell(0, 'go'));
    expect(named([elsewhere, later])).toEqual([
      ['bay hand', 2, 'go'],
      ['garage hand', 0, 'go'],
    ]);
  });

  it('is another place once the wait is long, another method before that', () => {
    const later = band('bay', 'hand', cell(0, 'wait'), cell(4, 'go-if'));
    const elsewhere = band('garage', 'hand', cell(0, 'go'));
    const otherwise = band('bay', 'touch-free', cell(0, 'go-if'));
    expect(named([later, elsewhere, otherwise])).toEqual([
      ['bay touch-free', 0, 'go-if'],
      ['garage hand', 0, 'go'],
      ['bay hand', 4, 'go-if'],
    ]);
  });

  it('counts half of a car among what goes, by when it goes', () => {
    const bands = [band('garage', 'hand', cell(0, 'go'))];
    const half = (hour: number) => ({
      placeId: 'bay',
      methodId: 'hand',
      startMs: T + hour * MS_PER_HOUR,
      wayId: 'upper-only' as const,
      verdict: 'go-if' as const,
      limiting: finding(1),
    });
    const ways = (hour: number) => nearestWays(bands, wanted, [half(hour)]).map(({ wayId }) => wayId);
    expect(ways(1)).toEqual(['upper-only', 'whole']);
    expect(ways(9)).toEqual(['whole', 'upper-only']);
  });

  it('is the first start of each place and method, never one that is over', () => {
    const bay = band('bay', 'hand', cell(-3, 'go'), cell(5, 'go'), cell(6, 'go'));
    expect(named([bay])).toEqual([['bay hand', 5, 'go']]);
  });

  it('begins within the hour where that is what makes it go', () => {
    const bay = band('bay', 'hand', cell(0, 'go-if', { delayMinutes: 40 }));
    expect(named([bay])).toEqual([['bay hand', 40 / 60, 'go-if']]);
  });

  it('is at most three, and where fewer go those that miss by least, unknown ones never', () => {
    const bands = [
      band('a', 'x', cell(0, 'no', { limiting: finding(-0.9) })),
      band('b', 'x', cell(0, 'no', { limiting: finding(-0.1) })),
      band('c', 'x', cell(0, 'unknown')),
      band('d', 'x', cell(0, 'no', { limiting: finding(-0.5) })),
      band('e', 'x', cell(0, 'wait'), cell(9, 'go')),
    ];
    expect(named(bands)).toEqual([
      ['e x', 9, 'go'],
      ['b x', 0, 'no'],
      ['d x', 0, 'no'],
    ]);
  });

  it('asks for no place where none was wanted', () => {
    const bands = [band('a', 'x', cell(2, 'go')), band('b', 'y', cell(1, 'go'))];
    expect(named(bands, { placeId: null, methodId: null, startMs: T } as never)).toEqual([
      ['b y', 1, 'go'],
      ['a x', 2, 'go'],
    ]);
  });
});
