import {
  BODY_CLASSES,
  MESSAGE_KINDS,
  METHOD_IDS,
  type PriceList,
  SEASON_JOB_IDS,
  type Settings,
} from '@keen/core';
import { badField } from '../errors/api-error.js';

const MOST_MINOR = 10_000_000;
const MOST_USES = 100_000;
const MOST_CHARACTERS = 2000;

type Given = Readonly<Record<string, unknown>>;

const isGiven = (value: unknown): value is Given =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function wholeNumber(field: string, value: unknown, most: number): number {
  if (typeof value === 'number' && Number.isInteger(value) && value >= 0 && value <= most) return value;
  throw badField(field, `${field} must be a whole number from 0 to ${most}.`);
}

function known(field: string, id: string, ids: readonly string[]): void {
  if (!ids.includes(id)) throw badField(`${field}.${id}`, `${field}.${id} is not a field here.`);
}

/** Numbers by known ids. @throws 400 naming the field */
function numbersBy(
  field: string,
  given: unknown,
  ids: readonly string[],
  most: number,
): Record<string, number> {
  if (!isGiven(given)) throw badField(field, `${field} must be an object.`);
  return Object.fromEntries(
    Object.entries(given).map(([id, value]) => {
      known(field, id, ids);
      return [id, wholeNumber(`${field}.${id}`, value, most)];
    }),
  );
}

/** What customers pay, by method and body and for work of the season. @throws 400 naming the field */
export function checkedPriceList(given: Given): PriceList {
  const methods = given.methods ?? {};
  if (!isGiven(methods)) throw badField('priceList.methods', 'priceList.methods must be an object.');
  return {
    methods: Object.fromEntries(
      Object.entries(methods).map(([methodId, bodies]) => {
        known('priceList.methods', methodId, METHOD_IDS);
        return [methodId, numbersBy(`priceList.methods.${methodId}`, bodies, BODY_CLASSES, MOST_MINOR)];
      }),
    ),
    extras: numbersBy('priceList.extras', given.extras ?? {}, SEASON_JOB_IDS, MOST_MINOR),
  };
}

/** For how many washes product is left, by method. @throws 400 naming the field */
export const checkedStock = (given: Given): Settings['stock'] =>
  numbersBy('stock', given, METHOD_IDS, MOST_USES);

/** The shop's own words, by kind of message; empty text goes back to what ships. @throws 400 naming the field */
export function checkedTemplates(given: Given): Settings['templates'] {
  const texts = Object.entries(given).flatMap(([kind, text]): [string, string][] => {
    known('templates', kind, MESSAGE_KINDS);
    if (typeof text !== 'string' || text.length > MOST_CHARACTERS)
      throw badField(
        `templates.${kind}`,
        `templates.${kind} must be text of at most ${MOST_CHARACTERS} characters.`,
      );
    return text.trim() === '' ? [] : [[kind, text]];
  });
  return Object.fromEntries(texts);
}
