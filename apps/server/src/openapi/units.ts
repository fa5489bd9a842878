import type { SchemaObject } from '@nestjs/swagger';

/** Units by the end of a field's name; the longer ends first. */
const UNITS: readonly (readonly [RegExp, string])[] = [
  [/MetresPerSecond$/, 'm/s'],
  [/GramsPerM2$/, 'g/m²'],
  [/KgPerM2$/, 'kg/m²'],
  [/MgPerLitre$/, 'mg/L'],
  [/MicrosiemensPerCm$/, 'µS/cm'],
  [/(^m|M)inorPerMinute$/, 'minor units of the currency a minute'],
  [/(^m|M)inor$/, 'minor units of the currency (cents)'],
  [/Wm2$/, 'W/m²'],
  [/(^k|K)mh$/, 'km/h'],
  [/Km$/, 'km'],
  [/Mm$/, 'mm'],
  [/Ml$/, 'mL'],
  [/Ms$/, 'ms since 1970-01-01 UTC'],
  [/(^m|M)inutes?$/, 'min'],
  [/(^s|S)econds$/, 's'],
  [/(^h|H)ours$/, 'h'],
  [/(^d|D)ays$/, 'd'],
  [/(^l|L)itres$/, 'L'],
  [/Deg$/, '°'],
  [/Fraction$/, '1 (a fraction)'],
  [/[a-z]C$/, '°C'],
  [/[a-z]K$/, 'K'],
  [/Pa$/, 'Pa'],
];

/** The unit of a number by its name; null: it has none, as a count. */
export const unitOf = (name: string): string | null => UNITS.find(([end]) => end.test(name))?.[1] ?? null;

const isNumber = ({ type }: SchemaObject): boolean =>
  [type].flat().some((one) => one === 'number' || one === 'integer');

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

/** The same schemas, with the unit of each number in what is said of it. */
export function withUnits(schema: unknown, name = ''): unknown {
  if (Array.isArray(schema)) return schema.map((one: unknown) => withUnits(one, name));
  if (!isObject(schema)) return schema;
  const inner = Object.fromEntries(
    Object.entries(schema).map(([key, value]) => [
      key,
      key === 'properties' && isObject(value)
        ? Object.fromEntries(Object.entries(value).map(([field, one]) => [field, withUnits(one, field)]))
        : withUnits(value, name),
    ]),
  ) as SchemaObject;
  const unit = isNumber(inner) ? unitOf(name) : null;
  if (unit === null) return inner;
  const description =
    inner.description === undefined ? `Unit: ${unit}.` : `${inner.description} Unit: ${unit}.`;
  return { ...inner, description };
}
