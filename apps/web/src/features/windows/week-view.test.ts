import { describe, expect, it } from '@jest/globals';
import { type Band, type Cell, DEFAULT_DISPLAY, type PlaceRecord, type VerdictKind } from '@keen/core';
import { makeFormat } from '../../format/format.js';
import { everGoes, firstStart, weekText } from './week-view.js';

const format = makeFormat(DEFAULT_DISPLAY, 'UTC', 'en-CA');
const HOUR = 3_600_000;
const cell = (i: number, verdict: VerdictKind, comfort: number): Cell => ({
  startMs: i * HOUR,
  delayMinutes: 0,
  placeC: null,
  wayId: 'whole',
  verdict,
  limiting:
    verdict === 'wait'
      ? { ruleId: 'open-hours', level: 'block', comfort: -1, margin: -1, unit: 'min' }
      : { ruleId: 'ice-on-car', level: 'clear', margin: 1, unit: 'min', comfort },
  untilMs: null,
  blockedFraction: null,
});
const band = (placeId: string, verdicts: readonly VerdictKind[], comfort = 1): Band => ({
  placeId,
  methodId: 'waterless',
  refusal: null,
  cells: verdicts.map((verdict, i) => cell(i, verdict, comfort)),
});
const PLACES = [
  { id: 'bay', name: 'Bay' },
  { id: 'unit', name: 'Unit' },
] as unknown as PlaceRecord[];
const text = (bands: readonly Band[], nowMs = 0): string =>
  weekText(bands, { nowMs, places: PLACES, format });

describe('the week of a car', () => {
  it('begins with the first start that goes as it is, though others go sooner with a condition', () => {
    const bands = [band('bay', ['go-if', 'go-if', 'wait']), band('unit', ['wait', 'wait', 'go', 'wait'])];
    expect(firstStart(bands, 0)).toMatchObject({
      band: { placeId: 'unit' },
      cell: { startMs: 2 * HOUR },
      closes: { startMs: 3 * HOUR },
    });
  });

  it('takes the more comfortable of two at the same hour, and nothing that is past', () => {
    const bands = [band('bay', ['go', 'go'], 0.2), band('unit', ['wait', 'go'], 0.9)];
    expect(firstStart(bands, 0)?.band.placeId).toBe('bay');
    expect(firstStart(bands, HOUR)?.band.placeId).toBe('unit');
    expect(firstStart(bands, 2 * HOUR)).toBeNull();
  });

  it('says where and when, and what ends it', () => {
    const said = text([band('unit', ['wait', 'go', 'go', 'wait'])]);
    expect(said).toMatch(/^First that goes: Thu, Jan 1, 01:00, Unit, waterless/);
    expect(said).toMatch(/It goes until 03:00; after that: closes/);
  });

  it('says its condition where nothing goes as it is, and says so where nothing goes at all', () => {
    expect(text([band('bay', ['wait', 'go-if'])])).toMatch(/^Nothing goes as it is\. .*Bay.*, if /);
    expect(text([band('bay', ['no', 'wait'])])).toMatch(/^Nothing goes this week/);
    expect(text([band('unit', ['go', 'go'])])).not.toMatch(/until/);
  });

  it('tells ways that never go from the others', () => {
    expect(everGoes(band('bay', ['no', 'wait', 'unknown']))).toBe(false);
    expect(everGoes(band('bay', ['no', 'go-if']))).toBe(true);
  });
});
