import { z } from 'zod';
import { meter } from '../meter/index.js';
import { swab } from '../salt/index.js';
import {
  bottleMix,
  bucketCooling,
  dilution,
  hardness,
  mixed,
  mixWater,
  panelImpact,
  residue,
  resinLife,
} from '../water/index.js';
import { defineCalculator } from './calculator.js';
import { number } from './fields.js';

const hardnessUnits = {
  mgPerLitreCaCO3: number('mg/L CaCO₃'),
  gpg: number('grains per US gallon'),
  dH: number('°dH'),
  fH: number('°fH'),
  clark: number('°e'),
  mmolPerLitre: number('mmol/L'),
};

export const hardnessSum = defineCalculator({
  name: 'hardness',
  question: 'How hard is this water, in every unit?',
  input: z.strictObject({
    value: number('in the unit given'),
    unit: z.enum(['mgPerLitreCaCO3', 'gpg', 'dH', 'fH', 'clark', 'mmolPerLitre']),
  }),
  output: z.object({ ...hardnessUnits, class: z.enum(['soft', 'moderately-hard', 'hard', 'very-hard']) }),
  run: hardness,
});

export const dilutionSum = defineCalculator({
  name: 'dilution',
  question: 'How much product and how much water?',
  input: z.strictObject({
    totalMl: number('mL of finished mix').optional(),
    waterMl: number('mL of water to add to').optional(),
    partsWater: number('N of 1:N').optional(),
    percent: number('% of the finished mix').optional(),
    mlPerLitreWater: number('mL per L of water').optional(),
    flOzPerUsGalWater: number('fl oz per US gallon of water').optional(),
    capMl: number('mL in one cap').optional(),
  }),
  output: z.object({
    productMl: number('mL'),
    waterMl: number('mL'),
    totalMl: number('mL'),
    partsWater: number('N of 1:N'),
    percent: number('%'),
    mlPerLitreWater: number('mL/L'),
    caps: number('caps').nullable(),
  }),
  run: dilution,
});

export const mixedSum = defineCalculator({
  name: 'mixed',
  question: 'I put this much in that much: what is it, and what should it be?',
  input: z.strictObject({
    productMl: number('mL'),
    waterMl: number('mL'),
    wantedPartsWater: number('N of 1:N').optional(),
  }),
  output: z.object({
    partsWater: number('N of 1:N'),
    percent: number('%'),
    totalMl: number('mL'),
    compared: z.enum(['as-wanted', 'stronger', 'weaker', 'not-compared']),
    addWaterMl: number('mL'),
    addProductMl: number('mL'),
  }),
  run: mixed,
});

export const bottleMixSum = defineCalculator({
  name: 'bottle-mix',
  question: 'Several products in one bottle: how much of each?',
  input: z.strictObject({
    bottleMl: number('mL'),
    partsWater: z.array(number('N of 1:N, one for each product')),
  }),
  output: z.object({
    productMl: z.array(number('mL')),
    waterMl: number('mL'),
    percent: z.array(number('%')),
  }),
  run: bottleMix,
});

export const panelImpactSum = defineCalculator({
  name: 'panel-impact',
  question: 'What must be in the bottle, so that this much arrives on the panel?',
  input: z.strictObject({
    panelPercent: number('% on the panel'),
    applicator: z.enum(['hand-sprayer', 'lance']),
    bottleMl: number('mL'),
    outputLitresPerBottle: number('L leaving the lance while one bottle is drawn').optional(),
  }),
  output: z.object({
    possible: z.boolean(),
    bottlePercent: number('%').nullable(),
    productMl: number('mL').nullable(),
    waterMl: number('mL').nullable(),
    highestPanelPercent: number('%'),
  }),
  run: panelImpact,
});

export const mixWaterSum = defineCalculator({
  name: 'mix-water',
  question: 'How much hot and how much cold for a bucket at this temperature?',
  input: z.strictObject({
    hotC: number('°C'),
    coldC: number('°C'),
    targetC: number('°C'),
    litres: number('L'),
  }),
  output: z.object({ hotLitres: number('L'), coldLitres: number('L'), caution: z.string().optional() }),
  run: mixWater,
});

export const bucketCoolingSum = defineCalculator({
  name: 'bucket-cooling',
  question: 'How warm is the bucket on arrival?',
  input: z.strictObject({
    litres: number('L'),
    startC: number('°C'),
    ambientC: number('°C'),
    uaWattsPerK: number('W/K'),
    minutes: number('min'),
  }),
  output: z.object({ tempC: number('°C') }),
  run: bucketCooling,
});

export const swabSum = defineCalculator({
  name: 'swab',
  question: 'How much salt did the patch lift?',
  input: z.strictObject({
    deltaMicroSiemensPerCm: number('µS/cm'),
    volumeMl: number('mL'),
    areaMm2: number('mm²'),
  }),
  output: z.object({ mgPerM2: number('mg/m²') }),
  run: swab,
});

export const residueSum = defineCalculator({
  name: 'residue',
  question: 'What stays on the paint when this film dries unwiped?',
  input: z.strictObject({ tdsMgPerLitre: number('mg/L'), filmGramsPerM2: number('g/m²') }),
  output: z.object({ mgPerM2: number('mg/m²') }),
  run: residue,
});

export const resinLifeSum = defineCalculator({
  name: 'resin-life',
  question: 'How much more water will this resin demineralise?',
  input: z.strictObject({
    resinLitres: number('L'),
    capacityGramsPerLitre: number('g/L as CaCO₃'),
    tdsMgPerLitre: number('mg/L'),
    usedLitres: number('L').optional(),
  }),
  output: z.object({ litresTotal: number('L'), litresLeft: number('L') }),
  run: resinLife,
});

export const meterSum = defineCalculator({
  name: 'meter',
  question: 'Is it cheaper to let the meter run or to stop it between steps?',
  input: z.strictObject({
    startPriceMinor: number('minor units'),
    startSeconds: number('s'),
    blockPriceMinor: number('minor units'),
    blockSeconds: number('s'),
    pausable: z.boolean(),
    stepSeconds: z.array(number('s')),
    gapSeconds: z.array(number('s')),
  }),
  output: z.object({
    runThroughSeconds: number('s'),
    runThroughMinor: number('minor units'),
    stopEachMinor: number('minor units'),
    cheapestMinor: number('minor units'),
    stopAfter: z.array(z.number()).readonly(),
  }),
  run: meter,
});
