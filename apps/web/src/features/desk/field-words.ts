import { fieldLabel } from './desk-view.js';

type Words = Readonly<Record<string, string>>;

/** What goes in and comes out, as the trade says it; of a sum that is not here, its own names stand. */
const WORDS: Readonly<Record<string, Words>> = {
  dilution: {
    totalMl: 'In all',
    waterMl: 'Water',
    productMl: 'Product',
    partsWater: 'Parts of water to one of product',
    percent: 'Product in the mix',
    mlPerLitreWater: 'Product to a litre of water',
    flOzPerUsGalWater: 'Product to a US gallon of water',
    capMl: 'One cap holds',
    caps: 'Caps',
  },
  mixed: {
    productMl: 'Product',
    waterMl: 'Water',
    wantedPartsWater: 'Wanted: parts of water to one of product',
    partsWater: 'Parts of water to one of product',
    percent: 'Product in the mix',
    totalMl: 'In all',
    addWaterMl: 'Water to add',
    addProductMl: 'Product to add',
  },
  'bottle-mix': {
    bottleMl: 'The bottle holds',
    partsWater: 'Parts of water to one of each product',
    productMl: 'Product, each',
    waterMl: 'Water',
    percent: 'Of the mix, each',
  },
  'panel-impact': {
    panelPercent: 'Wanted on the panel',
    applicator: 'It is put on by',
    bottleMl: 'The bottle holds',
    outputLitresPerBottle: 'Leaves the lance while one bottle is drawn',
    bottlePercent: 'Product in the bottle',
    productMl: 'Product',
    waterMl: 'Water',
    highestPanelPercent: 'Most that can reach the panel',
  },
  'mix-water': {
    hotC: 'Hot water',
    coldC: 'Cold water',
    targetC: 'Wanted',
    litres: 'In the bucket',
    hotLitres: 'Hot',
    coldLitres: 'Cold',
  },
  'bucket-cooling': {
    litres: 'In the bucket',
    startC: 'Water when you leave',
    ambientC: 'Where it stands on the way',
    uaWattsPerK: 'Lost by the bucket',
    minutes: 'On the way',
    tempC: 'Water on arrival',
  },
  meter: {
    startPriceMinor: 'To start',
    startSeconds: 'The start gives',
    blockPriceMinor: 'Each block after it',
    blockSeconds: 'A block gives',
    pausable: 'The meter can be paused',
    stepSeconds: 'Seconds of water, step by step',
    gapSeconds: 'Seconds between them',
    runThroughSeconds: 'If it runs on, it runs for',
    runThroughMinor: 'If it runs on',
    stopEachMinor: 'Stopped after every step',
    cheapestMinor: 'The cheapest',
  },
  residue: {
    tdsMgPerLitre: 'Dissolved in the water',
    filmGramsPerM2: 'Water left on the paint',
    mgPerM2: 'Minerals that stay',
  },
  'resin-life': {
    resinLitres: 'Resin',
    capacityGramsPerLitre: 'A litre of it takes up, as calcium carbonate',
    tdsMgPerLitre: 'Dissolved in the water',
    usedLitres: 'Water it has made already',
    litresTotal: 'Water in all',
    litresLeft: 'Water still to come',
  },
  'wind-chill': {
    airTempC: 'Air',
    windKmh: 'Wind at 10 m, as forecasts have it',
    windChillC: 'Feels like',
    frostbiteClass: 'Bare skin',
  },
};

/** What stands in the answer's sentence and drawing already, or cannot be read as a figure. */
const SAID: Readonly<Record<string, readonly string[]>> = {
  mixed: ['compared'],
  'panel-impact': ['possible'],
  meter: ['stopAfter'],
  'wind-chill': ['frostbiteClass'],
};

export const fieldWords = (sum: string, field: string): string => WORDS[sum]?.[field] ?? fieldLabel(field);

export const isSaid = (sum: string, field: string): boolean => SAID[sum]?.includes(field) ?? false;

/** "mL of finished mix" as "mL" where the words before it say what it is of; else as the sum has it. */
export function unitWords(sum: string, label: string): string {
  if (!(sum in WORDS)) return label;
  return label === 'N of 1:N' ? '' : label.replace(/ (?:of|to|in|on|at|leaving|as)\b.*$/, '');
}
