import type { CadencePlan } from './balance-view.js';

/** A cadence of one's own as it is typed: null while a number is missing. */
export interface OwnPlan {
  readonly first: string;
  readonly firstDays: number | null;
  readonly second: string;
  readonly secondDays: number | null;
}

export const NO_METHOD = 'none';

/** Its parts that can be run: methods that some place offers, with their days. */
export const ownParts = (own: OwnPlan, offered: readonly string[]): CadencePlan['parts'] =>
  [
    { methodId: own.first, everyDays: own.firstDays },
    { methodId: own.second, everyDays: own.secondDays },
  ].flatMap(({ methodId, everyDays }) =>
    methodId !== NO_METHOD && offered.includes(methodId) && everyDays !== null
      ? [{ methodId, everyDays }]
      : [],
  );
