import { MS_PER_DAY, MS_PER_HOUR, MS_PER_SECOND } from '@keen/core';
import ICAL from 'ical.js';

const formatters = new Map<string, Intl.DateTimeFormat>();

function formatterOf(timeZone: string): Intl.DateTimeFormat {
  const known = formatters.get(timeZone);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-US', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
    second: 'numeric',
    timeZoneName: 'short',
  });
  formatters.set(timeZone, made);
  return made;
}

/** What the clock on the wall shows, as if it were UTC, ms. @throws RangeError for a zone that is not there */
export function wallMs(atMs: number, timeZone: string): number {
  const part = new Map(
    formatterOf(timeZone)
      .formatToParts(atMs)
      .map(({ type, value }) => [type, Number(value)]),
  );
  const of = (type: Intl.DateTimeFormatPartTypes): number => part.get(type) ?? 0;
  return Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'), of('second'));
}

/** The instant of a wall clock in a zone; in the skipped hour the one after the change. */
export function instantOfWall(wall: number, timeZone: string): number {
  const first = wall - (wallMs(wall, timeZone) - wall);
  const second = first - (wallMs(first, timeZone) - wall);
  return wallMs(second, timeZone) === wall ? second : Math.max(first, second);
}

/** How far the clock is ahead of UTC, ms. */
const offsetMs = (atMs: number, timeZone: string): number => {
  const second = Math.floor(atMs / MS_PER_SECOND) * MS_PER_SECOND;
  return wallMs(second, timeZone) - second;
};

/** The first instant with another offset, between two that differ. */
function changeBetween(fromMs: number, toMs: number, timeZone: string): number {
  let low = Math.floor(fromMs / MS_PER_SECOND);
  let high = Math.ceil(toMs / MS_PER_SECOND);
  const before = offsetMs(fromMs, timeZone);
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (offsetMs(middle * MS_PER_SECOND, timeZone) === before) low = middle;
    else high = middle;
  }
  return high * MS_PER_SECOND;
}

/** A time as RFC 5545 writes one without a zone. */
const floating = (wall: number): ICAL.Time => {
  const time = ICAL.Time.fromJSDate(new Date(wall), true);
  time.zone = ICAL.Timezone.localTimezone;
  return time;
};

const utcOffset = (ms: number): ICAL.UtcOffset => ICAL.UtcOffset.fromSeconds(ms / MS_PER_SECOND);

const nameOf = (atMs: number, timeZone: string): string =>
  formatterOf(timeZone)
    .formatToParts(atMs)
    .find(({ type }) => type === 'timeZoneName')?.value ?? timeZone;

/**
 * A zone as a calendar carries it: each change of the clock within a span, written out.
 *
 * @param timeZone IANA name
 * @returns the VTIMEZONE component
 */
export function zoneComponent(timeZone: string, fromMs: number, toMs: number): ICAL.Component {
  const zone = new ICAL.Component('vtimezone');
  zone.updatePropertyWithValue('tzid', timeZone);
  const changes = [fromMs];
  for (let dayMs = fromMs; dayMs < toMs; dayMs += MS_PER_DAY) {
    const nextMs = dayMs + MS_PER_DAY;
    if (offsetMs(dayMs, timeZone) !== offsetMs(nextMs, timeZone))
      changes.push(changeBetween(dayMs, nextMs, timeZone));
  }
  const least = Math.min(...changes.map((atMs) => offsetMs(atMs, timeZone)));
  for (const atMs of changes) {
    const after = offsetMs(atMs, timeZone);
    const before = atMs === fromMs ? after : offsetMs(atMs - MS_PER_SECOND, timeZone);
    const part = new ICAL.Component(after > least ? 'daylight' : 'standard');
    part.updatePropertyWithValue('dtstart', floating(atMs + before));
    part.updatePropertyWithValue('tzoffsetfrom', utcOffset(before));
    part.updatePropertyWithValue('tzoffsetto', utcOffset(after));
    part.updatePropertyWithValue('tzname', nameOf(atMs, timeZone));
    zone.addSubcomponent(part);
  }
  return zone;
}

/** Does the clock show the same again, before or after? */
function comesTwice(atMs: number, timeZone: string): boolean {
  const wall = wallMs(atMs, timeZone);
  return [atMs - 3 * MS_PER_HOUR, atMs + 3 * MS_PER_HOUR]
    .map((nearMs) => wall - offsetMs(nearMs, timeZone))
    .some((otherMs) => otherMs !== atMs && wallMs(otherMs, timeZone) === wall);
}

/** Writes an instant as the wall clock of a zone shows it; in UTC where readers would not agree which of two such hours is meant. */
export function setWallTime(
  event: ICAL.Component,
  name: string,
  { atMs, timeZone }: { readonly atMs: number; readonly timeZone: string },
): void {
  if (comesTwice(atMs, timeZone)) {
    event.updatePropertyWithValue(name, ICAL.Time.fromJSDate(new Date(atMs), true));
    return;
  }
  const property = event.updatePropertyWithValue(name, floating(wallMs(atMs, timeZone)));
  property.setParameter('tzid', timeZone);
}
