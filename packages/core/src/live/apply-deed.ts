import { isOffAtItsEnd, takesOff } from '../kit/index.js';
import { piecesOf } from '../method/index.js';
import { type RunStep } from '../run/index.js';
import type { PanelId } from '../vehicle/index.js';
import { type RunDeed } from './run-action.js';
import type { RunSpan, LiveStep, RunState } from './run-state.js';

/** Steps that leave the whole car wet. */
const FLOODS: ReadonlySet<string> = new Set(['rinse', 'final-rinse', 'machine-jets', 'contact']);

export type Draft = { -readonly [K in keyof RunState]: RunState[K] };

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

/** An action of one kind, and the panels of the car it was done on. */
interface Acted<K extends RunDeed['kind'] = RunDeed['kind']> {
  readonly id: string;
  readonly atMs: number;
  readonly deed: Extract<RunDeed, { kind: K }>;
  readonly panels: readonly PanelId[];
}

function skip(draft: Draft, { deed, atMs }: Acted<'skip'>): void {
  const one = liveStep(draft, deed.step);
  if (!one || one.state === 'done' || one.state === 'skipped') return;
  const span = one.span && { ...one.span, toMs: atMs };
  setStep(draft, deed.step, { state: 'skipped', skipped: deed.reason, span });
}

function putOn(draft: Draft, { id, deed: { step, part }, atMs }: Acted<'product-on'>): void {
  // Put on twice by two quick taps, or by two phones, it lies there once, since the first.
  const lies = draft.timers.some(
    (timer) => timer.step === step && timer.part === part && timer.offMs === null,
  );
  if (!lies) draft.timers = [...draft.timers, { id, step, part, fromMs: atMs, offMs: null }];
}

export function close(draft: Draft, { deed, atMs, panels }: Acted<'close'>): void {
  for (const { key } of draft.steps) finish(draft, key, { ms: atMs, panels });
  draft.phase = 'closed';
  draft.closedMs = atMs;
  draft.close = deed;
  draft.meter = ended(draft.meter, atMs);
  draft.pauses = ended(draft.pauses, atMs);
  draft.timers = draft.timers.map((timer) => ({ ...timer, offMs: timer.offMs ?? atMs }));
}

/** What each kind of action does to what was before. What no longer fits (a second end of the same step) changes nothing. */
const APPLY: { readonly [K in RunDeed['kind']]: (draft: Draft, acted: Acted<K>) => void } = {
  start: (draft, { deed, atMs }) => {
    if (draft.phase !== 'not-begun') return;
    draft.phase = 'running';
    draft.startedMs = atMs;
    draft.packId = deed.packId;
  },
  begin: (draft, { deed, atMs }) => {
    if (liveStep(draft, deed.step)?.state === 'waiting')
      setStep(draft, deed.step, { state: 'running', span: { fromMs: atMs, toMs: null } });
  },
  end: (draft, { deed, atMs, panels }) => finish(draft, deed.step, { ms: atMs, panels }),
  skip,
  sooner: (draft, { deed }) => moveSooner(draft, deed.step),
  pause: (draft, { atMs }) => {
    if (!isOpen(draft.pauses)) draft.pauses = [...draft.pauses, { fromMs: atMs, toMs: null }];
  },
  resume: (draft, { atMs }) => {
    draft.pauses = ended(draft.pauses, atMs);
  },
  'meter-on': (draft, { atMs }) => {
    if (!isOpen(draft.meter)) draft.meter = [...draft.meter, { fromMs: atMs, toMs: null }];
  },
  'meter-off': (draft, { atMs }) => {
    draft.meter = ended(draft.meter, atMs);
  },
  'product-on': putOn,
  'product-off': (draft, { deed, atMs }) => {
    draft.timers = draft.timers.map((timer) =>
      timer.id === deed.timer && timer.offMs === null ? { ...timer, offMs: atMs } : timer,
    );
  },
  wet: (draft, { deed, atMs }) => {
    draft.wetSinceMs = new Map(draft.wetSinceMs).set(deed.panel, atMs);
    draft.wiped = new Set([...draft.wiped].filter((panel) => panel !== deed.panel));
  },
  wiped: (draft, { deed }) => {
    draft.wetSinceMs = new Map([...draft.wetSinceMs].filter(([panel]) => panel !== deed.panel));
    draft.wiped = new Set([...draft.wiped, deed.panel]);
  },
  reading: (draft, { deed: { of, tempC }, atMs }) => {
    draft.readings = [...draft.readings.filter((one) => one.of !== of), { of, tempC, atMs }];
  },
  note: (draft, { id, deed, atMs }) => {
    draft.notes = [...draft.notes, { id, atMs, text: deed.text, photoId: null }];
  },
  photo: (draft, { id, deed, atMs }) => {
    draft.notes = [...draft.notes, { id, atMs, text: deed.caption, photoId: deed.photoId }];
  },
  close,
  // Taken back before the rest is read (`standingActions`).
  undo: () => undefined,
};

export function apply<K extends RunDeed['kind']>(draft: Draft, kind: K, acted: Acted<K>): void {
  APPLY[kind](draft, acted);
}
