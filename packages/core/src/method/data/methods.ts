import type { ZoneGroup } from '../../vehicle/index.js';
import type { Drying, Method } from '../method.js';
import { describeMethod, type MethodRow } from '../describe-method.js';
import type { WashStep, WashStepId } from '../wash-step.js';

type Shares = Partial<Record<ZoneGroup, number>>;

const BODY: readonly ZoneGroup[] = ['upper', 'lower'];
const ALL: readonly ZoneGroup[] = ['upper', 'lower', 'wheels', 'arches'];

interface StepOptions {
  readonly groups?: readonly ZoneGroup[];
  readonly removes?: Shares;
  readonly litres?: number;
  readonly dwell?: readonly [number, number];
  readonly onMeter?: boolean;
  readonly contact?: boolean;
}

function step(id: WashStepId, minutes: number, options: StepOptions = {}): WashStep {
  const { groups, removes = {}, litres = 0, dwell, onMeter = false, contact = false } = options;
  return {
    id,
    minutes,
    groups:
      groups ??
      ((Object.keys(removes) as ZoneGroup[]).length > 0 ? (Object.keys(removes) as ZoneGroup[]) : ALL),
    removes,
    litres,
    onMeter,
    contact,
    dwell: dwell ? { minMinutes: dwell[0], maxMinutes: dwell[1] } : null,
  };
}

const paid = { onMeter: true } as const;
const touched = { contact: true } as const;

const WIPED: Drying = { kind: 'wiped', by: 'blow-and-towel' };

const BAY_UNDER: readonly WashStep[] = [
  step('arches', 1.5, { ...paid, litres: 9, removes: { arches: 0.75 } }),
  step('underbody-bounce', 1.5, { ...paid, litres: 9, removes: { under: 0.6, arches: 0.2 } }),
  step('underbody-ramps', 1, { ...paid, litres: 6, removes: { under: 0.5 } }),
];
const WHEELS = step('wheels', 4, { litres: 4, removes: { wheels: 0.75 }, dwell: [0.5, 4] });
const FOAM = step('foam', 4, { litres: 4, removes: { upper: 0.5, lower: 0.45, wheels: 0.2 }, dwell: [3, 8] });
const BAY_RINSE = step('rinse', 4, {
  ...paid,
  litres: 36,
  removes: { upper: 0.82, lower: 0.8, wheels: 0.5 },
});
const FINISH: readonly WashStep[] = [
  step('final-rinse', 1, { ...paid, litres: 12, groups: ALL, removes: { upper: 0.1, lower: 0.1 } }),
  step('blow', 3, { groups: BODY }),
  step('towel', 6, { groups: BODY }),
];

const STRIP = step('strip', 40, {
  ...touched,
  litres: 9,
  groups: BODY,
  removes: { upper: 0.97, lower: 0.93 },
  dwell: [3, 5],
});
/** Stripping soap, iron and tar remover are rinsed off, by pump sprayer where there is no hose (judgement). */
export const STRIP_RINSE = step('rinse', 6, { litres: 6, groups: ALL });
const DECONTAMINATE = {
  iron: step('iron', 5, { groups: ['wheels', 'lower'], litres: 0.5, dwell: [2, 4] }),
  tar: step('tar', 4, { groups: ['lower'], litres: 0.2, dwell: [1, 2] }),
} as const;

/** A last water without minerals: nothing of it shows, and what is foamed or coated next finds nothing under it. */
const SHOP_RINSE = step('rinse', 6, { litres: 40, groups: ALL });

const ROWS: readonly MethodRow[] = [
  {
    id: 'touchless-automatic',
    placeKinds: ['automatic-bay'],
    setUpMinutes: 0,
    handsMinutes: 0,
    steps: [
      step('before-machine', 1, { groups: ['upper'] }),
      step('machine-soak', 3, {
        litres: 40,
        removes: { upper: 0.55, lower: 0.5, wheels: 0.4 },
        dwell: [1, 3],
      }),
      step('machine-jets', 4, {
        litres: 140,
        removes: { upper: 0.67, lower: 0.6, wheels: 0.4, arches: 0.3, under: 0.6 },
      }),
      step('machine-blower', 1, { groups: BODY }),
      step('after-machine', 1, { groups: BODY }),
    ],
    drying: { kind: 'left', filmFraction: 0.25 },
    usualSection: 'whole-car',
    filmGramsPerM2: null,
    bucketC: null,
    needs: ['drain'],
    ceilingGrade: { upper: 4, lower: 4, wheels: 3, arches: 2, under: 4 },
    leaves: ['film', 'arches', 'deep-wheels', 'bugs', 'tar', 'iron', 'scale'],
    media: { mitts: 0, foldedTowels: 1, dryingTowels: 0 },
  },
  {
    id: 'bay-touch-free',
    placeKinds: ['self-serve-bay'],
    setUpMinutes: 4,
    handsMinutes: 20,
    steps: [WHEELS, FOAM, BAY_RINSE, ...BAY_UNDER, ...FINISH],
    drying: WIPED,
    usualSection: 'whole-car',
    filmGramsPerM2: null,
    bucketC: null,
    needs: ['drain', 'own-foam', 'pressure'],
    ceilingGrade: { upper: 4, lower: 4, wheels: 4, arches: 5, under: 5 },
    leaves: ['film', 'bugs', 'tar', 'iron', 'scale'],
    media: { mitts: 0, foldedTowels: 0, dryingTowels: 2 },
  },
  {
    id: 'bay-contact',
    placeKinds: ['self-serve-bay'],
    setUpMinutes: 6,
    handsMinutes: 42,
    steps: [
      WHEELS,
      FOAM,
      BAY_RINSE,
      ...BAY_UNDER,
      step('contact', 18, { ...touched, litres: 20, groups: BODY, removes: { upper: 0.85, lower: 0.8 } }),
      ...FINISH,
      step('shuts', 3, { ...touched, groups: ['lower'] }),
    ],
    drying: WIPED,
    usualSection: 'whole-car',
    filmGramsPerM2: null,
    bucketC: null,
    needs: ['drain', 'own-foam', 'own-bucket', 'pressure'],
    ceilingGrade: { upper: 5, lower: 5, wheels: 5, arches: 5, under: 5 },
    leaves: ['vents', 'iron', 'scale'],
    media: { mitts: 2, foldedTowels: 2, dryingTowels: 2 },
  },
  {
    id: 'bay-rinse-rinseless',
    placeKinds: ['self-serve-bay'],
    setUpMinutes: 8,
    handsMinutes: 48,
    steps: [
      WHEELS,
      FOAM,
      BAY_RINSE,
      ...BAY_UNDER,
      step('rinseless', 32, { ...touched, litres: 10, groups: BODY, removes: { upper: 0.9, lower: 0.88 } }),
      step('towel', 2, { groups: BODY }),
      step('shuts', 4, { ...touched, groups: ['lower'] }),
    ],
    drying: WIPED,
    usualSection: 'two-panels',
    filmGramsPerM2: 50,
    bucketC: 38,
    needs: ['drain', 'own-foam', 'pressure'],
    ceilingGrade: { upper: 5, lower: 5, wheels: 5, arches: 5, under: 5 },
    leaves: ['iron', 'scale'],
    media: { mitts: 0, foldedTowels: 10, dryingTowels: 1 },
  },
  {
    id: 'garage-rinseless',
    placeKinds: ['garage', 'heated-unit'],
    setUpMinutes: 7,
    handsMinutes: 60,
    steps: [
      step('pre-soak', 8, { litres: 2, removes: { upper: 0.2, lower: 0.3 }, dwell: [2, 5] }),
      step('rinseless', 42, { ...touched, litres: 7, groups: BODY, removes: { upper: 0.96, lower: 0.9 } }),
      step('wheels', 9, { ...touched, litres: 1, removes: { wheels: 0.6 } }),
      step('towel', 4, { groups: BODY }),
      step('shuts', 5, { ...touched, groups: ['lower'] }),
    ],
    drying: WIPED,
    usualSection: 'two-panels',
    filmGramsPerM2: 50,
    bucketC: 38,
    needs: [],
    ceilingGrade: { upper: 3, lower: 3, wheels: 3, arches: 0, under: 0 },
    leaves: ['arches', 'deep-wheels', 'underbody', 'vents', 'bugs', 'tar', 'iron', 'scale'],
    media: { mitts: 0, foldedTowels: 12, dryingTowels: 1 },
  },
  {
    id: 'garage-hose',
    placeKinds: ['garage', 'heated-unit'],
    setUpMinutes: 8,
    handsMinutes: 65,
    steps: [
      WHEELS,
      step('rinse', 6, { litres: 45, removes: { upper: 0.7, lower: 0.65, wheels: 0.4, arches: 0.6 } }),
      step('foam', 6, { litres: 4, removes: { upper: 0.5, lower: 0.45, wheels: 0.2 }, dwell: [3, 8] }),
      step('contact', 24, { ...touched, litres: 20, groups: BODY, removes: { upper: 0.85, lower: 0.8 } }),
      step('final-rinse', 5, { litres: 40, removes: { upper: 0.4, lower: 0.4, wheels: 0.3, arches: 0.3 } }),
      step('blow', 6, { groups: BODY }),
      step('towel', 16, { groups: BODY }),
      step('shuts', 5, { ...touched, groups: ['lower'] }),
    ],
    drying: WIPED,
    usualSection: 'whole-car',
    filmGramsPerM2: null,
    bucketC: null,
    needs: ['tap', 'drain'],
    ceilingGrade: { upper: 5, lower: 5, wheels: 5, arches: 4, under: 0 },
    leaves: ['underbody', 'iron', 'scale'],
    media: { mitts: 2, foldedTowels: 2, dryingTowels: 2 },
  },
  {
    id: 'drive-hose',
    placeKinds: ['drive'],
    setUpMinutes: 10,
    handsMinutes: 75,
    steps: [
      WHEELS,
      step('rinse', 8, { litres: 52, removes: { upper: 0.7, lower: 0.65, wheels: 0.4, arches: 0.7 } }),
      step('underbody-bounce', 4, { litres: 20, removes: { under: 0.5, arches: 0.2 } }),
      step('underbody-ramps', 3, { litres: 10, removes: { under: 0.2 } }),
      step('foam', 6, { litres: 4, removes: { upper: 0.5, lower: 0.45, wheels: 0.2 }, dwell: [3, 8] }),
      step('contact', 25, { ...touched, litres: 20, groups: BODY, removes: { upper: 0.85, lower: 0.8 } }),
      step('final-rinse', 5, { litres: 30, removes: { upper: 0.4, lower: 0.4, wheels: 0.3, arches: 0.3 } }),
      step('blow', 5, { groups: BODY }),
      step('towel', 15, { groups: BODY }),
      step('shuts', 5, { ...touched, groups: ['lower'] }),
    ],
    drying: WIPED,
    usualSection: 'whole-car',
    filmGramsPerM2: null,
    bucketC: null,
    needs: ['tap'],
    ceilingGrade: { upper: 5, lower: 5, wheels: 5, arches: 5, under: 4 },
    leaves: ['iron', 'scale'],
    media: { mitts: 2, foldedTowels: 2, dryingTowels: 2 },
  },
  {
    // With carried water, panel by panel: misted, wiped and dried before the next one is wetted; nothing lies on the whole car.
    id: 'rinseless-outdoors',
    placeKinds: ['drive', 'car-park'],
    setUpMinutes: 8,
    handsMinutes: 58,
    steps: [
      step('rinseless', 46, { ...touched, litres: 8, groups: BODY, removes: { upper: 0.95, lower: 0.88 } }),
      step('wheels', 9, { ...touched, litres: 1, removes: { wheels: 0.6 } }),
      step('towel', 4, { groups: BODY }),
      step('shuts', 5, { ...touched, groups: ['lower'] }),
    ],
    drying: WIPED,
    usualSection: 'one-panel',
    filmGramsPerM2: 50,
    bucketC: 38,
    needs: [],
    ceilingGrade: { upper: 3, lower: 3, wheels: 3, arches: 0, under: 0 },
    leaves: ['arches', 'deep-wheels', 'underbody', 'vents', 'bugs', 'tar', 'iron', 'scale'],
    media: { mitts: 0, foldedTowels: 12, dryingTowels: 1 },
  },
  {
    id: 'waterless',
    placeKinds: ['garage', 'heated-unit', 'drive', 'car-park', 'self-serve-bay'],
    setUpMinutes: 4,
    handsMinutes: 22,
    steps: [
      step('spray-wipe', 22, {
        ...touched,
        litres: 0.7,
        groups: ['upper'],
        removes: { upper: 0.9, lower: 0.3 },
      }),
      step('towel', 4, { groups: BODY }),
    ],
    drying: WIPED,
    usualSection: 'whole-car',
    filmGramsPerM2: 20,
    bucketC: null,
    needs: [],
    ceilingGrade: { upper: 2, lower: 1, wheels: 0, arches: 0, under: 0 },
    leaves: ['lowers', 'arches', 'deep-wheels', 'underbody', 'bugs', 'tar', 'iron', 'scale'],
    media: { mitts: 0, foldedTowels: 8, dryingTowels: 0 },
  },
  {
    id: 'salt-flush',
    placeKinds: ['self-serve-bay', 'drive'],
    setUpMinutes: 2,
    handsMinutes: 8,
    steps: [
      step('rinse', 3, { ...paid, litres: 27, removes: { lower: 0.55, wheels: 0.5 } }),
      ...BAY_UNDER,
      step('blow', 1, { groups: ['lower'] }),
    ],
    drying: { kind: 'left', filmFraction: 1 },
    usualSection: 'whole-car',
    filmGramsPerM2: null,
    bucketC: null,
    needs: ['tap', 'pressure'],
    ceilingGrade: { upper: 0, lower: 5, wheels: 5, arches: 5, under: 5 },
    leaves: ['film', 'deep-wheels', 'bugs', 'tar', 'iron', 'scale'],
    media: { mitts: 0, foldedTowels: 1, dryingTowels: 0 },
  },
  {
    id: 'strip-reseal',
    placeKinds: ['garage', 'heated-unit'],
    setUpMinutes: 10,
    handsMinutes: 90,
    steps: [
      step('pre-soak', 8, { litres: 2, removes: { upper: 0.2, lower: 0.3 }, dwell: [2, 5] }),
      STRIP,
      STRIP_RINSE,
      step('towel', 12, { groups: BODY }),
      step('seal', 50, { ...touched, groups: BODY }),
    ],
    drying: WIPED,
    usualSection: 'two-panels',
    filmGramsPerM2: 50,
    bucketC: 38,
    needs: [],
    ceilingGrade: { upper: 2, lower: 2, wheels: 0, arches: 0, under: 0 },
    leaves: ['arches', 'deep-wheels', 'underbody', 'vents', 'tar', 'iron', 'scale'],
    media: { mitts: 1, foldedTowels: 14, dryingTowels: 1 },
    strips: true,
  },
  {
    id: 'pre-coating',
    placeKinds: ['garage', 'heated-unit'],
    setUpMinutes: 10,
    handsMinutes: 100,
    steps: [
      step('wheels', 9, { ...touched, litres: 1, removes: { wheels: 0.6 } }),
      step('pre-soak', 8, { litres: 2, removes: { upper: 0.2, lower: 0.3 }, dwell: [2, 5] }),
      DECONTAMINATE.iron,
      step('rinse', 2, { litres: 3, groups: ['lower', 'wheels'] }),
      DECONTAMINATE.tar,
      step('rinse', 1.5, { litres: 2, groups: ['lower'] }),
      STRIP,
      STRIP_RINSE,
      step('shuts', 5, { ...touched, groups: ['lower'] }),
      step('blow', 6, { groups: BODY }),
      step('towel', 12, { groups: BODY }),
      step('bare-check', 15, { ...touched, litres: 0.5, groups: BODY }),
    ],
    drying: WIPED,
    usualSection: 'two-panels',
    filmGramsPerM2: 50,
    bucketC: 38,
    needs: ['power'],
    ceilingGrade: { upper: 2, lower: 2, wheels: 3, arches: 0, under: 0 },
    leaves: ['arches', 'deep-wheels', 'underbody', 'vents', 'scale'],
    media: { mitts: 2, foldedTowels: 16, dryingTowels: 2 },
    strips: true,
  },
  {
    // Salt off, film off, old protection off, each rinsed before the next; then a foamed sealant on paint that holds no bead any more.
    id: 'winter-strip',
    placeKinds: ['garage', 'heated-unit'],
    setUpMinutes: 12,
    handsMinutes: 110,
    steps: [
      WHEELS,
      step('salt-neutraliser', 6, {
        groups: ['lower', 'wheels', 'arches'],
        litres: 3,
        removes: { lower: 0.4, wheels: 0.3, arches: 0.4 },
        dwell: [3, 4],
      }),
      step('rinse', 6, { litres: 45, removes: { upper: 0.7, lower: 0.65, wheels: 0.4, arches: 0.6 } }),
      step('film-remover', 7, {
        groups: BODY,
        litres: 1,
        removes: { upper: 0.5, lower: 0.5 },
        dwell: [1, 4],
      }),
      SHOP_RINSE,
      { ...STRIP, litres: 20 },
      SHOP_RINSE,
      step('water-test', 4, { groups: BODY, litres: 4 }),
      step('final-rinse', 5, { litres: 40, groups: ALL }),
      step('foam-seal', 3, { groups: BODY, litres: 4, dwell: [1, 2] }),
      step('rinse', 4, { litres: 30, groups: BODY }),
      step('blow', 8, { groups: BODY }),
      step('towel', 10, { groups: BODY }),
      step('shuts', 5, { ...touched, groups: ['lower'] }),
    ],
    drying: WIPED,
    usualSection: 'whole-car',
    filmGramsPerM2: null,
    bucketC: null,
    needs: ['tap', 'drain', 'power'],
    ceilingGrade: { upper: 5, lower: 5, wheels: 4, arches: 4, under: 0 },
    leaves: ['underbody', 'iron', 'scale'],
    media: { mitts: 6, foldedTowels: 4, dryingTowels: 2 },
    strips: true,
  },
  {
    // Nothing is left that a coating would lie on: soap without residue, no aid, no towel.
    id: 'pre-coating-air',
    placeKinds: ['garage', 'heated-unit'],
    setUpMinutes: 12,
    handsMinutes: 120,
    steps: [
      step('foam', 6, { litres: 4, removes: { upper: 0.5, lower: 0.45, wheels: 0.2 }, dwell: [3, 8] }),
      step('rinse', 6, { litres: 45, removes: { upper: 0.7, lower: 0.65, wheels: 0.4, arches: 0.6 } }),
      WHEELS,
      DECONTAMINATE.iron,
      step('rinse', 3, { litres: 15, groups: ['lower', 'wheels'] }),
      DECONTAMINATE.tar,
      step('rinse', 3, { litres: 15, groups: ['lower'] }),
      { ...STRIP, litres: 20 },
      SHOP_RINSE,
      step('shuts', 5, { ...touched, groups: ['lower'] }),
      step('final-rinse', 5, { litres: 40, groups: ALL }),
      step('blow', 22, { groups: BODY }),
      step('water-test', 6, { groups: BODY, litres: 1 }),
    ],
    drying: { kind: 'wiped', by: 'blower' },
    usualSection: 'whole-car',
    filmGramsPerM2: null,
    bucketC: null,
    needs: ['tap', 'drain', 'power'],
    ceilingGrade: { upper: 5, lower: 5, wheels: 5, arches: 4, under: 0 },
    leaves: ['arches', 'underbody', 'vents', 'scale'],
    media: { mitts: 4, foldedTowels: 0, dryingTowels: 0 },
    strips: true,
  },
  {
    // Two hot, slow, close pre-soaks of the lowers take the place of the hose that is not there.
    id: 'rinseless-heavy',
    placeKinds: ['garage', 'heated-unit'],
    setUpMinutes: 9,
    handsMinutes: 75,
    steps: [
      step('pre-soak', 9, { groups: ['lower'], litres: 3, removes: { lower: 0.35 }, dwell: [4, 6] }),
      step('pre-soak', 9, { litres: 3, removes: { upper: 0.2, lower: 0.3 }, dwell: [3, 5] }),
      step('rinseless', 46, { ...touched, litres: 12, groups: BODY, removes: { upper: 0.96, lower: 0.9 } }),
      step('wheels', 10, { ...touched, litres: 1.5, removes: { wheels: 0.6 } }),
      step('towel', 4, { groups: BODY }),
      step('shuts', 5, { ...touched, groups: ['lower'] }),
    ],
    drying: WIPED,
    usualSection: 'two-panels',
    filmGramsPerM2: 50,
    bucketC: 38,
    needs: [],
    ceilingGrade: { upper: 3, lower: 4, wheels: 3, arches: 0, under: 0 },
    leaves: ['arches', 'deep-wheels', 'underbody', 'vents', 'bugs', 'tar', 'iron', 'scale'],
    media: { mitts: 0, foldedTowels: 18, dryingTowels: 1 },
  },
];

/**
 * Steps that a shop may add to a method that does not have them. They take no salt off beyond what the method does; every figure is trade
 * practice.
 */
export const EXTRA_STEPS: readonly WashStep[] = [
  STRIP_RINSE,
  step('foam', 4, { litres: 4, groups: ALL, dwell: [3, 8] }),
  step('pre-soak', 8, { litres: 2, groups: BODY, dwell: [2, 5] }),
  step('contact', 18, { ...touched, litres: 20, groups: BODY }),
  step('wheels', 4, { litres: 4, groups: ['wheels'], dwell: [0.5, 4] }),
  step('blow', 3, { groups: BODY }),
  step('towel', 6, { groups: BODY }),
  step('shuts', 3, { ...touched, groups: ['lower'] }),
  step('charge-port', 1.5, { groups: ['lower'] }),
  step('salt-neutraliser', 5, { groups: ['lower', 'wheels', 'arches'], litres: 3, dwell: [3, 4] }),
  step('bugs', 3, { groups: ['lower'], litres: 0.5, dwell: [1, 2] }),
  DECONTAMINATE.iron,
  DECONTAMINATE.tar,
  step('engine-bay', 12, { groups: ['upper'], litres: 3 }),
  step('mats', 8, { groups: ['lower'], litres: 5 }),
  step('tyres', 4, { groups: ['wheels'] }),
  step('film-remover', 6, { groups: BODY, litres: 1, dwell: [1, 4] }),
  step('wet-seal', 5, { ...paid, groups: BODY, litres: 25 }),
  step('dry-seal', 8, { groups: BODY }),
  step('foam-seal', 3, { groups: BODY, litres: 4, dwell: [1, 2] }),
  step('water-test', 3, { groups: BODY, litres: 2 }),
];

/** Ways to wash as they ship. Every figure is trade practice, editable by house rules where it decides. */
export const METHODS: readonly Method[] = ROWS.map(describeMethod);

const BY_ID = new Map<string, Method>(METHODS.map((method) => [method.id, method]));

/** A method by its id. @throws RangeError for an id that does not exist */
export function methodOf(methodId: string): Method {
  const method = BY_ID.get(methodId);
  if (!method)
    throw new RangeError(`methodOf: methodId is ${methodId}; allowed is ${[...BY_ID.keys()].join(', ')}`);
  return method;
}
