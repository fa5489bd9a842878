import type { Protection } from '../vehicle/index.js';
import { clear, type Finding, type Rule, unknown } from './rule.js';
import type { LimitId } from './data/limits.js';

export const coldHands: Rule = {
  id: 'cold-hands',
  question: 'Can a person stand this with wet hands?',
  glyph: 'cold-hands',
  changesWithTime: true,
  limits: ['coldHandsC', 'frostbiteC'],
  reads: ['site.windChillC', 'method.handsMinutes'],
  judge: ({ method, site, limits }) => {
    if (method.handsMinutes === 0) return clear('cold-hands');
    if (!site) return unknown('cold-hands');
    if (site.windChillC === null) return clear('cold-hands');
    const dangerous = site.windChillC <= limits.frostbiteC;
    const limit = dangerous ? limits.frostbiteC : limits.coldHandsC;
    const margin = site.windChillC - limit;
    const base = {
      ruleId: 'cold-hands' as const,
      margin,
      unit: 'K' as const,
      comfort: margin / 8,
      actual: site.windChillC,
      limit,
    };
    if (dangerous) return { ...base, level: 'block' };
    return margin <= 0
      ? { ...base, level: 'condition', remedy: 'lined-gloves' }
      : { ...base, level: 'clear' };
  },
};

export const iceOnGround: Rule = {
  id: 'ice-on-ground',
  question: 'Does the run-off turn to ice where people walk?',
  glyph: 'ice',
  changesWithTime: true,
  limits: ['groundFreezesC', 'floorWaterLitres'],
  reads: ['place.climate', 'place.hasDrain', 'method.litres', 'site.coldestNext12hC'],
  judge: ({ place, method, site, limits }) => {
    const openGround = place.climate.kind === 'outdoors' && !place.hasDrain;
    if (!openGround || method.litres <= limits.floorWaterLitres) return clear('ice-on-ground');
    if (!site) return unknown('ice-on-ground');
    const margin = site.coldestNext12hC - limits.groundFreezesC;
    const base: Finding = {
      ruleId: 'ice-on-ground',
      level: 'clear',
      margin,
      unit: 'K',
      comfort: margin / 3,
      actual: site.coldestNext12hC,
      limit: limits.groundFreezesC,
    };
    return margin < 0 ? { ...base, level: 'condition', remedy: 'grit-run-off' } : base;
  },
};

const PH_LIMIT: Readonly<Record<Exclude<Protection, 'bare'>, LimitId>> = {
  wax: 'waxPh',
  sealant: 'sealantPh',
  coating: 'coatingPh',
};

export const wear: Rule = {
  id: 'wear',
  question: 'Does its soap wear what protects the paint?',
  glyph: 'wear',
  changesWithTime: false,
  limits: ['waxPh', 'sealantPh', 'coatingPh'],
  reads: ['vehicle.protection', 'method.soapPh'],
  judge: ({ vehicle, method, limits }) => {
    if (vehicle.protection === 'bare') return clear('wear');
    const limit = limits[PH_LIMIT[vehicle.protection]];
    const margin = limit - method.soapPh;
    const base: Finding = {
      ruleId: 'wear',
      level: 'clear',
      margin,
      unit: 'pH',
      comfort: margin,
      actual: method.soapPh,
      limit,
    };
    return margin < 0 ? { ...base, level: 'condition', remedy: 'protect-after' } : base;
  },
};

export const forecastAgrees: Rule = {
  id: 'forecast-agrees',
  question: 'Does the window hold in enough of the forecast members?',
  glyph: 'forecast',
  changesWithTime: true,
  limits: ['tolerableBlockedShare'],
  reads: ['failedShare'],
  judge: ({ failedShare, limits }) => {
    if (failedShare === undefined) return clear('forecast-agrees');
    const limit = limits.tolerableBlockedShare;
    const margin = limit - failedShare;
    const base: Finding = {
      ruleId: 'forecast-agrees',
      level: 'clear',
      margin,
      unit: 'share',
      comfort: margin * 5,
      actual: failedShare,
      limit,
    };
    return margin < 0 ? { ...base, level: 'condition', remedy: 'fit-forecast' } : base;
  },
};
