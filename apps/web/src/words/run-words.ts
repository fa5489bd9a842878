import {
  INSECTS_FLY_C,
  type DriedBy,
  type GroupFaces,
  type PackItem,
  type StepCaution,
  type RunStep,
  type SkipReason,
  type WashStepId,
  type ZoneGroup,
} from '@keen/core';
import type { Format } from '../format/format.js';
import { PANEL_NAMES } from './car-names.js';

/** What is done, verb first. */
export const RUN_STEP_NAMES: Readonly<Record<WashStepId, string>> = {
  'machine-soak': 'Let the machine soak it',
  'machine-jets': 'Let the jets pass',
  'machine-blower': 'Let the blower pass',
  wheels: 'Clean the wheels',
  foam: 'Foam the car',
  'pre-soak': 'Pre-soak it',
  'warm-soak': 'Soak it with warm water',
  rinse: 'Rinse it',
  arches: 'Flush the arches',
  'underbody-bounce': 'Bounce a jet under the car',
  'underbody-ramps': 'Flush under the car from both sides',
  contact: 'Wash it by hand',
  rinseless: 'Wash it rinseless',
  'spray-wipe': 'Spray and wipe',
  'final-rinse': 'Last rinse',
  blow: 'Blow out the gaps',
  towel: 'Towel it dry',
  shuts: 'Wipe the door shuts',
  strip: 'Strip it',
  seal: 'Seal it',
  'bare-check': 'See that no panel beads',
  'before-machine': 'Make it ready for the machine',
  'after-machine': 'Wipe what the machine left',
  'charge-port': 'Dry the charge port',
  'salt-neutraliser': 'Put salt neutraliser on',
  bugs: 'Put bug remover on',
  iron: 'Put iron remover on',
  tar: 'Put tar remover on',
  'engine-bay': 'Clean the engine bay',
  mats: 'Scrub the mats',
  tyres: 'Dress the tyres',
  'underbody-flush': 'Flush the underbody',
  'underbody-foam': 'Foam the underbody',
  clay: 'Clay the paint',
  polish: 'Polish the paint',
  'top-up': 'Top the protection up',
  coat: 'Coat the paint',
  'film-remover': 'Put film remover on',
  'water-test': 'See that water lies flat',
  'wet-seal': 'Seal it wet',
  'dry-seal': 'Seal it under the towel',
  'foam-seal': 'Foam the sealant on',
  'other-car': 'Go on with the other car',
  'drive-on': 'Drive to where you finish',
  thaw: 'Let it thaw',
  'fill-buckets': 'Fill the buckets from the gun',
  'shield-neighbour': 'Cover the car beside it',
};

export const GROUP_NAMES: Readonly<Record<ZoneGroup, string>> = {
  upper: 'upper body',
  lower: 'lower body',
  wheels: 'wheels',
  arches: 'arches',
  under: 'underbody',
};

export const CAUTION_TEXTS: Readonly<Record<StepCaution, string>> = {
  'each-wheel-off': 'Rinse or wipe each wheel off before the next one; a strong cleaner wants the hose.',
  'data-sheet': 'Follow the product’s data sheet first.',
  'haze-again': 'Haze is too much of it: one spray more, and wipe.',
  'mains-near-water': 'Mains power near water: dry hands, a tripping switch, no cable in a puddle.',
  'no-jet-at-sensors':
    'Lance shallow near badges and seals; not straight at sensors, electrics, the charge flap or a wound tyre.',
  'weight-of-the-mitt': 'Weight of the mitt only; don’t reuse a dirty side.',
  'never-under-a-jack': 'Nobody goes under a car that a jack holds; ramps with chocks.',
  'ice-underfoot': 'Water on this ground freezes: grit it, and mind where others walk.',
  'ice-on-floor': 'Water on this floor freezes: keep it off, and mop it up at once.',
  'never-while-charging': 'Never while it charges, never a jet: open, dry with a clean cloth, protect, shut.',
  'engine-cool-and-covered':
    'Engine cool, electrics covered, soft brush, low pressure; for hybrids and electrics ask the maker or a licensed trade.',
  'bare-until-coated':
    'Bare from here: dry and indoors until the coat is on, gloves on, doors open for the solvent, no flame.',
  'spray-at-the-cloth':
    'A car is parked beside it: sheet over it; spray from a hand’s breadth, downwards, or on to the cloth.',
  'blow-away-from-neighbour': 'Blow away from the other car, or towel that side instead.',
  'one-door-at-a-time': 'A car is parked beside it: one door at a time, a hand on its edge.',
  'wet-brakes':
    'Wipe windscreen, mirrors and lamps before you drive; brakes are wet, try them, and belts and doors may freeze.',
  'grit-in-the-bucket':
    'No guard in the bucket: wring the mitt out above it, let the grit settle, and change the rinse water when it clouds.',
  'soak-towels-at-once': 'Soak its towels apart, 15 min at once.',
  'liners-off-first-time': 'First time on this car: arch liners off; then every zone, none left out.',
  'gloves-and-goggles': 'Gloves and goggles.',
  'never-acid-over-alkali': 'Never acid over alkali or alkali over acid; never acid with chlorine.',
};

export const PACK_NAMES: Readonly<Record<PackItem, string>> = {
  'lidded-buckets': 'lidded buckets, filled',
  'empty-buckets': 'buckets, empty: filled there',
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
  'dust-sheet': 'sheet for the car parked beside it',
  'drip-mat': 'absorbent mat for the drips',
};

/** So soon that nobody would tell it from at once. */
const AT_ONCE_MINUTES = 0.2;

/** "3 to 5 min, cut by the roof", or why it will not do. */
export function dwellText({ dwell }: Pick<RunStep, 'dwell'>, format: Format): string | null {
  if (!dwell) return null;
  const panel = dwell.cutBy ? `the ${PANEL_NAMES[dwell.cutBy]}` : '';
  // Frozen foam does nothing, and what is lost is only its dwell: the rinse behind it is warm.
  if (dwell.isTooShort && dwell.cutAs === 'freezes')
    return `freezes on ${panel} ${dwell.maxMinutes < AT_ONCE_MINUTES ? 'at once' : `after ${format.minutes(dwell.maxMinutes)}`} and then does nothing: rinse warm first, or leave it out`;
  if (dwell.isTooShort)
    return `${dwell.cutAs ?? 'dries'} on ${panel} after ${format.minutes(dwell.maxMinutes)}, and wants ${format.minutes(dwell.minMinutes)}: smaller parts, or wet it again`;
  const span = `dwell ${format.minutes(dwell.minMinutes)} to ${format.minutes(dwell.maxMinutes)}`;
  return dwell.cutBy ? `${span}, cut by ${panel}, where it ${dwell.cutAs ?? 'dries'}` : span;
}

/** "24 on the upper body (grade 2.1) and 13 on the lower body (grade 2.8)". */
export const facesText = (groups: readonly GroupFaces[]): string =>
  new Intl.ListFormat('en').format(
    groups.map(
      ({ group, faces, grade }) => `${faces} on the ${GROUP_NAMES[group]} (grade ${grade.toFixed(1)})`,
    ),
  );

/** Why a step is left out. */
export const SKIP_NAMES: Readonly<Record<SkipReason, string>> = {
  'not-needed': 'not needed',
  'no-time': 'no time',
  'no-light': 'no light',
  'too-cold': 'too cold',
  'nothing-left': 'nothing left of it',
  other: 'another reason',
};

/** In which order the water is taken off. */
export const DRYING_TEXTS: Readonly<Record<DriedBy, string>> = {
  'blow-and-towel':
    'Open a door a hand wide to drain, blow the gaps from the top down, then towel: the first as a squeegee, the second for the film.',
  towel:
    'Open a door a hand wide to drain, then towel from the top down, wringing often; drying aid on each panel.',
  blower: 'Blow from the top down, gaps last; minerals stay unless the last water was demineralised.',
};

/** The drive home after a late wash. */
export const bugsHomeText = (airTempC: number, format: Format): string =>
  `Insects fly after dusk at ${format.temp(airTempC)} (forecast; above ${format.temp(INSECTS_FLY_C)}, judgement): the drive home puts them on the clean nose, mirrors and windscreen. Wipe these there with a damp cloth, or wash earlier.`;
