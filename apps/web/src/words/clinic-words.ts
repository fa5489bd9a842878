import {
  type ClinicCaution,
  type RungId,
  type SignId,
  type SpotAge,
  type SpotCause,
  type SpotMaterial,
  type SpotReaction,
  type SpotRecord,
  type SpotStanding,
  spotStanding,
} from '@keen/core';
import { ZONE_NAMES } from './car-names.js';

export const AGE_NAMES: Readonly<Record<SpotAge, string>> = {
  fresh: 'Fresh: hours old',
  bonded: 'Bonded: days or weeks, felt with a nail',
  etched: 'Etched: a dip in the surface',
  'not-known': 'Not known',
};
export const MATERIAL_NAMES: Readonly<Record<SpotMaterial, string>> = {
  paint: 'paint',
  glass: 'glass',
  'painted-plastic': 'painted plastic (bumpers, mirrors)',
  plastic: 'bare plastic or rubber trim',
  film: 'film or wrap',
  metal: 'bare or polished metal',
};
export const CAUSE_NAMES: Readonly<Record<SpotCause, string>> = {
  'tap-water': 'tap water left to dry',
  'rain-then-sun': 'rain, then sun',
  sprinkler: 'a sprinkler',
  'dripping-ceiling': 'a dripping ceiling',
  'road-salt': 'road salt',
  'not-known': 'not known',
};
/** What takes the cause away, so that they do not come back. */
export const CAUSE_REMEDIES: Readonly<Record<SpotCause, string>> = {
  'tap-water': 'Towel the last water off, or rinse last with demineralised water.',
  'rain-then-sun': 'A protection that sheds water, and a rinse after such days.',
  sprinkler: 'Turn the sprinkler or park elsewhere; its water is often the hardest of all.',
  'dripping-ceiling': 'Park off the drip line; concrete drips alkali, which etches.',
  'road-salt': 'Flush the salt off sooner; the salt clock tells when.',
  'not-known': 'Ask where it stood when they came.',
};
export const RUNG_NAMES: Readonly<Record<RungId, string>> = {
  're-wet': 'Wet it again and wipe',
  'acid-test': 'Try the acid on one spot',
  acid: 'Mineral acid on the spots',
  'wet-blade': 'Blade the glass while the acid is wet',
  neutralise: 'Wash the acid off',
  clay: 'Clay it',
  blade: 'Blade the glass',
  polish: 'Polish it',
  seal: 'Seal it, and take the cause away',
  refer: 'Stop here and refer it',
};
export const RUNG_TEXTS: Readonly<Record<RungId, string>> = {
  're-wet': 'Rinseless wash or detail spray, let it lie, wipe with a fresh towel face.',
  'acid-test': 'A mild mineral remover on one spot where it shows least. Watch it the whole time.',
  acid: 'Panel by panel, in the shade, kept wet. While it still reacts, wipe it off and put it on again.',
  'wet-blade':
    'A new plastic or steel blade, flat, in one direction, in the wet remover. More of it before it dries.',
  neutralise: 'Shampoo, plenty of water, rinse. Only then look again, dry and from another angle.',
  clay: 'Fine clay, much lubricant, no pressure, straight strokes; fold it often.',
  blade: 'A new plastic or steel blade, flat, wet glass, one direction.',
  polish:
    'The finest pad and polish that works, a test section first. It takes clear coat and protection with it.',
  seal: 'What took the spots off took protection too: put it on again.',
  refer: 'Nothing milder is left that this surface can take.',
};
/** Where the work on each material goes on, once this ladder ends. */
export const REFER_TEXTS: Readonly<Record<SpotMaterial, string>> = {
  paint:
    'Wet sanding and repainting are for a body shop with a paint gauge; ask how much clear coat is left.',
  'painted-plastic':
    'Paint on plastic is thin and bends: a body shop repaints the part. It is not sanded to spare the paint.',
  glass:
    'A glass specialist polishes it out, or replaces it; a windscreen with cameras is set up again after.',
  plastic: 'Trim is dyed or replaced, not polished: ask a trim restorer, or the parts counter.',
  film: 'Ask the shop that laid the film: it replaces the piece. Nothing sharp or abrasive on it.',
  metal: 'Bare metal is for a metal polisher; acid or alkali would stain it for good.',
};
export const SPOT_REACTION_NAMES: Readonly<Record<SpotReaction, string>> = {
  gone: 'The spots are gone',
  fewer: 'Fewer, or fainter',
  'still-reacting': 'It still reacts: fizzes or turns',
  'no-change': 'No change',
  dulled: 'The surface went dull or stained',
};
export const CLINIC_CAUTION_TEXTS: Readonly<Record<ClinicCaution, string>> = {
  'gloves-and-goggles': 'Gloves and goggles.',
  'air-the-room': 'Air the room; never with chlorine.',
  'test-spot': 'A test spot first, where it shows least.',
  'never-over-alkali': 'Never over an alkaline product: rinse that off first.',
  'cool-panel': 'On a cool panel, out of the sun; never let it dry.',
  'not-on-bare-metal': 'Not on bare or polished metal, nor where it runs on to it.',
  'blade-never-on-paint': 'Never a blade on paint, film or coating.',
  'blade-not-on-heated-side': 'Not on the side with heating wires.',
  'takes-protection-off': 'It takes protection off; count on putting it on again.',
  'no-abrasive-pads': 'No abrasive pads or scouring: they take clear coat off.',
  'data-sheet': 'Follow the product’s data sheet and local rules for waste water first.',
};

interface SignText {
  readonly sign: string;
  readonly means: string;
  readonly then: string;
}
export const SIGN_TEXTS: Readonly<Record<SignId, SignText>> = {
  purple: {
    sign: 'It turns purple',
    means: 'iron is dissolving',
    then: 'Let it work for 2 to 4 min, keep it wet, rinse; again until it stays clear.',
  },
  'white-haze': {
    sign: 'A white haze as it dries',
    means: 'minerals, or product left behind',
    then: 'Wet it again with detail spray and take a fresh towel; if it comes back, see the ladder.',
  },
  'reaction-stopped': {
    sign: 'The reaction stops, spots remain',
    means: 'this product has done what it can',
    then: 'Do not leave it on longer. Wash it off, then take the next step.',
  },
  beads: {
    sign: 'Beads come back',
    means: 'the protection was clogged, not gone',
    then: 'No new protection is needed; top it up if the next window is far.',
  },
  flat: {
    sign: 'Water lies flat',
    means: 'protection is clogged or gone; after a strip wash it is what was wanted',
    then: 'Iron or film remover first; still flat: protect again.',
  },
  'foam-drying': {
    sign: 'Foam turns thin and matt at the edge',
    means: 'it begins to dry on',
    then: 'Mist it at once, then rinse; smaller parts next time.',
  },
  'towel-grey': {
    sign: 'The towel face is grey',
    means: 'it holds grit that scratches',
    then: 'Turn to a clean side; don’t reuse a dirty one. Many grey faces: the pre-wash was too weak.',
  },
  'towel-smears': {
    sign: 'The towel smears',
    means: 'it is saturated, or the mix was too strong',
    then: 'Wring it or take the next; a light spray and a fresh towel take the smear off.',
  },
  'drips-later': {
    sign: 'Drips ten minutes later',
    means: 'gaps still hold water',
    then: 'Blow mirrors, handles, badges and lamps again; in frost that water freezes there.',
  },
  'fizz-on-salt': {
    sign: 'Acid fizzes at once on a white crust',
    means: 'salt or lime, not etching',
    then: 'Seconds are enough: rinse it off, look again.',
  },
};

/** Where the work on spots stands. */
export const SPOT_STANDING_NAMES: Readonly<Record<SpotStanding, string>> = {
  open: 'still there',
  gone: 'gone',
  referred: 'for a body shop',
};

/** "roof, tap water left to dry: still there after the mild acid". */
export function spotText(spot: SpotRecord): string {
  const last = spot.done.at(-1);
  const tried = last ? ` after “${RUNG_NAMES[last.rung].toLowerCase()}”` : ', nothing tried yet';
  return `${ZONE_NAMES[spot.zone].toLowerCase()}, ${CAUSE_NAMES[spot.cause]}: ${SPOT_STANDING_NAMES[spotStanding(spot)]}${tried}`;
}
