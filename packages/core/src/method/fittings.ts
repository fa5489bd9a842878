import type { Place, SiteSoap } from '../place/index.js';
import { withSteps } from './describe-method.js';
import type { Method } from './method.js';
import { sumOf } from './plain-sum.js';
import { STEP_KINDS } from './data/step-kinds.js';
import { IDLE, type WashStep } from './wash-step.js';

/** What a place has or forbids that changes the steps of a wash done there. */
export interface Fittings {
  readonly siteSoap: SiteSoap;
  readonly allowsOwnFoam: boolean;
  /** Buckets are filled from the paid gun, whose water is so warm, °C; null: they are brought full. */
  readonly gunC: number | null;
  /** A car is parked beside it. */
  readonly hasNeighbour: boolean;
}

/** A place that adds nothing and takes nothing away. */
export const PLAIN_FITTINGS: Fittings = Object.freeze({
  siteSoap: 'ordinary',
  allowsOwnFoam: true,
  gunC: null,
  hasNeighbour: false,
});

export const fittingsOf = ({
  siteSoap = 'ordinary',
  bucketWater = 'brought',
  forbids,
  washWater,
}: Pick<Place, 'siteSoap' | 'bucketWater' | 'forbids' | 'washWater'>): Fittings => ({
  siteSoap,
  allowsOwnFoam: !forbids.includes('no-own-foam'),
  gunC: bucketWater === 'gun' ? washWater.tempC : null,
  hasNeighbour: forbids.includes('neighbour-close'),
});

/** Covering the car beside it, or wetting its near side from a bucket, and minding where the hose lies (5 to 10 min; judgement). */
const SHIELD_MINUTES = 7;
/** A bay's gun gives about so much, L/min: as much as its rinse (judgement). */
const GUN_LITRES_PER_MINUTE = 9;

/** Foam from the site's own lance, on its meter. */
const withSiteFoam = (method: Method): Method => ({
  ...withSteps(
    method,
    method.steps.map((step) => (step.id === 'foam' ? { ...step, onMeter: true } : step)),
  ),
  needs: method.needs.filter((need) => need !== 'own-foam'),
});

/** Buckets filled there while the meter runs anyway, with the water as warm as it comes. */
function filledThere(method: Method, gunC: number): Method {
  const litres = sumOf(method.steps, (step) =>
    STEP_KINDS[step.id].wets?.water === 'bucket' ? step.litres : 0,
  );
  if (litres === 0) return method;
  const fill: WashStep = {
    ...IDLE,
    id: 'fill-buckets',
    minutes: litres / GUN_LITRES_PER_MINUTE,
    onMeter: true,
  };
  const at = Math.max(
    0,
    method.steps.findIndex(({ onMeter }) => onMeter),
  );
  const steps = [...method.steps.slice(0, at), fill, ...method.steps.slice(at)];
  return { ...withSteps(method, steps), bucketC: gunC, fillsBuckets: true };
}

function shielded(method: Method): Method {
  const reaches = method.steps.map(({ id }) => STEP_KINDS[id].reach);
  // A jet lands on the next car whatever one does: that is refused, not shielded.
  if (!reaches.includes('drifts') || reaches.includes('flies')) return method;
  return withSteps(method, [{ ...IDLE, id: 'shield-neighbour', minutes: SHIELD_MINUTES }, ...method.steps]);
}

/**
 * What a place makes of a method before its products are chosen: the site's soap where one's own is forbidden, buckets filled at its gun,
 * the car beside it shielded.
 *
 * @param method as the shop does it, not cut up into parts yet
 */
export function atFittings(method: Method, { allowsOwnFoam, gunC, hasNeighbour }: Fittings): Method {
  const foamed = allowsOwnFoam || !method.needs.includes('own-foam') ? method : withSiteFoam(method);
  const filled = gunC === null || !foamed.needs.includes('own-bucket') ? foamed : filledThere(foamed, gunC);
  return hasNeighbour ? shielded(filled) : filled;
}
