import { methodOf, METHODS, type Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import {
  combine,
  type FilmOutcome,
  type Finding,
  forecastAgrees,
  judgeAll,
  type Judgement,
  type Limits,
  ruleOf,
} from '../rules/index.js';
import type { PanelId, Vehicle } from '../vehicle/index.js';
import { MS_PER_HOUR } from '../weather/index.js';
import { FILM_HORIZON_MINUTES, filmOutcome, type WashCase, worseOutcome } from './film-outcome.js';
import { PlaceCalendar, type PlaceSite, PlaceWeather, type WeatherSpan } from './site-hours.js';

/** `wait`: no now, but a later hour in the same band will do. */
export type VerdictKind = 'go' | 'go-if' | 'wait' | 'no' | 'unknown';

export interface Cell {
  readonly startMs: number;
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

export interface GridRequest {
  readonly vehicle: Vehicle;
  /** The places, each under the control forecast and its members (which may be none). */
  readonly sites: readonly PlaceSite[];
  readonly limits: Limits;
  readonly fromMs: number;
  readonly hourCount: number;
}

/** One place with its method under the control forecast and every member. */
class BandWeather {
  private readonly outcomes = new Map<number, FilmOutcome | null>();

  constructor(
    readonly washCase: WashCase,
    private readonly limits: Limits,
    private readonly weather: Pick<PlaceSite, 'control' | 'members'>,
  ) {}

  /** A member is only asked whether the usual section fails, so its film is not followed further than that takes. */
  private get memberHorizonMinutes(): number {
    const { drying } = this.washCase.method;
    if (drying.kind === 'left') return FILM_HORIZON_MINUTES;
    return drying.sections[0].minutes * (1 + this.limits.inHandShare) + 0.1;
  }

  private hourOutcome(hourMs: number): FilmOutcome | null {
    const known = this.outcomes.get(hourMs);
    if (known !== undefined) return known;
    const site = this.weather.control.siteHour(hourMs);
    const outcome = site ? filmOutcome(this.washCase, site) : null;
    this.outcomes.set(hourMs, outcome);
    return outcome;
  }

  /** Judges a start under the control forecast; the film is left out where something else refuses already. */
  judge(startMs: number): { judgement: Judgement; film: FilmOutcome | null } {
    const { control } = this.weather;
    const { method } = this.washCase;
    const site = control.siteWindow(startMs, method);
    const hours = control.touched(startMs, method.minutes) ?? [];
    const outcomes = hours.map((hour) => this.hourOutcome(hour.atMs)).filter((outcome) => outcome !== null);
    const film =
      outcomes.length === hours.length && outcomes.length > 0 ? outcomes.reduce(worseOutcome) : null;
    return { judgement: judgeAll({ ...this.washCase, limits: this.limits, site, film }), film };
  }

  /** The judgement once the members have been asked. */
  withForecast(judgement: Judgement, failedShare: number): Judgement {
    const asked = forecastAgrees.judge({
      ...this.washCase,
      limits: this.limits,
      site: null,
      film: null,
      failedShare,
    });
    return combine(judgement.findings.map((finding) => (finding.ruleId === asked.ruleId ? asked : finding)));
  }

  /** Share of members in which this start is blocked; only the control's worst panels are looked at again. */
  blockedShare(startMs: number, film: FilmOutcome): number | null {
    const { members } = this.weather;
    if (members.length === 0) return null;
    const panels = new Set<PanelId>([film.ice.panel, film.dry.panel, film.coldest.panel]);
    const blocked = members.filter((member) => this.isBlocked(member, startMs, panels));
    return blocked.length / members.length;
  }

  private isBlocked(member: PlaceWeather, startMs: number, panels: ReadonlySet<PanelId>): boolean {
    const site = member.siteWindow(startMs, this.washCase.method);
    const siteHour = member.siteHour(startMs);
    const film = siteHour
      ? filmOutcome(this.washCase, siteHour, { only: panels, horizonMinutes: this.memberHorizonMinutes })
      : null;
    const { standing } = judgeAll({ ...this.washCase, limits: this.limits, site, film });
    return standing === 'no' || standing === 'unknown';
  }
}

/** Some rule that no weather changes says no: the clock, the light or the place. */
const refusedWhateverTheWeather = (judgement: Judgement): boolean =>
  judgement.findings.some(
    ({ level, ruleId }) =>
      level === 'block' && (ruleId === 'open-hours' || ruleId === 'daylight' || ruleId === 'tap-frost'),
  );

type OpenCell = Omit<Cell, 'verdict' | 'untilMs'> & { readonly standing: Judgement['standing'] };

function cellAt(band: BandWeather, startMs: number): OpenCell {
  const { judgement, film } = band.judge(startMs);
  const failedShare = film && !refusedWhateverTheWeather(judgement) ? band.blockedShare(startMs, film) : null;
  const { standing, limiting } = failedShare === null ? judgement : band.withForecast(judgement, failedShare);
  return { startMs, standing, limiting, blockedShare: failedShare };
}

/** Turns a no into a wait where a later start in the band goes. */
export function withWaits(cells: readonly OpenCell[]): Cell[] {
  let nextGoMs: number | null = null;
  return [...cells]
    .reverse()
    .map(({ standing, ...cell }): Cell => {
      if (standing === 'go' || standing === 'go-if') nextGoMs = cell.startMs;
      const waits = standing === 'no' && nextGoMs !== null;
      return { ...cell, verdict: waits ? 'wait' : standing, untilMs: waits ? nextGoMs : null };
    })
    .reverse();
}

/** A finding that refuses this place and method for good, if there is one. */
export function lastingRefusal(washCase: WashCase, limits: Limits): Finding | null {
  const { findings } = judgeAll({ ...washCase, limits, site: null, film: null });
  const lasting = findings.filter(
    (finding) =>
      finding.level === 'block' && (!ruleOf(finding.ruleId).changesWithTime || washCase.place.tap === 'none'),
  );
  return lasting.length > 0 ? combine(lasting).limiting : null;
}

/**
 * The verdict for one vehicle at every place, by every method, at every hour.
 *
 * @param request the vehicle, places and limits; weather of the control and the members; the hours wanted
 * @param onProgress called with 0–1 after each band; may throw to stop the work
 * @returns a band for each place and method; a band that is refused for good has no cells
 */
export function verdictGrid(request: GridRequest, onProgress?: (share: number) => void): Band[] {
  const methods: readonly Method[] = METHODS;
  const total = request.sites.length * methods.length;
  return request.sites.flatMap((site, p) => {
    return methods.map((method, m): Band => {
      const washCase = { vehicle: request.vehicle, place: site.place, method };
      const refusal = lastingRefusal(washCase, request.limits);
      const band = new BandWeather(washCase, request.limits, site);
      const cells = refusal
        ? []
        : Array.from({ length: request.hourCount }, (_, i) => cellAt(band, request.fromMs + i * MS_PER_HOUR));
      onProgress?.((p * methods.length + m + 1) / total);
      return { placeId: site.place.id, methodId: method.id, refusal, cells: withWaits(cells) };
    });
  });
}

export interface CellDetail {
  readonly judgement: Judgement;
  readonly film: FilmOutcome | null;
}

/** Everything about one start: all findings with their margins, and what the film does. */
export function cellDetail(
  request: Pick<GridRequest, 'vehicle' | 'limits'> & {
    readonly place: Place;
    readonly methodId: string;
    readonly control: WeatherSpan;
  },
  startMs: number,
): CellDetail {
  const { vehicle, place, limits, control } = request;
  const washCase = { vehicle, place, method: methodOf(request.methodId) };
  const weather = { control: new PlaceWeather(new PlaceCalendar(place), control), members: [] };
  return new BandWeather(washCase, limits, weather).judge(startMs);
}
