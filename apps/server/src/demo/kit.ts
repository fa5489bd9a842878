import type { Gear, Product } from '@keen/core';

/** What most bottles have in common. */
const bottle = (
  id: string,
  name: string,
  role: Product['role'],
  [inUsePh, usualParts, fewestParts, mostParts]: readonly [
    ph: number,
    usual: number,
    fewest: number,
    most: number,
  ],
  rest: Partial<Product> = {},
): Product => ({
  id,
  name,
  role,
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
  bottle('rinseless', 'Blue rinseless concentrate', 'rinseless', [7.5, 255, 15, 320], {
    bottleMl: 950,
    leftMl: 1920,
    lowestStoreC: 1,
    keptIn: 'van',
  }),
  bottle('shampoo', 'Plain shampoo', 'shampoo', [7, 500, 200, 1000], { bottleMl: 2000, leftMl: 1350 }),
  bottle('foam', 'Winter foam', 'alkaline-pre-wash', [10.8, 9, 4, 20], {
    dwell: { minMinutes: 3, maxMinutes: 8 },
    lowestWorkC: -5,
    lowestStoreC: -4,
    keptIn: 'van',
    bottleMl: 5000,
    leftMl: 2900,
    lowMl: 600,
    priceMinor: 4200,
  }),
  bottle('wheels', 'Neutral wheel cleaner', 'wheel-cleaner', [7.8, 3, 1, 6], {
    dwell: { minMinutes: 1, maxMinutes: 4 },
    lowestWorkC: 2,
    leftMl: 180,
    lowMl: 250,
    keptIn: 'van',
  }),
  bottle('salt', 'Salt neutraliser', 'salt-neutraliser', [4.6, 19, 9, 40], {
    dwell: { minMinutes: 3, maxMinutes: 4 },
  }),
  bottle('waterless', 'Waterless spray, ready to use', 'waterless', [7, 0, 0, 0], {
    leftMl: 2100,
    bottleMl: 5000,
    lowMl: 500,
    capMl: null,
  }),
  bottle('drying', 'Silica drying aid', 'drying-aid', [7, 15, 8, 20], { keptIn: 'van', lowestStoreC: 2 }),
  bottle('iron', 'Iron remover', 'iron-remover', [6.4, 0, 0, 3], {
    dwell: { minMinutes: 2, maxMinutes: 4 },
    lowestWorkC: 5,
    capMl: null,
  }),
  bottle('strip', 'Strip shampoo', 'strip-shampoo', [11.4, 60, 40, 120], {
    dwell: { minMinutes: 3, maxMinutes: 5 },
  }),
  bottle('tar', 'Tar remover', 'tar-remover', [7, 0, 0, 0], {
    dwell: { minMinutes: 1, maxMinutes: 2 },
    lowestWorkC: 5,
    capMl: null,
  }),
  bottle('wipe', 'Panel wipe', 'panel-wipe', [7, 0, 0, 0], { lowestWorkC: 5, capMl: null }),
  bottle('underbody', 'Underbody foam concentrate', 'underbody-foam', [8.2, 4, 4, 10], {
    dwell: { minMinutes: 3, maxMinutes: 6 },
    lowestWorkC: 1,
    lowestStoreC: 0,
    bottleMl: 5000,
    leftMl: 3800,
    lowMl: 800,
    priceMinor: 7500,
  }),
  bottle('sealant', 'Spray sealant', 'sealant', [7, 0, 0, 0], { lowestWorkC: 10, capMl: null }),
  bottle('rinse-off', 'Rinse-off sealant', 'wet-sealant', [7, 0, 0, 0], {
    lowestWorkC: 2,
    capMl: null,
    keptIn: 'van',
    lowestStoreC: 1,
    bottleMl: 500,
    leftMl: 410,
    priceMinor: 1900,
  }),
  bottle('foam-seal', 'Foaming sealant concentrate', 'foaming-sealant', [7, 9, 4, 15], {
    dwell: { minMinutes: 1, maxMinutes: 2 },
    lowestWorkC: 5,
    priceMinor: 4600,
  }),
];

const piece = (id: string, name: string, kind: Gear['kind'], rest: Partial<Gear> = {}): Gear => ({
  id,
  name,
  kind,
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
  piece('folded-towels', 'Edgeless towels, grey', 'folded-towel', {
    count: 30,
    cleanCount: 14,
    launderedTimes: 18,
  }),
  piece('drying-towels', 'Twisted-loop drying towels', 'drying-towel', {
    count: 4,
    cleanCount: 2,
    launderedTimes: 31,
  }),
  piece('mitts', 'Wash mitts', 'mitt', { count: 4, cleanCount: 4, launderedTimes: 12 }),
  piece('hand-foamer', 'Pump foamer', 'foamer', { volumeMl: 1000 }),
  piece('sprayers', 'Trigger sprayers', 'sprayer', { count: 4, volumeMl: 750 }),
  piece('lance', 'Foam lance of the pressure washer', 'lance', {
    volumeMl: 1000,
    outputLitresPerBottle: 11,
    notes: 'Timed: a litre leaves in 95 s at 7 L/min.',
  }),
  piece('buckets', 'Wash buckets with lids', 'bucket', { count: 3, volumeMl: 15_000, hasGuard: true }),
  piece('blower', 'Heated blower', 'blower'),
  piece('resin', 'Resin bottle, 7 L', 'resin', { lifeLitres: 516, litresUsed: 447 }),
];
