import type { CadenceOutcome } from '@keen/core';
import type { Format } from '../format/format.js';

const TWELVE_WEEKS_DAYS = 84;

/** "$13.36 a wash, $152 in twelve weeks; bottles to buy first $36". */
export function moneyNote(
  {
    moneyMinor,
    washCount,
    days,
    kitMinor,
  }: Pick<CadenceOutcome, 'moneyMinor' | 'washCount' | 'days' | 'kitMinor'>,
  format: Pick<Format, 'money'>,
): string {
  const each = washCount > 0 ? `${format.money(moneyMinor / washCount)} a wash` : 'no wash';
  const weeks = days > 0 ? `, ${format.money((moneyMinor * TWELVE_WEEKS_DAYS) / days)} in twelve weeks` : '';
  const bottles = kitMinor > 0 ? `; bottles to buy first ${format.money(kitMinor)}` : '';
  return `${each}${weeks}${bottles}`;
}

/** What it comes to, so that nobody has to read a sign. */
export const endText = (
  { worthMinor }: Pick<CadenceOutcome, 'worthMinor'>,
  format: Pick<Format, 'money'>,
): string =>
  worthMinor >= 0
    ? `avoids ${format.money(worthMinor)} more than it takes`
    : `takes ${format.money(-worthMinor)} more than it avoids`;
