import type { CarColumn, WashColumn } from '@keen/core';

/** What a list of cars tells. */
export const CAR_COLUMN_NAMES: Readonly<Record<CarColumn, string>> = {
  name: 'Name of the car',
  body: 'Body',
  tone: 'Paint',
  protection: 'Protection',
  everyDays: 'Days between washes',
  kmADay: 'Kilometres a day',
  customer: 'Customer',
  contact: 'Reached by',
  lastWash: 'Last wash',
  notes: 'Notes',
};

/** What a list of old washes tells. */
export const WASH_COLUMN_NAMES: Readonly<Record<WashColumn, string>> = {
  car: 'Car',
  day: 'Day',
  time: 'Begun at',
  place: 'Place',
  method: 'Method',
  minutes: 'Minutes',
  cost: 'Cost',
  note: 'Note',
};
