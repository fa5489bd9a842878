import { type CoatEnd, type CoatSpan, MS_PER_DAY, type Protection } from '@keen/core';
import type { Format } from '../format/format.js';
import { PROTECTION_NAMES } from './car-names.js';

/** How a coat ended. */
export const COAT_ENDS: Readonly<Record<CoatEnd, string>> = {
  lies: 'still on',
  stripped: 'taken off',
  covered: 'renewed or covered',
  gone: 'water lay flat on it',
};

/** "Larch Seal (sealant)", or its kind alone. */
export const coatName = ({
  kind,
  productName,
}: {
  readonly kind: Protection;
  readonly productName: string | null;
}): string =>
  productName === null ? PROTECTION_NAMES[kind] : `${productName} (${PROTECTION_NAMES[kind].toLowerCase()})`;

/** "74 days". */
export const daysText = (days: number): string => {
  const whole = Math.round(days);
  return `${whole} ${whole === 1 ? 'day' : 'days'}`;
};

/** "from Wed 12 Nov, 74 days so far, still on". */
export function coatSpanText({ fromMs, toMs, ended }: CoatSpan, nowMs: number, format: Format): string {
  const days = daysText(((toMs ?? nowMs) - fromMs) / MS_PER_DAY);
  return `from ${format.dayYear(fromMs)}, ${days}${toMs === null ? ' so far' : ''}, ${COAT_ENDS[ended]}`;
}
