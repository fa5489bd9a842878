import { residue } from '../water/index.js';
import { lastWater } from '../place/index.js';
import { SPOTS_SHOW_MG_PER_M2 } from '../vehicle/index.js';
import {
  clear,
  type FilmOutcome,
  type Finding,
  ofDegree,
  type Rule,
  type Situation,
  unknown,
} from './rule.js';

type Sections = Extract<Situation['method']['drying'], { kind: 'wiped' }>['sections'];

/** Minutes from wetting to wiping with time in hand. */
const neededMinutes = (minutes: number, situation: Situation): number =>
  minutes * (1 + situation.limits.inHandShare);

/**
 * The usual section if it fits within the minutes, else the largest smaller one that does, else the smallest.
 * Sections stand largest first.
 */
function fittingSection(sections: Sections, situation: Situation, withinMinutes: number): Sections[number] {
  const fits = sections.find((section) => neededMinutes(section.minutes, situation) <= withinMinutes);
  return fits ?? sections[sections.length - 1] ?? sections[0];
}

/** Judges a section of wet panels against the minutes that ice or drying leave. */
function judgeSection(
  situation: Situation,
  found: { ruleId: 'ice-on-car' | 'spots'; minutes: number; panel: FilmOutcome['ice']['panel'] },
  sections: Sections,
): Finding {
  const section = fittingSection(sections, situation, found.minutes);
  const limit = neededMinutes(section.minutes, situation);
  const margin = found.minutes - limit;
  const usual = section === sections[0];
  const base = {
    ruleId: found.ruleId,
    margin,
    unit: 'min' as const,
    comfort: margin / limit,
    actual: found.minutes,
    limit,
    panel: found.panel,
    section: section.id,
  };
  if (margin < 0) return { level: 'block', ...base };
  return usual ? { level: 'clear', ...base } : { level: 'condition', remedy: 'smaller-section', ...base };
}

/** Never freezes in the time looked at: the margin is the coldest panel's distance from 0 °C. */
function neverFreezes(film: FilmOutcome): Finding {
  const { tempC, panel } = film.coldest;
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

function judgeLeftFilm(film: FilmOutcome, limits: Situation['limits']): Finding {
  if (film.ice.minutes === null) return neverFreezes(film);
  const margin = film.coldest.tempC - limits.leftFilmColdestC;
  return {
    ruleId: 'ice-on-car',
    level: margin < 0 ? 'block' : 'condition',
    margin,
    unit: 'K',
    comfort: margin / 3,
    actual: film.coldest.tempC,
    limit: limits.leftFilmColdestC,
    panel: film.coldest.panel,
    remedy: margin < 0 ? undefined : 'wipe-gaps',
  };
}

export const iceOnCar: Rule = {
  id: 'ice-on-car',
  question: 'Does the water freeze on a panel before it is off?',
  glyph: 'ice',
  changesWithTime: true,
  limits: ['inHandShare', 'leftFilmColdestC'],
  reads: ['film.ice', 'film.coldest', 'method.drying'],
  judge: (situation) => {
    const { film, method } = situation;
    if (!film) return unknown('ice-on-car');
    if (method.drying.kind === 'left') return judgeLeftFilm(film, situation.limits);
    if (film.ice.minutes === null) return neverFreezes(film);
    const found = { ruleId: 'ice-on-car' as const, minutes: film.ice.minutes, panel: film.ice.panel };
    return judgeSection(situation, found, method.drying.sections);
  },
};

/** What hard water's residue loses of its limit on warm paint (judgement), and from which hardness all of it (USGS: hard up to 180). */
const BITES_FRACTION = 0.5;
const HARD_MG_PER_LITRE = 180;

function residueFinding(situation: Situation, filmGramsPerM2: number): Finding {
  const { place, vehicle, limits } = situation;
  const { tdsMgPerLitre, hardnessMgPerLitre } = lastWater(place);
  const { mgPerM2 } = residue({ tdsMgPerLitre, filmGramsPerM2 });
  // Lime bites into warm paint: of hard water half as much is tolerated there, of soft water, which wipes off, nothing less.
  const isWarm = (situation.film?.warmestC ?? -Infinity) > limits.etchAboveC;
  const warm = isWarm ? 1 - BITES_FRACTION * Math.min(1, hardnessMgPerLitre / HARD_MG_PER_LITRE) : 1;
  const limit = SPOTS_SHOW_MG_PER_M2[vehicle.paintTone] * limits.spotsShowScale * warm;
  const margin = limit - mgPerM2;
  const finding = ofDegree('spots', 'block', { margin, unit: 'mg/m²', scale: limit, actual: mgPerM2, limit });
  return { panel: situation.film?.dry.panel, ...finding };
}

/** A block that demineralised last water would lift becomes a condition. */
function orDeminRinse(finding: Finding, situation: Situation): Finding {
  const { film, method, limits, place } = situation;
  const rinses = method.filmGramsPerM2 === null && place.finalRinse === null;
  if (finding.level !== 'block' || !rinses || !film) return finding;
  const { mgPerM2 } = residue({
    tdsMgPerLitre: limits.deminTdsMgPerLitre,
    filmGramsPerM2: film.filmGramsPerM2,
  });
  const limit = SPOTS_SHOW_MG_PER_M2[situation.vehicle.paintTone] * limits.spotsShowScale;
  return mgPerM2 <= limit
    ? { remedy: 'demin-rinse', amount: mgPerM2, ...finding, level: 'condition' }
    : finding;
}

export const spots: Rule = {
  id: 'spots',
  question: 'Does water dry on the paint and leave a mark that shows?',
  glyph: 'spot',
  changesWithTime: true,
  limits: [
    'inHandShare',
    'spotsShowScale',
    'towelLeavesGramsPerM2',
    'blowerLeavesShare',
    'etchAboveC',
    'deminTdsMgPerLitre',
  ],
  reads: [
    'film.dry',
    'film.filmGramsPerM2',
    'film.warmestC',
    'method.drying',
    'method.filmGramsPerM2',
    'place.finalRinse',
    'place.washWater',
    'vehicle.paintTone',
  ],
  judge: (situation) => {
    const { film, method, limits } = situation;
    if (!film) return unknown('spots');
    const driedOn = residueFinding(situation, film.filmGramsPerM2);
    if (method.drying.kind === 'left' || driedOn.level === 'clear') return orDeminRinse(driedOn, situation);
    const leaves =
      method.drying.by === 'blower'
        ? film.filmGramsPerM2 * limits.blowerLeavesShare
        : limits.towelLeavesGramsPerM2;
    const left = residueFinding(situation, leaves);
    if (film.dry.minutes === null || left.level === 'block') return orDeminRinse(left, situation);
    const found = { ruleId: 'spots' as const, minutes: film.dry.minutes, panel: film.dry.panel };
    return orDeminRinse(judgeSection(situation, found, method.drying.sections), situation);
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
const BLOWN_SHARE = 0.1;

/** Water that this method leaves in the gaps, mL. */
export function gapWaterMl({ drying, filmGramsPerM2 }: Situation['method']): number {
  if (drying.kind === 'left') return GAP_WATER_ML * drying.filmShare;
  if (filmGramsPerM2 !== null) return LITTLE_GAP_WATER_ML;
  return drying.by === 'towel' ? GAP_WATER_ML : GAP_WATER_ML * BLOWN_SHARE;
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

/** The longest-dwelling step on the body, if anything dwells there. */
function bodyDwell(method: Situation['method']): { readonly from: number; readonly to: number } | null {
  const dwells = method.steps
    .filter(({ groups }) => groups.includes('upper') || groups.includes('lower'))
    .map(({ dwell }) => dwell)
    .filter((dwell) => dwell !== null);
  return dwells.reduce<(typeof dwells)[number] | null>(
    (most, dwell) => (!most || dwell.to > most.to ? dwell : most),
    null,
  );
}

export const dryOn: Rule = {
  id: 'dry-on',
  question: 'Does the product dry on before it is rinsed?',
  glyph: 'spot',
  changesWithTime: true,
  limits: ['productGramsPerM2'],
  reads: ['film.product', 'method.steps'],
  judge: ({ film, method }) => {
    const dwell = bodyDwell(method);
    if (!dwell) return clear('dry-on');
    if (!film) return unknown('dry-on');
    const { panel, minutes } = film.product;
    if (minutes === null) return { panel, ...clear('dry-on') };
    const short = minutes < dwell.from;
    const limit = short || minutes >= dwell.to ? (short ? dwell.from : dwell.to) : dwell.to;
    const margin = minutes - limit;
    const base = {
      panel,
      ...ofDegree('dry-on', 'block', { margin, unit: 'min', scale: limit, actual: minutes, limit }),
    };
    return short || margin >= 0 ? base : { remedy: 'shorter-dwell', ...base, level: 'condition' };
  },
};

export const directSun: Rule = {
  id: 'direct-sun',
  question: 'Does the sun stand on it, and does the house wash in sun?',
  glyph: 'sun',
  changesWithTime: true,
  limits: ['sunnyWm2'],
  reads: ['film.sun', 'house.sun', 'house.halfSun'],
  judge: ({ film, house, limits }) => {
    const { sun, halfSun } = house.choices;
    if (sun === 'wet-edge' && halfSun === 'sunny-first') return clear('direct-sun');
    if (!film) return unknown('direct-sun');
    const limit = limits.sunnyWm2;
    const { brightestWm2, dimmestWm2, panel } = film.sun;
    const margin = limit - brightestWm2;
    const half = dimmestWm2 < limit;
    const found = {
      panel,
      ...ofDegree('direct-sun', 'block', { margin, unit: 'W/m²', scale: limit, actual: brightestWm2, limit }),
    };
    return sun === 'never' || half || margin >= 0 ? found : clear('direct-sun');
  },
};
