import { type Cloths, type GroupFaces } from './cloths.js';
import { windChill, type WindChill } from '../air/index.js';
import type { Mix } from '../kit/index.js';
import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import { HOTTEST_FOR_HANDS_C, mixWater, type MixedWater, startForArrival, TEPID_C } from '../water/index.js';
import type { WashCost } from '../plan/index.js';

/** Water that hands dip into: how much, how warm it is to be, and how to make it so. */
export interface WarmWater {
  readonly litres: number;
  readonly wantedC: number;
  /** How warm it leaves, so that it is as wanted on arrival. */
  readonly startC: number;
  /** From the hot and the cold tap at home; null: hotter than the tap gives. */
  readonly mix: MixedWater | null;
  /** Too hot for hands when it leaves: mix it at the place instead. */
  readonly isHotForHands: boolean;
  /** Drawn there from the paid gun, as warm as it comes; absent: brought. */
  readonly isFilledThere?: true;
  /** Buckets that are owned, and what each is filled with, mL; absent: the kit does not say. */
  readonly buckets?: { readonly count: number; readonly volumeMl: number };
}

export const PACK_ITEMS = [
  'lidded-buckets',
  'empty-buckets',
  'foamer',
  'mitts',
  'wheel-kit',
  'folded-towels',
  'drying-towels',
  'drying-aid',
  'blower',
  'coins-or-card',
  'lined-gloves',
  'waterproof-shoes',
  'boot-liner',
  'timer',
  'floor-squeegee',
  'drain-cover',
  'light',
  'grit',
  'dust-sheet',
  'drip-mat',
] as const;
export type PackItem = (typeof PACK_ITEMS)[number];

/** How many cloths are clean. */
export type CleanMedia = Readonly<Record<keyof Method['media'], number | null>>;

export interface Preparation {
  readonly water: WarmWater | null;
  /** From all taps, lances and buckets. */
  readonly litresInAll: number;
  /** As the car's soil wants them. */
  readonly media: Method['media'];
  /** Faces of the folded towels that wash, by group. */
  readonly faces: readonly GroupFaces[];
  /** Of each, laundered and dry; null: the kit does not say. */
  readonly clean: CleanMedia;
  /** In the order to mix. */
  readonly mixes: readonly Mix[];
  readonly pack: readonly PackItem[];
  /** Coins or card, minor units: the meter in its cheapest way, and the visit. */
  readonly money: Pick<WashCost, 'visitMinor' | 'meterMinor'>;
  /** What stopping the meter saves against letting it run; 0 where there is none. */
  readonly savedMinor: number;
  readonly cold: { readonly windChill: WindChill; readonly handsMinutes: number };
  readonly forbids: Place['forbids'];
}

/** A lidded bucket in a car (physics notes; judgement). */
const LIDDED_WATTS_PER_K = 1.8;
/** What a domestic hot tap gives, and a cold one in winter, °C (judgement). */
export const TAP_C = { hot: 55, cold: 8 } as const;
const BUCKET_STEPS: ReadonlySet<string> = new Set(['contact', 'rinseless', 'pre-soak', 'strip']);

function warmWater(
  method: Method,
  trip: { readonly minutes: number; readonly airTempC: number },
): WarmWater | null {
  const litres = method.steps
    .filter(({ id }) => BUCKET_STEPS.has(id))
    .reduce((sum, step) => sum + step.litres, 0);
  if (litres === 0) return null;
  const wantedC = method.bucketC ?? TEPID_C;
  if (method.fillsBuckets) {
    const isHotForHands = wantedC > HOTTEST_FOR_HANDS_C;
    return { litres, wantedC, startC: wantedC, mix: null, isHotForHands, isFilledThere: true };
  }
  const startC = startForArrival({
    litres,
    wantedC,
    ambientC: trip.airTempC,
    uaWattsPerK: LIDDED_WATTS_PER_K,
    minutes: trip.minutes,
  });
  const isWithinTap = startC >= TAP_C.cold && startC <= TAP_C.hot;
  return {
    litres,
    wantedC,
    startC,
    mix: isWithinTap ? mixWater({ hotC: TAP_C.hot, coldC: TAP_C.cold, targetC: startC, litres }) : null,
    isHotForHands: startC > HOTTEST_FOR_HANDS_C,
  };
}

const inBuckets = (water: WarmWater | null, buckets: WarmWater['buckets']): WarmWater | null =>
  water && buckets ? { ...water, buckets } : water;

function packList(
  place: Place,
  { method, media }: { method: Method; media: Method['media'] },
  around: { coldC: number; isDark: boolean },
): PackItem[] {
  const steps = new Set<string>(method.steps.map(({ id }) => id));
  const goesOut = place.travelMinutes > 0;
  const indoors = place.kind === 'garage' || place.kind === 'heated-unit';
  const isNeighbourClose = place.forbids.includes('neighbour-close');
  const { mitts, foldedTowels, dryingTowels } = media;
  const dipsIn = method.steps.some(({ id }) => BUCKET_STEPS.has(id));
  const wants: readonly (readonly [PackItem, boolean])[] = [
    ['lidded-buckets', !method.fillsBuckets && dipsIn],
    ['empty-buckets', method.fillsBuckets === true && dipsIn],
    ['foamer', method.needs.includes('own-foam')],
    ['mitts', mitts > 0],
    ['wheel-kit', steps.has('wheels')],
    ['folded-towels', foldedTowels > 0],
    ['drying-towels', dryingTowels > 0],
    ['drying-aid', steps.has('towel') && !method.strips],
    ['blower', steps.has('blow')],
    ['coins-or-card', place.tariff !== null || place.kind === 'automatic-bay'],
    ['lined-gloves', around.coldC < 8 && method.handsMinutes > 0],
    ['waterproof-shoes', method.litres > 20],
    ['boot-liner', goesOut && (mitts > 0 || foldedTowels > 0)],
    ['timer', method.steps.some(({ dwell }) => dwell !== null)],
    ['floor-squeegee', indoors],
    ['drain-cover', indoors && place.hasDrain],
    ['light', around.isDark && !place.hasLight],
    ['grit', around.coldC < 0 && !indoors && method.litres > 0],
    ['dust-sheet', isNeighbourClose],
    ['drip-mat', isNeighbourClose && !place.hasDrain],
  ];
  return wants.flatMap(([item, isWanted]) => (isWanted ? [item] : []));
}

/**
 * What has to be mixed, packed and put on for this wash?
 *
 * @param wash the place, the method as the shop does it, what it costs there, what is mixed, which cloths it takes, how many are clean
 * @param around air outdoors and at the place (°C), wind outdoors (m/s), whether it is dark
 * @returns amounts, times and money; water starts so hot that it arrives as wanted (Newton cooling in a lidded bucket, judgement)
 */
export function preparation(
  wash: {
    readonly place: Place;
    readonly method: Method;
    readonly cost: WashCost;
    readonly mixes: readonly Mix[];
    readonly cloths: Cloths;
    readonly clean: CleanMedia;
    readonly buckets?: WarmWater['buckets'];
  },
  around: {
    readonly outdoorsC: number;
    readonly placeC: number;
    readonly windMetresPerSecond: number;
    readonly isDark: boolean;
  },
): Preparation {
  const { place, method, cost, mixes, cloths, clean } = wash;
  const { media, faces } = cloths;
  const { meter } = cost;
  return {
    water: inBuckets(
      warmWater(method, { minutes: place.travelMinutes, airTempC: around.outdoorsC }),
      wash.buckets,
    ),
    litresInAll: method.litres,
    media,
    faces,
    clean,
    mixes,
    pack: packList(place, { method, media }, { coldC: around.placeC, isDark: around.isDark }),
    money: { visitMinor: cost.visitMinor, meterMinor: cost.meterMinor },
    savedMinor: meter ? meter.runThroughMinor - meter.cheapestMinor : 0,
    cold: {
      windChill: windChill({ airTempC: around.placeC, windKmh: around.windMetresPerSecond * 3.6 }),
      handsMinutes: method.handsMinutes,
    },
    forbids: place.forbids,
  };
}
