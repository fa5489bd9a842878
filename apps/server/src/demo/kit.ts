import type { Gear, Product } from '@keen/core';

/** What most bottles have in common. */
const bottle = (
  what: Pick<Product, 'id' | 'name' | 'role'>,
  [inUsePh, usualParts, fewestParts, mostParts]: readonly [
    ph: number,
    usual: number,
    fewest: number,
    most: number,
  ],
  rest: Partial<Product> = {},
): Product => ({
  ...what,
  inUsePh,
  usualParts,
  fewestParts,
  mostParts,
  capMl: 30,
  carMl: null,
  dwell: null,
  lowestWorkC: null,
  lowestStoreC: 0,
  keptIn: 'indoors',
  bottleMl: 1000,
  leftMl: 700,
  lowMl: 150,
  priceMinor: 2400,
  notes: '',
  ...rest,
});

/** The shelf of the made-up shop: names say what is in them. */
export const DEMO_PRODUCTS: readonly Product[] = [
  bottle({ id: 'rinseless', name: 'Blue rinseless concentrate', role: 'rinseless' }, [7.5, 255, 15, 320], {
    bottleMl: 950,
    leftMl: 1920,
    lowestStoreC: 1,
    keptIn: 'van',
  }),
  bottle({ id: 'shampoo', name: 'Plain shampoo', role: 'shampoo' }, [7, 500, 200, 1000], {
    bottleMl: 2000,
    leftMl: 1350,
  }),
  bottle({ id: 'foam', name: 'Winter foam', role: 'alkaline-pre-wash' }, [10.8, 9, 4, 20], {
    dwell: { minMinutes: 3, maxMinutes: 8 },
    lowestWorkC: -5,
    lowestStoreC: -4,
    keptIn: 'van',
    bottleMl: 5000,
    leftMl: 2900,
    lowMl: 600,
    priceMinor: 4200,
  }),
  bottle({ id: 'wheels', name: 'Neutral wheel cleaner', role: 'wheel-cleaner' }, [7.8, 3, 1, 6], {
    dwell: { minMinutes: 1, maxMinutes: 4 },
    lowestWorkC: 2,
    leftMl: 180,
    lowMl: 250,
    keptIn: 'van',
  }),
  bottle({ id: 'salt', name: 'Salt neutraliser', role: 'salt-neutraliser' }, [4.6, 19, 9, 40], {
    dwell: { minMinutes: 3, maxMinutes: 4 },
  }),
  bottle({ id: 'waterless', name: 'Waterless spray, ready to use', role: 'waterless' }, [7, 0, 0, 0], {
    leftMl: 2100,
    bottleMl: 5000,
    lowMl: 500,
    capMl: null,
  }),
  bottle({ id: 'drying', name: 'Silica drying aid', role: 'drying-aid' }, [7, 15, 8, 20], {
    keptIn: 'van',
    lowestStoreC: 2,
  }),
  bottle({ id: 'iron', name: 'Iron remover', role: 'iron-remover' }, [6.4, 0, 0, 3], {
    dwell: { minMinutes: 2, maxMinutes: 4 },
    lowestWorkC: 5,
    capMl: null,
  }),
  bottle({ id: 'strip', name: 'Strip shampoo', role: 'strip-shampoo' }, [11.4, 60, 40, 120], {
    dwell: { minMinutes: 3, maxMinutes: 5 },
  }),
  bottle({ id: 'tar', name: 'Tar remover', role: 'tar-remover' }, [7, 0, 0, 0], {
    dwell: { minMinutes: 1, maxMinutes: 2 },
    lowestWorkC: 5,
    capMl: null,
  }),
  bottle({ id: 'wipe', name: 'Panel wipe', role: 'panel-wipe' }, [7, 0, 0, 0], {
    lowestWorkC: 5,
    capMl: null,
  }),
  bottle({ id: 'underbody', name: 'Underbody foam concentrate', role: 'underbody-foam' }, [8.2, 4, 4, 10], {
    dwell: { minMinutes: 3, maxMinutes: 6 },
    lowestWorkC: 1,
    lowestStoreC: 0,
    bottleMl: 5000,
    leftMl: 3800,
    lowMl: 800,
    priceMinor: 7500,
  }),
  bottle({ id: 'sealant', name: 'Spray sealant', role: 'sealant' }, [7, 0, 0, 0], {
    lowestWorkC: 10,
    capMl: null,
  }),
  bottle({ id: 'rinse-off', name: 'Rinse-off sealant', role: 'wet-sealant' }, [7, 0, 0, 0], {
    lowestWorkC: 2,
    capMl: null,
    keptIn: 'van',
    lowestStoreC: 1,
    bottleMl: 500,
    leftMl: 410,
    priceMinor: 1900,
  }),
  bottle({ id: 'foam-seal', name: 'Foaming sealant concentrate', role: 'foaming-sealant' }, [7, 9, 4, 15], {
    dwell: { minMinutes: 1, maxMinutes: 2 },
    lowestWorkC: 5,
    priceMinor: 4600,
  }),
];

const piece = (what: Pick<Gear, 'id' | 'name' | 'kind'>, rest: Partial<Gear> = {}): Gear => ({
  ...what,
  count: 1,
  cleanCount: 0,
  volumeMl: null,
  outputLitresPerBottle: null,
  lifeLitres: null,
  litresUsed: 0,
  notes: '',
  ...rest,
});

export const DEMO_GEAR: readonly Gear[] = [
  piece(
    { id: 'folded-towels', name: 'Edgeless towels, grey', kind: 'folded-towel' },
    {
      count: 30,
      cleanCount: 14,
      launderedTimes: 18,
    },
  ),
  piece(
    { id: 'drying-towels', name: 'Twisted-loop drying towels', kind: 'drying-towel' },
    {
      count: 4,
      cleanCount: 2,
      launderedTimes: 31,
      holdsGrams: 420,
    },
  ),
  piece({ id: 'mitts', name: 'Wash mitts', kind: 'mitt' }, { count: 4, cleanCount: 4, launderedTimes: 12 }),
  piece({ id: 'hand-foamer', name: 'Pump foamer', kind: 'foamer' }, { volumeMl: 1000 }),
  piece({ id: 'sprayers', name: 'Trigger sprayers', kind: 'sprayer' }, { count: 4, volumeMl: 750 }),
  piece(
    { id: 'lance', name: 'Foam lance of the pressure washer', kind: 'lance' },
    {
      volumeMl: 1000,
      outputLitresPerBottle: 11,
      notes: 'Timed: a litre leaves in 95 s at 7 L/min.',
    },
  ),
  piece(
    { id: 'buckets', name: 'Wash buckets with lids', kind: 'bucket' },
    { count: 3, volumeMl: 15_000, hasGuard: true },
  ),
  piece({ id: 'blower', name: 'Heated blower', kind: 'blower' }),
  piece({ id: 'resin', name: 'Resin bottle, 7 L', kind: 'resin' }, { lifeLitres: 516, litresUsed: 447 }),
];
