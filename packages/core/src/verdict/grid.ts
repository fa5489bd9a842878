import { MS_PER_MINUTE } from '../quantity/index.js';
import { fittingsOf, type Method, METHOD_IDS, type WayId } from '../method/index.js';
import type { Place } from '../place/index.js';
import { type Finding, type Judgement, CLOCK_RULE_IDS } from '../rules/index.js';
import { type BandJudge } from './band-judge.js';
import { type BandJudges, bandJudges } from './band-judges.js';
import { equippedMethods } from './equipped-method.js';
import { lastingRefusal } from './lasting-refusal.js';
import { forMembers, type LookedAt } from './judged.js';
import type { Circumstances } from './circumstances.js';
import { failedFraction, withForecast } from './failed-fraction.js';
import { type PlaceSite } from './site-hours.js';

/** `wait`: no now, but a later hour in the same band will do. */
export type VerdictKind = 'go' | 'go-if' | 'wait' | 'no' | 'unknown';

export interface Cell {
  /** The hour of the cell. */
  readonly startMs: number;
  /** Minutes after it at which this goes; 0 unless starting a little later is what makes it go. */
  readonly delayMinutes: number;
  /** The way in which it goes, or in which it was looked at. */
  readonly wayId: WayId;
  /** Coldest air at the place by which its bottles were taken, °C; null: not known. */
  readonly placeC: number | null;
  readonly verdict: VerdictKind;
  readonly limiting: Finding;
  /** For `wait`: the next start that goes. */
  readonly untilMs: number | null;
  /** Share of forecast members in which this start is blocked, 0–1; null where members were not asked. */
  readonly blockedFraction: number | null;
}

export interface Band {
  readonly placeId: string;
  readonly methodId: string;
  /** Set where no hour can change the answer; then there are no cells. */
  readonly refusal: Finding | null;
  readonly cells: readonly Cell[];
}

// Where tens of thousands of objects are made of another and a few keys of their own, here and in the rules,
// the own keys stand before the spread: after it, V8 gives every single object a shape of its own.

export interface GridRequest extends Circumstances {
  /** The places, each under the control forecast and its members (which may be none). */
  readonly sites: readonly PlaceSite[];
  /** The hours that are judged, in order. */
  readonly startsMs: readonly number[];
  /** Asks the members of every start; otherwise they are asked one by one, by `memberAsker`. */
  readonly withMembers: boolean;
}

type OpenCell = Omit<Cell, 'verdict' | 'untilMs'> & { readonly standing: Judgement['standing'] };

/** Later starts within the hour that are tried where its beginning does not go. */
const DELAYS_MINUTES = [20, 40] as const;

/** A start within the same hour that goes in the usual way; the block that it gets round becomes its condition. */
function laterInHour(
  band: BandJudge,
  startMs: number,
  blocked: Finding,
): (OpenCell & { judged: LookedAt }) | null {
  for (const delayMinutes of DELAYS_MINUTES) {
    const judged = band.judge(startMs + delayMinutes * MS_PER_MINUTE, { thorough: false, ways: 'usual' });
    const { standing } = judged.judgement;
    if (standing !== 'go' && standing !== 'go-if') continue;
    const limiting: Finding = { ...blocked, level: 'condition', remedy: 'start-later', amount: delayMinutes };
    const { wayId, placeC } = judged;
    return {
      startMs,
      delayMinutes,
      standing: 'go-if',
      limiting,
      wayId,
      placeC,
      blockedFraction: null,
      judged,
    };
  }
  return null;
}

function cellAt(
  band: BandJudge,
  startMs: number,
  { withMembers, remembers }: { readonly withMembers: boolean; readonly remembers: boolean },
): OpenCell {
  const judged = band.judge(startMs, { thorough: false, margins: withMembers, ways: 'all' });
  const { judgement, wayId, placeC } = judged;
  const ask = (atMs: number, one: LookedAt): number | null => {
    const failures = withMembers ? band.failures(atMs, one) : null;
    return failures && failedFraction(failures);
  };
  // Within the hour the weather is the same: later helps against the clock and the light.
  const { limiting: against } = judgement;
  const mayHelp = judgement.standing === 'no' && CLOCK_RULE_IDS.has(against.ruleId);
  const later = mayHelp ? laterInHour(band, startMs, against) : null;
  const remember = (atMs: number, one: LookedAt): void => {
    const { standing } = one.judgement;
    if (remembers && (standing === 'go' || standing === 'go-if')) band.going.set(atMs, forMembers(one));
  };
  if (later) {
    const { judged: then, ...cell } = later;
    remember(startMs + later.delayMinutes * MS_PER_MINUTE, then);
    return { ...cell, blockedFraction: ask(startMs + later.delayMinutes * MS_PER_MINUTE, then) };
  }
  remember(startMs, judged);
  const share = ask(startMs, judged);
  const { standing, limiting } =
    share === null ? judgement : withForecast(judgement, band.situation(startMs, judged.method), share);
  return { startMs, delayMinutes: 0, standing, limiting, wayId, placeC, blockedFraction: share };
}

/** Turns a no into a wait where a later start in the band goes. */
export function withWaits(cells: readonly OpenCell[]): Cell[] {
  let nextGoMs: number | null = null;
  return [...cells]
    .reverse()
    .map(({ standing, ...cell }): Cell => {
      if (standing === 'go' || standing === 'go-if') nextGoMs = cell.startMs;
      const waits = standing === 'no' && nextGoMs !== null;
      return { verdict: waits ? 'wait' : standing, untilMs: waits ? nextGoMs : null, ...cell };
    })
    .reverse();
}

/** Listens to the work, answers with what is known already, and may stop it. */
export interface GridWatch {
  /** Called with 0–1 after each band; may throw to stop the work. */
  readonly onProgress?: (share: number) => void;
  /** A band that was made before from the same inputs, by its key. */
  readonly known?: (key: string) => Band | undefined;
  readonly keep?: (key: string, band: Band) => void;
}

/** Everything that a band depends on besides the weather: the same key, the same band. */
function bandKey(request: GridRequest, place: Place, method: Method): string {
  const { vehicle, limits, house, shelf, soil, startsMs, withMembers } = request;
  const {
    driving: _driving,
    weekShares: _week,
    cadenceDays: _cadence,
    target: _target,
    seasonJobs: _jobs,
    id: _id,
    ...looks
  } = vehicle;
  return JSON.stringify([looks, limits, house, shelf, soil, startsMs, withMembers, place, method.id]);
}

/**
 * The verdict for one vehicle at every place, by every method, at every hour.
 *
 * @param request the vehicle, its soil, the places, limits and house rules; weather of the control and the members
 * @param watch progress, and bands that are known already
 * @param judges shared with those who will ask the members of the starts that go
 * @returns a band for each place and method; a band that is refused for good has no cells
 */
export function verdictGrid(request: GridRequest, watch: GridWatch = {}, judges?: BandJudges): Band[] {
  const remembers = judges !== undefined;
  const judgeOf = judges ?? bandJudges(request);
  const total = request.sites.length * METHOD_IDS.length;
  let done = 0;
  return request.sites.flatMap((site) =>
    equippedMethods({ ...request, fittings: fittingsOf(site.place) }).map((method): Band => {
      const key = bandKey(request, site.place, method);
      const band = watch.known?.(key) ?? makeBand(request, site, { method, judgeOf, remembers });
      watch.keep?.(key, band);
      done += 1;
      watch.onProgress?.(done / total);
      return band;
    }),
  );
}

function makeBand(
  request: GridRequest,
  site: PlaceSite,
  {
    method,
    judgeOf,
    remembers,
  }: { readonly method: Method; readonly judgeOf: BandJudges; readonly remembers: boolean },
): Band {
  const { place } = site;
  const refusal = lastingRefusal(request, place, method);
  const base = { placeId: place.id, methodId: method.id, refusal };
  if (refusal) return { ...base, cells: [] };
  const band = judgeOf(site, method.id);
  const cells = request.startsMs.map((startMs) =>
    cellAt(band, startMs, { withMembers: request.withMembers, remembers }),
  );
  return { ...base, cells: withWaits(cells) };
}
