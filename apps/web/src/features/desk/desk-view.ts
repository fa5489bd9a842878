import { CALCULATORS, type DisplaySettings, schemasOf } from '@keen/core';
import type { Format } from '../../format/format.js';
import { type DeskValues, EXAMPLES } from './examples.js';
import { shownUnit, typed } from '../../format/shown-unit.js';

export interface DeskField {
  readonly name: string;
  readonly unit: string;
  readonly kind: 'number' | 'choice' | 'switch' | 'list' | 'text';
  readonly choices: readonly string[];
  readonly isOptional: boolean;
}

interface Property {
  readonly type?: string;
  readonly enum?: readonly string[];
  readonly unit?: string;
  readonly items?: { readonly type?: string };
}

interface ObjectSchema {
  readonly properties?: Readonly<Record<string, Property>>;
  readonly required?: readonly string[];
}

function kindOf({ type, enum: choices, items }: Property): DeskField['kind'] | null {
  if (choices) return 'choice';
  if (type === 'number' || type === 'integer') return 'number';
  if (type === 'boolean') return 'switch';
  if (type === 'array') return items?.type === 'number' || items?.type === 'integer' ? 'list' : null;
  return type === 'string' ? 'text' : null;
}

/** The fields of a sum as its own schema tells them; nested parts are left to the command line. */
export function fieldsOf(name: string): DeskField[] {
  const calculator = CALCULATORS.get(name);
  if (!calculator) return [];
  const { properties = {}, required = [] } = schemasOf(calculator).input as ObjectSchema;
  return Object.entries(properties).flatMap(([field, property]) => {
    const kind = kindOf(property);
    return kind
      ? [
          {
            name: field,
            unit: property.unit ?? '',
            kind,
            choices: property.enum ?? [],
            isOptional: !required.includes(field),
          },
        ]
      : [];
  });
}

/** Units of what comes out, by field. */
export function outputUnits(name: string): Record<string, string> {
  const calculator = CALCULATORS.get(name);
  if (!calculator) return {};
  const { properties = {} } = schemasOf(calculator).output as {
    properties?: Record<string, Property & { anyOf?: readonly Property[] }>;
  };
  return Object.fromEntries(
    Object.entries(properties).map(([field, property]) => [
      field,
      property.unit ?? property.anyOf?.find(({ unit }) => unit)?.unit ?? '',
    ]),
  );
}

/** Takes off what converting there and back leaves behind in the last digits. */
const exact = (value: number): number => Number(value.toPrecision(12));

/** What was typed, in the user's units, as the sum's input: empty fields are left out. */
export function inputFrom(
  fields: readonly DeskField[],
  values: DeskValues,
  display: DisplaySettings,
): Record<string, unknown> {
  const entries = fields.flatMap((field): [string, unknown][] => {
    const value = values[field.name];
    if (field.kind === 'switch') return [[field.name, value === true]];
    if (typeof value !== 'string' || value.trim() === '') return [];
    const { fromShown } = shownUnit(field.unit, display);
    if (field.kind === 'number') return [[field.name, exact(fromShown(Number(value)))]];
    if (field.kind === 'list')
      return [
        [
          field.name,
          value
            .split(/[\s;]+/)
            .filter((part) => part !== '')
            .map(Number),
        ],
      ];
    return [[field.name, value]];
  });
  return Object.fromEntries(entries);
}

/** Tails of names that repeat the unit, which stands beside the label anyway. */
const UNIT_TAIL =
  /(?<=[a-z])(MicroSiemensPerCm|MetresPerSecond|GramsPerLitre|GramsPerM2|MgPerLitre|MgPerM2|WattsPerK|Wm2K|Wm2|Kmh|Hpa|Pa|Deg|Fraction|Percent|Minutes|Seconds|Minor|Litres|Ml|Mm2|C)$/;

/** What names shorten, written as people do. */
const WRITTEN: Readonly<Record<string, string>> = {
  ml: 'mL',
  us: 'US',
  gal: 'gallon',
  tds: 'TDS',
  rel: 'relative',
  temp: 'temperature',
};

/** "relHumidityFraction" as "Relative humidity": words, without the unit at the end. */
export function fieldLabel(name: string): string {
  const words = name
    .replace(UNIT_TAIL, '')
    .replace(/([a-z0-9])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .split(' ')
    .map((word) => WRITTEN[word] ?? word)
    .join(' ');
  return words.startsWith('mL') ? words : words.charAt(0).toUpperCase() + words.slice(1);
}

/** A figure with as many digits as matter. */
export function figureText(value: unknown): string {
  if (value === null || value === undefined) return 'none';
  if (typeof value === 'number')
    return Number.isInteger(value) ? String(value) : String(Number(value.toPrecision(5)));
  if (Array.isArray(value)) return value.length === 0 ? 'none' : value.map(figureText).join(', ');
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'string' ? value : JSON.stringify(value);
}

/** A figure of a sum as this user reads it, and its unit; money says its own. */
export function shownFigure(
  unit: string,
  value: unknown,
  { display, money }: Pick<Format, 'display' | 'money'>,
): { readonly unit: string; readonly text: string } {
  if (typeof value !== 'number') return { unit: shownUnit(unit, display).label, text: figureText(value) };
  if (unit === 'minor units') return { unit: '', text: money(value) };
  const { label, toShown } = shownUnit(unit, display);
  return { unit: label, text: figureText(toShown(value)) };
}

/** Digits of a figure that was pulled to, not typed. */
const PULLED_DIGITS = 3;

/** Figures in a sum's own units, as they stand in its fields. */
export function shownFigures(
  fields: readonly DeskField[],
  figures: Readonly<Record<string, number>>,
  display: DisplaySettings,
): DeskValues {
  const unitOf = (name: string): string => fields.find((field) => field.name === name)?.unit ?? '';
  return Object.fromEntries(
    Object.entries(figures).map(([name, value]) => [
      name,
      typed(Number(shownUnit(unitOf(name), display).toShown(value).toPrecision(PULLED_DIGITS))),
    ]),
  );
}

/** The worked example of a sum in the user's units. */
export function shownExample(name: string, display: DisplaySettings): DeskValues {
  const units = new Map(fieldsOf(name).map(({ name: field, unit, kind }) => [field, { unit, kind }]));
  return Object.fromEntries(
    Object.entries(EXAMPLES[name] ?? {}).map(([field, value]) => {
      const known = units.get(field);
      if (known?.kind !== 'number' || typeof value !== 'string') return [field, value];
      return [field, typed(shownUnit(known.unit, display).toShown(Number(value)))];
    }),
  );
}
