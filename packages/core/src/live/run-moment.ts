import { MS_PER_MINUTE, MS_PER_SECOND } from '../quantity/index.js';
import { takesOff } from '../kit/index.js';
import { meter, sessionMinor, type Tariff } from '../meter/index.js';
import { meterRuns } from '../plan/index.js';
import { covers, type StepDwell, type WetEdge } from '../run/index.js';
import type { PanelId } from '../vehicle/index.js';
import type { RunPack } from './run-pack.js';
import type { DwellTimer, LiveStep, RunState, RunSpan } from './run-state.js';

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

export interface MeterMoment {
  readonly isOn: boolean;
  readonly paidMinor: number;
  readonly runSeconds: number;
  /** Until the next block is paid; null: it is off and keeps nothing. */
  readonly leftSeconds: number | null;
  readonly nextMinor: number;
  readonly estimateMinor: number;
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

const lengthMs = ({ fromMs, toMs }: RunSpan, nowMs: number): number => Math.max(0, (toMs ?? nowMs) - fromMs);

const overlapMs = (span: RunSpan, other: RunSpan, nowMs: number): number =>
  Math.max(0, Math.min(span.toMs ?? nowMs, other.toMs ?? nowMs) - Math.max(span.fromMs, other.fromMs));

/** Time at work on a step, pauses taken out, s. */
export function workedSeconds(state: Pick<RunState, 'pauses'>, span: RunSpan | null, nowMs: number): number {
  if (!span) return 0;
  const paused = state.pauses.reduce((sum, pause) => sum + overlapMs(span, pause, nowMs), 0);
  return Math.max(0, lengthMs(span, nowMs) - paused) / MS_PER_SECOND;
}

/** Seconds that a session has paid for once it has run so long. */
function paidSeconds(tariff: Tariff, runSeconds: number): number {
  if (runSeconds <= 0) return 0;
  const blocks = Math.max(0, Math.ceil((runSeconds - tariff.startSeconds) / tariff.blockSeconds - 1e-9));
  return tariff.startSeconds + blocks * tariff.blockSeconds;
}

/** What the meter shows. A meter that can be paused keeps its seconds; any other loses them when it stops. */
export function meterMoment(
  tariff: Tariff,
  spans: readonly RunSpan[],
  at: { readonly nowMs: number; readonly estimateMinor: number },
): MeterMoment {
  const seconds = spans.map((span) => lengthMs(span, at.nowMs) / MS_PER_SECOND);
  const runSeconds = seconds.reduce((sum, one) => sum + one, 0);
  const isOn = spans.some(({ toMs }) => toMs === null);
  const sessions = tariff.pausable ? [runSeconds] : seconds;
  const last = sessions.at(-1) ?? 0;
  const keeps = isOn || (tariff.pausable && runSeconds > 0);
  return {
    isOn,
    runSeconds,
    paidMinor: sessions.reduce((sum, one) => sum + sessionMinor(tariff, one), 0),
    leftSeconds: keeps ? paidSeconds(tariff, Math.max(last, 1e-6)) - last : null,
    nextMinor: keeps ? tariff.blockPriceMinor : tariff.startPriceMinor,
    estimateMinor: at.estimateMinor,
  };
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

/** What the meter will have taken in the end: what it has, and the metered work that is left, run in the cheapest way. */
function projectedMinor(
  tariff: Tariff,
  state: RunState,
  { nowMs, meter: shown }: { readonly nowMs: number; readonly meter: MeterMoment },
): number {
  const left = state.steps.flatMap(({ step, state: is, span }) => {
    if (is !== 'waiting' && is !== 'running') return [];
    const minutes = Math.max(0, step.minutes - workedSeconds(state, span, nowMs) / 60);
    return [{ minutes, onMeter: step.onMeter }];
  });
  const { stepSeconds, gapSeconds } = meterRuns(left);
  if (stepSeconds.length === 0) return shown.paidMinor;
  if (tariff.pausable)
    return sessionMinor(tariff, shown.runSeconds + stepSeconds.reduce((sum, one) => sum + one, 0));
  const open = state.meter.find(({ toMs }) => toMs === null);
  if (!open || !left[0]?.onMeter)
    return shown.paidMinor + meter({ ...tariff, stepSeconds, gapSeconds }).cheapestMinor;
  const running = lengthMs(open, nowMs) / MS_PER_SECOND;
  const [first = 0, ...others] = stepSeconds;
  const later =
    others.length > 0
      ? meter({ ...tariff, stepSeconds: others, gapSeconds: gapSeconds.slice(1) }).cheapestMinor
      : 0;
  return shown.paidMinor - sessionMinor(tariff, running) + sessionMinor(tariff, running + first) + later;
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
