import { warmestNeedOf } from './describe-method.js';
import type { Drying, Method } from './method.js';
import { plainSum, sumOf } from './plain-sum.js';
import { removedBy, type WashStep } from './wash-step.js';
import { ZONE_GROUPS } from '../vehicle/index.js';

/** The drive from the place where a wash began to the one where it ends, minutes from arriving. */
export interface DriveOn {
  readonly fromMinute: number;
  readonly toMinute: number;
}

/** null: it ends where it began. */
export function driveOf({ steps, setUpMinutes }: Pick<Method, 'steps' | 'setUpMinutes'>): DriveOn | null {
  const at = steps.findIndex(({ id }) => id === 'drive-on');
  const drive = steps[at];
  if (!drive) return null;
  const fromMinute = setUpMinutes / 2 + sumOf(steps.slice(0, at), ({ minutes }) => minutes);
  return { fromMinute, toMinute: fromMinute + drive.minutes };
}

/** What is left on it when it drives on: nobody has dried it. */
const WET: Drying = { kind: 'left', filmFraction: 1 };

/** What one place has of a wash that is done in two. */
function stage(method: Method, steps: readonly WashStep[], isFirst: boolean): Method {
  const all = sumOf(method.steps, ({ minutes }) => minutes);
  const own = sumOf(steps, ({ minutes }) => minutes);
  const contact = steps.some((step) => step.contact);
  return {
    ...method,
    steps,
    plainSteps: steps,
    minutes: plainSum(method.setUpMinutes / 2 + own),
    handsMinutes: all > 0 ? plainSum((method.handsMinutes * own) / all) : 0,
    litres: sumOf(steps, ({ litres }) => litres),
    contact,
    removes: removedBy(steps, ZONE_GROUPS),
    warmestNeedC: warmestNeedOf(steps),
    // What stands in the second place runs off buckets; a bucket is wanted where the hand is.
    needs: method.needs.filter((need) => (need === 'own-bucket' ? contact : isFirst)),
    drying: isFirst ? WET : method.drying,
  };
}

/**
 * A wash in two places as what each of them has of it: its own steps, minutes, litres and needs.
 *
 * @returns the first and the second; null: it is done in one
 */
export function stagesOf(method: Method): readonly [Method, Method] | null {
  const at = method.steps.findIndex(({ id }) => id === 'drive-on');
  if (at < 0) return null;
  return [stage(method, method.steps.slice(0, at), true), stage(method, method.steps.slice(at + 1), false)];
}
