import type { HouseRules } from '../house-rules/index.js';
import { BODY_SIZE } from '../vehicle/index.js';
import { METHODS, methodOf } from './data/methods.js';
import { describeMethod } from './describe-method.js';
import { plainSum } from './plain-sum.js';
import { STEP_KINDS } from './data/step-kinds.js';
import type { Method } from './method.js';
import { inOwnOrder } from './own-order.js';
import type { WashStep } from './wash-step.js';
import { type Row, type WashedCar, type Edit, EDITS } from './house-edits.js';

/** What takes as long as there is body to go over; a machine, wheels and what lies under take the same on each. */
const goesOverBody = ({ id }: WashStep): boolean => STEP_KINDS[id].goesOverBody;

const TENTHS = 10;

const inTenths = (value: number): number => Math.round(value * TENTHS) / TENTHS;

const minutesOf = (steps: readonly WashStep[]): number =>
  steps.reduce((sum, { minutes }) => sum + minutes, 0);

/** How much more there is of this body than of a saloon, as the shop counts it. */
export const sizeFactor = (
  { numbers }: Pick<HouseRules, 'numbers'>,
  { bodyClass = 'saloon' }: Pick<WashedCar, 'bodyClass'>,
): number => 1 + (BODY_SIZE[bodyClass] - 1) * (numbers.sizeCountsPercent / 100);

/** A method is written down for a saloon; a larger body takes more minutes and water. */
const bySize: Edit = (row, house, vehicle) => {
  const factor = sizeFactor(house, vehicle);
  const before = minutesOf(row.steps);
  if (factor === 1 || before === 0) return row;
  const steps = row.steps.map((step) =>
    goesOverBody(step) && step.groups.some((group) => group === 'upper' || group === 'lower')
      ? {
          ...step,
          minutes: inTenths(step.minutes * factor),
          litres: inTenths(step.litres * factor),
          ...(step.mixLitres === undefined ? {} : { mixLitres: inTenths(step.mixLitres * factor) }),
        }
      : step,
  );
  return {
    ...row,
    steps,
    handsMinutes: Math.min(
      inTenths((row.handsMinutes * minutesOf(steps)) / before),
      plainSum(row.setUpMinutes + minutesOf(steps)),
    ),
  };
};

const ROBUST = { delicateWheels: false };

/**
 * How does this shop do this method on this car?
 *
 * @returns the method with its steps put in order, added or left out by the house rules and then by the shop's own variant of it,
 * as long as the size of the body makes them, all figures worked out again
 */
export function shopMethod(methodId: string, house: HouseRules, vehicle: WashedCar = ROBUST): Method {
  const shipped: Row = methodOf(methodId);
  const edited = EDITS.reduce((row, edit) => edit(row, house, vehicle), shipped);
  const variant = house.variants?.[methodId];
  const own = variant ? { ...edited, steps: inOwnOrder(edited.steps, variant) } : edited;
  return describeMethod(bySize(own, house, vehicle));
}

/** All of them. */
export const shopMethods = (house: HouseRules, vehicle: WashedCar = ROBUST): Method[] =>
  METHODS.map(({ id }) => shopMethod(id, house, vehicle));
