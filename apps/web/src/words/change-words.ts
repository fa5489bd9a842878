import type { AuditDeed, AuditedRecord } from '@keen/core';
import type { Format } from '../format/format.js';

export const RECORD_NAMES: Readonly<Record<AuditedRecord, string>> = {
  vehicle: 'Vehicle',
  place: 'Place',
  wash: 'Wash',
  customer: 'Customer',
  booking: 'Booking',
  message: 'Message',
  product: 'Bottle',
  gear: 'Gear',
  setting: 'Setting',
  drive: 'Drive',
  swab: 'Swab',
  spot: 'Spot',
  soil_look: 'Look at',
  sight: 'Seen out of the door',
  access_user: 'Account',
};

export const DEED_NAMES: Readonly<Record<AuditDeed, string>> = {
  made: 'added',
  changed: 'changed',
  deleted: 'deleted',
  'brought-back': 'brought back',
};

/** Units that stand at the end of a field's name. */
const UNITS: readonly (readonly [RegExp, string])[] = [
  [/MgPerLitre$/, 'mg/L'],
  [/MinorPerHour$/, 'per hour'],
  [/Minor$/, ''],
  [/Minutes$/, 'min'],
  [/Minute$/, 'min of the day'],
  [/Litres$/, 'L'],
  [/Hours$/, 'h'],
  [/Days$/, 'd'],
  [/Deg$/, '°'],
  [/Ml$/, 'mL'],
  [/Km$/, 'km'],
  [/Ms$/, ''],
  [/C$/, '°C'],
];

const apart = (name: string): string => name.replaceAll(/([a-z0-9])([A-Z])/g, '$1 $2').toLowerCase();

/** A field as one reads it: "left (mL)", "limits: in hand fraction". */
export function fieldName(field: string): string {
  const [part = '', ...within] = field.split('.');
  const last = within.at(-1) ?? part;
  const unit = UNITS.find(([ending]) => ending.test(last));
  const plain = apart(unit ? last.replace(unit[0], '') : last);
  const named = unit?.[1] ? `${plain} (${unit[1]})` : plain;
  return within.length > 0 && part !== 'value' ? `${apart(part)}: ${named}` : named;
}

type Shown = Pick<Format, 'dayTime' | 'money'>;

/** What stood in a field, as one reads it. */
export function fieldValue(field: string, value: unknown, format: Shown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'number') {
    if (field.endsWith('Ms')) return format.dayTime(value);
    return field.endsWith('Minor') ? format.money(value) : String(Math.round(value * 1000) / 1000);
  }
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  if (Array.isArray(value) && value.every((one) => typeof one === 'string'))
    return value.join(', ') || 'nothing';
  return JSON.stringify(value);
}
