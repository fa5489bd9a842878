import { MS_PER_SECOND, type BusySpan, type ImportReport, type LineFault } from '@keen/core';
import ICAL from 'ical.js';
import { instantOfWall } from './zone-clock.js';
import { reported, unreadable } from '../imports/import-report.js';

export interface ReadWindow {
  readonly fromMs: number;
  readonly toMs: number;
  /** Zone of times without one, and of whole days. */
  readonly timeZone: string;
}

/** A rule that takes more steps than this to come into the window is not followed. */
const MOST_STEPS = 20_000;
const MOST_SPANS = 2000;

function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** The instant of a time in a calendar. @throws Error that says which zone is not known */
function msOf(
  time: ICAL.Time,
  tzid: string | null,
  { zones, window }: { readonly zones: ReadonlySet<string>; readonly window: ReadWindow },
): number {
  if (time.zone === ICAL.Timezone.utcTimezone) return time.toUnixTime() * 1000;
  if (tzid !== null && zones.has(tzid)) return time.toUnixTime() * 1000;
  if (tzid !== null && !isZone(tzid)) throw new Error(`the zone ${tzid} is not known`);
  const { year, month, day, hour, minute, second } = time;
  return instantOfWall(Date.UTC(year, month - 1, day, hour, minute, second), tzid ?? window.timeZone);
}

const tzidOf = (event: ICAL.Event, name: 'dtstart' | 'dtend'): string | null => {
  const value: unknown = event.component.getFirstProperty(name)?.getParameter('tzid');
  return typeof value === 'string' ? value : null;
};

/** What the library tells of one occurrence; its own type for it cannot be resolved. */
interface Occurrence {
  readonly startDate: ICAL.Time;
  readonly endDate: ICAL.Time;
  readonly item: ICAL.Event;
}

/**
 * From when to when an occurrence takes time: its end is its own time on its own clock, also over a clock change or in another zone; a
 * length in hours (RFC 5545: DURATION) is as many hours.
 */
function instantsOf({ startDate, endDate, item }: Occurrence, { window, zones }: Around): [number, number] {
  const startZone = tzidOf(item, 'dtstart');
  const fromMs = msOf(startDate, startZone, { zones, window });
  const duration = item.component.getFirstPropertyValue('duration');
  if (duration instanceof ICAL.Duration && duration.days === 0 && duration.weeks === 0)
    return [fromMs, fromMs + duration.toSeconds() * MS_PER_SECOND];
  const endZone = tzidOf(item, 'dtend') ?? startZone;
  if (endZone === startZone) return [fromMs, msOf(endDate, startZone, { zones, window })];
  const lengthMs =
    msOf(item.endDate, endZone, { zones, window }) - msOf(item.startDate, startZone, { zones, window });
  return [fromMs, fromMs + lengthMs];
}

interface Around {
  readonly window: ReadWindow;
  readonly zones: ReadonlySet<string>;
}

/** Nobody is busy by the second or the minute, and to follow such a rule takes for ever. */
const TOO_OFTEN: ReadonlySet<string> = new Set(['SECONDLY', 'MINUTELY']);

function requireFollowable(event: ICAL.Event): void {
  for (const rule of event.component.getAllProperties('rrule')) {
    const value = rule.getFirstValue();
    if (value instanceof ICAL.Recur && TOO_OFTEN.has(value.freq))
      throw new Error(`it repeats ${value.freq.toLowerCase()}, which no calendar of working hours does`);
  }
}

/** Every occurrence of an event in the window. @throws Error with what is wrong */
function spansOf(event: ICAL.Event, { window, zones }: Around): BusySpan[] {
  const tzid = tzidOf(event, 'dtstart');
  const whole: Occurrence = { startDate: event.startDate, endDate: event.endDate, item: event };
  const [firstMs, firstEndMs] = instantsOf(whole, { window, zones });
  if (firstEndMs <= firstMs) throw new Error('it ends before it begins');
  const spans: BusySpan[] = [];
  const summary = (event.summary ?? '').slice(0, 200);
  const add = (occurrence: Occurrence): void => {
    const [fromMs, toMs] = instantsOf(occurrence, { window, zones });
    if (fromMs < window.toMs && toMs > window.fromMs && toMs > fromMs) spans.push({ fromMs, toMs, summary });
  };
  if (!event.isRecurring()) {
    add(whole);
    return spans;
  }
  requireFollowable(event);
  const occurrences = event.iterator();
  for (let step = 0; ; step += 1) {
    if (step > MOST_STEPS)
      throw new Error(`it repeats more than ${MOST_STEPS} times before it comes to an end`);
    const next = occurrences.next() as ICAL.Time | undefined;
    if (!next || msOf(next, tzid, { zones, window }) >= window.toMs || spans.length > MOST_SPANS)
      return spans;
    // An occurrence that was moved or called off has a row of its own.
    const occurrence = event.getOccurrenceDetails(next) as Occurrence;
    if (takesTime(occurrence.item.component)) add(occurrence);
  }
}

/** One that is free, or called off, takes none. */
const takesTime = (component: ICAL.Component): boolean =>
  component.getFirstPropertyValue('transp') !== 'TRANSPARENT' &&
  component.getFirstPropertyValue('status') !== 'CANCELLED';

/** @throws 400 where it is not a whole iCalendar file */
function rootOf(text: string): ICAL.Component {
  let root: ICAL.Component;
  try {
    root = new ICAL.Component(ICAL.parse(text) as unknown[]);
  } catch (error) {
    throw unreadable(
      `This is not a whole iCalendar file: ${error instanceof Error ? error.message : 'not understood'}.`,
    );
  }
  if (root.name !== 'vcalendar') throw unreadable('This is not an iCalendar file: it has no VCALENDAR.');
  return root;
}

/** Makes the file's own zones known to the library. @returns their names */
function registerZones(root: ICAL.Component): ReadonlySet<string> {
  const zones = new Set<string>();
  for (const zone of root.getAllSubcomponents('vtimezone')) {
    const made = new ICAL.Timezone(zone);
    zones.add(made.tzid);
    ICAL.TimezoneService.register(made);
  }
  return zones;
}

/** The events of a file, each with the occurrences of its series that were changed. */
function eventsOf(root: ICAL.Component): { component: ICAL.Component; exceptions: ICAL.Component[] }[] {
  const components = root.getAllSubcomponents('vevent');
  const uidOf = (component: ICAL.Component): unknown => component.getFirstPropertyValue('uid');
  const isChanged = (component: ICAL.Component): boolean => component.hasProperty('recurrence-id');
  const series = new Set(components.filter((component) => !isChanged(component)).map(uidOf));
  const changed = new Map<unknown, ICAL.Component[]>();
  for (const component of components.filter(isChanged)) {
    const known = changed.get(uidOf(component));
    if (known) known.push(component);
    else changed.set(uidOf(component), [component]);
  }
  // A changed occurrence whose series is not in the file stands for itself.
  return components
    .filter((component) => !isChanged(component) || !series.has(uidOf(component)))
    .map((component) => ({
      component,
      exceptions: (changed.get(uidOf(component)) ?? []).filter((other) => other !== component),
    }));
}

/**
 * The busy times of an iCalendar file within a window, repeats written out.
 *
 * @returns spans in order of time, and what is wrong with single events, by their place in the file
 * @throws 400 where the file as a whole cannot be read
 */
export function readCalendar(text: string, window: ReadWindow): Omit<ImportReport<BusySpan>, 'kept'> {
  const root = rootOf(text);
  const zones = registerZones(root);
  const events = eventsOf(root);
  const faults: LineFault[] = [];
  const good = events.flatMap(({ component, exceptions }, i): BusySpan[] => {
    try {
      const event = new ICAL.Event(component, { exceptions });
      return takesTime(component) ? spansOf(event, { window, zones }) : [];
    } catch (error) {
      const what = error instanceof Error ? error.message : 'not understood';
      faults.push({ line: i + 1, field: 'VEVENT', message: `Event ${i + 1}: ${what}.` });
      return [];
    }
  });
  ICAL.TimezoneService.reset();
  return { good: [...good].sort((a, b) => a.fromMs - b.fromMs), faults: reported(faults) };
}
