import { removedBy } from '../method/index.js';
import { weakestProtection } from '../protection/index.js';
import { gradeLeft } from '../soil/index.js';
import type { ByGroup } from '../vehicle/index.js';
import { BOUNDLESS, clear, ofDegree, unknown } from './finding.js';
import type { Finding, Rule, Situation } from './rule.js';

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
    if (dangerous) return { level: 'block', ...base };
    return margin <= 0
      ? { level: 'condition', remedy: 'lined-gloves', ...base }
      : { level: 'clear', ...base };
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
    return margin < 0 ? { remedy: 'grit-run-off', ...base, level: 'condition' } : base;
  },
};

const BODY = ['upper', 'lower'] as const;
/** A pre-soak so warm loosens a grade more (judgement). */
const HOT_SOAK_C = 30;

export const soilCeiling: Rule = {
  id: 'soil-ceiling',
  question: 'Does it honestly clean this much soil?',
  glyph: 'soil',
  changesWithTime: false,
  limits: [],
  reads: [
    'soil',
    'method.ceilingGrade',
    'method.bucketC',
    'method.steps',
    'vehicle.protection',
    'vehicle.protections',
  ],
  judge: ({ soil, method, vehicle }) => {
    const reached = BODY.filter((group) => method.ceilingGrade[group] > 0);
    const [first] = reached;
    if (!first) return clear('soil-ceiling');
    const over = (group: (typeof BODY)[number]): number => soil[group] - method.ceilingGrade[group];
    const worst = reached.reduce((most, group) => (over(group) > over(most) ? group : most), first);
    const limit = method.ceilingGrade[worst];
    const actual = soil[worst];
    const margin = limit - actual;
    const found = ofDegree('soil-ceiling', 'block', { margin, unit: 'grade', scale: 1, actual, limit });
    const hotSoak = (method.bucketC ?? 0) >= HOT_SOAK_C && method.steps.some(({ id }) => id === 'pre-soak');
    const protectedPaint = weakestProtection(vehicle) !== null;
    return margin < 0 && margin >= -1 && hotSoak && protectedPaint
      ? { remedy: 'hot-pre-soak', ...found, level: 'condition' }
      : found;
  },
};

/** Grade of what is left on the body when something first rubs it. */
export function gradeAtContact(
  { steps: inOrder, plainSteps }: Pick<Situation['method'], 'steps' | 'plainSteps'>,
  soil: ByGroup,
): number | null {
  const steps = plainSteps ?? inOrder;
  const touch = steps.findIndex(
    ({ contact, groups }) => contact && BODY.some((group) => groups.includes(group)),
  );
  const step = steps[touch];
  if (!step) return null;
  const before = removedBy(steps.slice(0, touch), BODY);
  const grades = BODY.filter((group) => step.groups.includes(group)).map((group) =>
    gradeLeft(soil[group], before[group]),
  );
  return Math.max(0, ...grades);
}

export const scratch: Rule = {
  id: 'scratch',
  question: 'Is too much grit left when something rubs the paint?',
  glyph: 'scratch',
  changesWithTime: false,
  limits: ['contactGrade', 'contactBlockGrade'],
  reads: ['soil', 'method.steps', 'method.plainSteps'],
  judge: ({ soil, method, limits }) => {
    const actual = gradeAtContact(method, soil);
    if (actual === null) return clear('scratch');
    const blocks = actual > limits.contactBlockGrade;
    const limit = blocks ? limits.contactBlockGrade : limits.contactGrade;
    const margin = limit - actual;
    const found = ofDegree('scratch', blocks ? 'block' : 'condition', {
      margin,
      unit: 'grade',
      scale: 1,
      actual,
      limit,
    });
    return found.level === 'condition' ? { remedy: 'rinse-grit-first', ...found } : found;
  },
};

export const reSoiling: Rule = {
  id: 're-soiling',
  question: 'How soon does the road undo it?',
  glyph: 'road',
  changesWithTime: true,
  limits: ['dryRoadHours'],
  reads: ['site.dryRoadHours', 'house.afterSnow'],
  judge: ({ site, house, limits }) => {
    const waits = house.choices.afterSnow === 'dry-roads';
    const hours = site?.dryRoadHours ?? null;
    if (hours === null) return waits ? unknown('re-soiling') : clear('re-soiling');
    const limit = limits.dryRoadHours;
    const margin = hours - limit;
    const found = ofDegree('re-soiling', 'block', { margin, unit: 'h', scale: limit, actual: hours, limit });
    // Weighed, or never beyond N days: the price of the salt decides, and this is only told.
    return waits ? found : { ...found, level: 'clear', comfort: BOUNDLESS };
  },
};

export const forecastAgrees: Rule = {
  id: 'forecast-agrees',
  question: 'Does the window hold in enough of the forecast members?',
  glyph: 'forecast',
  changesWithTime: true,
  limits: ['tolerableBlockedFraction'],
  reads: ['failedFraction'],
  judge: ({ failedFraction, limits }) => {
    if (failedFraction === undefined) return clear('forecast-agrees');
    const limit = limits.tolerableBlockedFraction;
    const margin = limit - failedFraction;
    const base: Finding = {
      ruleId: 'forecast-agrees',
      level: 'clear',
      margin,
      unit: 'share',
      comfort: margin * 5,
      actual: failedFraction,
      limit,
    };
    return margin < 0 ? { remedy: 'fit-forecast', ...base, level: 'condition' } : base;
  },
};
