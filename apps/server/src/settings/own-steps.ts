import {
  type HouseRules,
  METHOD_IDS,
  type NamedWay,
  SECTION_IDS,
  STAGE_IDS,
  type Variant,
  type VariantStep,
  ZONE_GROUPS,
  type ZoneGroup,
} from '@keen/core';
import { badField } from '../errors/api-error.js';
import { bottleId, type Given, isGiven, known } from './shop-lists.js';

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

const MOST_LITRES = 500;
const MOST_PARTS = 5000;

function numberIn(field: string, value: unknown, { from, to }: { from: number; to: number }): number {
  if (typeof value === 'number' && value >= from && value <= to) return value;
  throw badField(field, `${field} must be from ${from} to ${to}.`);
}

function zonesOf(field: string, value: unknown): ZoneGroup[] {
  if (!Array.isArray(value) || value.length === 0 || new Set(value).size !== value.length)
    throw badField(field, `${field} must be a list of zones, each once and at least one.`);
  return value.map((zone: unknown) => {
    const found = ZONE_GROUPS.find((group) => group === zone);
    if (!found) throw badField(field, `${field} must name zones among ${ZONE_GROUPS.join(', ')}.`);
    return found;
  });
}

function sectionOf(field: string, value: unknown): NonNullable<VariantStep['section']> {
  const found = SECTION_IDS.find((id) => id === value);
  if (!found) throw badField(field, `${field} must be one of ${SECTION_IDS.join(', ')}.`);
  return found;
}

function stageOf(field: string, value: unknown): NonNullable<VariantStep['stage']> {
  const found = STAGE_IDS.find((id) => id === value);
  if (!found) throw badField(field, `${field} must be one of ${STAGE_IDS.join(', ')}.`);
  return found;
}

function dwellOf(field: string, value: unknown): NonNullable<VariantStep['dwell']> {
  if (!isGiven(value)) throw badField(field, `${field} must be an object.`);
  const reach = { from: 0, to: MOST_STEP_MINUTES };
  const minMinutes = numberIn(`${field}.minMinutes`, value.minMinutes, reach);
  const maxMinutes = numberIn(`${field}.maxMinutes`, value.maxMinutes, reach);
  if (maxMinutes < minMinutes)
    throw badField(`${field}.maxMinutes`, `${field}.maxMinutes must not be less than ${field}.minMinutes.`);
  return { minMinutes, maxMinutes };
}

/** What is said of a step besides its minutes and note; what is not said stays as the method has it. */
function ownOfStep(
  field: string,
  { groups, litres, dwell, section, stage, product, parts }: Given,
): Partial<VariantStep> {
  return {
    ...(groups == null ? {} : { groups: zonesOf(`${field}.groups`, groups) }),
    ...(litres == null ? {} : { litres: numberIn(`${field}.litres`, litres, { from: 0, to: MOST_LITRES }) }),
    ...(dwell == null ? {} : { dwell: dwellOf(`${field}.dwell`, dwell) }),
    ...(section == null ? {} : { section: sectionOf(`${field}.section`, section) }),
    ...(stage == null ? {} : { stage: stageOf(`${field}.stage`, stage) }),
    ...(product == null ? {} : { product: bottleId(`${field}.product`, product) }),
    ...(parts == null ? {} : { parts: numberIn(`${field}.parts`, parts, { from: 0, to: MOST_PARTS }) }),
  };
}

function variantStep(field: string, given: unknown): VariantStep {
  if (!isGiven(given)) throw badField(field, `${field} must be an object.`);
  const { minutes = null, note = '' } = given;
  if (minutes !== null && !(typeof minutes === 'number' && minutes > 0 && minutes <= MOST_STEP_MINUTES))
    throw badField(`${field}.minutes`, `${field}.minutes must be above 0 and at most ${MOST_STEP_MINUTES}.`);
  if (typeof note !== 'string' || note.length > 200)
    throw badField(`${field}.note`, `${field}.note must be text of at most 200 characters.`);
  return { key: stepKey(`${field}.key`, given.key), minutes, note, ...ownOfStep(field, given) };
}

/** The shop's own way of each method; a step is listed once, and is not left out as well. @throws 400 naming the field */
export function checkedVariants(given: Given): NonNullable<HouseRules['variants']> {
  return Object.fromEntries(
    Object.entries(given).map(([methodId, variant]) => {
      known('house.variants', methodId, METHOD_IDS);
      return [methodId, checkedVariant(`house.variants.${methodId}`, variant)];
    }),
  );
}

const MOST_NAME = 60;

/** Orders of steps by their names, each once for its method. @throws 400 naming the field */
export function checkedNamedWays(given: readonly unknown[]): NamedWay[] {
  const ways = given.map((row, i): NamedWay => {
    const field = `namedWays.${i}`;
    if (!isGiven(row)) throw badField(field, `${field} must be an object.`);
    const { methodId, variant } = row;
    const name = typeof row.name === 'string' ? row.name.trim() : '';
    if (name === '' || name.length > MOST_NAME)
      throw badField(`${field}.name`, `${field}.name must be text of 1 to ${MOST_NAME} characters.`);
    const method = METHOD_IDS.find((id) => id === methodId);
    if (!method) throw badField(`${field}.methodId`, `${field}.methodId must be a method.`);
    return { name, methodId: method, variant: checkedVariant(`${field}.variant`, variant) };
  });
  ways.forEach(({ name, methodId }, i) => {
    if (ways.findIndex((other) => other.name === name && other.methodId === methodId) !== i)
      throw badField(`namedWays.${i}.name`, `namedWays.${i}.name: ${name} is there already.`);
  });
  return ways;
}

/** One way of a method; a step is listed once, and is not left out as well. @throws 400 naming the field */
export function checkedVariant(field: string, variant: unknown): Variant {
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
  return { steps, leftOut };
}
