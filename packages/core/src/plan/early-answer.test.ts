import { describe, expect, it } from '@jest/globals';
import { byGroup } from '../vehicle/index.js';
import { earlyAnswer } from './early-answer.js';
import type { VehicleMorning } from './vehicle-morning.js';
import type { Window } from './window.js';

const window = (startMs: number, kind: Partial<Window> = {}): Window =>
  ({ startMs, isWash: true, isWanted: true, ...kind }) as Window;
const morning = (windows: Window[]): VehicleMorning =>
  ({ vehicleId: 'a', due: { daysLate: 1 }, soil: byGroup(() => 2), windows }) as unknown as VehicleMorning;
const bestOf = (windows: Window[], nowMs = 10): number | undefined =>
  earlyAnswer(morning(windows), nowMs).best?.startMs;

describe('the early answer of a car', () => {
  it('is its worthiest start that is still to come', () => {
    expect(bestOf([window(9), window(12), window(11)])).toBe(12);
    expect(bestOf([window(10)])).toBe(10);
  });

  it('is of the wanted kind if any goes, and washes the whole car', () => {
    expect(bestOf([window(12, { isWanted: false }), window(11)])).toBe(11);
    expect(bestOf([window(12, { isWanted: false })])).toBe(12);
    expect(bestOf([window(12, { isWash: false })])).toBeUndefined();
  });
});
