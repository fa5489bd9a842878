import type { Method } from '../method/index.js';
import { localTime, type Place, queueMinutes } from '../place/index.js';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { gradeAtContact, wearsProtection } from '../rules/index.js';
import { type Extras, type SeasonJobRow, workFor } from '../season/index.js';
import type { Band, Cell, methodsInWays } from '../verdict/index.js';
import type { DueState } from './cadence.js';
import { firstAhead, goes, type MorningCase } from './morning-case.js';
import type { SavedBy } from './saved-hours.js';
import { visitExtras } from './visit-extras.js';
import { coldPerMinute, extrasMinor, washValue } from './wash-value.js';
import type { Window } from './window.js';

/** A start that goes, and what it would be otherwise. */
export interface Candidate {
  readonly window: Window;
  /** With less work of the season: what was agreed on, then none; null: there is none in it. */
  readonly less: (() => Candidate) | null;
  /** With that work in another way of the wash; null: there is none. */
  readonly inWay: ((way: Pick<Window, 'wayId' | 'placeC'>) => Window) | null;
}

export interface BandCase {
  readonly band: Band;
  readonly due: DueState;
  readonly savedOf: SavedBy;
  readonly methodOf: ReturnType<typeof methodsInWays>;
}

/** Which work of the season goes with a wash that begins then? What was agreed on, then what is worth more than its time. */
function workAt(
  { season, prices }: MorningCase,
  place: Place,
  visit: { method: Method; startMs: number },
): readonly SeasonJobRow[] {
  const weather = season?.at(place.id);
  if (!season || !weather) return [];
  const worthIt = season.due.filter((job) => extrasMinor({ ...job, costMinor: 0 }, prices) > 0);
  const wanted = [...season.agreed, ...worthIt.filter((job) => !season.agreed.includes(job))];
  if (wanted.length === 0) return [];
  const { open, lightLeftMinutes } = weather.siteTimes(visit.startMs, 0);
  return workFor(wanted, {
    place,
    method: visit.method,
    washMinutes: visit.method.minutes,
    openMinutes: open.kind === 'open' ? open.minutesLeft : 0,
    lightMinutes: lightLeftMinutes,
    airOver: (minutes) => weather.siteWeather(visit.startMs, minutes),
  });
}

/** Makes the windows of one band. */
class BandWindows {
  private readonly saved = new Map<Method, readonly number[]>();
  private readonly isIndoors: boolean;
  private readonly extras = new Map<Method, Extras>();

  constructor(
    private readonly input: MorningCase,
    private readonly place: Place,
    private readonly of: BandCase,
  ) {
    this.isIndoors = place.climate.kind === 'heated' || place.climate.kind === 'unheated';
  }

  /** Every start that goes, with the work of the season that suits it. */
  all(): Candidate[] {
    const { band } = this.of;
    return band.cells
      .filter((cell) => goes(cell) && cell.startMs >= this.input.nowMs)
      .map((cell) => this.candidate(cell));
  }

  private candidate(cell: Cell): Candidate {
    const { band, methodOf } = this.of;
    const startMs = cell.startMs + cell.delayMinutes * MS_PER_MINUTE;
    const wanted = workAt(this.input, this.place, {
      method: methodOf(band.methodId, cell, { place: this.place }),
      startMs,
    });
    const agreed = wanted.filter((job) => this.input.season?.agreed.includes(job));
    const full = this.candidateWith(cell, wanted, agreed);
    // What takes more than it is worth is done only where it was agreed on.
    return full.window.value.seasonMinor >= 0 ? full : this.candidateWith(cell, agreed, agreed);
  }

  private candidateWith(
    cell: Cell,
    work: readonly SeasonJobRow[],
    agreed: readonly SeasonJobRow[],
  ): Candidate {
    const fewer = work.length > agreed.length ? agreed : [];
    const hasWork = work.length > 0;
    return {
      window: this.windowOf(cell, work),
      less: hasWork ? () => this.candidateWith(cell, fewer, agreed) : null,
      inWay: hasWork ? (way) => this.windowOf({ ...cell, ...way }, work) : null,
    };
  }

  /** One start with this work of the season. */
  windowOf(cell: Cell, work: readonly SeasonJobRow[]): Window {
    const { input, place } = this;
    const { band, due, methodOf } = this.of;
    const i = Math.round((cell.startMs - firstAhead(input)) / MS_PER_HOUR);
    const method = methodOf(band.methodId, cell, { place: this.place });
    const startMs = cell.startMs + cell.delayMinutes * MS_PER_MINUTE;
    const whole = work.length > 0 ? methodOf(band.methodId, cell, { place, work }) : method;
    const extras = this.extras.get(whole) ?? visitExtras(work, { place, alone: method, whole });
    this.extras.set(whole, extras);
    const saved = this.saved.get(method) ?? this.of.savedOf(method);
    this.saved.set(method, saved);
    const windChillC = this.isIndoors ? null : (input.windChillC[i] ?? null);
    const value = washValue({
      extras,
      place,
      method,
      prices: input.prices,
      activeHoursSaved: saved[i] ?? 0,
      windChillC,
      gradeAtContact: gradeAtContact(method, input.soil),
      queueMinutes: place.queue ? queueMinutes(place, localTime(startMs, place.timeZone)) : 0,
      wearsProtection: wearsProtection({ ...input, method }),
      verdict: cell.verdict,
      daysLate: Math.max(0, (startMs - due.dueMs) / MS_PER_DAY),
    });
    return {
      placeId: band.placeId,
      methodId: band.methodId,
      wayId: cell.wayId,
      placeC: cell.placeC,
      startMs,
      endMs: startMs + (method.minutes + extras.minutes) * MS_PER_MINUTE,
      verdict: cell.verdict,
      limiting: cell.limiting,
      otherConditions: [],
      blockedFraction: cell.blockedFraction,
      failures: null,
      isForemost: false,
      isWash: method.scope === 'wash',
      isWanted:
        method.scope === 'wash' && (due.wants === 'any' || method.contact === (due.wants === 'contact')),
      activeHoursSaved: saved[i] ?? 0,
      extras,
      coldMinorPerMinute: coldPerMinute(windChillC, input.prices),
      leavesBare: method.leavesBare,
      value,
    };
  }
}

/** All starts of a band that go, from now on. */
export function bandCandidates(input: MorningCase, of: BandCase): Candidate[] {
  const place = input.places.find(({ id }) => id === of.band.placeId);
  if (!place || input.ahead.length === 0 || of.band.cells.length === 0) return [];
  return new BandWindows(input, place, of).all();
}
