import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { windChill } from '../air/index.js';
import { localTime, minutesOpen, type Place, placeAir, type PlaceAir, queueMinutes } from '../place/index.js';
import type { SiteTimes, SiteWeather, SiteWindow } from '../rules/index.js';
import {
  type Cover,
  coverOf,
  daylight,
  irradiance,
  overheadTempC,
  shelteredLight,
  sunPosition,
  type SunPosition,
} from '../sun/index.js';
import { groundAlbedoFraction, type WeatherHour } from '../weather/index.js';
import type { HourFrom, SiteHour, WashHours } from '../wash/index.js';
import type { RoadAhead } from './road-ahead.js';

const TAP_HOURS = 12;

/** Consecutive hours of weather from an instant; null where not known. */
export interface WeatherSpan {
  readonly fromMs: number;
  readonly hours: readonly (WeatherHour | null)[];
}

/** What does not depend on the forecast: sun, opening and light at a place, kept once for all members. */
export class PlaceCalendar {
  private readonly suns = new Map<number, SunPosition>();
  private readonly covers = new Map<number, Cover>();
  private readonly opens = new Map<number, SiteWindow['open']>();
  private readonly lights = new Map<
    number,
    { sunriseMs: number; sunsetMs: number } | 'always-up' | 'always-down'
  >();

  constructor(readonly place: Place) {}

  queueMinutes(startMs: number): number {
    return this.place.queue ? queueMinutes(this.place, localTime(startMs, this.place.timeZone)) : 0;
  }

  /** What the shelter lets through in the middle of the hour. */
  coverAt(atMs: number): Cover {
    return remember(this.covers, atMs, () => coverOf(this.place.shelter, this.sunAt(atMs)));
  }

  /** The sun in the middle of the hour. */
  sunAt(atMs: number): SunPosition {
    return remember(this.suns, atMs, () => sunPosition(this.place, atMs + MS_PER_HOUR / 2));
  }

  open(startMs: number): SiteWindow['open'] {
    return remember(this.opens, startMs, () => {
      const minutesLeft = minutesOpen(this.place.openHours, localTime(startMs, this.place.timeZone));
      return minutesLeft > 0 ? { kind: 'open', minutesLeft } : { kind: 'closed' };
    });
  }

  light(startMs: number, endMs: number): Pick<SiteWindow, 'lightAtStart' | 'lightLeftMinutes'> {
    const day = remember(this.lights, startMs, () => {
      const found = daylight(this.place, startMs);
      return found.kind === 'day' ? found : found.kind;
    });
    if (day === 'always-up') return { lightAtStart: true, lightLeftMinutes: null };
    if (day === 'always-down') return { lightAtStart: false, lightLeftMinutes: -1 };
    return {
      lightAtStart: startMs >= day.sunriseMs && startMs < day.sunsetMs,
      lightLeftMinutes: (day.sunsetMs - endMs) / MS_PER_MINUTE,
    };
  }
}

function remember<V>(store: Map<number, V>, key: number, make: () => V): V {
  const known = store.get(key);
  if (known !== undefined) return known;
  const made = make();
  store.set(key, made);
  return made;
}

const UNASKED_TIMES: SiteTimes = {
  open: { kind: 'closed' },
  lightLeftMinutes: null,
  lightAtStart: false,
  queueMinutes: 0,
  dryRoadHours: null,
};

/** One place under one course of the weather. */
export class PlaceWeather {
  private readonly air: readonly (PlaceAir | null)[];
  private readonly siteHours = new Map<number, SiteHour | null>();
  private readonly siteWeathers = new Map<number, SiteWeather | null>();
  private readonly memberWindows = new Map<number, SiteWindow | null>();

  constructor(
    private readonly calendar: PlaceCalendar,
    private readonly span: WeatherSpan,
    private readonly roadAhead: RoadAhead | null = null,
  ) {
    this.air = placeAir(calendar.place, span.hours);
  }

  private indexOf(atMs: number): number {
    return Math.floor((atMs - this.span.fromMs) / MS_PER_HOUR);
  }

  /** Light and air in the hour of an instant; null where the weather is not known. */
  siteHour(atMs: number): SiteHour | null {
    const i = this.indexOf(atMs);
    return remember(this.siteHours, i, () => this.makeSiteHour(i));
  }

  private makeSiteHour(i: number): SiteHour | null {
    const hour = this.span.hours[i];
    const air = this.air[i];
    if (!hour || !air) return null;
    const sun = this.calendar.sunAt(hour.atMs);
    const cover = this.calendar.coverAt(hour.atMs);
    return {
      air,
      sun,
      light: shelteredLight(irradiance(sun, { cloudFraction: hour.cloudFraction, atMs: hour.atMs }), cover),
      albedoFraction: groundAlbedoFraction(hour),
      overheadTempC: overheadTempC(cover.openSkyFraction, {
        skyTempC: air.skyTempC,
        roofTempC: air.airTempC,
      }),
    };
  }

  /** The hours that a wash touches; null if one of them is not known. */
  touched(startMs: number, minutes: number): WeatherHour[] | null {
    const from = this.indexOf(startMs);
    const to = this.indexOf(startMs + minutes * MS_PER_MINUTE - 1);
    const hours = this.span.hours.slice(Math.max(0, from), to + 1).filter((hour) => hour !== null);
    return hours.length === to - from + 1 && hours.length > 0 ? hours : null;
  }

  /** Light and air in each hour that a wash touches, from minute to minute; null if one of them is not known. */
  washHours(startMs: number, minutes: number): WashHours | null {
    const touched = this.touched(startMs, minutes);
    const hours = (touched ?? []).flatMap(({ atMs }): HourFrom[] => {
      const site = this.siteHour(atMs);
      return site ? [{ fromMinute: Math.max(0, (atMs - startMs) / MS_PER_MINUTE), site }] : [];
    });
    const [first, ...others] = hours;
    return first && hours.length === touched?.length ? [first, ...others] : null;
  }

  private coldestC(fromIndex: number, toIndex: number): number {
    let coldest = Infinity;
    for (let i = Math.max(0, fromIndex); i < toIndex; i += 1) {
      const tempC = this.span.hours[i]?.airTempC;
      if (tempC !== undefined && tempC < coldest) coldest = tempC;
    }
    return coldest;
  }

  private worstWindChillC(hours: readonly WeatherHour[]): number | null {
    const chills = hours.map((hour) => {
      const air = this.air[this.indexOf(hour.atMs)];
      if (!air) return null;
      const outdoors = this.calendar.place.climate.kind === 'outdoors';
      const windMetresPerSecond = outdoors ? hour.windMetresPerSecond : air.airSpeedMetresPerSecond;
      return windChill({ airTempC: air.airTempC, windKmh: windMetresPerSecond * 3.6 }).windChillC;
    });
    const known = chills.filter((chill) => chill !== null);
    return known.length > 0 ? Math.min(...known) : null;
  }

  /** What the rules read of the weather over a wash; null where some is missing. */
  siteWeather(startMs: number, minutes: number): SiteWeather | null {
    const from = this.indexOf(startMs);
    const to = this.indexOf(startMs + minutes * MS_PER_MINUTE - 1);
    return remember(this.siteWeathers, from * 64 + (to - from), () => {
      const hours = this.touched(startMs, minutes);
      return hours && this.makeSiteWeather(from, hours);
    });
  }

  private makeSiteWeather(from: number, hours: readonly WeatherHour[]): SiteWeather {
    const airOf = (hour: WeatherHour): number => this.air[this.indexOf(hour.atMs)]?.airTempC ?? hour.airTempC;
    return {
      windChillC: this.worstWindChillC(hours),
      airTempC: Math.min(...hours.map(airOf)),
      mostPrecipMm: Math.max(...hours.map((hour) => hour.precipMm)),
      coldestNearbyC: this.coldestC(from - TAP_HOURS, from + TAP_HOURS),
      coldestNext12hC: this.coldestC(from, from + TAP_HOURS),
    };
  }

  /** The same as a whole window whose times nobody reads: a member differs from the control by its weather only. */
  memberWindow(startMs: number, minutes: number): SiteWindow | null {
    const from = this.indexOf(startMs);
    const to = this.indexOf(startMs + minutes * MS_PER_MINUTE - 1);
    return remember(this.memberWindows, from * 64 + (to - from), () => {
      const weather = this.siteWeather(startMs, minutes);
      return weather && Object.assign({}, UNASKED_TIMES, weather);
    });
  }

  /** What the rules read of clock, light and road over a wash. */
  siteTimes(startMs: number, minutes: number): SiteTimes {
    const endMs = startMs + minutes * MS_PER_MINUTE;
    return {
      open: this.calendar.open(startMs),
      ...this.calendar.light(startMs, endMs),
      queueMinutes: this.calendar.queueMinutes(startMs),
      dryRoadHours: this.roadAhead?.dryHours(endMs) ?? null,
    };
  }
}

/** One place under the control forecast and every member; serves any number of vehicles. */
export interface PlaceSite {
  readonly place: Place;
  readonly control: PlaceWeather;
  readonly members: readonly PlaceWeather[];
}

/** Prepares places under a forecast. */
export function placeSites(
  places: readonly Place[],
  forecast: {
    readonly control: WeatherSpan;
    readonly members: readonly WeatherSpan[];
    readonly roadAhead?: RoadAhead | null;
  },
): PlaceSite[] {
  return places.map((place) => {
    const calendar = new PlaceCalendar(place);
    return {
      place,
      control: new PlaceWeather(calendar, forecast.control, forecast.roadAhead ?? null),
      members: forecast.members.map((member) => new PlaceWeather(calendar, member)),
    };
  });
}
