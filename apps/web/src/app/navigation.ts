import {
  IconBottle,
  IconCalculator,
  IconCalendarTime,
  IconCar,
  IconChecklist,
  IconClockHour4,
  IconCloudSnow,
  IconDropletQuestion,
  IconFlask,
  IconHistory,
  IconMapPin,
  IconScale,
  IconSettings,
  IconShieldHalf,
  IconSunrise,
  IconTimelineEvent,
  IconUsers,
} from '@tabler/icons-react';
import type { Role } from '@keen/core';

/** Where a view is found: five rooms in the bar, the rest inside them; `tools` is the corner with the settings. */
export type RoomId = 'today' | 'plan' | 'cars' | 'kit' | 'records' | 'tools';

export interface View {
  readonly path: string;
  readonly label: string;
  readonly key: string;
  readonly icon: typeof IconSunrise;
  readonly room: RoomId;
  /** It is about one car, which is kept from view to view. */
  readonly isOfCar?: boolean;
}

/** The views in their order; `key` is pressed after g. The first of a room is where the room opens. */
export const VIEWS: readonly View[] = [
  { path: '/', label: 'This morning', key: 'm', icon: IconSunrise, room: 'today' },
  { path: '/weather', label: 'Weather', key: 'h', icon: IconCloudSnow, room: 'today' },
  { path: '/plan', label: 'Plan', key: 'n', icon: IconCalendarTime, room: 'plan' },
  { path: '/places', label: 'Places', key: 'p', icon: IconMapPin, room: 'plan' },
  { path: '/vehicles', label: 'Vehicles', key: 'v', icon: IconCar, room: 'cars' },
  { path: '/windows', label: 'Windows', key: 'w', icon: IconTimelineEvent, room: 'cars', isOfCar: true },
  { path: '/balance', label: 'Balance', key: 'b', icon: IconScale, room: 'cars', isOfCar: true },
  { path: '/salt', label: 'Salt', key: 's', icon: IconClockHour4, room: 'cars', isOfCar: true },
  { path: '/condition', label: 'Condition', key: 'c', icon: IconShieldHalf, room: 'cars', isOfCar: true },
  { path: '/kit', label: 'Shelf', key: 'k', icon: IconBottle, room: 'kit' },
  { path: '/clinic', label: 'Spot clinic', key: 'o', icon: IconDropletQuestion, room: 'kit' },
  { path: '/lab', label: 'Film lab', key: 'f', icon: IconFlask, room: 'kit' },
  { path: '/desk', label: 'Reference desk', key: 'd', icon: IconCalculator, room: 'kit' },
  { path: '/washes', label: 'Washes', key: 'l', icon: IconChecklist, room: 'records' },
  { path: '/customers', label: 'Customers', key: 'u', icon: IconUsers, room: 'records' },
  { path: '/changes', label: 'Changes', key: 'a', icon: IconHistory, room: 'records' },
  { path: '/settings', label: 'Settings', key: 'x', icon: IconSettings, room: 'tools' },
];

export interface Room {
  readonly id: RoomId;
  readonly label: string;
  readonly icon: typeof IconSunrise;
}

const ROOMS: readonly Room[] = [
  { id: 'today', label: 'Today', icon: IconSunrise },
  { id: 'plan', label: 'Plan', icon: IconCalendarTime },
  { id: 'cars', label: 'Cars', icon: IconCar },
  { id: 'kit', label: 'Kit', icon: IconBottle },
  { id: 'records', label: 'Records', icon: IconChecklist },
];

/** What a helper has to do with: the own round, what is on the shelf, and the sums. */
const FOR_HELPER: ReadonlySet<string> = new Set(['/', '/kit', '/desk']);

/** What a bookkeeper reads: what was planned, done, used, agreed and paid, and the sums. */
const FOR_BOOKKEEPER: ReadonlySet<string> = new Set([
  '/plan',
  '/places',
  '/vehicles',
  '/balance',
  '/kit',
  '/desk',
  '/washes',
  '/customers',
  '/settings',
]);

export function viewsFor(role: Role): readonly View[] {
  if (role === 'owner') return VIEWS;
  if (role === 'bookkeeper') return VIEWS.filter(({ path }) => FOR_BOOKKEEPER.has(path));
  return VIEWS.filter(({ path }) => FOR_HELPER.has(path)).map((view) =>
    view.path === '/' ? { ...view, label: 'Your washes' } : view,
  );
}

/** The rooms that hold any of these views, each with the view where it opens. */
export const roomsOf = (views: readonly View[]): (Room & { readonly path: string })[] =>
  ROOMS.flatMap((room) => {
    const first = views.find((view) => view.room === room.id);
    return first ? [{ ...room, path: first.path }] : [];
  });

const isAt = (pathname: string, path: string): boolean =>
  path === '/' ? pathname === '/' : pathname === path || pathname.startsWith(`${path}/`);

/** What is prepared and run is of the plan. */
const PREPARING = ['/run', '/round'];

/** The room that a page is in; null: in none. */
export function roomAt(pathname: string): RoomId | null {
  const view = VIEWS.find(({ path }) => isAt(pathname, path));
  if (view) return view.room;
  return PREPARING.some((path) => isAt(pathname, path)) ? 'plan' : null;
}

/** The views of a room; those of a car go on with the car that the page is about. */
export function viewsIn(
  room: RoomId | null,
  views: readonly View[],
  pathname: string,
): (View & { readonly to: string })[] {
  const [, of = '', car] = pathname.split('/');
  const isOfCar = views.some((view) => view.isOfCar && view.path === `/${of}`);
  return views
    .filter((view) => view.room === room)
    .map((view) => ({ ...view, to: view.isOfCar && isOfCar && car ? `${view.path}/${car}` : view.path }));
}
