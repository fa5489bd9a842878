import { MS_PER_MINUTE } from '../quantity/index.js';
import { METHOD_IDS } from '../method/index.js';
import { type Finding, type Judgement, CLOCK_RULE_IDS } from '../rules/index.js';
import { type BandJudge } from './band-judge.js';
import type { Band, Cell } from './band.js';
import { BandJudges } from './band-judges.js';
import { lastingRefusal } from './lasting-refusal.js';
import { forMembers, type LookedAt } from './judged.js';
import type { Circumstances } from './circumstances.js';
import { failedFraction, withForecast } from './failed-fraction.js';
import { type PlaceSite } from './site-hours.js';

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

/**
 * The verdict for one vehicle at every place, by every method, at every hour.
 *
 * @param request the vehicle, its soil, the places, limits and house rules; weather of the control and the members
 * @param onProgress called with 0–1 after each band; may throw to stop the work
 * @param judges shared with those who will ask the members of the starts that go; what stands on their pages already is not made again
 * @returns a band for each place and method; a band that is refused for good has no cells
 */
export function verdictGrid(
  request: GridRequest,
  onProgress: (share: number) => void = () => undefined,
  judges?: BandJudges,
): Band[] {
  const remembers = judges !== undefined && !request.withMembers;
  const at = judges ?? new BandJudges(request);
  const total = request.sites.length * METHOD_IDS.length;
  let done = 0;
  return request.sites.flatMap((site) =>
    METHOD_IDS.map((methodId): Band => {
      const band = makeBand(request, site, { methodId, judges: at, remembers });
      done += 1;
      onProgress(done / total);
      return band;
    }),
  );
}

function makeBand(
  request: GridRequest,
  site: PlaceSite,
  {
    methodId,
    judges,
    remembers,
  }: { readonly methodId: string; readonly judges: BandJudges; readonly remembers: boolean },
): Band {
  const base = { placeId: site.place.id, methodId };
  const page = judges.page(site, methodId);
  if (page.refusal === undefined)
    page.refusal = lastingRefusal(request, site.place, judges.method(site, methodId));
  const { refusal } = page;
  if (refusal) return { ...base, refusal, cells: [] };
  page.cells ??= cellsOf(judges.of(site, methodId), request, remembers);
  return { ...base, refusal, cells: page.cells };
}

function cellsOf(band: BandJudge, { startsMs, withMembers }: GridRequest, remembers: boolean): Cell[] {
  return withWaits(startsMs.map((startMs) => cellAt(band, startMs, { withMembers, remembers })));
}
