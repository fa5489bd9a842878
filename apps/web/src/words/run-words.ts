import type { PackItem, RunCaution, RunReason, RunStep, SkipReason, WashStepId, ZoneGroup } from '@keen/core';
import type { Format } from '../format/format.js';
import { PANEL_NAMES } from './names.js';

/** What is done, verb first. */
export const RUN_STEP_NAMES: Readonly<Record<WashStepId, string>> = {
  'machine-soak': 'Let the machine soak it',
  'machine-jets': 'Let the jets pass',
  'machine-blower': 'Let the blower pass',
  wheels: 'Clean the wheels',
  foam: 'Foam it',
  'pre-soak': 'Pre-soak it',
  rinse: 'Rinse it',
  arches: 'Flush the arches',
  'underbody-bounce': 'Bounce a jet under it',
  'underbody-ramps': 'Flush under it from the ramps',
  contact: 'Wash it by hand',
  rinseless: 'Wash it rinseless',
  'spray-wipe': 'Spray and wipe',
  'final-rinse': 'Last rinse',
  blow: 'Blow out the gaps',
  towel: 'Towel it dry',
  shuts: 'Wipe the door shuts',
  strip: 'Strip it',
  seal: 'Seal it',
};

export const GROUP_NAMES: Readonly<Record<ZoneGroup, string>> = {
  upper: 'upper body',
  lower: 'lower body',
  wheels: 'wheels',
  arches: 'arches',
  under: 'underbody',
};

export const REASON_TEXTS: Readonly<Record<RunReason, string>> = {
  'no-wet-paint-left-waiting': 'while the paint is still dry, so that none waits wet',
  'dirtiest-last': 'last, so that what is dirtiest touches nothing else',
  'dwells-while-others-are-done': 'it works while other parts are done',
  'loose-dirt-before-touch': 'loose dirt goes before anything rubs',
  'salt-sits-under': 'here sits the salt that eats longest',
  'hand-takes-what-is-left': 'the hand takes what water leaves',
  'minerals-leave-with-the-towel': 'minerals leave with the towel, not with the air',
  'gaps-hold-water': 'gaps hold water for hours, and it freezes there',
  'last-water-decides-spots': 'what is left of this water is what spots',
  'bare-paint-wants-cover': 'bare paint wants cover before the road',
  'machine-does-it': 'the machine does it',
};

export const CAUTION_TEXTS: Readonly<Record<RunCaution, string>> = {
  'data-sheet': 'The product’s data sheet goes before this dwell and mix.',
  'mains-near-water': 'Mains power near water: dry hands, a tripping switch, no cable in a puddle.',
  'no-jet-at-sensors':
    'Lance shallow near badges and seals; not straight at sensors, electrics, the charge flap or a wound tyre.',
  'weight-of-the-mitt': 'Weight of the mitt only; a fouled face never goes back on.',
  'never-under-a-jack': 'Nobody goes under a car that a jack holds; ramps with chocks.',
  'ice-underfoot': 'Water on this ground freezes: grit it, and mind where others walk.',
  'gloves-and-goggles': 'Gloves and goggles; acid never over alkali, never with chlorine.',
};

export const PACK_NAMES: Readonly<Record<PackItem, string>> = {
  'lidded-buckets': 'lidded buckets, filled',
  foamer: 'foamer, filled',
  mitts: 'mitts',
  'wheel-kit': 'wheel mitt, brush and bucket',
  'folded-towels': 'folded towels',
  'drying-towels': 'drying towels',
  'drying-aid': 'drying aid',
  blower: 'blower',
  'coins-or-card': 'coins or card',
  'lined-gloves': 'lined waterproof gloves',
  'waterproof-shoes': 'waterproof shoes',
  'boot-liner': 'boot liner for the wet kit',
  timer: 'timer',
  'floor-squeegee': 'floor squeegee',
  'drain-cover': 'drain cover',
  light: 'light',
  grit: 'grit for the ground',
};

/** "3 to 5 min, cut by the roof", or why it will not do. */
export function dwellText({ dwell }: Pick<RunStep, 'dwell'>, format: Format): string | null {
  if (!dwell) return null;
  const panel = dwell.cutBy ? `the ${PANEL_NAMES[dwell.cutBy]}` : '';
  if (dwell.isTooShort)
    return `${dwell.cutAs ?? 'dries'} on ${panel} after ${format.minutes(dwell.toMinutes)}, and wants ${format.minutes(dwell.fromMinutes)}: smaller parts, or wet it again`;
  const span = `dwell ${format.minutes(dwell.fromMinutes)} to ${format.minutes(dwell.toMinutes)}`;
  return dwell.cutBy ? `${span}, cut by ${panel}, where it ${dwell.cutAs ?? 'dries'}` : span;
}

/** Why a step is left out. */
export const SKIP_NAMES: Readonly<Record<SkipReason, string>> = {
  'not-needed': 'not needed',
  'no-time': 'no time',
  'no-light': 'no light',
  'too-cold': 'too cold',
  'nothing-left': 'nothing left of it',
  other: 'another reason',
};
