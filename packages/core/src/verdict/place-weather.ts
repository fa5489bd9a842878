import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { windChill } from '../air/index.js';
import { driveOf, type Method } from '../method/index.js';
import { placeAir, type PlaceAir } from '../place/index.js';
import type { SiteTimes, SiteWeather, SiteWindow } from '../rules/index.js';
import { irradiance, overheadTempC, shelteredLight } from '../sun/index.js';
import { groundAlbedoFraction, type WeatherHour } from '../weather/index.js';
import type { HourFrom, PlaceHour, WashHours } from '../wash/index.js';
import { PlaceCalendar } from './place-calendar.js';
import { remember } from './remember.js';
import type { RoadAhead } from './road-ahead.js';
import { type WeatherSpan, UNASKED_TIMES } from './weather-span.js';

const TAP_HOURS = 12;

/** Air along the panels of a car that is driven through a town, m/s (judgement). */
const DRIVEN_AIR_METRES_PER_SECOND = 8;

const inMotion = (site: PlaceHour): PlaceHour => ({
  ...site,
  isDriven: true,
  air: {
    ...site.air,
    airSpeedMetresPerSecond: Math.max(site.air.airSpeedMetresPerSecond, DRIVEN_AIR_METRES_PER_SECOND),
  },
});

/** One place under one course of the weather. */
export class PlaceWeather {
  private readonly air: readonly (PlaceAir | null)[];
  private readonly placeHours = new Map<number, PlaceHour | null>();
  private readonly siteWeathers = new Map<number, SiteWeather | null>();
  private readonly memberWindows = new Map<number, SiteWindow | null>();
  private second: { readonly there: PlaceWeather; readonly road: PlaceWeather } | null = null;

  constructor(
    private readonly calendar: PlaceCalendar,
    private readonly span: WeatherSpan,
    private readonly roadAhead: RoadAhead | null = null,
    private readonly change: (site: PlaceHour) => PlaceHour = (site) => site,
  ) {
    this.air = placeAir(calendar.place, span.hours);
  }

  private indexOf(atMs: number): number {
    return Math.floor((atMs - this.span.fromMs) / MS_PER_HOUR);
  }

  /** Light and air in the hour of an instant; null where the weather is not known. */
  placeHour(atMs: number): PlaceHour | null {
    const i = this.indexOf(atMs);
    return remember(this.placeHours, i, () => this.makePlaceHour(i));
  }

  private makePlaceHour(i: number): PlaceHour | null {
    const hour = this.span.hours[i];
    const air = this.air[i];
    if (!hour || !air) return null;
    const sun = this.calendar.sunAt(hour.atMs);
    const cover = this.calendar.coverAt(hour.atMs);
    return this.change({
      air,
      sun,
      light: shelteredLight(irradiance(sun, { cloudFraction: hour.cloudFraction, atMs: hour.atMs }), cover),
      albedoFraction: groundAlbedoFraction(hour),
      overheadTempC: overheadTempC(cover.openSkyFraction, {
        skyTempC: air.skyTempC,
        roofTempC: air.airTempC,
      }),
    });
  }

  /** The hours that a wash touches; null if one of them is not known. */
  touched(startMs: number, minutes: number): WeatherHour[] | null {
    const from = this.indexOf(startMs);
    const to = this.indexOf(startMs + minutes * MS_PER_MINUTE - 1);
    const hours = this.span.hours.slice(Math.max(0, from), to + 1).filter((hour) => hour !== null);
    return hours.length === to - from + 1 && hours.length > 0 ? hours : null;
  }

  /** The second place, and the road to it; null: a wash that begins here ends here. */
  private elsewhere(): { readonly there: PlaceWeather; readonly road: PlaceWeather } | null {
    const { there, place } = this.calendar;
    if (!there) return null;
    const { carHeadingDeg } = there.place;
    const open = new PlaceCalendar({
      ...place,
      climate: { kind: 'outdoors' },
      shelter: { kind: 'open', horizon: [] },
    });
    this.second ??= {
      there: new PlaceWeather(there, this.span, this.roadAhead, (site) => ({ ...site, carHeadingDeg })),
      road: new PlaceWeather(open, this.span, null, inMotion),
    };
    return this.second;
  }

  /** The second place of a wash; null: there is none. */
  get there(): PlaceWeather | null {
    return this.elsewhere()?.there ?? null;
  }

  /** Light and air from minute to minute where a wash is done, the drive to a second place included; null if an hour is not known. */
  washHours(startMs: number, method: Pick<Method, 'steps' | 'setUpMinutes' | 'minutes'>): WashHours | null {
    const drive = driveOf(method);
    const second = drive && this.elsewhere();
    if (!drive || !second) return this.hoursOver(startMs, method.minutes);
    const { fromMinute, toMinute } = drive;
    const from = (minute: number, hours: WashHours): HourFrom[] =>
      hours.map((hour) => ({ fromMinute: minute + hour.fromMinute, site: hour.site }));
    const at = (minute: number): number => startMs + minute * MS_PER_MINUTE;
    const here = this.hoursOver(startMs, fromMinute);
    const road = second.road.hoursOver(at(fromMinute), toMinute - fromMinute);
    const there = second.there.hoursOver(at(toMinute), method.minutes - toMinute);
    if (!here || !road || !there) return null;
    return [...here, ...from(fromMinute, road), ...from(toMinute, there)];
  }

  /** Light and air in each hour that so many minutes touch, from minute to minute; null if one of them is not known. */
  private hoursOver(startMs: number, minutes: number): WashHours | null {
    const touched = this.touched(startMs, minutes);
    const hours = (touched ?? []).flatMap(({ atMs }): HourFrom[] => {
      const site = this.placeHour(atMs);
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

  /** Clock, light and weather over a wash; null where some hour has no weather. */
  siteWindow(startMs: number, minutes: number): SiteWindow | null {
    const weather = this.siteWeather(startMs, minutes);
    return weather && Object.assign(this.siteTimes(startMs, minutes), weather);
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
