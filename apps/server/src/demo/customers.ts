import {
  BODY_CLASSES,
  type BodyClass,
  type Customer,
  type MethodId,
  MS_PER_HOUR,
  type PriceList,
  startOfHourMs,
  type BookingRecord,
} from '@keen/core';
import { DEMO_VEHICLES, type NamedVehicle } from './scenario.js';

const SHOP = 'The shop';
const idOf = (name: string): string => name.toLowerCase().replace(' ', '-');
const DAY = { openMinute: 8 * 60, closeMinute: 17 * 60 };
const WORKDAYS = [DAY, DAY, DAY, DAY, DAY, null, null];

/** Whose car it is; the shop's own are nobody's in the book. */
export const demoCustomerOf = ({ keeper }: NamedVehicle): string | null =>
  keeper === SHOP ? null : idOf(keeper);

type CustomerRow = Pick<Customer, 'contact' | 'photoConsent'> &
  Partial<Pick<Customer, 'notes' | 'availability'>>;

/** What is known of some of them; the others were never asked. */
const KNOWN: Readonly<Record<string, CustomerRow>> = {
  'Orla Venn': {
    contact: 'text, evenings',
    photoConsent: 'public',
    notes: 'Likes the estate done before the weekend.',
  },
  'Tamsin Roe': {
    contact: 'e-mail',
    photoConsent: 'own-records',
    availability: WORKDAYS,
    notes: 'Parks at the office; keys at the desk.',
  },
  'Jory Pell': { contact: 'call before seven', photoConsent: 'none' },
  'Ines Calder': { contact: 'text', photoConsent: 'own-records' },
};

/** The demo's customers, one for each keeper. */
export function demoCustomers(askedMs: number): Customer[] {
  const names = [...new Set(DEMO_VEHICLES.map(({ keeper }) => keeper))].filter((name) => name !== SHOP);
  return names.map((name): Customer => {
    const known = KNOWN[name];
    return {
      id: idOf(name),
      name,
      contact: '',
      notes: '',
      photoConsent: 'none',
      availability: null,
      ...known,
      consentMs: known ? askedMs : null,
    };
  });
}

/** Two promises: one that the plan can keep with ease, and one for the day of the thaw. */
export function demoBookings(nowMs: number): BookingRecord[] {
  const at = (hours: number): number => startOfHourMs(nowMs) + hours * MS_PER_HOUR;
  const plain = { extras: [], agreedMinor: null, methodId: null } as const;
  return [
    {
      ...plain,
      id: 'booking-blue-hatch',
      vehicleId: 'blue-hatch',
      fromMs: at(26),
      readyByMs: at(35),
      note: 'Back before five.',
    },
    {
      ...plain,
      id: 'booking-grey-suv',
      vehicleId: 'grey-suv',
      fromMs: at(50),
      readyByMs: at(83),
      agreedMinor: 6500,
      note: '',
    },
  ];
}

/** What a size costs beyond a saloon (made up). */
const SIZE: Readonly<Record<BodyClass, number>> = {
  hatch: 0.9,
  saloon: 1,
  estate: 1.1,
  suv: 1.25,
  pickup: 1.3,
  van: 1.5,
};
const PRICES: readonly (readonly [MethodId, number])[] = [
  ['touchless-automatic', 2500],
  ['bay-touch-free', 3200],
  ['bay-contact', 4800],
  ['bay-rinse-rinseless', 5600],
  ['garage-rinseless', 5200],
  ['garage-hose', 5800],
];

export const DEMO_PRICE_LIST: PriceList = {
  methods: Object.fromEntries(
    PRICES.map(([methodId, saloon]) => [
      methodId,
      Object.fromEntries(BODY_CLASSES.map((body) => [body, Math.round((saloon * SIZE[body]) / 100) * 100])),
    ]),
  ),
  extras: {
    underbody: 1800,
    'anti-corrosion': 3500,
    'top-up': 2200,
    decontaminate: 7500,
    polish: 18_000,
    're-coat': 22_000,
  },
};
