import { localTime, minutesOpen, type Place, queueMinutes } from '../place/index.js';
import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import type { SiteWindow } from '../rules/index.js';
import { type Cover, coverOf, daylight, sunPosition, type SunPosition } from '../sun/index.js';
import { remember } from './remember.js';

/** What does not depend on the forecast: sun, opening and light at a place, kept once for all members. */
export class PlaceCalendar {
  private readonly suns = new Map<number, SunPosition>();
  private readonly covers = new Map<number, Cover>();
  private readonly opens = new Map<number, SiteWindow['open']>();
  private readonly lights = new Map<
    number,
    { sunriseMs: number; sunsetMs: number } | 'always-up' | 'always-down'
  >();

  private second: PlaceCalendar | null = null;

  constructor(readonly place: Place) {}

  /** Of the second place, where a wash that began here may end; null: there is none. */
  get there(): PlaceCalendar | null {
    const { finish } = this.place;
    if (finish) this.second ??= new PlaceCalendar(finish.place);
    return this.second;
  }

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
