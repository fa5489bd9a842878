import { washUse, type WashUse } from '../kit/index.js';
import { coatsLaid, type LaidCoat, type RunRecord } from '../log/index.js';
import type { RunStep } from '../run/index.js';
import type { ByGroup } from '../vehicle/index.js';
import { meterMoment, workedSeconds } from './meter-moment.js';
import type { RunPack } from './run-pack.js';
import type { RunState } from './run-state.js';

/** What a closed run adds to the log. */
export interface ClosedRun {
  readonly startMs: number;
  readonly minutes: number;
  /** What was said to be paid, else the visit and the meter; minor units. */
  readonly costMinor: number;
  readonly record: RunRecord;
  /** Protection that was put on. */
  readonly laid: readonly LaidCoat[];
  /** What it took out of the kit: of the steps that were done. */
  readonly used: WashUse;
}

type RunClose = NonNullable<RunState['close']>;
type Cloths = Pick<RunPack['sheet']['preparation']['media'], 'mitts' | 'foldedTowels' | 'dryingTowels'>;

/** A step by the bottle that was mixed for it. */
const withBottle = ({ id, groups, mix }: RunStep) => ({
  id,
  groups,
  product: mix && { role: mix.role, name: mix.product?.name ?? null },
});

/** Mitts and towels that it soiled: as was said, else by the steps that were done. What was not done soils nothing. */
function clothsUsed({ method, sheet }: RunPack, { used }: RunClose, done: readonly RunStep[]): Cloths {
  const { media } = sheet.preparation;
  const isTouched = done.some(({ id }) => method.steps.some((step) => step.id === id && step.contact));
  const isToweled = done.some(({ id }) => id === 'towel');
  return {
    mitts: isTouched ? media.mitts : 0,
    foldedTowels: used.foldedTowels ?? (isTouched || isToweled ? media.foldedTowels : 0),
    dryingTowels: used.dryingTowels ?? (isToweled ? media.dryingTowels : 0),
  };
}

/**
 * What does the log keep of this run?
 *
 * @returns begin, minutes without the pauses, money, and step by step what was done; null before it is closed
 */
export function closedRun(pack: RunPack, state: RunState): ClosedRun | null {
  const { startedMs, closedMs, close } = state;
  if (startedMs === null || closedMs === null || !close) return null;
  const { tariff } = pack.place;
  const { money } = pack.sheet.preparation;
  const meter = tariff
    ? meterMoment(tariff, state.meter, { nowMs: closedMs, estimateMinor: money.meterMinor })
    : null;
  const steps = state.steps.map(({ step, state: is, span, skipped }) => ({
    id: step.id,
    ...(step.part ? { part: step.part } : {}),
    minutes: workedSeconds(state, span, closedMs) / 60,
    plannedMinutes: step.minutes,
    skipped: is === 'done' ? null : (skipped ?? ('other' as const)),
  }));
  const ranMinutes = (meter?.runSeconds ?? 0) / 60;
  const soilBefore: ByGroup = pack.soilBefore;
  const done = state.steps.filter((one) => one.state === 'done').map(({ step }) => step);
  const mixes = done.flatMap(({ mix }) => mix ?? []);
  const cloths = clothsUsed(pack, close, done);
  return {
    startMs: startedMs,
    used: washUse({ steps: done, media: cloths }, mixes, pack.place),
    laid: coatsLaid(done.map(withBottle)),
    minutes: Math.max(1, workedSeconds(state, { fromMs: startedMs, toMs: closedMs }, closedMs) / 60),
    costMinor: close.used.paidMinor ?? (done.length > 0 ? money.visitMinor : 0) + (meter?.paidMinor ?? 0),
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
