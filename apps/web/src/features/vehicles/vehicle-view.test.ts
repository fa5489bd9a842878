import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type PlaceRecord, type VehicleAnswer, type WashRecord } from '@keen/core';
import { makeFormat } from '../../format/format.js';
import { saltThumbnail } from '../../parts/salt-layer.js';
import { nextText, targetText } from './vehicle-view.js';

const format = makeFormat(DEFAULT_DISPLAY, 'Etc/UTC', 'en-CA');
const AT = Date.UTC(2026, 0, 14, 10);
const CAR = { id: 'a' };
const places = [{ id: 'bay', name: 'Pier Road bay' }] as PlaceRecord[];
const start = { startMs: AT, placeId: 'bay', methodId: 'bay-touch-free' };
const wash = (change: Partial<WashRecord> = {}): WashRecord =>
  ({ ...start, vehicleId: 'a', status: 'planned', ...change }) as WashRecord;
const answer = (change: Partial<VehicleAnswer>): VehicleAnswer =>
  ({
    vehicleId: 'a',
    standing: 'due',
    best: null,
    reason: null,
    due: { daysLate: 2, isLastWashKnown: true },
    ...change,
  }) as VehicleAnswer;
const next = (of: VehicleAnswer | undefined, washes: readonly WashRecord[] = []) =>
  nextText(CAR, of, { washes, places, format });

describe('the next wash of a car', () => {
  it('is what is planned, the soonest of it, whatever else would go', () => {
    const later = wash({ startMs: AT + 86_400_000 });
    expect(next(answer({ best: start as VehicleAnswer['best'] }), [later, wash()])).toEqual({
      lead: 'Planned',
      text: 'Wed, Jan 14, 10:00, Pier Road bay, self-serve, touch-free',
    });
  });

  it('is not what another car has, nor what is done', () => {
    expect(next(undefined, [wash({ vehicleId: 'b' }), wash({ status: 'done' })])).toBeNull();
  });

  it('is else its best start, or what it waits for; a car that can wait has none', () => {
    expect(next(answer({ best: start as VehicleAnswer['best'] }))?.lead).toBe('Goes best');
    const waits = answer({
      standing: 'not-due',
      due: { daysLate: -3, isLastWashKnown: true } as VehicleAnswer['due'],
    });
    expect(next(waits)).toBeNull();
    expect(next(answer({ standing: 'no-window' }))).toEqual({
      lead: 'Waits',
      text: 'nothing goes in the coming days',
    });
  });
});

describe('how a car is kept', () => {
  it.each([
    [{ kind: 'days' } as const, 'every 7 days'],
    [{ kind: 'salt-days', most: 4 } as const, 'never more than 4 days with salt on it'],
    [{ kind: 'active-hours', most: 40 } as const, 'never more than 40 hours of salt at work'],
  ])('%j', (target, text) => {
    expect(targetText({ target, cadenceDays: 7 })).toBe(text);
  });

  it('is drawn without figures, and heard with them', () => {
    const layer = saltThumbnail([{ zone: 'roof', loadGramsPerM2: 6, activeHours: 1 }]);
    expect(layer.roof).toEqual({ text: '', strength: 0.5, spoken: '6.0 grams a square metre' });
  });
});
