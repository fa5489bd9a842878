export const STEP_REASONS = [
  'no-wet-paint-left-waiting',
  'dirtiest-last',
  'dwells-while-others-are-done',
  'loose-dirt-before-touch',
  'salt-sits-under',
  'hand-takes-what-is-left',
  'minerals-leave-with-the-towel',
  'gaps-hold-water',
  'gaps-freeze',
  'last-water-decides-spots',
  'bare-paint-wants-cover',
  'machine-does-it',
  'machine-tears-and-misses',
  'ends-elsewhere',
  'ice-melts-first',
  'only-when-dry',
  'no-bead-means-bare',
  'shop-does-it-here',
  'warm-before-touch',
  'under-before-body',
  'bonded-dirt-last',
] as const;
/** Why a step stands where it stands. */
export type StepReason = (typeof STEP_REASONS)[number];

export const STEP_CAUTIONS = [
  'data-sheet',
  'mains-near-water',
  'no-jet-at-sensors',
  'weight-of-the-mitt',
  'never-under-a-jack',
  'ice-underfoot',
  'ice-on-floor',
  'gloves-and-goggles',
  'never-acid-over-alkali',
  'each-wheel-off',
  'never-while-charging',
  'engine-cool-and-covered',
  'bare-until-coated',
  'spray-at-the-cloth',
  'blow-away-from-neighbour',
  'one-door-at-a-time',
  'wet-brakes',
] as const;
/** What has to be minded at a step. */
export type StepCaution = (typeof STEP_CAUTIONS)[number];
