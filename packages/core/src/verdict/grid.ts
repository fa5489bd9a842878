import { MS_PER_HOUR } from '../quantity/index.js';
import type { HouseRules } from '../house/index.js';
import { type Method, shopMethod, shopMethods } from '../method/index.js';
import type { Place } from '../place/index.js';
import {
  combine,
  type FailureCause,
  type FilmOutcome,
  type Finding,
  forecastAgrees,
  judgeAll,
  type Judgement,
  type Limits,
  type Situation,
  weatherFailure,
} from '../rules/index.js';
import type { ByGroup, PanelId, Vehicle } from '../vehicle/index.js';
import { startOfHourMs } from '../weather/index.js';
import {
  FILM_HORIZON_MINUTES,
  filmOutcome,
  type WashCase,
  wettingKey,
  worseOutcome,
} from './film-outcome.js';
import type { NightAir } from './night-air.js';
import type { RoadAhead } from './road-ahead.js';
import { PlaceCalendar, type PlaceSite, PlaceWeather, type WeatherSpan } from './site-hours.js';

/** `wait`: no now, but a later hour in the same band will do. */
export type VerdictKind = 'go' | 'go-if' | 'wait' | 'no' | 'unknown';

export interface Cell {
  /** The hour of the cell. */
  readonly startMs: number;
  /** Minutes after it at which this goes; 0 unless starting a little later is what makes it go. */
  readonly delayMinutes: number;
  readonly verdict: VerdictKind;
  readonly limiting: Finding;
  /** For `wait`: the next start that goes. */
  readonly untilMs: number | null;
  /** Share of forecast members in which this start is blocked, 0–1; null where members were not asked. */
  readonly blockedShare: number | null;
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

/** What the rules read besides the place, the hour and the water. */
export interface Circumstances {
  readonly vehicle: Vehicle;
  readonly limits: Limits;
  readonly house: HouseRules;
  readonly soil: ByGroup;
  readonly night: NightAir;
}

export interface GridRequest extends Circumstances {
  /** The places, each under the control forecast and its members (which may be none). */
  readonly sites: readonly PlaceSite[];
  /** The hours that are judged, in order. */
  readonly startsMs: readonly number[];
  /** Asks the members of every start; otherwise they are asked one by one, by `memberAsker`. */
  readonly withMembers: boolean;
}

/** In which of the forecast's members a start fails, by cause: a bit for each member. */
export interface MemberFailures extends Readonly<Record<FailureCause, number>> {
  readonly memberCount: number;
}

/** More members than this are not told apart. */
export const MOST_MEMBERS = 30;

export function countBits(mask: number): number {
  let count = 0;
  for (let rest = mask; rest !== 0; rest &= rest - 1) count += 1;
  return count;
}

/** Every member in which it fails, whatever the cause. */
export const failedMask = ({ freezes, spots, falls, cold }: MemberFailures): number =>
  freezes | spots | falls | cold;

/** Share of members in which it fails, 0–1. */
export const failedShare = (failures: MemberFailures): number =>
  countBits(failedMask(failures)) / failures.memberCount;

/** Every hour from an instant on. */
export const everyHour = (fromMs: number, hourCount: number): number[] =>
  Array.from({ length: hourCount }, (_, i) => fromMs + i * MS_PER_HOUR);

/** Films of one wetting at one place, shared by the methods that wet the car alike. */
class FilmStore {
  memberHorizonMinutes = 0;
  private readonly outcomes = new Map<number, FilmOutcome | null>();
  private readonly memberOutcomes: Map<number, FilmOutcome | null>[] = [];

  constructor(
    private readonly washCase: WashCase,
    private readonly productGramsPerM2: number,
    private readonly weather: Pick<PlaceSite, 'control' | 'members'>,
  ) {}

  /** A member is only asked whether the usual section fails, so its film is followed as far as that takes. */
  reach(method: Method, inHandShare: number): void {
    const minutes =
      method.drying.kind === 'left'
        ? FILM_HORIZON_MINUTES
        : method.drying.sections[0].minutes * (1 + inHandShare) + 0.1;
    this.memberHorizonMinutes = Math.max(this.memberHorizonMinutes, minutes);
  }

  hour(hourMs: number): FilmOutcome | null {
    const known = this.outcomes.get(hourMs);
    if (known !== undefined) return known;
    const site = this.weather.control.siteHour(hourMs);
    const { productGramsPerM2 } = this;
    const outcome = site ? filmOutcome(this.washCase, site, { productGramsPerM2 }) : null;
    this.outcomes.set(hourMs, outcome);
    return outcome;
  }

  /** Only the control's worst panels are looked at again. */
  memberHour(memberIndex: number, hourMs: number): FilmOutcome | null {
    const outcomes = (this.memberOutcomes[memberIndex] ??= new Map<number, FilmOutcome | null>());
    const known = outcomes.get(hourMs);
    if (known !== undefined) return known;
    const site = this.weather.members[memberIndex]?.siteHour(hourMs) ?? null;
    const control = this.hour(hourMs);
    const only = control
      ? new Set<PanelId>([control.ice.panel, control.dry.panel, control.coldest.panel])
      : undefined;
    const outcome = site
      ? filmOutcome(this.washCase, site, { only, horizonMinutes: this.memberHorizonMinutes })
      : null;
    outcomes.set(hourMs, outcome);
    return outcome;
  }
}

/** One place with its method under the control forecast and every member. */
class BandWeather {
  constructor(
    private readonly washCase: WashCase,
    private readonly around: Circumstances,
    private readonly weather: Pick<PlaceSite, 'control' | 'members'>,
    private readonly films: FilmStore,
  ) {}

  private situation(startMs: number) {
    const { method } = this.washCase;
    const { limits, house, soil, night } = this.around;
    return {
      limits,
      house,
      soil,
      overnightC: night.coldestAfterC(startMs + method.minutes * 60_000),
      ...this.washCase,
    };
  }

  /** Closed outranks whatever the water does, so a grid need not look at its films. */
  isClosed(startMs: number): boolean {
    return this.weather.control.siteTimes(startMs, this.washCase.method.minutes).open.kind === 'closed';
  }

  /** Judges a start under the control forecast, with the films of the hours that it touches unless told otherwise. */
  judge(startMs: number, withFilm = true): { judgement: Judgement; film: FilmOutcome | null } {
    const { control } = this.weather;
    const { method } = this.washCase;
    const weather = control.siteWeather(startMs, method.minutes);
    const site = weather && Object.assign(control.siteTimes(startMs, method.minutes), weather);
    const hours = (withFilm ? control.touched(startMs, method.minutes) : null) ?? [];
    const outcomes = hours.map((hour) => this.films.hour(hour.atMs)).filter((outcome) => outcome !== null);
    const film =
      outcomes.length === hours.length && outcomes.length > 0 ? outcomes.reduce(worseOutcome) : null;
    return { judgement: judgeAll({ site, film, ...this.situation(startMs) }), film };
  }

  /** The judgement once the members have been asked. */
  withForecast(startMs: number, judgement: Judgement, failedShare: number): Judgement {
    const asked = forecastAgrees.judge({ site: null, film: null, failedShare, ...this.situation(startMs) });
    return combine(judgement.findings.map((finding) => (finding.ruleId === asked.ruleId ? asked : finding)));
  }

  /**
   * In which members this start fails, and by what; null where none of them reaches so far. A member that does not know these hours is
   * not counted: that another source's forecast goes on is no reason to fail.
   */
  failures(startMs: number): MemberFailures | null {
    const { members } = this.weather;
    if (members.length === 0) return null;
    const hourMs = startOfHourMs(startMs);
    const { minutes } = this.washCase.method;
    // One object for all members: tens of thousands of copies would cost more than the rules.
    const asked: { -readonly [K in keyof Situation]: Situation[K] } = {
      site: null,
      film: null,
      ...this.situation(startMs),
    };
    const failed = { memberCount: 0, freezes: 0, spots: 0, falls: 0, cold: 0 };
    members.forEach((member, i) => {
      asked.site = member.memberWindow(startMs, minutes);
      if (!asked.site) return;
      failed.memberCount += 1;
      asked.film = this.films.memberHour(i, hourMs);
      const cause = weatherFailure(asked);
      if (cause) failed[cause] |= 1 << i;
    });
    return failed.memberCount > 0 ? failed : null;
  }

  blockedShare(startMs: number): number | null {
    const failures = this.failures(startMs);
    return failures && failedShare(failures);
  }
}

/** Some rule that no weather changes says no: the clock, the light, the road or the place. */
const SETTLED: ReadonlySet<Finding['ruleId']> = new Set([
  'open-hours',
  'daylight',
  'tap-frost',
  're-soiling',
]);
const refusedWhateverTheWeather = (judgement: Judgement): boolean =>
  judgement.findings.some(({ level, ruleId }) => level === 'block' && SETTLED.has(ruleId));

type OpenCell = Omit<Cell, 'verdict' | 'untilMs'> & { readonly standing: Judgement['standing'] };

/** Later starts within the hour that are tried where its beginning does not go. */
const DELAYS_MINUTES = [20, 40] as const;

/** A start within the same hour that goes; the block that it gets round becomes its condition. */
function laterInHour(
  band: BandWeather,
  startMs: number,
  blocked: Finding,
): Omit<OpenCell, 'blockedShare'> | null {
  for (const delayMinutes of DELAYS_MINUTES) {
    const laterMs = startMs + delayMinutes * 60_000;
    if (band.isClosed(laterMs)) continue;
    const { standing } = band.judge(laterMs).judgement;
    if (standing !== 'go' && standing !== 'go-if') continue;
    const limiting: Finding = { ...blocked, level: 'condition', remedy: 'start-later', amount: delayMinutes };
    return { startMs, delayMinutes, standing: 'go-if', limiting };
  }
  return null;
}

function cellAt(band: BandWeather, startMs: number, withMembers: boolean): OpenCell {
  const { judgement, film } = band.judge(startMs, !band.isClosed(startMs));
  const later = judgement.standing === 'no' ? laterInHour(band, startMs, judgement.limiting) : null;
  const ask = (atMs: number): number | null => (withMembers ? band.blockedShare(atMs) : null);
  if (later) return { blockedShare: ask(startMs + later.delayMinutes * 60_000), ...later };
  const asks = film !== null && !refusedWhateverTheWeather(judgement);
  const failedShare = asks ? ask(startMs) : null;
  const { standing, limiting } =
    failedShare === null ? judgement : band.withForecast(startMs, judgement, failedShare);
  return { startMs, delayMinutes: 0, standing, limiting, blockedShare: failedShare };
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

/** A finding that refuses this place and method for good, if there is one: it blocks without asking the weather. */
export function lastingRefusal(washCase: WashCase, around: Circumstances): Finding | null {
  const { limits, house, soil } = around;
  const { findings } = judgeAll({
    ...washCase,
    limits,
    house,
    soil,
    overnightC: null,
    site: null,
    film: null,
  });
  const lasting = findings.filter(({ level }) => level === 'block');
  return lasting.length > 0 ? combine(lasting).limiting : null;
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
  const { vehicle, limits, house, soil, startsMs, withMembers } = request;
  const {
    driving: _driving,
    weekShares: _week,
    cadenceDays: _cadence,
    target: _target,
    seasonJobs: _jobs,
    id: _id,
    ...looks
  } = vehicle;
  return JSON.stringify([looks, limits, house, soil, startsMs, withMembers, place, method.id]);
}

/**
 * The verdict for one vehicle at every place, by every method, at every hour.
 *
 * @param request the vehicle, its soil, the places, limits and house rules; weather of the control and the members
 * @param watch progress, and bands that are known already
 * @returns a band for each place and method; a band that is refused for good has no cells
 */
export function verdictGrid(request: GridRequest, watch: GridWatch = {}): Band[] {
  const methods = shopMethods(request.house, request.vehicle);
  const total = request.sites.length * methods.length;
  let done = 0;
  return request.sites.flatMap((site) => {
    const stores = storesFor(request, site, methods);
    return methods.map((method): Band => {
      const key = bandKey(request, site.place, method);
      const band = watch.known?.(key) ?? makeBand(request, site, method, stores);
      watch.keep?.(key, band);
      done += 1;
      watch.onProgress?.(done / total);
      return band;
    });
  });
}

/** A film store for each way of wetting at a place. */
function storesFor(
  request: GridRequest,
  site: PlaceSite,
  methods: readonly Method[],
): Map<string, FilmStore> {
  const stores = new Map<string, FilmStore>();
  for (const method of methods) {
    const key = wettingKey(method);
    const washCase = { vehicle: request.vehicle, place: site.place, method };
    const store = stores.get(key) ?? new FilmStore(washCase, request.limits.productGramsPerM2, site);
    const offered = site.place.methods.some(({ methodId }) => methodId === method.id);
    if (offered) store.reach(method, request.limits.inHandShare);
    stores.set(key, store);
  }
  return stores;
}

function makeBand(
  request: GridRequest,
  site: PlaceSite,
  method: Method,
  stores: ReadonlyMap<string, FilmStore>,
): Band {
  const washCase = { vehicle: request.vehicle, place: site.place, method };
  const refusal = lastingRefusal(washCase, request);
  const films = stores.get(wettingKey(method));
  const base = { placeId: site.place.id, methodId: method.id, refusal };
  if (refusal || !films) return { ...base, cells: [] };
  const band = new BandWeather(washCase, request, site, films);
  const cells = request.startsMs.map((startMs) => cellAt(band, startMs, request.withMembers));
  return { ...base, cells: withWaits(cells) };
}

/** Share of members that a start fails in, and the judgement with it. */
export interface AskedStart extends Judgement {
  readonly blockedShare: number;
  readonly failures: MemberFailures;
}

/** Asks the members of single starts; films are kept between questions. */
export function memberAsker(
  request: GridRequest,
): (start: { placeId: string; methodId: string; startMs: number }) => AskedStart | null {
  const methods = shopMethods(request.house, request.vehicle);
  const stores = new Map<string, Map<string, FilmStore>>();
  return ({ placeId, methodId, startMs }) => {
    const site = request.sites.find(({ place }) => place.id === placeId);
    const method = methods.find(({ id }) => id === methodId);
    if (!site || !method) return null;
    const there = stores.get(placeId) ?? storesFor(request, site, methods);
    stores.set(placeId, there);
    const films = there.get(wettingKey(method));
    if (!films) return null;
    const band = new BandWeather(
      { vehicle: request.vehicle, place: site.place, method },
      request,
      site,
      films,
    );
    const { judgement } = band.judge(startMs);
    const failures = band.failures(startMs);
    if (!failures) return null;
    const blockedShare = failedShare(failures);
    return { blockedShare, failures, ...band.withForecast(startMs, judgement, blockedShare) };
  };
}

export interface CellDetail {
  readonly judgement: Judgement;
  readonly film: FilmOutcome | null;
}

/** One start at one place by one method, under one course of the weather. */
export interface CellRequest extends Circumstances {
  readonly place: Place;
  readonly methodId: string;
  readonly control: WeatherSpan;
  readonly roadAhead: RoadAhead | null;
}

/** Everything about one start: all findings with their margins, and what the film does. */
export function cellDetail(
  request: CellRequest,
  startMs: number,
  change?: (method: Method) => Method,
): CellDetail {
  const { vehicle, place, control, roadAhead } = request;
  const shop = shopMethod(request.methodId, request.house, vehicle);
  const method = change ? change(shop) : shop;
  const washCase = { vehicle, place, method };
  const weather = { control: new PlaceWeather(new PlaceCalendar(place), control, roadAhead), members: [] };
  const films = new FilmStore(washCase, request.limits.productGramsPerM2, weather);
  return new BandWeather(washCase, request, weather, films).judge(startMs);
}
