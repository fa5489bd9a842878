import { type PlaceRecord, type VehicleRecord, type WashRecord, endOf, MS_PER_DAY } from '@keen/core';
import ICAL from 'ical.js';
import { setWallTime, zoneComponent } from './zone-clock.js';

/** Time to put on gloves before one leaves. */
const READY_MINUTES = 10;
/** The zone is described this far round the washes. */
const ZONE_MS = 200 * MS_PER_DAY;

export interface CalendarFacts {
  readonly washes: readonly WashRecord[];
  readonly vehicles: readonly VehicleRecord[];
  readonly places: readonly PlaceRecord[];
  readonly nowMs: number;
  /** IANA name of the shop's zone, in which the washes are given. */
  readonly timeZone: string;
}

const utc = (atMs: number): ICAL.Time => ICAL.Time.fromJSDate(new Date(atMs), true);

/** The same in every feed, wherever the wash is moved to. */
export const uidOf = (washId: string): string => `${washId}@keen-rinse`;

function eventOf(wash: WashRecord & { readonly revision: number }, facts: CalendarFacts): ICAL.Component {
  const vehicle = facts.vehicles.find(({ id }) => id === wash.vehicleId);
  const place = facts.places.find(({ id }) => id === wash.placeId);
  const event = new ICAL.Component('vevent');
  event.updatePropertyWithValue('uid', uidOf(wash.id));
  event.updatePropertyWithValue('dtstamp', utc(facts.nowMs));
  setWallTime(event, 'dtstart', { atMs: wash.startMs, timeZone: facts.timeZone });
  setWallTime(event, 'dtend', { atMs: endOf(wash), timeZone: facts.timeZone });
  event.updatePropertyWithValue('sequence', wash.revision);
  event.updatePropertyWithValue('summary', `Wash ${vehicle?.name ?? wash.vehicleId}`);
  event.updatePropertyWithValue('location', place?.name ?? wash.placeId);
  event.updatePropertyWithValue('status', wash.isLocked ? 'CONFIRMED' : 'TENTATIVE');
  const way = wash.methodId.replaceAll('-', ' ');
  const travel = place?.travelMinutes ?? 0;
  event.updatePropertyWithValue('description', `${way}, ${wash.minutes} min; ${travel} min there.`);
  const alarm = new ICAL.Component('valarm');
  alarm.updatePropertyWithValue('action', 'DISPLAY');
  alarm.updatePropertyWithValue('description', `Leave for ${place?.name ?? wash.placeId}`);
  const before = new ICAL.Duration({ minutes: Math.round(travel + READY_MINUTES), isNegative: true });
  alarm.updatePropertyWithValue('trigger', before);
  event.addSubcomponent(alarm);
  return event;
}

/**
 * The planned washes as an iCalendar file, in the shop's zone, which the file defines itself.
 *
 * @returns text with the line ends that RFC 5545 asks for
 */
export function planCalendar(
  washes: readonly (WashRecord & { readonly revision: number })[],
  facts: CalendarFacts,
): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('prodid', '-//Keen Rinse//Plan//EN');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('calscale', 'GREGORIAN');
  calendar.updatePropertyWithValue('x-wr-calname', 'Washes');
  const instants = [facts.nowMs, ...washes.map(({ startMs }) => startMs)];
  calendar.addSubcomponent(
    zoneComponent(facts.timeZone, Math.min(...instants) - ZONE_MS, Math.max(...instants) + ZONE_MS),
  );
  for (const wash of washes) calendar.addSubcomponent(eventOf(wash, facts));
  return `${calendar.toString()}\r\n`;
}
