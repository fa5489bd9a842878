import { MS_PER_MINUTE, MS_PER_SECOND } from '../quantity/index.js';
import { takesOff } from '../kit/index.js';
import { covers, type StepDwell, type WetEdge } from '../run/index.js';
import type { PanelId } from '../vehicle/index.js';
import type { RunPack } from './run-pack.js';
import type { DwellTimer, LiveStep, RunState } from './run-state.js';
import { type MeterMoment, workedSeconds, meterMoment, projectedMinor } from './meter-moment.js';

/** A dwell at an instant. */
export interface DwellMoment {
  readonly timer: DwellTimer;
  readonly step: LiveStep;
  readonly seconds: number;
  /** Until it has worked; 0 and less: it has. */
  readonly earliestInSeconds: number;
  /** Until it dries or freezes on, or is at its longest; 0 and less: it is over. */
  readonly latestInSeconds: number;
  /** What ends it. */
  readonly ends: WetEdge['ends'] | 'label';
  /** A step that takes it off is at work. */
  readonly isComingOff: boolean;
}

/** A wet panel at an instant; seconds null: it lasts. */
export interface EdgeMoment {
  readonly panel: PanelId;
  readonly leftSeconds: number | null;
  /** Left of its whole time, 1…0. */
  readonly share: number;
  readonly ends: WetEdge['ends'];
}

export interface Drift {
  /** Later than planned from the beginning; negative: sooner. */
  readonly minutes: number;
  /** Minutes of work that are left by the sheet. */
  readonly leftMinutes: number;
  readonly endMs: number;
  /** Spent against the estimate so far; null where there is no meter. */
  readonly moneyMinor: number | null;
  /** Daylight left when it is done; null where light does not count. */
  readonly lightMinutes: number | null;
}

export interface RunMoment {
  readonly current: LiveStep | null;
  readonly next: LiveStep | null;
  readonly isPaused: boolean;
  readonly stepSeconds: number;
  readonly dwells: readonly DwellMoment[];
  readonly meter: MeterMoment | null;
  /** Soonest first. */
  readonly edges: readonly EdgeMoment[];
  readonly drift: Drift | null;
}

/** Longest by the label; of a sheet that does not tell it, what was shown there. */
const labelMinutes = ({ labelMinutes: own, maxMinutes }: StepDwell): number => own ?? maxMinutes;

function dwellMoment(
  timer: DwellTimer,
  state: RunState,
  at: { readonly nowMs: number; readonly latestOf: (step: LiveStep) => Latest },
): DwellMoment | null {
  const step = state.steps.find(({ key }) => key === timer.step);
  if (!step?.step.dwell || timer.offMs !== null) return null;
  const leftOf = (one: DwellTimer, minutes: number): number =>
    minutes * 60 - (at.nowMs - one.fromMs) / MS_PER_SECOND;
  const seconds = (at.nowMs - timer.fromMs) / MS_PER_SECOND;
  const latest = at.latestOf(step);
  const labelSeconds = leftOf(timer, labelMinutes(step.step.dwell));
  // What another product was put over since stays wet as long as that one does; its label's longest does not grow by it.
  const keptWet = state.timers.flatMap((other) => {
    const over = state.steps.find(({ key }) => key === other.step);
    const isOver = over && over !== step && other.offMs === null && other.fromMs > timer.fromMs;
    return isOver && covers(over.step, step.step) ? [leftOf(other, at.latestOf(over).minutes)] : [];
  });
  const wetSeconds = latest.ends === 'label' ? Infinity : Math.max(leftOf(timer, latest.minutes), ...keptWet);
  return {
    timer,
    step,
    seconds,
    earliestInSeconds: step.step.dwell.minMinutes * 60 - seconds,
    latestInSeconds: Math.min(labelSeconds, wetSeconds),
    ends: labelSeconds <= wetSeconds ? 'label' : latest.ends,
    isComingOff: state.steps.some((one) => one.state === 'running' && takesOff(one.step, step.step)),
  };
}

export interface Latest {
  readonly minutes: number;
  readonly ends: WetEdge['ends'] | 'label';
}

/** How long water and product last now, by the readings taken; without any, as the sheet has it. */
export interface EdgesNow {
  /** Of the film that a rinse leaves. */
  readonly edges: readonly WetEdge[];
  /** Longest dwell by the key of the step. */
  readonly latest: Readonly<Record<string, Latest>>;
}

const bySoonest = (a: EdgeMoment, b: EdgeMoment): number =>
  (a.leftSeconds ?? Infinity) - (b.leftSeconds ?? Infinity);

function edgeMoments(state: RunState, edges: readonly WetEdge[], nowMs: number): EdgeMoment[] {
  return [...state.wetSinceMs]
    .map(([panel, sinceMs]): EdgeMoment => {
      const edge = edges.find((one) => one.panel === panel);
      if (!edge || edge.minutes === null) return { panel, leftSeconds: null, share: 1, ends: 'lasts' };
      const leftSeconds = edge.minutes * 60 - (nowMs - sinceMs) / MS_PER_SECOND;
      const share = Math.max(0, Math.min(1, leftSeconds / (edge.minutes * 60)));
      return { panel, leftSeconds, share, ends: edge.ends };
    })
    .sort(bySoonest);
}

function driftAt(
  pack: Pick<RunPack, 'sheet' | 'sunsetMs' | 'place'>,
  state: RunState,
  at: { readonly nowMs: number; readonly meter: MeterMoment | null },
): Drift | null {
  if (state.startedMs === null) return null;
  const nowMs = state.closedMs ?? at.nowMs;
  const worked = state.steps.reduce((sum, { step }) => sum + step.minutes, 0);
  const around = pack.sheet.minutes - worked;
  const leftOf = ({ state: is, step, span }: LiveStep): number => {
    if (is === 'waiting') return step.minutes;
    if (is !== 'running') return 0;
    return Math.max(0, step.minutes - workedSeconds(state, span, nowMs) / 60);
  };
  // Packing up comes after the last step; arriving was over when the first began.
  const packUp = state.phase === 'closed' ? 0 : around / 2;
  const leftMinutes = state.steps.reduce((sum, one) => sum + leftOf(one), 0) + packUp;
  const endMs = nowMs + leftMinutes * MS_PER_MINUTE;
  return {
    leftMinutes,
    endMs,
    minutes: (endMs - state.startedMs) / MS_PER_MINUTE - pack.sheet.minutes,
    moneyMinor:
      at.meter && pack.place.tariff
        ? projectedMinor(pack.place.tariff, state, { nowMs, meter: at.meter }) - at.meter.estimateMinor
        : null,
    lightMinutes: pack.sunsetMs === null ? null : (pack.sunsetMs - endMs) / MS_PER_MINUTE,
  };
}

/**
 * What does the screen show at this instant?
 *
 * @param pack what the run is made of
 * @param state as `runState` has it
 * @param at now, and how long water and product last by the readings taken
 * @returns the step at work and the next, every dwell with its earliest and latest, the meter, wet panels soonest first, the drift
 */
export function runMoment(
  pack: Pick<RunPack, 'sheet' | 'sunsetMs' | 'place'>,
  state: RunState,
  at: { readonly nowMs: number; readonly now: EdgesNow },
): RunMoment {
  const { nowMs, now } = at;
  const { meterMinor } = pack.sheet.preparation.money;
  const { tariff } = pack.place;
  const paid = state.steps.some(({ step }) => step.onMeter);
  const shown =
    tariff && paid ? meterMoment(tariff, state.meter, { nowMs, estimateMinor: meterMinor }) : null;
  const latestOf = (one: LiveStep): Latest =>
    now.latest[one.key] ?? { minutes: one.step.dwell?.maxMinutes ?? Infinity, ends: 'label' };
  const current = state.steps.find((one) => one.state === 'running') ?? null;
  return {
    current,
    next: state.steps.find((one) => one.state === 'waiting') ?? null,
    isPaused: state.pauses.some(({ toMs }) => toMs === null),
    stepSeconds: current ? workedSeconds(state, current.span, nowMs) : 0,
    dwells: state.timers.flatMap((timer) => dwellMoment(timer, state, { nowMs, latestOf }) ?? []),
    meter: shown,
    edges: edgeMoments(state, now.edges, nowMs),
    drift: driftAt(pack, state, { nowMs, meter: shown }),
  };
}
