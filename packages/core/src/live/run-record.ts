import { washUse, type WashUse } from '../kit/index.js';
import type { RunRecord } from '../log/index.js';
import type { ByGroup } from '../vehicle/index.js';
import { meterMoment, workedSeconds } from './run-moment.js';
import type { RunPack } from './run-pack.js';
import type { RunState } from './run-state.js';

const MINUTE_MS = 60_000;

/** What a closed run adds to the log. */
export interface ClosedRun {
  readonly startMs: number;
  readonly minutes: number;
  /** What was said to be paid, else the visit and the meter; minor units. */
  readonly costMinor: number;
  readonly record: RunRecord;
  /** What it took out of the kit: of the steps that were done. */
  readonly used: WashUse;
}

/**
 * What does the log keep of this run?
 *
 * @returns begin, minutes, money, and step by step what was done; null before it is closed
 */
export function closedRun(pack: RunPack, state: RunState): ClosedRun | null {
  const { startedMs, closedMs, close } = state;
  if (startedMs === null || closedMs === null || !close) return null;
  const { tariff } = pack.place;
  const { money, media } = pack.sheet.preparation;
  const meter = tariff
    ? meterMoment(tariff, state.meter, { nowMs: closedMs, estimateMinor: money.meterMinor })
    : null;
  const steps = state.steps.map(({ step, state: is, span, skipped }) => ({
    id: step.id,
    minutes: workedSeconds(state, span, closedMs) / 60,
    plannedMinutes: step.minutes,
    skipped: is === 'done' ? null : (skipped ?? ('other' as const)),
  }));
  const ranMinutes = (meter?.runSeconds ?? 0) / 60;
  const soilBefore: ByGroup = pack.soilBefore;
  const done = state.steps.filter((one) => one.state === 'done').map(({ step }) => step);
  const mixes = done.flatMap(({ mix }) => mix ?? []);
  const cloths = {
    ...media,
    foldedTowels: close.used.foldedTowels ?? media.foldedTowels,
    dryingTowels: close.used.dryingTowels ?? media.dryingTowels,
  };
  const took = pack.method.steps.filter(({ id }) => done.some((step) => step.id === id));
  return {
    startMs: startedMs,
    used: washUse({ steps: took, media: cloths }, mixes, pack.place),
    minutes: Math.max(1, (closedMs - startedMs) / MINUTE_MS),
    costMinor: close.used.paidMinor ?? money.visitMinor + (meter?.paidMinor ?? 0),
    record: {
      steps,
      waterMinutes: tariff ? ranMinutes : null,
      meterMinor: meter?.paidMinor ?? null,
      meterEstimateMinor: meter ? money.meterMinor : null,
      foldedTowels: cloths.foldedTowels,
      dryingTowels: cloths.dryingTowels,
      soilBefore,
      readings: state.readings,
      notes: state.notes,
    },
  };
}
