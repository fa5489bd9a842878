import type { Finding, MarginUnit } from '@keen/core';
import type { Format } from '../format/format.js';
import { PANEL_NAMES } from './car-names.js';
import { SECTION_NAMES } from './way-words.js';

export const panelOf = ({ panel }: Finding): string => (panel ? PANEL_NAMES[panel] : 'car');
/** "you work two panels at a time, each rinsed just before": what the remedy asks of the hands. */
export function workedSo({ section = 'one-panel', before, remedy }: Finding): string {
  if (remedy === 'lower-only') return 'you wash the lower body only';
  if (remedy === 'upper-only') return 'you wash the upper body only';
  if (remedy === 'finish-elsewhere') return 'you rinse it here and finish it at the second place';
  const first =
    before === 'rinse'
      ? ', each rinsed just before you touch it'
      : before === 'soak'
        ? ', each soaked with warm water just before you touch it'
        : '';
  return `you work ${SECTION_NAMES[section]} at a time${first}`;
}
const WAYS: ReadonlySet<Finding['remedy']> = new Set([
  'smaller-section',
  'rinse-each-part',
  'soak-each-part',
  'lower-only',
  'upper-only',
  'finish-elsewhere',
]);
export const isInOtherWay = ({ level, remedy }: Finding): boolean =>
  level === 'condition' && WAYS.has(remedy);

/** A margin in the limit's own unit. */
export function marginText(value: number, unit: MarginUnit, format: Format): string {
  switch (unit) {
    case 'min':
      return format.minutes(value);
    case 'K':
      return format.kelvin(value);
    case 'share':
      return format.share(value);
    case 'pH':
      return `${value.toFixed(1).replace('-', '−')} pH`;
    case 'L':
      return format.litres(value);
    case 'mm/h':
      return `${format.fall(value)}/h`;
    case 'mg/m²':
      return `${value.toFixed(1).replace('-', '−')} mg/m²`;
    case 'h':
      return Number.isFinite(value) ? `${value.toFixed(0).replace('-', '−')} h` : '';
    case 'mL':
      return format.ml(value);
    case 'W/m²':
      return `${value.toFixed(0).replace('-', '−')} W/m²`;
    case 'grade':
      return `${value.toFixed(1).replace('-', '−')} grade`;
    case 'none':
      return '';
  }
}

/** What was found, in the limit's unit: a temperature where the margin is a difference of them. */
export function valueText(value: number, unit: MarginUnit, format: Format): string {
  return unit === 'K' ? format.temp(value) : marginText(value, unit, format);
}

export type Phrase = (finding: Finding, format: Format) => string;

export const actual = ({ actual: value, unit }: Finding, format: Format): string =>
  value == null ? 'not known' : valueText(value, unit, format);
export const limit = ({ limit: value, unit }: Finding, format: Format): string =>
  value === undefined ? '' : valueText(value, unit, format);
export const beyond = ({ margin, unit }: Finding, format: Format): string =>
  marginText(Math.abs(margin ?? 0), unit, format);
