import {
  byGroup,
  DEFAULT_HOUSE,
  hashUnit,
  inUsualWay,
  type RunRecord,
  shopMethod,
  type WashedCar,
  type WashStepId,
} from '@keen/core';

/** Who works here is slower with the mitt than most, and quicker with the towel; the rest varies a little. */
const TIMES: Readonly<Partial<Record<WashStepId, number>>> = { contact: 1.32, rinseless: 1.24, towel: 0.8 };
const VARIES = 0.12;

/** A made-up run of a wash, every step done. @returns null for what a machine does */
export function demoRun(methodId: string, car: WashedCar, seed: number): RunRecord | null {
  const method = inUsualWay(shopMethod(methodId, DEFAULT_HOUSE, car));
  if (method.drying.kind === 'left') return null;
  return {
    steps: method.steps.map(({ id, part, minutes }, i) => ({
      id,
      ...(part ? { part } : {}),
      minutes: minutes * (TIMES[id] ?? 1) * (1 + VARIES * (2 * hashUnit(seed, i) - 1)),
      plannedMinutes: minutes,
      skipped: null,
    })),
    waterMinutes: null,
    meterMinor: null,
    meterEstimateMinor: null,
    foldedTowels: method.media.foldedTowels,
    dryingTowels: method.media.dryingTowels,
    soilBefore: byGroup(() => 2),
    readings: [],
    notes: [],
  };
}
