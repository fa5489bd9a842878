import { residue } from '../water/index.js';
import { lastWater } from '../place/index.js';
import {
  isGlass,
  type PanelId,
  SPOTS_SHOW_MG_PER_M2,
  SPOTS_SHOW_ON_GLASS_MG_PER_M2,
} from '../vehicle/index.js';
import type { DryOutcome } from '../wash/index.js';
import { ofDegree, unknown } from './finding.js';
import type { Finding, Rule, Situation } from './rule.js';
import { judgeWait } from './water-rules.js';

/** What hard water's residue loses of its limit on warm paint (judgement), and from which hardness all of it (USGS: hard up to 180). */
const BITES_FRACTION = 0.5;

const HARD_MG_PER_LITRE = 180;

/** Residue from which spots show on this panel, mg/m². */
function showsMgPerM2({ vehicle, limits }: Situation, panel: PanelId): number {
  const shows = isGlass(panel) ? SPOTS_SHOW_ON_GLASS_MG_PER_M2 : SPOTS_SHOW_MG_PER_M2[vehicle.paintTone];
  return shows * limits.spotsShowScale;
}

function residueFinding(situation: Situation, dry: DryOutcome, filmGramsPerM2: number): Finding {
  const { place, limits } = situation;
  const { tdsMgPerLitre, hardnessMgPerLitre } = lastWater(place);
  const { mgPerM2 } = residue({ tdsMgPerLitre, filmGramsPerM2 });
  // Lime bites into warm paint: of hard water half as much is tolerated there, of soft water, which wipes off, nothing less.
  const isWarm = dry.warmestC > limits.etchAboveC;
  const warm = isWarm ? 1 - BITES_FRACTION * Math.min(1, hardnessMgPerLitre / HARD_MG_PER_LITRE) : 1;
  const limit = showsMgPerM2(situation, dry.panel) * warm;
  const margin = limit - mgPerM2;
  const finding = ofDegree('spots', 'block', { margin, unit: 'mg/m²', scale: limit, actual: mgPerM2, limit });
  return { panel: dry.panel, ...finding };
}

/** A block that demineralised last water would lift becomes a condition. */
function orDeminRinse(finding: Finding, situation: Situation, dry: DryOutcome): Finding {
  const { method, limits, place } = situation;
  const rinses = method.filmGramsPerM2 === null && place.finalRinse === null;
  if (finding.level !== 'block' || !rinses) return finding;
  const { mgPerM2 } = residue({
    tdsMgPerLitre: limits.deminTdsMgPerLitre,
    filmGramsPerM2: dry.filmGramsPerM2,
  });
  return mgPerM2 <= showsMgPerM2(situation, dry.panel)
    ? { remedy: 'demin-rinse', amount: mgPerM2, ...finding, level: 'condition' }
    : finding;
}

/** Spots on the panel of its kind that dries soonest. */
function spotsOn(situation: Situation, dry: DryOutcome): Finding {
  const { method, limits } = situation;
  const driedOn = residueFinding(situation, dry, dry.filmGramsPerM2);
  if (method.drying.kind === 'left' || driedOn.level === 'clear')
    return orDeminRinse(driedOn, situation, dry);
  const leaves =
    method.drying.by === 'blower'
      ? dry.filmGramsPerM2 * limits.blowerLeavesFraction
      : limits.towelLeavesGramsPerM2;
  const left = residueFinding(situation, dry, leaves);
  if (dry.minutes === null || left.level === 'block') return orDeminRinse(left, situation, dry);
  return orDeminRinse(judgeWait(situation, 'spots', { ...dry, minutes: dry.minutes }), situation, dry);
}

/** Would this water show if it dried on, even on warm paint? Where not, no weather makes it spot. */
export const couldSpot = (situation: Situation, dry: DryOutcome): boolean =>
  residueFinding(situation, { ...dry, warmestC: Infinity }, dry.filmGramsPerM2).level !== 'clear';

export const spots: Rule = {
  id: 'spots',
  question: 'Does water dry on paint or glass and leave a mark that shows?',
  glyph: 'spot',
  changesWithTime: true,
  limits: [
    'inHandFraction',
    'spotsShowScale',
    'towelLeavesGramsPerM2',
    'blowerLeavesFraction',
    'etchAboveC',
    'deminTdsMgPerLitre',
  ],
  reads: [
    'water.dry',
    'water.dryGlass',
    'method.drying',
    'method.filmGramsPerM2',
    'method.section',
    'place.finalRinse',
    'place.washWater',
    'vehicle.paintTone',
  ],
  judge: (situation) => {
    const { water } = situation;
    if (!water) return unknown('spots');
    const paint = spotsOn(situation, water.dry);
    const glass = water.dryGlass && spotsOn(situation, water.dryGlass);
    return glass && isGraver(glass, paint) ? glass : paint;
  },
};

/** Graver, or nearer to its limit. */
const GRAVITY = { clear: 0, condition: 1, unknown: 2, block: 3 } as const;

const isGraver = (a: Finding, b: Finding): boolean =>
  GRAVITY[a.level] > GRAVITY[b.level] || (a.level === b.level && a.comfort < b.comfort);
