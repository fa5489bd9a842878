import { blocked, clear, type Rule, unknown } from './rule.js';

export const methodOffered: Rule = {
  id: 'method-offered',
  question: 'Can this method be done at this place at all?',
  glyph: 'rule',
  changesWithTime: false,
  limits: [],
  reads: ['place.methods', 'method.placeKinds'],
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
  reads: ['place.hasDrain', 'place.shelter', 'method.litres', 'method.needsDrain'],
  judge: ({ place, method, limits }) => {
    const indoorFlood = place.shelter.kind === 'indoors' && method.litres > limits.floorWaterLitres;
    if (place.hasDrain || (!method.needsDrain && !indoorFlood)) return clear('floor-drain');
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
  reads: ['place.tap', 'method.needsTap', 'site.coldestNearbyC'],
  judge: ({ place, method, site, limits }) => {
    if (!method.needsTap || place.tap === 'always') return clear('tap-frost');
    if (place.tap === 'none') return blocked('tap-frost');
    if (!site) return unknown('tap-frost');
    const margin = site.coldestNearbyC - limits.tapFreezesBelowC;
    return {
      ruleId: 'tap-frost',
      level: margin < 0 ? 'block' : 'clear',
      margin,
      unit: 'K',
      comfort: margin / 2,
      actual: site.coldestNearbyC,
      limit: limits.tapFreezesBelowC,
    };
  },
};

export const openHours: Rule = {
  id: 'open-hours',
  question: 'Is it open until I am done?',
  glyph: 'clock',
  changesWithTime: true,
  limits: [],
  reads: ['place.openHours', 'method.minutes'],
  judge: ({ site, method }) => {
    if (!site) return unknown('open-hours');
    if (site.open.kind === 'closed') return blocked('open-hours');
    const margin = site.open.minutesLeft - method.minutes;
    return {
      ruleId: 'open-hours',
      level: margin < 0 ? 'block' : 'clear',
      margin,
      unit: 'min',
      comfort: margin / 30,
      actual: site.open.minutesLeft,
      limit: method.minutes,
    };
  },
};

export const daylightRule: Rule = {
  id: 'daylight',
  question: 'Is there light to see what I am doing until the end?',
  glyph: 'dark',
  changesWithTime: true,
  limits: ['lightLeftMinutes'],
  reads: ['place.hasLight', 'method.handsMinutes', 'site.lightLeftMinutes'],
  judge: ({ place, method, site, limits }) => {
    if (place.hasLight || method.handsMinutes === 0) return clear('daylight');
    if (!site) return unknown('daylight');
    if (!site.lightAtStart) return blocked('daylight');
    if (site.lightLeftMinutes === null) return clear('daylight');
    const margin = site.lightLeftMinutes - limits.lightLeftMinutes;
    return {
      ruleId: 'daylight',
      level: margin < 0 ? 'block' : 'clear',
      margin,
      unit: 'min',
      comfort: margin / 30,
      actual: site.lightLeftMinutes,
      limit: limits.lightLeftMinutes,
    };
  },
};
