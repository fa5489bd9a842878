import { MS_PER_SECOND } from '../quantity/index.js';
import { meter, sessionMinor, type Tariff } from '../meter/index.js';
import { meterRuns } from '../plan/index.js';
import type { RunState, RunSpan } from './run-state.js';

export interface MeterMoment {
  readonly isOn: boolean;
  readonly paidMinor: number;
  readonly runSeconds: number;
  /** Until the next block is paid; null: it is off and keeps nothing. */
  readonly leftSeconds: number | null;
  readonly nextMinor: number;
  readonly estimateMinor: number;
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

/** What the meter will have taken in the end: what it has, and the metered work that is left, run in the cheapest way. */
export function projectedMinor(
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
