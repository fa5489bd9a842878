import { chemicalClashes, notRinsed, worstMeeting } from '../kit/index.js';
import { type Method, type StepProduct, wetUnder } from '../method/index.js';
import { PH_STANDS, protectionOn, standsStripping, type Stands } from '../protection/index.js';
import { CAR_ZONES, type CarZone, type Protection, PROTECTIONS, type Vehicle } from '../vehicle/index.js';
import type { LimitId, Limits } from './data/limits.js';
import { BOUNDLESS, clear, ofDegree } from './finding.js';
import type { Finding, Rule, Situation } from './rule.js';

const PH_LIMIT: Readonly<Record<Exclude<Protection, 'bare'>, LimitId>> = {
  wax: 'waxPh',
  sealant: 'sealantPh',
  'spray-ceramic': 'sealantPh',
  coating: 'coatingPh',
  film: 'filmPh',
};

/** Soap above this wears that protection. */
export const wearLimitPh = (kind: Exclude<Protection, 'bare'>, limits: Limits): number =>
  limits[PH_LIMIT[kind]];

/** The pH that each protection stands in this shop: what the settings say above, the trade's figures below. */
export const shopStands = (limits: Limits): Stands =>
  Object.fromEntries(
    PROTECTIONS.flatMap((kind) =>
      kind === 'bare' ? [] : [[kind, { low: PH_STANDS[kind].low, high: wearLimitPh(kind, limits) }]],
    ),
  ) as unknown as Stands;

type OnCar = Pick<Situation, 'method' | 'vehicle' | 'limits'>;

/** What no hour changes of a method on a car is judged once. */
function onceFor<T>(judge: (on: OnCar) => T): (on: OnCar) => T {
  const known = new WeakMap<Method, { vehicle: Vehicle; limits: Limits; found: T }>();
  return (on) => {
    const { method, vehicle, limits } = on;
    const before = known.get(method);
    if (before && before.vehicle === vehicle && before.limits === limits) return before.found;
    const found = judge(on);
    known.set(method, { vehicle, limits, found });
    return found;
  };
}

type Touching = Method['steps'][number] & { readonly product: StepProduct };
const touching = ({ steps }: Method): Touching[] =>
  steps.filter((step): step is Touching => step.product !== undefined);

/** The product that is nearest to, or furthest beyond, what protects a zone that it touches; null: it touches none. */
function nearestToLimit({ method, vehicle, limits }: OnCar): Finding | null {
  let nearest: Finding | null = null;
  for (const { id, groups, product } of touching(method))
    for (const { zone, group } of CAR_ZONES) {
      const kind = groups.includes(group) ? protectionOn(vehicle, zone) : 'bare';
      if (kind === 'bare') continue;
      const { inUsePh: actual } = product;
      const high = wearLimitPh(kind, limits);
      const { low } = PH_STANDS[kind];
      const limit = high - actual <= actual - low ? high : low;
      const margin = Math.min(high - actual, actual - low);
      if (nearest?.margin != null && nearest.margin <= margin) continue;
      nearest = {
        step: id,
        zone,
        ...ofDegree('wear', 'condition', { margin, unit: 'pH', scale: 1, actual, limit }),
      };
    }
  return nearest;
}

/** A product on a surface that it may not touch, or that takes off what lies there. */
function worstTouch({ method, vehicle, limits }: OnCar): Finding | null {
  let worst: Finding | null = null;
  for (const { id, groups, product } of touching(method)) {
    if (product.from === 'site') continue;
    const meeting = worstMeeting(product, groups, {
      vehicle,
      isToStrip: method.strips,
      stands: shopStands(limits),
    });
    const kind = meeting?.finding.kind;
    if (!meeting || (kind !== 'block' && (kind !== 're-protect' || worst))) continue;
    worst = {
      ...clear('wear'),
      step: id,
      zone: meeting.zone,
      level: kind === 'block' ? 'block' : 'condition',
      comfort: -1,
    };
    if (kind === 'block') break;
  }
  return worst;
}

/** A wash that strips on purpose is sealed again, or coated; what is on the paint and alive goes with it, which somebody has to want. */
function stripped({ method, vehicle }: OnCar): Finding {
  const step = method.steps.find(({ id }) => id === 'strip');
  const row = (zone: CarZone): Vehicle['protections'][number] | undefined =>
    vehicle.protections.find((one) => one.zone === zone);
  const live = CAR_ZONES.find(({ zone, group }) => {
    const kind = protectionOn(vehicle, zone);
    const isFlat = row(zone)?.observed?.behaviour === 'flat';
    return step?.groups.includes(group) && kind !== 'bare' && !standsStripping(kind) && !isFlat;
  });
  if (!step || !live) return clear('wear');
  return {
    ...clear('wear'),
    step: step.id,
    zone: live.zone,
    level: 'condition',
    comfort: -1,
    remedy: 'strip-on-purpose',
  };
}

const judgeWear = onceFor((on): Finding => {
  const touched = worstTouch(on);
  if (touched?.level === 'block') return touched;
  if (on.method.strips) return stripped(on);
  const found = nearestToLimit(on);
  if (found?.level === 'condition') return { remedy: 'protect-after', ...found };
  if (touched) return { remedy: 'protect-after', ...touched };
  return found ?? clear('wear');
});

export const wear: Rule = {
  id: 'wear',
  question: 'Does a product wear what protects a zone that it touches, or hurt the surface?',
  glyph: 'wear',
  changesWithTime: false,
  limits: ['waxPh', 'sealantPh', 'coatingPh', 'filmPh'],
  reads: [
    'vehicle.protection',
    'vehicle.protections',
    'vehicle.delicateWheels',
    'method.steps',
    'method.strips',
  ],
  judge: (situation) => judgeWear(situation),
};

/** Does a wash by this method leave the protection worn? */
export const wearsProtection = (on: OnCar): boolean => judgeWear(on).level === 'condition';

export const chemicals: Rule = {
  id: 'chemicals',
  question: 'Does acid meet alkali, does a product stay on the car, or go on wet paint that wants it dry?',
  glyph: 'rule',
  changesWithTime: false,
  limits: [],
  reads: ['method.steps'],
  judge: onceFor(({ method }) => {
    const steps = method.steps.map((step) => ({ ...step, inUsePh: step.product?.inUsePh ?? null }));
    const refused: Finding = { ...clear('chemicals'), level: 'block', comfort: -BOUNDLESS };
    const [clash] = chemicalClashes(steps);
    const over = clash && steps[clash.over];
    if (clash && over) return { ...refused, step: over.id, under: steps[clash.under]?.id };
    const left = notRinsed(steps).findIndex((groups) => groups.length > 0);
    const wet = wetUnder(steps);
    const onWet = wet.findIndex((under) => under !== null);
    if (left < 0 && onWet >= 0)
      return { ...refused, step: steps[onWet]?.id, under: steps[wet[onWet] ?? -1]?.id };
    const step = steps[left];
    return step ? { ...refused, step: step.id } : clear('chemicals');
  }),
};
