import type { BottlesByStep, HouseRules } from './data/house-rules.js';

/** The house as it is in one wash: the bottles that somebody chose for it alone come before the shop's own. */
export const withBottles = (house: HouseRules, own: BottlesByStep | undefined): HouseRules =>
  own ? { ...house, products: { ...house.products, ...own } } : house;
