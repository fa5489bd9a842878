import { isOffAtItsEnd, takesOff } from '../kit/index.js';
import { piecesOf } from '../method/index.js';
import { meterRunOf, type RunStep } from '../run/index.js';
import type { PanelId } from '../vehicle/index.js';
import { panelsOf } from '../vehicle/index.js';
import { type RunAction, type RunDeed, type SkipReason, standingActions } from './run-action.js';
import { keyedSteps, type RunPack } from './run-pack.js';

/** A stretch of time; `toMs` null: it goes on. */
export interface RunSpan {
  readonly fromMs: number;
  readonly toMs: number | null;
}

export interface LiveStep {
  readonly key: string;
  readonly step: RunStep;
  readonly state: 'waiting' | 'running' | 'done' | 'skipped';
  readonly span: RunSpan | null;
  readonly skipped: SkipReason | null;
  /** The paid run of the meter that it belongs to on the sheet; null: it is off the meter. */
  readonly meterRun: number | null;
}

/** A product that lies on the car. */
export interface DwellTimer {
  /** Of the action that put it on. */
  readonly id: string;
  readonly step: string;
  /** Which part of the car, in words; empty: all of the step. */
  readonly part: string;
  readonly fromMs: number;
  readonly offMs: number | null;
}

export interface Reading {
  readonly of: PanelId | 'air';
  readonly tempC: number;
  readonly atMs: number;
}

export interface RunNote {
  readonly id: string;
  readonly atMs: number;
  readonly text: string;
  readonly photoId: string | null;
}

/** Where a wash stands. */
export interface RunState {
  readonly phase: 'not-begun' | 'running' | 'closed';
  readonly startedMs: number | null;
  readonly closedMs: number | null;
  readonly packId: string | null;
  /** In the order in which they are to be done. */
  readonly steps: readonly LiveStep[];
  readonly timers: readonly DwellTimer[];
  readonly meter: readonly RunSpan[];
  readonly pauses: readonly RunSpan[];
  /** Since when each wet panel is wet. */
  readonly wetSinceMs: ReadonlyMap<PanelId, number>;
  readonly wiped: ReadonlySet<PanelId>;
  readonly readings: readonly Reading[];
  readonly notes: readonly RunNote[];
  readonly close: Extract<RunDeed, { kind: 'close' }> | null;
}

/** Steps that leave the whole car wet. */
const FLOODS: ReadonlySet<string> = new Set(['rinse', 'final-rinse', 'machine-jets', 'contact']);

type Draft = { -readonly [K in keyof RunState]: RunState[K] };

const ended = <T extends RunSpan>(spans: readonly T[], atMs: number): T[] =>
  spans.map((span) => (span.toMs === null ? { ...span, toMs: atMs } : span));

const isOpen = (spans: readonly RunSpan[]): boolean => spans.some(({ toMs }) => toMs === null);

function setStep(draft: Draft, key: string, change: Partial<LiveStep>): void {
  draft.steps = draft.steps.map((one) => (one.key === key ? { ...one, ...change } : one));
}

const liveStep = (draft: Draft, key: string): LiveStep | undefined =>
  draft.steps.find((one) => one.key === key);

/** What follows from a step's end: products that it took off are off, and a flood leaves the car wet. */
function afterStep(draft: Draft, { step }: LiveStep, at: { ms: number; panels: readonly PanelId[] }): void {
  draft.timers = draft.timers.map((timer) => {
    const product = liveStep(draft, timer.step)?.step;
    const isOff =
      timer.offMs === null &&
      product &&
      (product === step ? isOffAtItsEnd(step, step.mix?.product?.inUsePh ?? null) : takesOff(step, product));
    return isOff ? { ...timer, offMs: at.ms } : timer;
  });
  const isHere = reaches(step, at.panels);
  if (step.id === 'towel') {
    const dried = [...draft.wetSinceMs.keys()].filter(isHere);
    draft.wiped = new Set([...draft.wiped, ...dried]);
    draft.wetSinceMs = new Map([...draft.wetSinceMs].filter(([panel]) => !isHere(panel)));
  }
  if (!FLOODS.has(step.id) || !step.groups.includes('upper')) return;
  const wetted = at.panels.filter(isHere);
  draft.wetSinceMs = new Map([...draft.wetSinceMs, ...wetted.map((panel) => [panel, at.ms] as const)]);
  draft.wiped = new Set([...draft.wiped].filter((panel) => !isHere(panel)));
}

/** Which panels a step goes over: those of its part, or all. */
function reaches({ part }: RunStep, panels: readonly PanelId[]): (panel: PanelId) => boolean {
  const reached = new Set(part ? piecesOf(part).map(({ panel }) => panel) : panels);
  return (panel) => reached.has(panel);
}

function finish(draft: Draft, key: string, at: { ms: number; panels: readonly PanelId[] }): void {
  const one = liveStep(draft, key);
  if (one?.state !== 'running' || !one.span) return;
  setStep(draft, key, { state: 'done', span: { ...one.span, toMs: at.ms } });
  afterStep(draft, one, at);
}

function moveSooner(draft: Draft, key: string): void {
  const at = draft.steps.findIndex((one) => one.key === key);
  const before = draft.steps.findLastIndex((one, i) => i < at && one.state === 'waiting');
  if (draft.steps[at]?.state !== 'waiting' || before < 0) return;
  const rest = draft.steps.filter((_, i) => i !== at);
  draft.steps = [...rest.slice(0, before), ...draft.steps.slice(at, at + 1), ...rest.slice(before)];
}

/** One action upon what was before. What no longer fits (a second end of the same step) changes nothing. */
function apply(draft: Draft, action: RunAction, panels: readonly PanelId[]): void {
  const { deed, atMs } = action;
  switch (deed.kind) {
    case 'start':
      if (draft.phase !== 'not-begun') return;
      draft.phase = 'running';
      draft.startedMs = atMs;
      draft.packId = deed.packId;
      return;
    case 'begin':
      if (liveStep(draft, deed.step)?.state !== 'waiting') return;
      setStep(draft, deed.step, { state: 'running', span: { fromMs: atMs, toMs: null } });
      return;
    case 'end':
      finish(draft, deed.step, { ms: atMs, panels });
      return;
    case 'skip': {
      const one = liveStep(draft, deed.step);
      if (!one || one.state === 'done' || one.state === 'skipped') return;
      setStep(draft, deed.step, {
        state: 'skipped',
        skipped: deed.reason,
        span: one.span && { ...one.span, toMs: atMs },
      });
      return;
    }
    case 'sooner':
      moveSooner(draft, deed.step);
      return;
    case 'pause':
      if (!isOpen(draft.pauses)) draft.pauses = [...draft.pauses, { fromMs: atMs, toMs: null }];
      return;
    case 'resume':
      draft.pauses = ended(draft.pauses, atMs);
      return;
    case 'meter-on':
      if (!isOpen(draft.meter)) draft.meter = [...draft.meter, { fromMs: atMs, toMs: null }];
      return;
    case 'meter-off':
      draft.meter = ended(draft.meter, atMs);
      return;
    case 'product-on': {
      const { step, part } = deed;
      // Put on twice by two quick taps, or by two phones, it lies there once, since the first.
      const lies = draft.timers.some(
        (timer) => timer.step === step && timer.part === part && timer.offMs === null,
      );
      if (lies) return;
      draft.timers = [...draft.timers, { id: action.id, step, part, fromMs: atMs, offMs: null }];
      return;
    }
    case 'product-off':
      draft.timers = draft.timers.map((timer) =>
        timer.id === deed.timer && timer.offMs === null ? { ...timer, offMs: atMs } : timer,
      );
      return;
    case 'wet':
      draft.wetSinceMs = new Map(draft.wetSinceMs).set(deed.panel, atMs);
      draft.wiped = new Set([...draft.wiped].filter((panel) => panel !== deed.panel));
      return;
    case 'wiped':
      draft.wetSinceMs = new Map([...draft.wetSinceMs].filter(([panel]) => panel !== deed.panel));
      draft.wiped = new Set([...draft.wiped, deed.panel]);
      return;
    case 'reading': {
      const { of, tempC } = deed;
      draft.readings = [...draft.readings.filter((one) => one.of !== of), { of, tempC, atMs }];
      return;
    }
    case 'note':
      draft.notes = [...draft.notes, { id: action.id, atMs, text: deed.text, photoId: null }];
      return;
    case 'photo':
      draft.notes = [...draft.notes, { id: action.id, atMs, text: deed.caption, photoId: deed.photoId }];
      return;
    case 'close':
      for (const { key } of draft.steps) finish(draft, key, { ms: atMs, panels });
      draft.phase = 'closed';
      draft.closedMs = atMs;
      draft.close = deed;
      draft.meter = ended(draft.meter, atMs);
      draft.pauses = ended(draft.pauses, atMs);
      draft.timers = draft.timers.map((timer) => ({ ...timer, offMs: timer.offMs ?? atMs }));
      return;
    case 'undo':
      return;
  }
}

/**
 * Where does this wash stand?
 *
 * @param pack what the run is made of
 * @param merged the actions of all phones, as `mergeActions` gives them
 * @returns steps, timers, meter, wet panels, readings and notes; the same for the same actions on every phone. What follows the
 * close changes nothing
 */
export function runState(pack: Pick<RunPack, 'sheet' | 'vehicle'>, merged: readonly RunAction[]): RunState {
  const runs = meterRunOf(pack.sheet.steps);
  const draft: Draft = {
    phase: 'not-begun',
    startedMs: null,
    closedMs: null,
    packId: null,
    steps: keyedSteps(pack.sheet).map(({ key, step }, i) => ({
      key,
      step,
      state: 'waiting',
      span: null,
      skipped: null,
      meterRun: runs[i] ?? null,
    })),
    timers: [],
    meter: [],
    pauses: [],
    wetSinceMs: new Map(),
    wiped: new Set(),
    readings: [],
    notes: [],
    close: null,
  };
  const panels = panelsOf(pack.vehicle.bodyClass).map(({ id }) => id);
  for (const action of standingActions(merged)) {
    if (draft.phase === 'closed') break;
    apply(draft, action, panels);
  }
  return draft;
}
