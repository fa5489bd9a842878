import type { Place } from '../place/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import { couldSpot, type Limits, type Situation, weatherFailure } from '../rules/index.js';
import type { MemberFailures } from './failed-fraction.js';
import type { LookedAt } from './judged.js';
import { inDanger, memberOutcome } from './member-water.js';
import type { PlaceSite } from './site-hours.js';
import type { PlaceWeather } from './place-weather.js';
import type { WashHours } from '../wash/index.js';

/** One start before the members. */
export interface AskedOfMembers {
  readonly startMs: number;
  readonly place: Place;
  readonly limits: Limits;
  readonly weather: Pick<PlaceSite, 'control' | 'members'>;
  readonly situation: Omit<Situation, 'site' | 'water'>;
  /** What the rules of a place read in each of two places under a member; null: the wash is done in one. */
  readonly stagesAt: (member: PlaceWeather) => readonly Situation[] | null;
}

/** The hour of an instant, for a wait that is asked about in it. */
function hourAt(weather: PlaceWeather, atMs: number): WashHours | null {
  const site = weather.placeHour(atMs);
  return site && [{ fromMinute: 0, site }];
}

/** What is left of the hours of a wash from a minute on, counted from then: a wait that begins in one place may end in another. */
function hoursFrom(hours: WashHours | null, minute: number): WashHours | null {
  if (!hours) return null;
  const at = Math.max(
    0,
    hours.findLastIndex(({ fromMinute }) => fromMinute <= minute),
  );
  const [first, ...later] = hours.slice(at);
  if (!first) return null;
  return [
    { fromMinute: 0, site: first.site },
    ...later.map(({ fromMinute, site }) => ({ fromMinute: fromMinute - minute, site })),
  ];
}

/**
 * In which members does a start fail in its way, and by what?
 *
 * @returns null where none of them reaches so far. A member that does not know these hours is not counted: that another source's forecast
 * goes on is no reason to fail
 */
export function memberFailures(
  { method, pieces, danger: kept, water }: LookedAt,
  { startMs, place, limits, weather, situation, stagesAt }: AskedOfMembers,
): MemberFailures | null {
  const { members, control } = weather;
  if (members.length === 0 || !water) return null;
  // One object for all members: tens of thousands of copies would cost more than the rules.
  const asked: { -readonly [K in keyof Situation]: Situation[K] } = { site: null, water: null, ...situation };
  const danger = (kept ?? inDanger(pieces)).filter(({ what }) => {
    const dry = what === 'dry' || what === 'dryGlass' ? water[what] : null;
    return !dry || couldSpot(asked, dry);
  });
  const failed = { memberCount: 0, freezes: 0, spots: 0, falls: 0, cold: 0 };
  members.forEach((member, i) => {
    asked.site = member.memberWindow(startMs, method.minutes);
    const stages = stagesAt(member);
    if (stages) asked.stages = stages;
    if (!asked.site || stages?.some(({ site }) => site === null)) return;
    failed.memberCount += 1;
    asked.water = memberOutcome(danger, water, {
      place,
      limits,
      hoursFrom: (of, minute) =>
        stages
          ? hoursFrom(of.washHours(startMs, method), minute)
          : hourAt(of, startMs + minute * MS_PER_MINUTE),
      control,
      member,
    });
    const cause = weatherFailure(asked);
    if (cause) failed[cause] |= 1 << i;
  });
  return failed.memberCount > 0 ? failed : null;
}
