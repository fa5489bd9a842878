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
    const { place, lastFailed } = this;
    const { method, tracks } = way;
    // One object for all pieces: copies would cost more than the rules.
    const situation: { -readonly [K in keyof Situation]: Situation[K] } = this.windowOf(startMs, method);
    const pieces: Piece[] = [];
    const passes = lastFailed.size > 0 ? LAST_FAILED_FIRST : IN_ORDER;
    for (const failedLast of passes)
      for (let i = 0; i < tracks.length; i += 1) {
        const track = tracks[i];
        if (!track || lastFailed.has(track.panel.id) !== failedLast) continue;
        const piece = { track, waited: waitsThrough(track, { place, hours }) };
        pieces[i] = piece;
        // What neither froze nor dried is judged with all the others.
        if (!piece.waited.some(({ iceMinutes, dryMinutes }) => iceMinutes !== null || dryMinutes !== null))
          continue;
        const water = outcomeOf([piece], { place, method }, hours);
        situation.water = water;
        const fails = blockingIds(judgeWater(situation));
        if (fails.size === 0) continue;
        lastFailed.clear();
        lastFailed.add(track.panel.id);
        return { fails, pieces: [piece], water };
      }
    return { fails: NOTHING, pieces, water: outcomeOf(pieces, { place, method }, hours) };
  }
}
