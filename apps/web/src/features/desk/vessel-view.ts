import type { Format } from '../../format/format.js';
import { OUNCES_PER_GALLON } from '../../format/scales.js';
import { number, numbers, type Worked } from './worked.js';

/** One layer of what is in a vessel, from below. */
export interface Layer {
  readonly kind: 'product' | 'second' | 'water' | 'hot' | 'cold';
  /** Of the vessel, 0–1. */
  readonly share: number;
  readonly text: string;
}

/** What can be set by pulling the top of the lowest layer, as input in the sum's own units. */
export interface Handle {
  readonly label: string;
  /** Where it stands, as a share of what is in the vessel. */
  readonly share: number;
  readonly set: (share: number) => Readonly<Record<string, number>>;
}

/** A bottle or bucket as it is drawn beside its sum. */
export interface Vessel {
  readonly shape: 'bottle' | 'bucket';
  readonly layers: readonly Layer[];
  readonly handle: Handle | null;
  /** It hangs under a lance, which thins what it draws. */
  readonly lance?: { readonly panelPercent: number; readonly text: string };
}

const inAll = (layers: readonly { readonly amount: number }[]): number =>
  layers.reduce((sum, { amount }) => sum + amount, 0);

/** Layers that fill the vessel between them, in proportion. */
function filled(
  parts: readonly { readonly kind: Layer['kind']; readonly amount: number; readonly text: string }[],
): Layer[] {
  const all = inAll(parts);
  return all > 0 ? parts.map(({ kind, amount, text }) => ({ kind, text, share: amount / all })) : [];
}

/** Fewer than this of a hundred cannot be measured out; with more there is no water left. */
const LEAST_SHARE = 0.002;
const MOST_SHARE = 0.95;
const held = (share: number): number => Math.min(MOST_SHARE, Math.max(LEAST_SHARE, share));

/** The strength in the way in which it was given. */
function strengthAt(input: Worked['input'], share: number): Readonly<Record<string, number>> {
  const parts = (1 - share) / share;
  if ('percent' in input) return { percent: 100 * share };
  if ('mlPerLitreWater' in input) return { mlPerLitreWater: 1000 / parts };
  if ('flOzPerUsGalWater' in input) return { flOzPerUsGalWater: OUNCES_PER_GALLON / parts };
  return { partsWater: parts };
}

/** More than this is mixed in a bucket. */
const BUCKET_FROM_ML = 5000;

type Draw = (worked: Worked, format: Format) => Vessel;

const productIn = (
  { output }: Worked,
  format: Format,
  amounts: readonly number[] = [number(output['productMl'])],
): Layer[] =>
  filled([
    ...amounts.map((amount, i) => ({
      kind: i % 2 === 0 ? ('product' as const) : ('second' as const),
      amount,
      text: `${format.ml(amount)} product`,
    })),
    {
      kind: 'water' as const,
      amount: number(output['waterMl']),
      text: `${format.ml(number(output['waterMl']))} water`,
    },
  ]);

/** The lance over a bottle, with what comes out of it; nothing for a hand sprayer. */
function underLance({ input }: Worked): Pick<Vessel, 'lance'> {
  const panelPercent = number(input['panelPercent']);
  return input['applicator'] === 'lance'
    ? { lance: { panelPercent, text: `${Number(panelPercent.toPrecision(3))} % on the panel` } }
    : {};
}

const DRAWN: Readonly<Record<string, Draw>> = {
  dilution: (worked, format) => ({
    shape: 'bottle',
    layers: productIn(worked, format),
    handle: {
      label: 'Product in the bottle',
      share: number(worked.output['percent']) / 100,
      set: (share) => strengthAt(worked.input, held(share)),
    },
  }),
  mixed: ({ input, output }, format) => {
    const total = number(output['totalMl']);
    return {
      shape: total > BUCKET_FROM_ML ? 'bucket' : 'bottle',
      layers: filled([
        {
          kind: 'product',
          amount: number(input['productMl']),
          text: `${format.ml(number(input['productMl']))} product`,
        },
        {
          kind: 'water',
          amount: number(input['waterMl']),
          text: `${format.ml(number(input['waterMl']))} water`,
        },
      ]),
      handle: {
        label: 'Product in it',
        share: number(output['percent']) / 100,
        set: (share) => ({ productMl: held(share) * total, waterMl: (1 - held(share)) * total }),
      },
    };
  },
  'bottle-mix': (worked, format) => ({
    shape: 'bottle',
    layers: productIn(worked, format, numbers(worked.output['productMl'])),
    handle: null,
  }),
  'panel-impact': (worked, format) => ({
    shape: 'bottle',
    layers: worked.output['possible'] === true ? productIn(worked, format) : [],
    handle: {
      label: 'Product in the bottle',
      share: number(worked.output['bottlePercent']) / 100,
      set: (share) => ({ panelPercent: held(share) * number(worked.output['highestPanelPercent']) }),
    },
    ...underLance(worked),
  }),
  'mix-water': ({ input, output }, format) => {
    const [hot, cold] = [number(output['hotLitres']), number(output['coldLitres'])];
    const [hotC, coldC] = [number(input['hotC']), number(input['coldC'])];
    return {
      shape: 'bucket',
      layers: filled([
        { kind: 'hot', amount: hot, text: `${format.litres(hot)} hot` },
        { kind: 'cold', amount: cold, text: `${format.litres(cold)} cold` },
      ]),
      handle: {
        label: 'Hot water in the bucket',
        share: hot + cold > 0 ? hot / (hot + cold) : 0,
        set: (share) => ({ targetC: coldC + Math.min(1, Math.max(0, share)) * (hotC - coldC) }),
      },
    };
  },
  'bucket-cooling': ({ input, output }, format) => ({
    shape: 'bucket',
    layers: [
      {
        kind: number(output['tempC']) > 20 ? 'hot' : 'cold',
        share: 1,
        text: `${format.litres(number(input['litres']))} at ${format.temp(number(output['tempC']))}`,
      },
    ],
    handle: null,
  }),
};

/** The vessel that goes with a sum; null: nothing is filled in it. */
export function vesselOf(name: string, worked: Worked, format: Format): Vessel | null {
  const vessel = DRAWN[name]?.(worked, format);
  return vessel && vessel.layers.length > 0 ? vessel : null;
}
