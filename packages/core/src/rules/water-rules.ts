import { residue } from '../water/index.js';
import { lastWater } from '../place/index.js';
import { SPOTS_SHOW_MG_PER_M2 } from '../vehicle/index.js';
import { clear, type FilmOutcome, type Finding, type Rule, type Situation, unknown } from './rule.js';

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
  if (margin < 0) return { ...base, level: 'block' };
  return usual ? { ...base, level: 'clear' } : { ...base, level: 'condition', remedy: 'smaller-section' };
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

function judgeLeftFilm({ film, limits }: Situation & { film: FilmOutcome }): Finding {
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
    if (method.drying.kind === 'left') return judgeLeftFilm({ ...situation, film });
    if (film.ice.minutes === null) return neverFreezes(film);
    const found = { ruleId: 'ice-on-car' as const, minutes: film.ice.minutes, panel: film.ice.panel };
    return judgeSection(situation, found, method.drying.sections);
  },
};

function residueFinding(situation: Situation, filmGramsPerM2: number): Finding {
  const { place, vehicle, limits } = situation;
  const { mgPerM2 } = residue({ tdsMgPerLitre: lastWater(place).tdsMgPerLitre, filmGramsPerM2 });
  const limit = SPOTS_SHOW_MG_PER_M2[vehicle.paintTone] * limits.spotsShowScale;
  const margin = limit - mgPerM2;
  return {
    ruleId: 'spots',
    level: margin < 0 ? 'block' : 'clear',
    margin,
    unit: 'mg/m²',
    comfort: margin / limit,
    actual: mgPerM2,
    limit,
    panel: situation.film?.dry.panel,
  };
}

export const spots: Rule = {
  id: 'spots',
  question: 'Does water dry on the paint and leave a mark that shows?',
  glyph: 'spot',
  changesWithTime: true,
  limits: ['inHandShare', 'spotsShowScale', 'towelLeavesGramsPerM2'],
  reads: ['film.dry', 'film.filmGramsPerM2', 'place.finalRinse', 'place.washWater', 'vehicle.paintTone'],
  judge: (situation) => {
    const { film, method, limits } = situation;
    if (!film) return unknown('spots');
    const driedOn = residueFinding(situation, film.filmGramsPerM2);
    if (method.drying.kind === 'left' || driedOn.level === 'clear') return driedOn;
    if (film.dry.minutes === null) return residueFinding(situation, limits.towelLeavesGramsPerM2);
    const found = { ruleId: 'spots' as const, minutes: film.dry.minutes, panel: film.dry.panel };
    return judgeSection(situation, found, method.drying.sections);
  },
};

export const falling: Rule = {
  id: 'falling',
  question: 'Will rain or snow fall on it while it is being dried?',
  glyph: 'falling',
  changesWithTime: true,
  limits: ['fallingMm'],
  reads: ['place.climate', 'site.mostPrecipMm'],
  judge: ({ place, site, limits, method }) => {
    if (place.climate.kind !== 'outdoors' || method.drying.kind === 'left') return clear('falling');
    if (!site) return unknown('falling');
    const margin = limits.fallingMm - site.mostPrecipMm;
    return {
      ruleId: 'falling',
      level: margin < 0 ? 'block' : 'clear',
      margin,
      unit: 'mm/h',
      comfort: limits.fallingMm > 0 ? margin / limits.fallingMm : margin,
      actual: site.mostPrecipMm,
      limit: limits.fallingMm,
    };
  },
};
