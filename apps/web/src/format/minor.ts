import { MINOR_PER_UNIT } from '@keen/core';

/** An amount as it is typed, in whole minor units; null: nothing is typed. */
export const toMinor = (amount: number | null): number | null =>
  amount === null ? null : Math.round(amount * MINOR_PER_UNIT);

/** Minor units as an amount to type in. */
export const fromMinor = (minor: number | null): number | null =>
  minor === null ? null : minor / MINOR_PER_UNIT;
