import { type LeftOn, STEP_KINDS, type WashStep } from '@keen/core';
import { type OwnStep, withExtra } from './own-way.js';

const lays = ({ id }: Pick<OwnStep, 'id'>): boolean => id === 'bugs' || id === 'tar' || id === 'iron';

/**
 * The steps with one that takes off what this car has: before the first water that takes it off again, with a rinse between it and
 * another such product.
 */
export function withCleaner(
  steps: readonly OwnStep[],
  { id, groups }: NonNullable<LeftOn['step']>,
  extras: readonly WashStep[],
): readonly OwnStep[] {
  const step = extras.find((one) => one.id === id);
  const water = steps.find(
    (one) =>
      !one.isLeftOut &&
      STEP_KINDS[one.id].rinses === 'body' &&
      groups.every((group) => one.own.groups.includes(group)),
  );
  if (!step || !water) return steps;
  const before = steps[steps.indexOf(water) - 1];
  const rinse = extras.find((one) => one.id === 'rinse');
  const between =
    before && lays(before) && rinse
      ? withExtra(steps, { ...rinse, groups: before.own.groups }, { key: water.key, where: 'before' })
      : steps;
  return withExtra(between, { ...step, groups }, { key: water.key, where: 'before' });
}
