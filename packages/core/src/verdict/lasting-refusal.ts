import { inUsualWay, inWay, type Method, type Way, waysOf } from '../method/index.js';
import type { Place } from '../place/index.js';
import { combine, type Finding, judgeAll, PLACE_RULE_IDS } from '../rules/index.js';
import type { WashCase } from '../wash/index.js';
import type { RuledBy } from './circumstances.js';
import { stageSituations } from './two-places.js';

/** What blocks this wash without asking the weather. */
function refusalIn(washCase: WashCase, around: RuledBy): Finding | null {
  const { limits, house, soil } = around;
  const situation = { ...washCase, limits, house, soil, overnightC: null };
  const stages = stageSituations(situation, null) ?? undefined;
  const { findings } = judgeAll({ ...situation, stages, site: null, water: null });
  const lasting = findings.filter(({ level }) => level === 'block');
  return lasting.length > 0 ? combine(lasting).limiting : null;
}

/**
 * A finding that refuses this place and method for good, if there is one: it blocks without asking the weather, and ending the wash in a
 * second place does not get round it.
 */
export function lastingRefusal(request: RuledBy, place: Place, method: Method): Finding | null {
  const { vehicle } = request;
  const refusal = refusalIn({ vehicle, place, method: inUsualWay(method) }, request);
  const { finish } = place;
  if (!refusal || !finish || !PLACE_RULE_IDS.has(refusal.ruleId)) return refusal;
  const isRefused = (way: Way): boolean =>
    refusalIn({ vehicle, place, method: inWay(method, way, finish.driveMinutes) }, request) !== null;
  return waysOf(method)
    .filter(({ isElsewhere }) => isElsewhere)
    .every(isRefused)
    ? refusal
    : null;
}
