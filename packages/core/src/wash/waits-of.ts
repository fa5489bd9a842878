import { type Method, STEP_KINDS, type WashStep } from '../method/index.js';
import type { PanelDeed } from './panel-deed.js';

/** Something that is done to one piece of the car. */
export interface TrackEvent {
  readonly atMinute: number;
  readonly deed: PanelDeed;
  /** Something rubs the panel then. */
  readonly rubs: boolean;
  /** Index of its step. */
  readonly step: number;
}

/** How long what a wetting leaves has to wait. */
export interface Wait {
  /** Index of the event that wets, or that leaves the last of the water. */
  readonly event: number;
  /** Until a hand, a blower or a towel comes to it, minutes; null: nothing more touches it before the next water. */
  readonly toTouch: number | null;
  /** A product that dries on: until it is taken off, minutes; null: it is none, or stays to the end. */
  readonly toOff: number | null;
  /** How long it is watched for ice and dryness, minutes. */
  readonly watchMinutes: number;
  /** The last water on it. */
  readonly isLast: boolean;
}

/** Does the deed of this event take off what was put on by that step? */
function takesOffProduct(steps: readonly WashStep[], by: TrackEvent, laid: WashStep): boolean {
  const kind = STEP_KINDS[steps[by.step]?.id ?? 'after-machine'];
  if (kind.rinses === 'body') return true;
  return by.deed.kind === 'wipe' && !STEP_KINDS[laid.id].wantsRinse;
}

/** How far ahead water that nothing waits for is watched. */
export const LONGEST_WATCH_MINUTES = 60;
/** Of a wait is watched so many times its length: beyond it, it is comfortable. */
const WATCH_WAITS = 2;

/** No label lets a product dwell longer. */
const LONGEST_DWELL_MINUTES = 15;

function watchFor(toTouch: number | null, toOff: number | null): number {
  const longest = Math.max(toTouch ?? 0, toOff ?? 0);
  if (toOff !== null)
    return Math.max(LONGEST_DWELL_MINUTES, Math.min(LONGEST_WATCH_MINUTES, WATCH_WAITS * longest));
  return longest > 0 ? Math.min(LONGEST_WATCH_MINUTES, WATCH_WAITS * longest) : LONGEST_WATCH_MINUTES;
}

/** Does the wash leave what is there after this event? The blower of a machine is the last that comes to it. */
const leavesTheRest = (
  { drying }: Pick<Method, 'steps' | 'minutes' | 'drying'>,
  events: readonly TrackEvent[],
  at: number,
): boolean => drying.kind === 'left' && events[at]?.deed.kind === 'blow' && at === events.length - 1;

/** How long each wetting of a piece has to wait. */
export function waitsOf(
  method: Pick<Method, 'steps' | 'minutes' | 'drying'>,
  events: readonly TrackEvent[],
): Wait[] {
  const { steps, minutes: endMinute } = method;
  return events.flatMap((event, i): Wait[] => {
    if (event.deed.kind !== 'wet' && !leavesTheRest(method, events, i)) return [];
    const step = steps[event.step];
    const nextWet = events.findIndex(({ deed }, k) => k > i && deed.kind === 'wet');
    const until = nextWet < 0 ? events.length : nextWet;
    const after = events
      .slice(i + 1, until + 1)
      .filter(
        ({ deed, rubs }, k) => (deed.kind !== 'wet' || rubs) && !leavesTheRest(method, events, i + 1 + k),
      );
    // What was wiped waits no more.
    const wiped = after.findIndex(({ deed }) => deed.kind === 'wipe');
    const touched = wiped < 0 ? after.at(-1) : after[wiped];
    const isProduct = step !== undefined && STEP_KINDS[step.id].wets?.isProduct === true;
    const off = isProduct ? events.find((one, k) => k > i && takesOffProduct(steps, one, step)) : undefined;
    const toTouch = touched ? touched.atMinute - event.atMinute : null;
    const toOff = isProduct ? (off?.atMinute ?? endMinute) - event.atMinute : null;
    return [
      {
        event: i,
        toTouch,
        toOff,
        watchMinutes: watchFor(toTouch, toOff),
        isLast: nextWet < 0 && !(events.length > i + 1 && leavesTheRest(method, events, events.length - 1)),
      },
    ];
  });
}
