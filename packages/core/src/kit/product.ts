import type { MinutesRange } from '../quantity/index.js';
import type { ProductRole } from '../protection/index.js';

export const KEPT_IN = ['van', 'indoors'] as const;
/** Where it stands overnight. */
export type KeptIn = (typeof KEPT_IN)[number];

/** A level that somebody read off a bottle, and what the program expected to be left then, mL. */
export interface BottleLevel {
  readonly atMs: number;
  readonly readMl: number;
  readonly expectedMl: number;
}

/** A bottle on the shelf, as its label has it. */
export interface Product {
  readonly id: string;
  readonly name: string;
  readonly role: ProductRole;
  /** As used, from the label: dilution moves it by about one unit only. */
  readonly inUsePh: number;
  /** Parts of water to one of product: the usual, and the range of the label; 0 is neat. */
  readonly usualParts: number;
  readonly fewestParts: number;
  readonly mostParts: number;
  /** What one cap of this bottle holds; null: not known. */
  readonly capMl: number | null;
  /** Neat product that one saloon takes of it, mL, as the shop found; null: by practice. */
  readonly carMl: number | null;
  /** Shortest and longest dwell of the label, minutes; null: it does not dwell, or the label is silent. */
  readonly dwell: MinutesRange | null;
  /** Below this it does not work, °C; null: the label is silent. */
  readonly lowestWorkC: number | null;
  /** Below this it freezes or falls apart, °C; null: it may freeze. */
  readonly lowestStoreC: number | null;
  readonly keptIn: KeptIn;
  readonly bottleMl: number;
  readonly leftMl: number;
  /** From here on it is to be bought. */
  readonly lowMl: number;
  /** Of a bottle, minor units. */
  readonly priceMinor: number;
  readonly notes: string;
  /** As it was read, the newest last; absent or null: before it was kept. */
  readonly levels?: readonly BottleLevel[] | null;
}

export const GEAR_KINDS = [
  'folded-towel',
  'drying-towel',
  'household-towel',
  'mitt',
  'sponge',
  'sprayer',
  'foamer',
  'bucket',
  'lance',
  'blower',
  'steamer',
  'inline-filter',
  'resin',
] as const;
export type GearKind = (typeof GEAR_KINDS)[number];

/** Counted clean and soiled, and laundered. */
export const CLOTH_KINDS: ReadonlySet<GearKind> = new Set([
  'folded-towel',
  'drying-towel',
  'household-towel',
  'mitt',
  'sponge',
]);

export const CLOTH_DUTIES = ['paint', 'sills', 'wheels'] as const;
/** What a cloth may still touch: a worn one goes down from paint to sills, then to wheels. */
export type ClothDuty = (typeof CLOTH_DUTIES)[number];

/** What is not used up at once: cloths, bottles, machines, filters. */
export interface Gear {
  readonly id: string;
  readonly name: string;
  readonly kind: GearKind;
  readonly count: number;
  /** Of cloths and mitts: laundered and dry. */
  readonly cleanCount: number;
  /** Of a sprayer, a foamer's bottle or a bucket, mL; null: it holds none. */
  readonly volumeMl: number | null;
  /** Of a foamer or lance, measured: everything that leaves while its bottle is drawn, litres; null: it puts out what is in it. */
  readonly outputLitresPerBottle: number | null;
  /** Of a filter or resin: litres in all until it is spent, and litres run through; null: no filter. */
  readonly lifeLitres: number | null;
  readonly litresUsed: number;
  readonly notes: string;
  /** Of cloths and mitts; absent: paint. */
  readonly duty?: ClothDuty;
  /** How often each of them was laundered, on average; absent: nobody counted. */
  readonly launderedTimes?: number;
  /** Of buckets, a grid that keeps the grit down; absent or null: nobody says. */
  readonly hasGuard?: boolean | null;
  /** Of drying towels: water that each takes up by its pile, weighed dry and dripping, g; absent or null: nobody weighed one. */
  readonly holdsGrams?: number | null;
}

/** All that the shop owns. */
export interface Kit {
  readonly products: readonly Product[];
  readonly gear: readonly Gear[];
}

export const EMPTY_KIT: Kit = { products: [], gear: [] };

const ofKind = ({ gear }: Pick<Kit, 'gear'>, kind: GearKind): Gear[] =>
  gear.filter((one) => one.kind === kind);

/** May it still touch paint? */
export const isForPaint = ({ duty = 'paint' }: Pick<Gear, 'duty'>): boolean => duty === 'paint';

/** How many of a kind are clean and may touch paint; null where the kit holds none of it. */
export function cleanOf(kit: Pick<Kit, 'gear'>, kind: GearKind): number | null {
  const found = ofKind(kit, kind).filter(isForPaint);
  return found.length === 0 ? null : found.reduce((sum, { cleanCount }) => sum + cleanCount, 0);
}

/** The first of a kind; null: the kit holds none. */
export const firstOfKind = (kit: Pick<Kit, 'gear'>, kind: GearKind): Gear | null =>
  ofKind(kit, kind)[0] ?? null;
