import { CLOTH_KINDS, demoted, type Gear, type KitWarnings, type Product } from '@keen/core';
import type { Format } from '../format/format.js';
import { DUTY_NAMES } from './kit-names.js';

/** "1:9 (10 %), label 1:4 to 1:20", "neat". */
export function strengthText({
  usualParts,
  fewestParts,
  mostParts,
}: Pick<Product, 'usualParts' | 'fewestParts' | 'mostParts'>): string {
  if (usualParts < 1) return 'neat';
  const percent = 100 / (1 + usualParts);
  const usual = `1:${Math.round(usualParts)} (${percent.toFixed(percent < 2 ? 2 : 0)} %)`;
  return fewestParts === mostParts
    ? usual
    : `${usual}, label ${fewestParts < 1 ? 'neat' : `1:${Math.round(fewestParts)}`} to 1:${Math.round(mostParts)}`;
}

export const dwellRangeText = ({ dwell }: Pick<Product, 'dwell'>, format: Format): string =>
  dwell ? `${format.minutes(dwell.minMinutes)} to ${format.minutes(dwell.maxMinutes)}` : 'none';

/** What there is of a piece of gear, and what of it is left. */
export function gearText(gear: Gear, format: Format): string {
  const { kind, count, cleanCount, volumeMl, outputLitresPerBottle, lifeLitres, litresUsed } = gear;
  const { duty = 'paint', launderedTimes = 0, hasGuard = null, holdsGrams = null } = gear;
  const isCloth = CLOTH_KINDS.has(kind);
  const parts = [
    isCloth ? `${cleanCount} of ${count} clean` : count === 1 ? '' : `${count}`,
    isCloth && duty !== 'paint' ? `for ${DUTY_NAMES[duty]}` : '',
    holdsGrams === null ? '' : `take up ${format.ml(holdsGrams)} each (weighed)`,
    isCloth && launderedTimes >= 1 ? `laundered ${Math.round(launderedTimes)} times` : '',
    volumeMl === null ? '' : `${format.ml(volumeMl)}${kind === 'bucket' ? '' : ' bottle'}`,
    hasGuard === null ? '' : hasGuard ? 'with a guard' : 'without a guard',
    outputLitresPerBottle === null || volumeMl === null
      ? ''
      : `draws 1:${((outputLitresPerBottle * 1000) / volumeMl - 1).toFixed(1)} (measured)`,
    lifeLitres === null
      ? ''
      : `${format.litres(Math.max(0, lifeLitres - litresUsed))} left of ${format.litres(lifeLitres)}`,
  ];
  return parts.filter((part) => part !== '').join(', ') || 'one';
}

/** What is to be seen to this evening, each with its number. */
export function warningTexts(warnings: KitWarnings, format: Format): string[] {
  const { freezing, low, spent, laundry, worn, scratching, stripping, coldestC } = warnings;
  return [
    ...freezing.map(
      ({ name, lowestStoreC }) =>
        `Take ${name} out of the van: ${format.temp(coldestC ?? 0)} tonight (forecast), it keeps down to ${format.temp(lowestStoreC ?? 0)}.`,
    ),
    ...low.map(
      ({ name, leftMl, lowMl }) => `Buy ${name}: ${format.ml(leftMl)} left, low at ${format.ml(lowMl)}.`,
    ),
    ...spent.map(
      ({ gear, litresLeft }) => `${gear.name}: ${format.litres(litresLeft)} left before it is spent.`,
    ),
    ...laundry.map(
      ({ name, cleanCount, count }) => `Launder ${name}: ${cleanCount} of ${count} clean, no softener.`,
    ),
    ...worn.map((gear) => {
      const lower = demoted(gear);
      const times = Math.round(gear.launderedTimes ?? 0);
      return `${gear.name} were laundered ${times} times: ${lower ? `use them on ${DUTY_NAMES[lower]} only` : 'they are rags now'}.`;
    }),
    ...scratching.map(
      ({ name }) => `${name} scratch: their hems and loops hold grit. Get folded towels of microfibre.`,
    ),
    ...stripping.map(({ name }) => `${name} is made for plates and takes wax with it. Get a car shampoo.`),
  ];
}
