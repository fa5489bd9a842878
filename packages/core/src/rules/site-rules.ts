import { reachOf } from '../method/index.js';
import type { SiteRule } from '../place/index.js';
import { blocked, clear, ofDegree, unknown } from './finding.js';
import type { Finding, Rule, Situation } from './rule.js';

export const methodOffered: Rule = {
  id: 'method-offered',
  question: 'Can this method be done at this place at all?',
  glyph: 'rule',
  changesWithTime: false,
  limits: [],
  reads: ['place.kind', 'place.methods', 'method.id', 'method.placeKinds'],
  judge: ({ place, method }) =>
    place.methods.some((offer) => offer.methodId === method.id) && method.placeKinds.includes(place.kind)
      ? clear('method-offered')
      : blocked('method-offered'),
};

export const floorDrain: Rule = {
  id: 'floor-drain',
  question: 'Where does the water go?',
  glyph: 'rule',
  changesWithTime: false,
  limits: ['floorWaterLitres'],
  reads: ['place.hasDrain', 'place.shelter', 'method.litres', 'method.needs'],
  judge: ({ place, method, limits }) => {
    const indoorFlood = place.shelter.kind === 'indoors' && method.litres > limits.floorWaterLitres;
    if (place.hasDrain || (!method.needs.includes('drain') && !indoorFlood)) return clear('floor-drain');
    const margin = limits.floorWaterLitres - method.litres;
    return {
      ...blocked('floor-drain'),
      margin,
      unit: 'L',
      actual: method.litres,
      limit: limits.floorWaterLitres,
    };
  },
};

export const tapFrost: Rule = {
  id: 'tap-frost',
  question: 'Is the tap live, or shut against frost?',
  glyph: 'rule',
  changesWithTime: true,
  limits: ['tapFreezesBelowC'],
  reads: ['place.tap', 'method.needs', 'site.coldestNearbyC'],
  judge: ({ place, method, site, limits }) => {
    if (!method.needs.includes('tap') || place.tap === 'always') return clear('tap-frost');
    if (place.tap === 'none') return blocked('tap-frost');
    if (!site) return unknown('tap-frost');
    const limit = limits.tapFreezesBelowC;
    const actual = site.coldestNearbyC;
    return ofDegree('tap-frost', 'block', { margin: actual - limit, unit: 'K', scale: 2, actual, limit });
  },
};

export const openHours: Rule = {
  id: 'open-hours',
  question: 'Is it open until I am done, with the queue?',
  glyph: 'clock',
  changesWithTime: true,
  limits: [],
  reads: ['site.open', 'site.queueMinutes', 'method.minutes'],
  judge: ({ site, method }) => {
    if (!site) return unknown('open-hours');
    if (site.open.kind === 'closed') return blocked('open-hours');
    const limit = method.minutes + site.queueMinutes;
    const margin = site.open.minutesLeft - limit;
    const actual = site.open.minutesLeft;
    return {
      amount: site.queueMinutes,
      ...ofDegree('open-hours', 'block', { margin, unit: 'min', scale: 30, actual, limit }),
    };
  },
};

export const daylightRule: Rule = {
  id: 'daylight',
  question: 'Is there light to see what I am doing until the end?',
  glyph: 'dark',
  changesWithTime: true,
  limits: ['lightLeftMinutes'],
  reads: ['place.hasLight', 'method.handsMinutes', 'site.lightAtStart', 'site.lightLeftMinutes'],
  judge: ({ place, method, site, limits }) => {
    if (place.hasLight || method.handsMinutes === 0) return clear('daylight');
    if (!site) return unknown('daylight');
    if (!site.lightAtStart) return blocked('daylight');
    if (site.lightLeftMinutes === null) return clear('daylight');
    const limit = limits.lightLeftMinutes;
    const actual = site.lightLeftMinutes;
    return ofDegree('daylight', 'block', { margin: actual - limit, unit: 'min', scale: 30, actual, limit });
  },
};

const forbidden = (siteRule: SiteRule): Finding => ({ siteRule, ...blocked('site-rule') });

/** What each prohibition says of a wash; null where it does not touch it. */
const PROHIBITIONS: Readonly<Record<SiteRule, (situation: Situation) => Finding | null>> = {
  'no-own-bucket': ({ method }) => (method.needs.includes('own-bucket') ? forbidden('no-own-bucket') : null),
  'no-own-foam': ({ method }) =>
    method.needs.includes('own-foam')
      ? {
          ...clear('site-rule'),
          level: 'condition',
          comfort: -0.1,
          remedy: 'site-soap',
          siteRule: 'no-own-foam',
        }
      : null,
  // A jet lands on the next car whatever one does; a mist can be held back.
  'neighbour-close': ({ method }) => {
    const reaches = method.steps.map(reachOf);
    if (reaches.includes('flies')) return forbidden('neighbour-close');
    return reaches.includes('drifts')
      ? {
          ...clear('site-rule'),
          level: 'condition',
          comfort: -0.1,
          remedy: 'shield-neighbour',
          siteRule: 'neighbour-close',
        }
      : null;
  },
  'no-contact': ({ method }) => (method.contact ? forbidden('no-contact') : null),
  'no-run-off': ({ method, place, limits }) =>
    !place.hasDrain && method.litres > limits.floorWaterLitres ? forbidden('no-run-off') : null,
  'no-washing-in-frost': ({ site, method, limits }) => {
    if (method.litres <= limits.floorWaterLitres) return null;
    if (!site) return { siteRule: 'no-washing-in-frost', ...unknown('site-rule') };
    return site.airTempC < limits.groundFreezesC
      ? { actual: site.airTempC, limit: limits.groundFreezesC, ...forbidden('no-washing-in-frost') }
      : null;
  },
};

/** Longer than one may stay there, set-up and packing up counted; null: one may stay as long as one likes. */
function stayed({ place, method }: Situation): Finding | null {
  const { mostMinutes = null } = place;
  if (mostMinutes === null) return null;
  const margin = mostMinutes - method.minutes;
  const of = { margin, unit: 'min', scale: mostMinutes, actual: method.minutes, limit: mostMinutes } as const;
  return margin < 0 ? ofDegree('site-rule', 'block', of) : null;
}

export const siteRule: Rule = {
  id: 'site-rule',
  question: 'Do the site, its landlord and the town allow it?',
  glyph: 'rule',
  changesWithTime: true,
  limits: ['floorWaterLitres', 'groundFreezesC'],
  reads: [
    'place.forbids',
    'place.hasDrain',
    'place.mostMinutes',
    'method.minutes',
    'method.needs',
    'method.steps',
    'method.contact',
    'method.litres',
    'site.airTempC',
  ],
  judge: (situation) => {
    const found = [
      ...situation.place.forbids.map((rule) => PROHIBITIONS[rule](situation)),
      stayed(situation),
    ].filter((finding) => finding !== null);
    return (
      found.find(({ level }) => level === 'block') ??
      found.find(({ level }) => level === 'unknown') ??
      found[0] ??
      clear('site-rule')
    );
  },
};

export const workingWarmth: Rule = {
  id: 'working-warmth',
  question: 'Is it warm enough for the product?',
  glyph: 'warmth',
  changesWithTime: true,
  limits: [],
  reads: ['method.warmestNeedC', 'site.airTempC'],
  judge: ({ method, site }) => {
    if (method.warmestNeedC === null) return clear('working-warmth');
    if (!site) return unknown('working-warmth');
    const limit = method.warmestNeedC;
    const actual = site.airTempC;
    return ofDegree('working-warmth', 'block', {
      margin: actual - limit,
      unit: 'K',
      scale: 4,
      actual,
      limit,
    });
  },
};
