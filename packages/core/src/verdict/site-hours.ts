import { windChill } from '../air/index.js';
import type { Method } from '../method/index.js';
import { localTime, type Place, placeAir, type PlaceAir, queueMinutes } from '../place/index.js';
import type { SiteWindow } from '../rules/index.js';
import { daylight, irradiance, sunPosition, type SunPosition } from '../sun/index.js';
import { groundAlbedoFraction, MS_PER_HOUR, type WeatherHour } from '../weather/index.js';
import type { SiteHour } from './film-outcome.js';
import type { RoadAhead } from './road-ahead.js';

const MS_PER_MINUTE = 60_000;
const TAP_HOURS = 12;

/** Consecutive hours of weather from an instant; null where not known. */
export interface WeatherSpan {
  readonly fromMs: number;
  readonly hours: readonly (WeatherHour | null)[];
}

/** What does not depend on the forecast: sun, opening and light at a place, kept once for all members. */
export class PlaceCalendar {
  private readonly suns = new Map<number, SunPosition>();
  private readonly opens = new Map<number, SiteWindow['open']>();
  private readonly lights = new Map<
    number,
    { sunriseMs: number; sunsetMs: number } | 'always-up' | 'always-down'
  >();

  constructor(readonly place: Place) {}

  queueMinutes(startMs: number): number {
    return this.place.queue ? queueMinutes(this.place, localTime(startMs, this.place.timeZone)) : 0;
  }

  /** The sun in the middle of the hour. */
  sunAt(atMs: number): SunPosition {
    return remember(this.suns, atMs, () => sunPosition(this.place, atMs + MS_PER_HOUR / 2));
  }

  open(startMs: number): SiteWindow['open'] {
    return remember(this.opens, startMs, () => {
      const { weekday, minuteOfDay } = localTime(startMs, this.place.timeZone);
      const span = this.place.openHours[weekday];
      if (!span || minuteOfDay < span.openMinute || minuteOfDay >= span.closeMinute)
        return { kind: 'closed' };
      return { kind: 'open', minutesLeft: span.closeMinute - minuteOfDay };
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

/** One place under one course of the weather. */
export class PlaceWeather {
  private readonly air: readonly (PlaceAir | null)[];
  private readonly siteHours = new Map<number, SiteHour | null>();
  private readonly siteWindows = new Map<number, SiteWindow | null>();

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
    return {
      air,
      sun,
      light: irradiance(sun, { cloudFraction: hour.cloudFraction, atMs: hour.atMs }),
      albedoFraction: groundAlbedoFraction(hour),
    };
  }

  /** The hours that a wash touches; null if one of them is not known. */
  touched(startMs: number, minutes: number): WeatherHour[] | null {
    const from = this.indexOf(startMs);
    const to = this.indexOf(startMs + minutes * MS_PER_MINUTE - 1);
    const hours = this.span.hours.slice(Math.max(0, from), to + 1).filter((hour) => hour !== null);
    return hours.length === to - from + 1 && hours.length > 0 ? hours : null;
  }

  private coldestC(fromIndex: number, toIndex: number): number {
    const hours = this.span.hours.slice(Math.max(0, fromIndex), toIndex).filter((hour) => hour !== null);
    return Math.min(...hours.map((hour) => hour.airTempC));
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

  /** What the rules read about a wash that starts at an instant; null where weather is missing. */
  siteWindow(startMs: number, method: Pick<Method, 'minutes'>): SiteWindow | null {
    const key = startMs * 2000 + method.minutes;
    return remember(this.siteWindows, key, () => this.makeSiteWindow(startMs, method));
  }

  private makeSiteWindow(startMs: number, method: Pick<Method, 'minutes'>): SiteWindow | null {
    const hours = this.touched(startMs, method.minutes);
    if (!hours) return null;
    const i = this.indexOf(startMs);
    return {
      open: this.calendar.open(startMs),
      ...this.calendar.light(startMs, startMs + method.minutes * MS_PER_MINUTE),
      windChillC: this.worstWindChillC(hours),
      airTempC: Math.min(...hours.map((hour) => this.air[this.indexOf(hour.atMs)]?.airTempC ?? hour.airTempC)),
      queueMinutes: this.calendar.queueMinutes(startMs),
      dryRoadHours: this.roadAhead?.dryHours(startMs + method.minutes * MS_PER_MINUTE) ?? null,
      mostPrecipMm: Math.max(...hours.map((hour) => hour.precipMm)),
      coldestNearbyC: this.coldestC(i - TAP_HOURS, i + TAP_HOURS),
      coldestNext12hC: this.coldestC(i, i + TAP_HOURS),
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
