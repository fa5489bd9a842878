import {
  countBits,
  type Fallback,
  FAILURE_CAUSES,
  type MemberFailures,
  type PlanRelief,
  type UnplannedReason,
} from '@keen/core';
import type { Format } from '../format/format.js';
import { findingText } from './finding-words.js';
import { methodName, nameOf } from './names.js';

type Named = readonly { readonly id: string; readonly name: string }[] | undefined;

const CAUSE_VERBS = {
  freezes: 'freezes',
  spots: 'spots',
  falls: 'is rained or snowed on',
  cold: 'is too cold to work',
} as const;

/** "all 20 forecasts agree", or "freezes in 2 and spots in 1 of 20 forecasts". */
export function chanceText(failures: MemberFailures): string {
  const parts = FAILURE_CAUSES.flatMap((cause) => {
    const count = countBits(failures[cause]);
    return count > 0 ? [`${CAUSE_VERBS[cause]} in ${count}`] : [];
  });
  if (parts.length === 0) return `all ${failures.memberCount} forecasts agree`;
  return `${new Intl.ListFormat('en').format(parts)} of ${failures.memberCount} forecasts`;
}

/** What to turn to if the window closes. */
export function fallbackText({ window, savesFraction }: Fallback, places: Named, format: Format): string {
  const where = `${format.dayTime(window.startMs)}, ${nameOf(places, window.placeId)}, ${methodName(window.methodId)}`;
  return savesFraction === 1
    ? `If it closes: ${where}.`
    : `If it closes: ${where}; holds in ${format.share(savesFraction)} of the cases in which this fails.`;
}

/** Why a wash that is wanted stands in no plan. */
export function unplannedText(reason: UnplannedReason, format: Format): string {
  switch (reason.kind) {
    case 'no-window':
      return reason.limiting ? `nothing goes: ${findingText(reason.limiting, format)}` : 'nothing goes';
    case 'members':
      return `every start fails in at least ${format.share(reason.failingFraction)} of the forecasts`;
    case 'workers':
      return 'nobody has time while it goes';
    case 'room':
      return 'other washes fill the place while it goes';
    case 'car-away':
      return 'it goes only while the car is not available';
    case 'no-product':
      return `no product is left for ${methodName(reason.methodId)}`;
    case 'not-worth':
      return `not worth it yet: the best start would lose ${format.money(-reason.bestMinor)}`;
    case 'pushed-out':
      return `other cars need the hours more: fitting it in would cost ${format.money(reason.costMinor)}`;
  }
}

/** What there could be more of. */
export function reliefText(relief: PlanRelief, places: Named, format: Format): string {
  return relief.kind === 'workers'
    ? `Another person on ${format.dayShort(relief.dayMs)}, 8 to 18`
    : `Room for another car at ${nameOf(places, relief.placeId)}${relief.dayMs === null ? '' : ` on ${format.dayShort(relief.dayMs)}`}`;
}

/** "costs 1.20 more", "gains 0.40", "costs the same". */
export function moveCostText(costMinor: number | null, format: Format): string {
  if (costMinor === null) return 'it does not go where it is now';
  const cents = Math.round(costMinor);
  if (cents === 0) return 'worth the same';
  return cents > 0 ? `costs ${format.money(cents)}` : `gains ${format.money(-cents)}`;
}

/** "It gives $12.00 more than it takes": what a start comes to, so that nobody has to read a sign. */
export const worthText = (worthMinor: number, format: Pick<Format, 'money'>): string =>
  worthMinor >= 0
    ? `It gives ${format.money(worthMinor)} more than it takes`
    : `It takes ${format.money(-worthMinor)} more than it gives`;
