import { STEP_KINDS } from '../method/index.js';
import type { WaitOutcome, WaterOutcome } from '../wash/index.js';
import { clear, ofDegree, unknown } from './finding.js';
import type { Finding, Rule, Situation } from './rule.js';

/** Minutes from wetting to wiping with time in hand. */
const neededMinutes = (minutes: number, { limits }: Situation): number =>
  minutes * (1 + limits.inHandFraction);

/** Judges a wait against the minutes that ice or drying leave it. */
export function judgeWait(
  situation: Situation,
  ruleId: 'ice-on-car' | 'spots',
  { panel, minutes, needed }: WaitOutcome & { readonly minutes: number },
): Finding {
  const limit = neededMinutes(needed, situation);
  const margin = minutes - limit;
  return {
    ruleId,
    level: margin < 0 ? 'block' : 'clear',
    margin,
    unit: 'min',
    comfort: limit > 0 ? margin / limit : margin,
    actual: minutes,
    limit,
    panel,
    section: situation.method.section,
  };
}

/** Never freezes in the time looked at: the margin is the coldest panel's distance from 0 °C. */
function neverFreezes({ coldest }: WaterOutcome): Finding {
  const { tempC, panel } = coldest;
  return {
    ruleId: 'ice-on-car',
    level: 'clear',
    margin: tempC,
    unit: 'K',
    comfort: Math.max(0.05, tempC / 2),
    actual: tempC,
    limit: 0,
    panel,
  };
}

function judgeLeftFilm(water: WaterOutcome, limits: Situation['limits']): Finding {
  if (water.ice.minutes === null) return neverFreezes(water);
  const { coldest } = water;
  const margin = coldest.tempC - limits.leftFilmColdestC;
  return {
    ruleId: 'ice-on-car',
    level: margin < 0 ? 'block' : 'condition',
    margin,
    unit: 'K',
    comfort: margin / 3,
    actual: coldest.tempC,
    limit: limits.leftFilmColdestC,
    panel: coldest.panel,
    remedy: margin < 0 ? undefined : 'wipe-gaps',
  };
}

export const iceOnCar: Rule = {
  id: 'ice-on-car',
  question: 'Is there ice on a panel when something rubs it, or when it is left?',
  glyph: 'ice',
  changesWithTime: true,
  limits: ['inHandFraction', 'leftFilmColdestC'],
  reads: ['water.ice', 'water.coldest', 'method.drying', 'method.section'],
  judge: (situation) => {
    const { water, method } = situation;
    if (!water) return unknown('ice-on-car');
    if (method.drying.kind === 'left') return judgeLeftFilm(water, situation.limits);
    const { minutes } = water.ice;
    return minutes === null
      ? neverFreezes(water)
      : judgeWait(situation, 'ice-on-car', { ...water.ice, minutes });
  },
};

export const falling: Rule = {
  id: 'falling',
  question: 'Will rain or snow fall on it while it is being dried?',
  glyph: 'falling',
  changesWithTime: true,
  limits: ['fallingMm'],
  reads: ['place.climate', 'method.drying', 'site.mostPrecipMm'],
  judge: ({ place, site, limits, method }) => {
    if (place.climate.kind !== 'outdoors' || method.drying.kind === 'left') return clear('falling');
    if (!site) return unknown('falling');
    const limit = limits.fallingMm;
    const actual = site.mostPrecipMm;
    return ofDegree('falling', 'block', {
      margin: limit - actual,
      unit: 'mm/h',
      scale: limit,
      actual,
      limit,
    });
  },
};

/** Water that a flood rinse leaves in seals, locks, mirrors and handles, mL (judgement: 20–100). */
const GAP_WATER_ML = 60;

/** What a mitt or a spray puts into them. */
const LITTLE_GAP_WATER_ML = 8;

const BLOWN_FRACTION = 0.1;

/** Water that this method leaves in the gaps, mL. */
export function gapWaterMl({ drying, filmGramsPerM2 }: Situation['method']): number {
  if (drying.kind === 'left') return GAP_WATER_ML * drying.filmFraction;
  if (filmGramsPerM2 !== null) return LITTLE_GAP_WATER_ML;
  return drying.by === 'towel' ? GAP_WATER_ML : GAP_WATER_ML * BLOWN_FRACTION;
}

export const sealsOvernight: Rule = {
  id: 'seals-overnight',
  question: 'Does what stays in seals and locks freeze where it stands tonight?',
  glyph: 'ice',
  changesWithTime: true,
  limits: ['gapWaterMl', 'groundFreezesC'],
  reads: ['method.drying', 'method.filmGramsPerM2', 'overnightC'],
  judge: ({ method, overnightC, limits }) => {
    const amount = gapWaterMl(method);
    if (amount <= limits.gapWaterMl) return { amount, ...clear('seals-overnight') };
    if (overnightC === null) return unknown('seals-overnight');
    const limit = limits.groundFreezesC;
    const margin = overnightC - limit;
    const found = ofDegree('seals-overnight', 'condition', {
      margin,
      unit: 'K',
      scale: 3,
      actual: overnightC,
      limit,
    });
    return { amount, remedy: margin < 0 ? 'wipe-gaps' : undefined, ...found };
  },
};

export const dryOn: Rule = {
  id: 'dry-on',
  question: 'Does a product dry on before it is rinsed?',
  glyph: 'spot',
  changesWithTime: true,
  limits: ['inHandFraction', 'productGramsPerM2'],
  reads: ['water.product', 'method.steps'],
  judge: (situation) => {
    const { water } = situation;
    if (!situation.method.steps.some(({ id }) => STEP_KINDS[id].wets?.isProduct)) return clear('dry-on');
    if (!water) return unknown('dry-on');
    const { panel, minutes, needed } = water.product;
    if (minutes === null) return { panel, ...clear('dry-on') };
    const limit = neededMinutes(needed, situation);
    const margin = minutes - limit;
    return {
      panel,
      ...ofDegree('dry-on', 'block', { margin, unit: 'min', scale: limit, actual: minutes, limit }),
    };
  },
};

export const directSun: Rule = {
  id: 'direct-sun',
  question: 'Does the sun stand on it, and does the house wash in sun?',
  glyph: 'sun',
  changesWithTime: true,
  limits: ['sunnyWm2'],
  reads: ['water.sun', 'house.sun', 'house.halfSun'],
  judge: ({ water, house, limits }) => {
    const { sun, halfSun } = house.choices;
    if (sun === 'wet-edge' && halfSun === 'sunny-first') return clear('direct-sun');
    if (!water) return unknown('direct-sun');
    const limit = limits.sunnyWm2;
    const { brightestWm2, dimmestWm2, panel } = water.sun;
    const margin = limit - brightestWm2;
    const half = dimmestWm2 < limit;
    const found = {
      panel,
      ...ofDegree('direct-sun', 'block', { margin, unit: 'W/m²', scale: limit, actual: brightestWm2, limit }),
    };
    return sun === 'never' || half || margin >= 0 ? found : clear('direct-sun');
  },
};
