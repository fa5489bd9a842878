import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import { judgeWater, type RuleId, type Situation } from '../rules/index.js';
import type { PanelId } from '../vehicle/index.js';
import { outcomeOf, type WashHours, waitsThrough } from '../wash/index.js';
import { blockingIds, NOTHING } from './blocks.js';
import type { Looked, WayCase } from './judged.js';

/** What was looked at until a rule failed, and which it was; none: all of it was. */
export interface LookedUntil extends Looked {
  readonly fails: ReadonlySet<RuleId>;
}

type Piece = Looked['pieces'][number];

/** Whether one goes through the pieces that failed last, in which order. */
const LAST_FAILED_FIRST = [true, false] as const;
const IN_ORDER = [false] as const;

/** Looks at the water of one wash after the other at one place. */
export class WaterLook {
  /** Panels on which a start failed last. */
  private readonly lastFailed = new Set<PanelId>();

  /** @param windowOf clock, light and weather of the place over a wash */
  constructor(
    private readonly place: Place,
    private readonly windowOf: (startMs: number, method: Method) => Situation,
  ) {}

  /** What the water does on every piece of the car. */
  look({ method, tracks }: WayCase, hours: WashHours): Looked {
    const { place } = this;
    const pieces = tracks.map((track) => ({ track, waited: waitsThrough(track, { place, hours }) }));
    return { pieces, water: outcomeOf(pieces, { place, method }, hours) };
  }

  /**
   * Goes through the pieces of the car until one fails, beginning with those that failed last: an hour is much like the one before.
   *
   * @returns the piece that fails and what it fails by, or what all of them do
   */
  untilBlocked(way: WayCase, startMs: number, hours: WashHours): LookedUntil {
    const { place } = this;
    const { method, tracks } = way;
    const blocks = this.blocker(way, startMs, hours);
    const pieces: Piece[] = [];
    for (const failedLast of this.lastFailed.size > 0 ? LAST_FAILED_FIRST : IN_ORDER)
      for (let i = 0; i < tracks.length; i += 1) {
        const track = tracks[i];
        if (!track || this.lastFailed.has(track.panel.id) !== failedLast) continue;
        const piece = { track, waited: waitsThrough(track, { place, hours }) };
        pieces[i] = piece;
        const failing = blocks(piece);
        if (failing) return failing;
      }
    return { fails: NOTHING, pieces, water: outcomeOf(pieces, { place, method }, hours) };
  }

  /** What fails on the pieces on which a start failed last; null: nothing there, whatever the others do. */
  failsAgain(way: WayCase, startMs: number, hours: WashHours): LookedUntil | null {
    const { place, lastFailed } = this;
    const blocks = this.blocker(way, startMs, hours);
    for (const track of way.tracks) {
      if (!lastFailed.has(track.panel.id)) continue;
      const failing = blocks({ track, waited: waitsThrough(track, { place, hours }) });
      if (failing) return failing;
    }
    return null;
  }

  /** Tells of each piece of one wash by what it fails; null: by nothing. */
  private blocker(
    { method }: WayCase,
    startMs: number,
    hours: WashHours,
  ): (piece: Piece) => LookedUntil | null {
    const { place, lastFailed } = this;
    // One object for all pieces: copies would cost more than the rules.
    let situation: { -readonly [K in keyof Situation]: Situation[K] } | null = null;
    return (piece) => {
      // What neither froze nor dried is judged with all the others.
      if (!piece.waited.some(({ iceMinutes, dryMinutes }) => iceMinutes !== null || dryMinutes !== null))
        return null;
      situation ??= this.windowOf(startMs, method);
      const water = outcomeOf([piece], { place, method }, hours);
      situation.water = water;
      const fails = blockingIds(judgeWater(situation));
      if (fails.size === 0) return null;
      lastFailed.clear();
      lastFailed.add(piece.track.panel.id);
      return { fails, pieces: [piece], water };
    };
  }
}
