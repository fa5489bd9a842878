import { type Customer, hasLength, type OpenSpan, type PhotoConsent, type VehicleRecord } from '@keen/core';
import { clockOf } from '../../parts/wall-clock.js';

/** What is typed into the form of a customer. */
export interface CustomerDraft {
  readonly name: string;
  readonly contact: string;
  readonly notes: string;
  readonly photoConsent: PhotoConsent;
  /** Whether their cars are available at certain hours only. */
  readonly isLimited: boolean;
  readonly hours: readonly (OpenSpan | null)[];
  readonly vehicleIds: readonly string[];
}

const DAY: OpenSpan = { openMinute: 480, closeMinute: 1020 };
const WORKDAYS = [DAY, DAY, DAY, DAY, DAY, null, null];

export const NEW_CUSTOMER: CustomerDraft = {
  name: '',
  contact: '',
  notes: '',
  photoConsent: 'none',
  isLimited: false,
  hours: WORKDAYS,
  vehicleIds: [],
};

export const draftOf = (
  { id, name, contact, notes, photoConsent, availability }: Customer,
  vehicles: readonly Pick<VehicleRecord, 'id' | 'customerId'>[],
): CustomerDraft => ({
  name,
  contact,
  notes,
  photoConsent,
  isLimited: availability !== null,
  hours: availability ?? WORKDAYS,
  vehicleIds: vehicles.filter(({ customerId }) => customerId === id).map((vehicle) => vehicle.id),
});

export type CustomerErrors = Readonly<Record<string, string>>;

/** The form's faults by field. */
export function customerErrors({ name, isLimited, hours }: CustomerDraft): CustomerErrors {
  const errors: Record<string, string> = {};
  if (name.trim() === '') errors.name = 'Give a name.';
  if (isLimited)
    hours.forEach((span, day) => {
      if (span && !hasLength(span)) errors[`openHours.${day}`] = 'It ends as it begins.';
    });
  return errors;
}

/** The form as the server takes it. Only for a form without faults. */
export const customerFrom = ({ isLimited, hours, ...fields }: CustomerDraft) => ({
  ...fields,
  name: fields.name.trim(),
  availability: isLimited ? hours : null,
});

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** "Cars are available Mon to Fri 08:00–17:00", days with the same hours together. */
export function availabilityText(availability: Customer['availability']): string {
  if (availability === null) return 'Cars are available at any time';
  const runs: { from: number; to: number; hours: string }[] = [];
  availability.forEach((span, day) => {
    if (!span) return;
    const hours = `${clockOf(span.openMinute)}–${clockOf(span.closeMinute)}`;
    const last = runs.at(-1);
    if (last && last.to === day - 1 && last.hours === hours) last.to = day;
    else runs.push({ from: day, to: day, hours });
  });
  if (runs.length === 0) return 'Cars can never be had';
  const text = ({ from, to, hours }: (typeof runs)[number]): string =>
    `${DAYS[from]}${to > from ? ` to ${DAYS[to]}` : ''} ${hours}`;
  return `Cars are available ${new Intl.ListFormat('en').format(runs.map(text))}`;
}
