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
  IconMapPin,
  IconScale,
  IconSettings,
  IconShieldHalf,
  IconSunrise,
  IconTimelineEvent,
  IconUsers,
} from '@tabler/icons-react';
import type { Role } from '@keen/core';

export interface View {
  readonly path: string;
  readonly label: string;
  readonly short: string;
  readonly key: string;
  readonly icon: typeof IconSunrise;
  readonly onPhoneBar: boolean;
  readonly isMore?: boolean;
}

/** The views in the order of the bar; `key` is pressed after g. Those with `isMore` stand in the menu at its end. */
export const VIEWS = [
  { path: '/', label: 'This morning', short: 'Morning', key: 'm', icon: IconSunrise, onPhoneBar: true },
  { path: '/plan', label: 'Plan', short: 'Plan', key: 'n', icon: IconCalendarTime, onPhoneBar: true },
  {
    path: '/windows',
    label: 'Windows',
    short: 'Windows',
    key: 'w',
    icon: IconTimelineEvent,
    onPhoneBar: true,
  },
  { path: '/weather', label: 'Weather', short: 'Weather', key: 'h', icon: IconCloudSnow, onPhoneBar: false },
  {
    path: '/balance',
    label: 'Balance',
    short: 'Balance',
    key: 'b',
    icon: IconScale,
    onPhoneBar: false,
  },
  { path: '/washes', label: 'Washes', short: 'Washes', key: 'l', icon: IconChecklist, onPhoneBar: true },
  { path: '/salt', label: 'Salt', short: 'Salt', key: 's', icon: IconClockHour4, onPhoneBar: true },
  {
    path: '/condition',
    label: 'Condition',
    short: 'Condition',
    key: 'c',
    icon: IconShieldHalf,
    onPhoneBar: false,
  },
  {
    path: '/customers',
    label: 'Customers',
    short: 'Customers',
    key: 'u',
    icon: IconUsers,
    onPhoneBar: false,
  },
  { path: '/vehicles', label: 'Vehicles', short: 'Vehicles', key: 'v', icon: IconCar, onPhoneBar: false },
  {
    path: '/places',
    label: 'Places',
    short: 'Places',
    key: 'p',
    icon: IconMapPin,
    onPhoneBar: false,
    isMore: true,
  },
  {
    path: '/kit',
    label: 'Kit',
    short: 'Kit',
    key: 'k',
    icon: IconBottle,
    onPhoneBar: false,
    isMore: true,
  },
  {
    path: '/clinic',
    label: 'Spot clinic',
    short: 'Clinic',
    key: 'o',
    icon: IconDropletQuestion,
    onPhoneBar: false,
    isMore: true,
  },
  {
    path: '/lab',
    label: 'Film lab',
    short: 'Lab',
    key: 'f',
    icon: IconFlask,
    onPhoneBar: false,
    isMore: true,
  },
  {
    path: '/desk',
    label: 'Reference desk',
    short: 'Desk',
    key: 'd',
    icon: IconCalculator,
    onPhoneBar: false,
    isMore: true,
  },
  {
    path: '/settings',
    label: 'Settings',
    short: 'Settings',
    key: 'x',
    icon: IconSettings,
    onPhoneBar: false,
    isMore: true,
  },
] as const satisfies readonly View[];

/** What a helper has to do with: the own round, what is on the shelf, and the sums. */
const FOR_HELPER: ReadonlySet<string> = new Set(['/', '/kit', '/desk']);

export const viewsFor = (role: Role): readonly View[] =>
  role === 'helper'
    ? VIEWS.filter(({ path }) => FOR_HELPER.has(path)).map((view) =>
        view.path === '/' ? { ...view, label: 'Your washes', short: 'Your washes' } : view,
      )
    : VIEWS;
