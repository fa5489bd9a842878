import { type BodyClass } from './panels.js';
import type { PaintTone, Protection } from '../vehicle.js';

/** What a list of cars may tell, in the order in which it is asked for. */
export const CAR_COLUMNS = [
  'name',
  'body',
  'tone',
  'protection',
  'everyDays',
  'kmADay',
  'customer',
  'contact',
  'lastWash',
  'notes',
] as const;
export type CarColumn = (typeof CAR_COLUMNS)[number];

/** Words that headings are known by, in small letters. */
export const HEADINGS: Readonly<Record<CarColumn, readonly string[]>> = {
  name: ['car', 'vehicle', 'name', 'car name'],
  body: ['body', 'type', 'body type', 'class'],
  tone: ['tone', 'colour', 'color', 'paint'],
  protection: ['protection', 'coat', 'coating', 'sealed with'],
  everyDays: ['every', 'every days', 'days', 'interval', 'wash every'],
  kmADay: ['km', 'km a day', 'km/day', 'daily km', 'drives'],
  customer: ['customer', 'owner', 'client', 'whose'],
  contact: ['contact', 'phone', 'telephone', 'e-mail', 'email', 'reached by'],
  lastWash: ['last wash', 'last washed', 'washed', 'washed on'],
  notes: ['notes', 'note', 'remarks', 'comment'],
};

/** Words for bodies, paints and protections beside their own names, in small letters. */
export const BODY_WORDS: Readonly<Record<string, BodyClass>> = {
  sedan: 'saloon',
  limousine: 'saloon',
  wagon: 'estate',
  'station wagon': 'estate',
  hatchback: 'hatch',
  'off roader': 'suv',
  truck: 'pickup',
  'pick up': 'pickup',
  transporter: 'van',
};
export const TONE_WORDS: Readonly<Record<string, PaintTone>> = {
  grey: 'silver',
  gray: 'silver',
  red: 'mid',
  blue: 'mid',
  green: 'mid',
  orange: 'mid',
  yellow: 'mid',
  brown: 'mid',
  'dark blue': 'black',
};
export const PROTECTION_WORDS: Readonly<Record<string, Protection>> = {
  none: 'bare',
  no: 'bare',
  ceramic: 'coating',
  'spray ceramic': 'spray-ceramic',
  wrap: 'film',
  foil: 'film',
};
