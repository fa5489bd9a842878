import { coldsOf } from '../kit/index.js';
import { fittingsOf, isMethodId, type Method, METHOD_IDS } from '../method/index.js';
import type { SeasonJobRow } from '../season/index.js';
import {
  type AskedStart,
  type BandBook,
  type BandPage,
  emptyPage,
  type MethodNames,
  type PageInputs,
  readsOf,
} from './band-book.js';
import { BandJudge } from './band-judge.js';
import type { Circumstances } from './circumstances.js';
import { decidesMethods, methodsWithWork } from './equipped-method.js';
import { failedFraction, withForecast } from './failed-fraction.js';
import type { PlaceSite } from './site-hours.js';

type MethodsByCold = ReturnType<ReturnType<typeof methodsWithWork>>;

/** What a method costs, and why it takes its bottles, decides nothing that a judge is asked. */
const NOT_JUDGED: ReadonlySet<string> = new Set(['costMinor', 'productMinor', 'because']);
const asJudged = (method: Method): string =>
  JSON.stringify(method, (name, value: unknown) => (NOT_JUDGED.has(name) ? undefined : value));

/** One value for each place, method and work of the season. */
class PerBand<V> {
  private readonly made = new Map<string, V>();

  of(
    { site, methodId, work }: { site: PlaceSite; methodId: string; work: readonly SeasonJobRow[] },
    make: () => V,
  ): V {
    const key = [site.place.id, methodId, ...work.map(({ id }) => id)].join(' ');
    const value = this.made.get(key) ?? make();
    this.made.set(key, value);
    return value;
  }
}

/**
 * The judge of each band of a request, with the work of the season that goes with it, made when it is first asked for; and the page on
 * which stands what it was asked. A grid and the asker of its members share them, so that what goes is worked through once.
 */
export class BandJudges {
  private readonly judges = new PerBand<BandJudge>();
  private readonly pages = new PerBand<BandPage>();
  /** The car's methods, with work of the season or without. */
  readonly methodsWith: ReturnType<typeof methodsWithWork>;
  private readonly methodNames = new Map<MethodsByCold, MethodNames>();
  private readonly placeNames = new Map<PlaceSite, string>();

  /** @param book what was found out before; absent: nothing */
  constructor(
    private readonly request: Circumstances & Pick<PageInputs, 'startsMs' | 'withMembers'>,
    private readonly book: BandBook | null = null,
  ) {
    this.methodsWith = methodsWithWork(request);
  }

  private methodsAt(site: PlaceSite, work: readonly SeasonJobRow[]): MethodsByCold {
    return this.methodsWith(work, fittingsOf(site.place));
  }

  /** The method as it is done there on this car, the cold not known. */
  method(site: PlaceSite, methodId: string): Method {
    return this.methodsAt(site, [])(methodId, null);
  }

  of(site: PlaceSite, methodId: string, work: readonly SeasonJobRow[] = []): BandJudge {
    const methods = this.methodsAt(site, work);
    const make = (): BandJudge =>
      new BandJudge(site.place, (placeC) => methods(methodId, placeC), this.request, site);
    return this.judges.of({ site, methodId, work }, make);
  }

  page(site: PlaceSite, methodId: string, work: readonly SeasonJobRow[] = []): BandPage {
    const { book } = this;
    const make = (): BandPage =>
      book
        ? book.page(`${this.placeName(book, site)} ${this.namesAt(book, site, work)[methodId]}`)
        : emptyPage();
    return this.pages.of({ site, methodId, work }, make);
  }

  private placeName(book: BandBook, site: PlaceSite): string {
    const { request } = this;
    const { place } = site;
    const name =
      this.placeNames.get(site) ??
      book.name(
        readsOf({ around: request, place, startsMs: request.startsMs, withMembers: request.withMembers }),
      );
    this.placeNames.set(site, name);
    return name;
  }

  private namesAt(book: BandBook, { place }: PlaceSite, work: readonly SeasonJobRow[]): MethodNames {
    const fittings = fittingsOf(place);
    const methods = this.methodsWith(work, fittings);
    const names =
      this.methodNames.get(methods) ??
      book.names({ ...decidesMethods(this.request), work, fittings }, () =>
        Object.fromEntries(METHOD_IDS.map((id) => [id, book.name({ inColds: this.inColds(methods, id) })])),
      );
    this.methodNames.set(methods, names);
    return names;
  }

  /** A method in every cold in which it takes other bottles, without what it costs. */
  private inColds(methods: MethodsByCold, methodId: string): string[] {
    const inColds: string[] = [];
    let last: Method | null = null;
    for (const placeC of coldsOf(this.request.shelf)) {
      const method = methods(methodId, placeC);
      if (method !== last) inColds.push(`${placeC} ${asJudged(method)}`);
      last = method;
    }
    return inColds;
  }
}

/** One start before the members, with work of the season or without. */
interface StartToAsk {
  readonly placeId: string;
  readonly methodId: string;
  readonly startMs: number;
  readonly work?: readonly SeasonJobRow[];
}

function askedStart(
  band: BandJudge,
  startMs: number,
  { thorough, hasWork }: { readonly thorough: boolean; readonly hasWork: boolean },
): AskedStart | null {
  const judged = band.going.get(startMs) ?? band.judge(startMs, { thorough, ways: 'all' });
  const { wayId, placeC, judgement } = judged;
  const failures = band.failures(startMs, judged);
  // The grid has judged it already; with work of the season nobody has.
  if (!failures) return hasWork ? { wayId, placeC, blockedFraction: null, failures, ...judgement } : null;
  const blockedFraction = failedFraction(failures);
  const situation = band.situation(startMs, judged.method);
  return { wayId, placeC, blockedFraction, failures, ...withForecast(judgement, situation, blockedFraction) };
}

/** Asks the members of single starts, and judges those with work of the season; with `judges` that were shared only of those that go is everything looked at. */
export function memberAsker(
  request: Circumstances & { readonly sites: readonly PlaceSite[] },
  shared?: BandJudges,
): (start: StartToAsk) => AskedStart | null {
  const judges = shared ?? new BandJudges({ ...request, startsMs: [], withMembers: false });
  const thorough = shared === undefined;
  return ({ placeId, methodId, startMs, work = [] }) => {
    const site = request.sites.find(({ place }) => place.id === placeId);
    if (!site || !isMethodId(methodId)) return null;
    const { asked } = judges.page(site, methodId, work);
    const known = asked.get(startMs);
    if (known !== undefined) return known;
    const found = askedStart(judges.of(site, methodId, work), startMs, {
      thorough,
      hasWork: work.length > 0,
    });
    asked.set(startMs, found);
    return found;
  };
}
