import type { CarColumn } from '@keen/core';

export const COLUMN_NAMES: Readonly<Record<CarColumn, string>> = {
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
