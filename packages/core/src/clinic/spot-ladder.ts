import { type RungId, type RungRow, RUNGS, type SpotReaction } from './data/rungs.js';

export const SPOT_AGES = ['fresh', 'bonded', 'etched', 'not-known'] as const;
export type SpotAge = (typeof SPOT_AGES)[number];

export const SPOT_MATERIALS = ['paint', 'painted-plastic', 'glass', 'plastic', 'film', 'metal'] as const;
export type SpotMaterial = (typeof SPOT_MATERIALS)[number];

export const SPOT_CAUSES = [
  'tap-water',
  'rain-then-sun',
  'sprinkler',
  'dripping-ceiling',
  'road-salt',
  'not-known',
] as const;
export type SpotCause = (typeof SPOT_CAUSES)[number];

export interface Spot {
  readonly age: SpotAge;
  readonly material: SpotMaterial;
  readonly cause: SpotCause;
}

/** A rung that was done, and what was seen. */
export interface RungDone {
  readonly rung: RungId;
  readonly reaction: SpotReaction;
}

export interface LadderStand {
  /** The rung to do now. */
  readonly rung: RungRow;
  /** How often it was done already. */
  readonly timesDone: number;
  readonly done: readonly RungDone[];
}

const ROWS: ReadonlyMap<RungId, RungRow> = new Map(RUNGS.map((row: RungRow) => [row.id, row]));

/** Rungs that a material bears: painted plastic is gentler work than metal under paint, trim gentler still, and bare metal takes water alone (judgement). */
const BEARS: Readonly<Record<SpotMaterial, ReadonlySet<RungId>>> = {
  paint: new Set(['re-wet', 'acid-test', 'acid', 'neutralise', 'clay', 'polish', 'seal', 'refer']),
  glass: new Set([
    're-wet',
    'acid-test',
    'acid',
    'wet-blade',
    'neutralise',
    'clay',
    'blade',
    'seal',
    'refer',
  ]),
  'painted-plastic': new Set(['re-wet', 'acid-test', 'acid', 'neutralise', 'clay', 'seal', 'refer']),
  plastic: new Set(['re-wet', 'acid-test', 'neutralise', 'seal', 'refer']),
  film: new Set(['re-wet', 'acid-test', 'acid', 'neutralise', 'seal', 'refer']),
  metal: new Set(['re-wet', 'seal', 'refer']),
};

/** Salt dissolves in water, and wants no acid. */
const startFor = ({ age, cause }: Spot): RungId => {
  if (cause === 'road-salt' || age === 'fresh' || age === 'not-known') return 're-wet';
  return age === 'bonded' ? 'acid-test' : 'polish';
};

/** What comes after a rung once it works no more. */
const HARDER: Readonly<Record<RungId, readonly RungId[]>> = {
  're-wet': ['acid-test', 'clay', 'refer'],
  'acid-test': ['clay', 'blade', 'refer'],
  acid: ['wet-blade', 'neutralise'],
  'wet-blade': ['neutralise'],
  neutralise: ['clay', 'blade', 'refer'],
  clay: ['blade', 'polish', 'refer'],
  blade: ['refer'],
  polish: ['refer'],
  seal: [],
  refer: [],
};

function nextRung(
  spot: Spot,
  last: RungDone,
  history: { readonly times: number; readonly isSpoilt: boolean; readonly isBladed: boolean },
): RungId {
  const { rung, reaction } = last;
  const { times, isSpoilt, isBladed } = history;
  const bears = BEARS[spot.material];
  const mostTimes = ROWS.get(rung)?.mostTimes ?? 1;
  // Acid stays on nothing: whatever it did, it is washed off next; glass that it left spots on is bladed while it is wet.
  if (rung === 'acid') {
    if (reaction === 'still-reacting' && times < mostTimes) return 'acid';
    return bears.has('wet-blade') && (reaction === 'still-reacting' || reaction === 'no-change')
      ? 'wet-blade'
      : 'neutralise';
  }
  if (rung === 'wet-blade') return 'neutralise';
  if (rung === 'acid-test') {
    if (bears.has('acid') && (reaction === 'gone' || reaction === 'still-reacting')) return 'acid';
    return 'neutralise';
  }
  // Something went dull: nothing stronger is tried.
  if (reaction === 'dulled' || isSpoilt) return 'refer';
  if (reaction === 'gone') return 'seal';
  if (reaction === 'fewer' && times < mostTimes) return rung;
  return HARDER[rung].find((harder) => bears.has(harder) && !(isBladed && harder === 'blade')) ?? 'refer';
}

/**
 * Which rung of the spot ladder is next?
 *
 * @param spot how old the spots are, on what, from what
 * @param done the rungs done so far with what was seen, in order; what does not fit the ladder ends the replay there
 * @returns the rung to do now with its dwell, cautions and what can be seen after it. Gentlest first; acid only after a test spot, and
 * washed off before anything else but the blade that works in it on glass; what went dull is referred; nothing abrasive beyond polish
 * Source: practice notes §7 (judgement; data sheets go before it).
 */
export function spotLadder(spot: Spot, done: readonly RungDone[]): LadderStand {
  const first = startFor(spot);
  let at: RungId = BEARS[spot.material].has(first) ? first : 'refer';
  let times = 0;
  let isSpoilt = false;
  let isBladed = false;
  const kept: RungDone[] = [];
  for (const step of done) {
    const row = ROWS.get(at);
    if (step.rung !== at || !row?.reactions.includes(step.reaction)) break;
    times += 1;
    isSpoilt ||= step.reaction === 'dulled';
    isBladed ||= step.rung === 'wet-blade';
    kept.push(step);
    const next = nextRung(spot, step, { times, isSpoilt, isBladed });
    if (next !== at) times = 0;
    at = next;
  }
  const rung = ROWS.get(at);
  if (!rung) throw new Error(`a ladder without the rung ${at}`);
  return { rung, timesDone: times, done: kept };
}
