import type { WashStepId } from '../wash-step.js';
import type { StepCaution, StepReason } from '../step-words.js';

/** What a step puts on a panel. */
export interface Wetting {
  /** `flood`: what the panel's water behaviour holds; `product`: a pre-wash that clings; else g/m². */
  readonly film: 'flood' | 'product' | number;
  /** Share of the step's litres that runs over the panels; 0: only what stays. */
  readonly passesFraction: number;
  readonly water: 'place' | 'bucket';
  /** What dries on has to be worked off again. */
  readonly isProduct: boolean;
}

/** What the engine knows of a kind of step. */
export interface StepKind {
  /** `flies` lands on the next car, `drifts` can be held back, `stays` goes nowhere. */
  readonly reach: 'flies' | 'drifts' | 'stays';
  readonly wets: Wetting | null;
  /** How the last water leaves by it; `left`: a machine's blower. */
  readonly takes: 'blow' | 'wipe' | 'left' | null;
  /** Sprayed and wiped again patch by patch of so many m²; absent: a part at a time. */
  readonly patchM2?: number;
  /** Its water takes products off what it goes over. */
  readonly rinses: 'body' | 'under' | null;
  /** What it leaves wants rinsing: a cloth does not take it off. */
  readonly wantsRinse: boolean;
  /** Mild soap is off again when it ends: each wheel is rinsed from a sprayer, each patch wiped, before the next one (judgement). */
  readonly clearsItself: boolean;
  /** What it puts on stays there and protects. */
  readonly lays: boolean;
  /** It goes on dry paint only. */
  readonly wantsDry: boolean;
  /** It takes as long as there is body to go over. */
  readonly goesOverBody: boolean;
  /** Why it stands where it stands. */
  readonly reason: StepReason;
  /** What has to be minded at it. */
  readonly cautions: readonly StepCaution[];
}

type Bare = Omit<StepKind, 'reason' | 'cautions'>;

const PLAIN: Bare = {
  reach: 'stays',
  wets: null,
  takes: null,
  rinses: null,
  wantsRinse: false,
  clearsItself: false,
  lays: false,
  wantsDry: false,
  goesOverBody: false,
};
const FLOOD: Bare = {
  ...PLAIN,
  reach: 'flies',
  wets: { film: 'flood', passesFraction: 1, water: 'place', isProduct: false },
  rinses: 'body',
  goesOverBody: true,
};
/** Sprayed on to work: a mist that drifts, and stays wet for its dwell. */
const SPRAYED: Bare = {
  ...PLAIN,
  reach: 'drifts',
  wets: { film: 'product', passesFraction: 0, water: 'place', isProduct: true },
  wantsRinse: true,
};
const UNDER: Bare = { ...PLAIN, reach: 'flies', rinses: 'under' };
/** Of a bucket's litres about half end on the car, the rest in the other bucket (judgement). */
const BUCKET_FRACTION = 0.5;

/** Everything that the engine knows of each kind of step. What clings, passes and stays is judgement, by practice notes. */
export const STEP_KINDS: Readonly<Record<WashStepId, StepKind>> = {
  'other-car': { ...PLAIN, reason: 'dwells-while-others-are-done', cautions: [] },
  'drive-on': { ...PLAIN, reason: 'ends-elsewhere', cautions: ['wet-brakes'] },
  thaw: { ...PLAIN, reason: 'ice-melts-first', cautions: [] },
  'fill-buckets': { ...PLAIN, reason: 'warm-while-it-runs', cautions: [] },
  'shield-neighbour': { ...PLAIN, reason: 'car-beside-it', cautions: [] },
  'before-machine': { ...PLAIN, reason: 'machine-tears-and-misses', cautions: [] },
  'machine-soak': {
    ...SPRAYED,
    reach: 'flies',
    wets: { film: 'product', passesFraction: 0.5, water: 'place', isProduct: true },
    reason: 'machine-does-it',
    cautions: [],
  },
  'machine-jets': { ...FLOOD, goesOverBody: false, reason: 'machine-does-it', cautions: [] },
  'machine-blower': { ...PLAIN, reach: 'drifts', takes: 'left', reason: 'machine-does-it', cautions: [] },
  'after-machine': { ...PLAIN, reason: 'gaps-hold-water', cautions: [] },
  wheels: {
    ...PLAIN,
    clearsItself: true,
    reason: 'no-wet-paint-left-waiting',
    cautions: ['each-wheel-off', 'data-sheet'],
  },
  foam: {
    ...SPRAYED,
    reach: 'flies',
    goesOverBody: true,
    reason: 'dwells-while-others-are-done',
    cautions: ['data-sheet'],
  },
  'pre-soak': {
    ...SPRAYED,
    wets: { film: 'product', passesFraction: 1, water: 'bucket', isProduct: true },
    wantsRinse: false,
    goesOverBody: true,
    reason: 'loose-dirt-before-touch',
    cautions: ['data-sheet'],
  },
  'warm-soak': {
    ...PLAIN,
    reach: 'drifts',
    wets: { film: 'product', passesFraction: 1, water: 'bucket', isProduct: false },
    goesOverBody: true,
    reason: 'warm-before-touch',
    cautions: [],
  },
  rinse: { ...FLOOD, reason: 'loose-dirt-before-touch', cautions: ['no-jet-at-sensors'] },
  arches: { ...UNDER, reason: 'salt-sits-under', cautions: ['no-jet-at-sensors'] },
  'underbody-bounce': { ...UNDER, reason: 'salt-sits-under', cautions: [] },
  'underbody-ramps': { ...UNDER, reason: 'salt-sits-under', cautions: [] },
  contact: {
    ...PLAIN,
    wets: { film: 'product', passesFraction: BUCKET_FRACTION, water: 'bucket', isProduct: true },
    rinses: 'body',
    goesOverBody: true,
    reason: 'hand-takes-what-is-left',
    cautions: ['weight-of-the-mitt'],
  },
  rinseless: {
    ...PLAIN,
    wets: { film: 50, passesFraction: BUCKET_FRACTION, water: 'bucket', isProduct: false },
    rinses: 'body',
    goesOverBody: true,
    reason: 'hand-takes-what-is-left',
    cautions: ['weight-of-the-mitt'],
  },
  'spray-wipe': {
    ...PLAIN,
    reach: 'drifts',
    wets: { film: 20, passesFraction: 0, water: 'place', isProduct: false },
    takes: 'wipe',
    patchM2: 0.5,
    clearsItself: true,
    goesOverBody: true,
    reason: 'hand-takes-what-is-left',
    cautions: [],
  },
  'final-rinse': { ...FLOOD, reason: 'last-water-decides-spots', cautions: [] },
  blow: {
    ...PLAIN,
    reach: 'drifts',
    takes: 'blow',
    goesOverBody: true,
    reason: 'gaps-hold-water',
    cautions: ['mains-near-water'],
  },
  towel: {
    ...PLAIN,
    takes: 'wipe',
    goesOverBody: true,
    reason: 'minerals-leave-with-the-towel',
    cautions: [],
  },
  shuts: { ...PLAIN, reason: 'gaps-hold-water', cautions: [] },
  strip: {
    ...PLAIN,
    wets: { film: 'product', passesFraction: BUCKET_FRACTION, water: 'bucket', isProduct: true },
    rinses: 'body',
    wantsRinse: true,
    goesOverBody: true,
    reason: 'hand-takes-what-is-left',
    cautions: ['data-sheet', 'gloves-and-goggles'],
  },
  seal: {
    ...PLAIN,
    lays: true,
    wantsDry: true,
    goesOverBody: true,
    reason: 'bare-paint-wants-cover',
    cautions: ['data-sheet'],
  },
  'bare-check': {
    ...PLAIN,
    goesOverBody: true,
    reason: 'no-bead-means-bare',
    cautions: ['data-sheet', 'bare-until-coated'],
  },
  'charge-port': { ...PLAIN, reason: 'only-when-dry', cautions: ['never-while-charging'] },
  'salt-neutraliser': { ...SPRAYED, goesOverBody: true, reason: 'salt-sits-under', cautions: ['data-sheet'] },
  bugs: { ...SPRAYED, reason: 'dwells-while-others-are-done', cautions: ['data-sheet'] },
  iron: {
    ...SPRAYED,
    reason: 'dwells-while-others-are-done',
    cautions: ['data-sheet', 'gloves-and-goggles'],
  },
  tar: {
    ...SPRAYED,
    goesOverBody: true,
    reason: 'dwells-while-others-are-done',
    cautions: ['data-sheet', 'gloves-and-goggles'],
  },
  'engine-bay': { ...PLAIN, reason: 'shop-does-it-here', cautions: ['engine-cool-and-covered'] },
  mats: { ...PLAIN, reason: 'shop-does-it-here', cautions: [] },
  tyres: { ...PLAIN, wantsDry: true, reason: 'only-when-dry', cautions: [] },
  'underbody-flush': { ...UNDER, reason: 'under-before-body', cautions: [] },
  'underbody-foam': {
    ...PLAIN,
    reach: 'drifts',
    wantsRinse: true,
    reason: 'under-before-body',
    cautions: ['data-sheet', 'gloves-and-goggles', 'liners-off-first-time'],
  },
  clay: {
    ...PLAIN,
    wets: { film: 20, passesFraction: 0, water: 'place', isProduct: false },
    goesOverBody: true,
    reason: 'bonded-dirt-last',
    cautions: ['data-sheet'],
  },
  polish: { ...PLAIN, wantsDry: true, goesOverBody: true, reason: 'only-when-dry', cautions: ['data-sheet'] },
  'top-up': {
    ...PLAIN,
    wantsDry: true,
    goesOverBody: true,
    reason: 'only-when-dry',
    cautions: ['data-sheet', 'soak-towels-at-once'],
  },
  coat: {
    ...PLAIN,
    wantsDry: true,
    goesOverBody: true,
    reason: 'bare-paint-wants-cover',
    cautions: ['data-sheet', 'soak-towels-at-once'],
  },
  'film-remover': {
    ...SPRAYED,
    goesOverBody: true,
    reason: 'loose-dirt-before-touch',
    cautions: ['data-sheet', 'gloves-and-goggles'],
  },
  'water-test': { ...PLAIN, goesOverBody: true, reason: 'no-bead-means-bare', cautions: [] },
  // Sprayed on an area and rinsed off it with pressure 15 to 20 s later, before the next one: a rinse that leaves something.
  'wet-seal': {
    ...FLOOD,
    clearsItself: true,
    lays: true,
    reason: 'wet-paint-takes-it',
    cautions: ['data-sheet', 'no-jet-at-sensors'],
  },
  // One or two sprays a panel, under the towel that dries it.
  'dry-seal': {
    ...PLAIN,
    takes: 'wipe',
    lays: true,
    goesOverBody: true,
    reason: 'wet-paint-takes-it',
    cautions: ['data-sheet', 'haze-again', 'soak-towels-at-once'],
  },
  'foam-seal': {
    ...SPRAYED,
    reach: 'flies',
    lays: true,
    goesOverBody: true,
    reason: 'foam-on-bare-paint',
    cautions: ['data-sheet'],
  },
};

/** How far what a step throws reaches. */
export const reachOf = ({ id }: { readonly id: WashStepId }): StepKind['reach'] => STEP_KINDS[id].reach;
