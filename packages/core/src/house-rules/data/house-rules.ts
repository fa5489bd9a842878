import type { Variant } from '../variant.js';

export interface HouseOption {
  readonly id: string;
  readonly says: string;
}

export interface HouseRuleRow {
  readonly id: string;
  readonly question: string;
  /** Each school in a line; the first is the default. */
  readonly options: readonly [HouseOption, HouseOption, ...HouseOption[]];
  /** What the choice moves. */
  readonly moves: string;
}

/** Where good people disagree: each a setting with both sides, a default and an effect. Judgement all of it. */
export const HOUSE_RULES = [
  {
    id: 'afterSnow',
    question: 'When after snow?',
    options: [
      { id: 'weigh', says: 'Weigh it: salt-hours saved against early re-soiling.' },
      { id: 'dry-roads', says: 'Wait until the roads are dry, else it is dirty again at once.' },
      { id: 'never-beyond', says: 'Never let salt sit beyond N days, whatever the road.' },
    ],
    moves: 'verdicts (roads rule) and the date by which a car is due',
  },
  {
    id: 'cadence',
    question: 'How often and how deep?',
    options: [
      { id: 'mixed', says: 'A cheap touch-free rinse by the cadence, a contact wash every so many days.' },
      { id: 'rinse-weekly', says: 'A cheap touch-free rinse every week, whatever else.' },
      { id: 'contact-when-fine', says: 'One proper contact wash when conditions allow.' },
    ],
    moves: 'which methods the morning prefers, and when a car is due',
  },
  {
    id: 'wheels',
    question: 'Wheels first or last?',
    options: [
      { id: 'by-method', says: 'By method: hose and bay first, rinseless last.' },
      { id: 'first', says: 'First: no wet paint left waiting, brake dust kept apart.' },
      { id: 'last', says: 'Last: garage and rinseless work, dirtiest last.' },
    ],
    moves: 'the order of steps',
  },
  {
    id: 'foam',
    question: 'Foam from which end?',
    options: [
      { id: 'bottom-up', says: 'Bottom up: it runs off and carries dirt.' },
      { id: 'top-down', says: 'Top down: it clings and dwells.' },
    ],
    moves: 'the direction and the dwell of foam',
  },
  {
    id: 'buckets',
    question: 'How many buckets?',
    options: [
      { id: 'by-kit', says: 'By the mitts owned: enough for one per panel, or else two buckets.' },
      { id: 'two', says: 'Two buckets with guards, soap in both.' },
      { id: 'one', says: 'One clean bucket and a fresh mitt per panel.' },
    ],
    moves: 'litres and mitts of contact washes',
  },
  {
    id: 'rinseBucketSoap',
    question: 'Soap in the rinse bucket?',
    options: [
      { id: 'yes', says: 'Yes: it draws dirt out of the mitt.' },
      { id: 'no', says: 'Plain water.' },
    ],
    moves: 'shampoo used',
  },
  {
    id: 'rinselessBy',
    question: 'Rinseless by towels or mitt?',
    options: [
      { id: 'by-kit', says: 'By the folded towels owned.' },
      { id: 'towels', says: 'Many folded towels, eight faces each.' },
      { id: 'mitt', says: 'Mitt or sponge with two buckets.' },
    ],
    moves: 'litres, towels and mitts of rinseless washes',
  },
  {
    id: 'sun',
    question: 'Wash in direct sun?',
    options: [
      { id: 'wet-edge', says: 'Where it does not dry too fast.' },
      { id: 'never', says: 'Never.' },
    ],
    moves: 'verdicts (sun rule)',
  },
  {
    id: 'halfSun',
    question: 'In a half-sunny bay?',
    options: [
      { id: 'sunny-first', says: 'Soap the sunny side first, rinse the shady side first.' },
      { id: 'shade-only', says: 'Shade only: wait for the sun to move.' },
    ],
    moves: 'verdicts (sun rule)',
  },
  {
    id: 'drying',
    question: 'How is it dried?',
    options: [
      { id: 'blow-and-towel', says: 'Blow out the gaps, towel the rest.' },
      { id: 'towel', says: 'Towel with a drying aid: minerals leave with the towel.' },
      { id: 'blower', says: 'Blower, touch nothing.' },
    ],
    moves: 'spots, water left in seals, minutes and towels',
  },
  {
    id: 'strip',
    question: 'Strip or keep?',
    options: [
      {
        id: 'keep',
        says: 'Keep protection with mild chemistry and top it up; stripping is a deliberate job.',
      },
      { id: 'strip', says: 'Strip the old sealant and re-seal each time.' },
    ],
    moves: 'steps, minutes and warmth needed by contact washes',
  },
  {
    id: 'underbody',
    question: 'Underbody how?',
    options: [
      { id: 'both', says: 'Both, as separate steps.' },
      { id: 'bounce', says: 'Bounce a jet off the ground from a squat.' },
      { id: 'ramps', says: 'Ramps and anti-corrosion foam.' },
    ],
    moves: 'steps, minutes and what comes off underneath',
  },
  {
    id: 'baySoap',
    question: 'Whose soap in the bay?',
    options: [
      { id: 'own-foam', says: 'Bring a foamer and use only the rinse, where the site allows it.' },
      { id: 'site', says: "The site's own." },
    ],
    moves: 'paid seconds, the soap’s pH, and verdicts (site rule)',
  },
  {
    id: 'wheelsBeforeRinse',
    question: 'Wheels before any rinse?',
    options: [
      {
        id: 'off-meter',
        says: 'Clean dry-foamed wheels off the meter, then rinse once; not where they are delicate.',
      },
      { id: 'rinse-first', says: 'Rinse the grit off first, safer.' },
    ],
    moves: 'the order of steps and paid seconds',
  },
] as const satisfies readonly HouseRuleRow[];

type Rows = typeof HOUSE_RULES;
export type HouseRuleId = Rows[number]['id'];
/** The school chosen for each question. */
export type HouseChoices = {
  readonly [Id in HouseRuleId]: Extract<Rows[number], { readonly id: Id }>['options'][number]['id'];
};

/** Numbers that some schools need. */
export const HOUSE_NUMBERS = [
  {
    id: 'neverBeyondDays',
    value: 10,
    min: 1,
    max: 60,
    unit: 'days',
    means: 'longest that salt may sit, for those who never let it sit beyond N days',
  },
  {
    id: 'contactEveryDays',
    value: 28,
    min: 1,
    max: 365,
    unit: 'days',
    means: 'between contact washes, where touch-free and contact are mixed',
  },
  { id: 'mittsOwned', value: 2, min: 0, max: 50, unit: 'mitts', means: 'clean mitts at hand for one wash' },
  {
    id: 'foldedTowelsOwned',
    value: 12,
    min: 0,
    max: 200,
    unit: 'towels',
    means: 'clean towels at hand for one rinseless wash',
  },
  {
    id: 'towelHoldsGrams',
    value: 350,
    min: 20,
    max: 3000,
    unit: 'g',
    means: 'water that one drying towel takes up before it smears',
  },
  {
    id: 'sizeCountsPercent',
    value: 100,
    min: 0,
    max: 200,
    unit: '%',
    means:
      'how far a larger or smaller surface than a saloon’s counts in the time and water of a wash; 0: not at all',
  },
  {
    id: 'restMinutes',
    value: 0,
    min: 0,
    max: 240,
    unit: 'min',
    means: 'rest at home between two washes of the same hands, beside the ways',
  },
] as const satisfies readonly {
  id: string;
  value: number;
  min: number;
  max: number;
  unit: string;
  means: string;
}[];

export type HouseNumberId = (typeof HOUSE_NUMBERS)[number]['id'];
export type HouseNumbers = Readonly<Record<HouseNumberId, number>>;

/** Ids of bottles by the step that takes them. */
export type BottlesByStep = Readonly<Partial<Record<string, string>>>;

export interface HouseRules {
  readonly choices: HouseChoices;
  readonly numbers: HouseNumbers;
  /** The shop's own way of a method, by its id; absent: as it ships. */
  readonly variants?: Readonly<Partial<Record<string, Variant>>>;
  /** The bottle that the shop takes for a kind of step, by the step's id; absent: the mildest that works. */
  readonly products?: BottlesByStep;
}

/** The house as it ships. */
export const DEFAULT_HOUSE: HouseRules = Object.freeze({
  choices: Object.fromEntries(
    HOUSE_RULES.map(({ id, options }) => [id, options[0].id]),
  ) as unknown as HouseChoices,
  numbers: Object.fromEntries(HOUSE_NUMBERS.map(({ id, value }) => [id, value])) as Record<
    HouseNumberId,
    number
  >,
});
