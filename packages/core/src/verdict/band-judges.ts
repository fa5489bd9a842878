import { fittingsOf, isMethodId, type WayId } from '../method/index.js';
import type { Judgement } from '../rules/index.js';
import type { SeasonJobRow } from '../season/index.js';
import { BandJudge } from './band-judge.js';
import type { Circumstances } from './circumstances.js';
import { methodsWithWork } from './equipped-method.js';
import { failedFraction, type MemberFailures, withForecast } from './failed-fraction.js';
import type { PlaceSite } from './site-hours.js';

/** The judge of each band of a request, with the work of the season that goes with it, made when it is first asked for. */
export type BandJudges = (site: PlaceSite, methodId: string, work?: readonly SeasonJobRow[]) => BandJudge;

/** Judges that a grid and the asker of its members share, so that what goes is worked through once. */
export function bandJudges(request: Circumstances): BandJudges {
  const judges = new Map<string, BandJudge>();
  const methodsWith = methodsWithWork(request);
  return (site, methodId, work = []) => {
    const key = [site.place.id, methodId, ...work.map(({ id }) => id)].join(' ');
    const methods = methodsWith(work, fittingsOf(site.place));
    const judge =
      judges.get(key) ?? new BandJudge(site.place, (placeC) => methods(methodId, placeC), request, site);
    judges.set(key, judge);
    return judge;
  };
}

/** Share of members that a start fails in, and the judgement with it. */
export interface AskedStart extends Judgement {
  /** The way in which it goes, and the cold by which its bottles are taken. */
  readonly wayId: WayId;
  readonly placeC: number | null;
  /** null: no member reaches so far. */
  readonly blockedFraction: number | null;
  readonly failures: MemberFailures | null;
}

/** Asks the members of single starts, and judges those with work of the season; with `judges` that were shared only of those that go is everything looked at. */
export function memberAsker(
  request: Circumstances & { readonly sites: readonly PlaceSite[] },
  shared?: BandJudges,
): (start: {
  placeId: string;
  methodId: string;
  startMs: number;
  work?: readonly SeasonJobRow[];
}) => AskedStart | null {
  const judges = shared ?? bandJudges(request);
  const thorough = shared === undefined;
  return ({ placeId, methodId, startMs, work }) => {
    const site = request.sites.find(({ place }) => place.id === placeId);
    if (!site || !isMethodId(methodId)) return null;
    const band = judges(site, methodId, work);
    const judged = band.going.get(startMs) ?? band.judge(startMs, { thorough, ways: 'all' });
    const { wayId, placeC, judgement } = judged;
    const failures = band.failures(startMs, judged);
    // The grid has judged it already; with work of the season nobody has.
    if (!failures)
      return work?.length ? { wayId, placeC, blockedFraction: null, failures, ...judgement } : null;
    const blockedFraction = failedFraction(failures);
    const situation = band.situation(startMs, judged.method);
    return {
      wayId,
      placeC,
      blockedFraction,
      failures,
      ...withForecast(judgement, situation, blockedFraction),
    };
  };
}
