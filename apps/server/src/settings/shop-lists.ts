import {
  BODY_CLASSES,
  type BottlesByStep,
  type HouseRules,
  MESSAGE_KINDS,
  METHOD_IDS,
  WASH_STEP_IDS,
  MOST_MINOR,
  type PriceList,
  SEASON_JOB_IDS,
  type Settings,
  type VariantStep,
} from '@keen/core';
import { badField } from '../errors/api-error.js';

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

/** For how many washes product is left, by method. @throws 400 naming the field */
export const checkedStock = (given: Given): Settings['stock'] =>
  numbersBy('stock', given, METHOD_IDS, MOST_USES);

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

const MOST_STEPS = 60;
const MOST_STEP_MINUTES = 240;
const KEY = /^\+?[a-z-]{1,30}(-\d{1,2})?$/;

function stepKey(field: string, value: unknown): string {
  if (typeof value === 'string' && KEY.test(value)) return value;
  throw badField(field, `${field} must be the key of a step.`);
}

function listOf(field: string, value: unknown): readonly unknown[] {
  if (Array.isArray(value) && value.length <= MOST_STEPS) return value as readonly unknown[];
  throw badField(field, `${field} must be a list of at most ${MOST_STEPS}.`);
}

function variantStep(field: string, given: unknown): VariantStep {
  if (!isGiven(given)) throw badField(field, `${field} must be an object.`);
  const { minutes = null, note = '' } = given;
  if (minutes !== null && !(typeof minutes === 'number' && minutes > 0 && minutes <= MOST_STEP_MINUTES))
    throw badField(`${field}.minutes`, `${field}.minutes must be above 0 and at most ${MOST_STEP_MINUTES}.`);
  if (typeof note !== 'string' || note.length > 200)
    throw badField(`${field}.note`, `${field}.note must be text of at most 200 characters.`);
  return { key: stepKey(`${field}.key`, given.key), minutes, note };
}

/** The shop's own way of each method; a step is listed once, and is not left out as well. @throws 400 naming the field */
export function checkedVariants(given: Given): NonNullable<HouseRules['variants']> {
  return Object.fromEntries(
    Object.entries(given).map(([methodId, variant]) => {
      known('house.variants', methodId, METHOD_IDS);
      const field = `house.variants.${methodId}`;
      if (!isGiven(variant)) throw badField(field, `${field} must be an object.`);
      const steps = listOf(`${field}.steps`, variant.steps).map((step, i) =>
        variantStep(`${field}.steps.${i}`, step),
      );
      const leftOut = listOf(`${field}.leftOut`, variant.leftOut).map((key, i) =>
        stepKey(`${field}.leftOut.${i}`, key),
      );
      steps.forEach(({ key }, i) => {
        if (steps.findIndex((other) => other.key === key) !== i || leftOut.includes(key))
          throw badField(`${field}.steps.${i}.key`, `${field}.steps.${i}.key: ${key} is listed twice.`);
      });
      return [methodId, { steps, leftOut }];
    }),
  );
}

const MOST_ID_LENGTH = 100;

/** The bottle of each kind of step. One that was deleted since does no harm: the step takes another. @throws 400 naming the field */
export function checkedProducts(given: Given, field = 'house.products'): BottlesByStep {
  return Object.fromEntries(
    Object.entries(given).map(([stepId, productId]) => {
      known(field, stepId, WASH_STEP_IDS);
      if (typeof productId !== 'string' || productId === '' || productId.length > MOST_ID_LENGTH)
        throw badField(`${field}.${stepId}`, `${field}.${stepId} must be the id of a bottle.`);
      return [stepId, productId];
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
      merged(old, bodies, (prices) => numbersBy(field, prices, BODY_CLASSES, MOST_MINOR)),
    ] as const;
  });
  return {
    methods: { ...before.methods, ...Object.fromEntries(rows) },
    extras: merged(before.extras, extras, (prices) =>
      numbersBy('priceList.extras', prices, SEASON_JOB_IDS, MOST_MINOR),
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
