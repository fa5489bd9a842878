import {
  BODY_CLASSES,
  type BottlesByStep,
  MESSAGE_KINDS,
  METHOD_IDS,
  WASH_STEP_IDS,
  MOST_MINOR,
  type PriceList,
  SEASON_JOB_IDS,
  type Settings,
} from '@keen/core';
import { badField } from '../errors/api-error.js';

const MOST_USES = 100_000;
const MOST_CHARACTERS = 2000;

export type Given = Readonly<Record<string, unknown>>;

export const isGiven = (value: unknown): value is Given =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function wholeNumber(field: string, value: unknown, most: number): number {
  if (typeof value === 'number' && Number.isInteger(value) && value >= 0 && value <= most) return value;
  throw badField(field, `${field} must be a whole number from 0 to ${most}.`);
}

export function known(field: string, id: string, ids: readonly string[]): void {
  if (!ids.includes(id)) throw badField(`${field}.${id}`, `${field}.${id} is not a field here.`);
}

/** Numbers by known ids. @throws 400 naming the field */
function numbersBy(
  field: string,
  given: unknown,
  { ids, most }: { readonly ids: readonly string[]; readonly most: number },
): Record<string, number> {
  if (!isGiven(given)) throw badField(field, `${field} must be an object.`);
  return Object.fromEntries(
    Object.entries(given).map(([id, value]) => {
      known(field, id, ids);
      return [id, wholeNumber(`${field}.${id}`, value, most)];
    }),
  );
}

/** For how many washes product is left, by method. @throws 400 naming the field */
export const checkedStock = (given: Given): Settings['stock'] =>
  numbersBy('stock', given, { ids: METHOD_IDS, most: MOST_USES });

/** The shop's own words, by kind of message; empty text goes back to what ships. @throws 400 naming the field */
function checkedTemplates(given: Given): Settings['templates'] {
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

const MOST_ID_LENGTH = 100;

export function bottleId(field: string, value: unknown): string {
  if (typeof value === 'string' && value !== '' && value.length <= MOST_ID_LENGTH) return value;
  throw badField(field, `${field} must be the id of a bottle.`);
}

/** The bottle of each kind of step. One that was deleted since does no harm: the step takes another. @throws 400 naming the field */
export function checkedProducts(given: Given, field = 'house.products'): BottlesByStep {
  return Object.fromEntries(
    Object.entries(given).map(([stepId, productId]) => {
      known(field, stepId, WASH_STEP_IDS);
      return [stepId, bottleId(`${field}.${stepId}`, productId)];
    }),
  );
}

/**
 * A list with some of its rows changed: null takes a row out, rows that are not named stay.
 *
 * @throws 400 naming the field
 */
export function merged<T extends object>(
  before: T,
  given: Given | undefined,
  checked: (rows: Given) => Partial<T>,
): T {
  if (!given) return before;
  const gone = new Set(Object.entries(given).flatMap(([id, value]) => (value === null ? [id] : [])));
  const rows = Object.fromEntries(Object.entries(given).filter(([id]) => !gone.has(id)));
  const kept = Object.fromEntries(Object.entries(before).filter(([id]) => !gone.has(id)));
  return { ...kept, ...checked(rows) } as T;
}

/** Prices, row by row and body by body. @throws 400 naming the field */
export function mergedPrices(before: PriceList, given: Given): PriceList {
  const { methods = {}, extras = {} } = given;
  if (!isGiven(methods)) throw badField('priceList.methods', 'priceList.methods must be an object.');
  if (!isGiven(extras)) throw badField('priceList.extras', 'priceList.extras must be an object.');
  const rows = Object.entries(methods).map(([methodId, bodies]) => {
    known('priceList.methods', methodId, METHOD_IDS);
    const field = `priceList.methods.${methodId}`;
    if (!isGiven(bodies)) throw badField(field, `${field} must be an object.`);
    const old = Object.entries(before.methods).find(([id]) => id === methodId)?.[1] ?? {};
    return [
      methodId,
      merged(old, bodies, (prices) => numbersBy(field, prices, { ids: BODY_CLASSES, most: MOST_MINOR })),
    ] as const;
  });
  return {
    methods: { ...before.methods, ...Object.fromEntries(rows) },
    extras: merged(before.extras, extras, (prices) =>
      numbersBy('priceList.extras', prices, { ids: SEASON_JOB_IDS, most: MOST_MINOR }),
    ),
  };
}

/** The shop's own words, kind by kind; an empty text goes back to what ships. @throws 400 naming the field */
export function mergedTemplates(
  before: Settings['templates'],
  given: Given | undefined,
): Settings['templates'] {
  const own = checkedTemplates(given ?? {});
  const named = new Set(Object.keys(given ?? {}));
  const kept = Object.fromEntries(Object.entries(before).filter(([kind]) => !named.has(kind)));
  return { ...kept, ...own };
}
