import type { RunStep, StepReason } from '@keen/core';
import type { Format } from '../format/format.js';

export const REASON_TEXTS: Readonly<Record<StepReason, string>> = {
  'no-wet-paint-left-waiting': 'while the paint is still dry, so that none waits wet',
  'dirtiest-last': 'last, so that what is dirtiest touches nothing else',
  'dwells-while-others-are-done': 'it works while other parts are done',
  'loose-dirt-before-touch': 'loose dirt comes off before anything rubs',
  'salt-sits-under': 'the salt that eats longest sits here',
  'hand-takes-what-is-left': 'removes the film the rinse leaves',
  'minerals-leave-with-the-towel': 'minerals leave with the towel, not with the air',
  'gaps-hold-water': 'gaps hold water for hours and drip',
  'gaps-freeze': 'gaps hold water for hours, and it freezes there',
  'last-water-decides-spots': 'what is left of this water is what spots',
  'bare-paint-wants-cover': 'bare paint wants cover before the road',
  'machine-does-it': 'the machine does it',
  'machine-tears-and-misses':
    'fold mirrors, aerial down, wipers off, loose trim pointed out: brushes and jets tear at what stands out',
  'only-when-dry': 'it goes on dry parts only',
  'no-bead-means-bare':
    'mist each panel: water must lie flat, for what still beads still carries the old protection; then wipe it down with the solvent',
  'shop-does-it-here': 'the shop does it here',
  'under-before-body': 'it splashes, and nothing on the paint waits wet meanwhile',
  'bonded-dirt-last': 'what sits fast comes off paint that is clean, and wet enough to glide',
  'wet-paint-takes-it':
    'the water spreads it: area by area, and off again by the label’s seconds (15 to 20 where it is silent)',
  'foam-on-bare-paint': 'it bonds to bare paint only, and within two minutes it is rinsed off again',
  'ends-elsewhere': 'it is warmer or drier there; the meter is off and the bay is free',
  'ice-melts-first': 'nothing may rub ice: what froze on the way melts first',
  'warm-while-it-runs': 'the gun’s water is warm, and the meter runs now anyway',
  'car-beside-it':
    'a sheet over it, or its near side wetted from a bucket, keeps your mist off; lay the hose behind you',
  'warm-before-touch': 'warm water keeps ice away until the hand has been there',
};

/** Why a step stands where it stands, with what the wash that was worked through says of it. */
export function reasonText(
  { reason, wetMinutes, dwell }: Pick<RunStep, 'reason' | 'wetMinutes' | 'dwell'>,
  format: Format,
): string {
  if (reason !== 'dwells-while-others-are-done' || wetMinutes === undefined) return REASON_TEXTS[reason];
  if (wetMinutes === null) return 'it stays wet as long as it takes; other parts meanwhile';
  const lasts = format.minutes(wetMinutes);
  return wetMinutes >= (dwell?.labelMinutes ?? dwell?.maxMinutes ?? 0)
    ? `it stays wet ${lasts} here; other parts meanwhile`
    : `it stays wet only ${lasts} here: stay close`;
}
