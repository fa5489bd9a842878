import {
  IconCalculator,
  IconCar,
  IconChecklist,
  IconClockHour4,
  IconMapPin,
  IconSettings,
  IconSunrise,
  IconTimelineEvent,
} from '@tabler/icons-react';

/** The views in the order of the bar; `key` is pressed after g. */
export const VIEWS = [
  { path: '/', label: 'This morning', short: 'Morning', key: 'm', icon: IconSunrise, onPhoneBar: true },
  {
    path: '/windows',
    label: 'Windows',
    short: 'Windows',
    key: 'w',
    icon: IconTimelineEvent,
    onPhoneBar: true,
  },
  { path: '/washes', label: 'Washes', short: 'Washes', key: 'l', icon: IconChecklist, onPhoneBar: true },
  { path: '/salt', label: 'Salt', short: 'Salt', key: 's', icon: IconClockHour4, onPhoneBar: true },
  { path: '/vehicles', label: 'Vehicles', short: 'Vehicles', key: 'v', icon: IconCar, onPhoneBar: true },
  { path: '/places', label: 'Places', short: 'Places', key: 'p', icon: IconMapPin, onPhoneBar: false },
  {
    path: '/desk',
    label: 'Reference desk',
    short: 'Desk',
    key: 'd',
    icon: IconCalculator,
    onPhoneBar: false,
  },
  {
    path: '/settings',
    label: 'Settings',
    short: 'Settings',
    key: 'x',
    icon: IconSettings,
    onPhoneBar: false,
  },
] as const;
