import { STEP_KINDS } from './data/step-kinds.js';
import { partsMeet } from './section.js';
import type { WashStep } from './wash-step.js';

type Laid = Pick<WashStep, 'id' | 'groups' | 'part'>;

/**
 * Which steps put on wet paint what wants it dry?
 *
 * @param steps in the order in which they are done
 * @returns for each step the one whose water still stands there, by its index; null: it is dry there, or need not be. Blowing alone leaves
 * what a towel takes, and is taken for dry where the wash has no towel
 */
export function wetUnder(steps: readonly Laid[]): (number | null)[] {
  const isToweled = steps.some(({ id }) => STEP_KINDS[id].takes === 'wipe');
  const dries = ({ id }: Laid): boolean => {
    const { takes } = STEP_KINDS[id];
    return takes === 'wipe' || (takes !== null && !isToweled);
  };
  return steps.map((step, i) => {
    if (!STEP_KINDS[step.id].wantsDry) return null;
    const wet = steps.findLastIndex(
      (one, k) =>
        k < i &&
        STEP_KINDS[one.id].wets !== null &&
        STEP_KINDS[one.id].takes === null &&
        partsMeet(one.part, step.part) &&
        one.groups.some((group) => step.groups.includes(group)),
    );
    if (wet < 0) return null;
    const isDried = steps.some((one, k) => k > wet && k < i && dries(one) && partsMeet(one.part, step.part));
    return isDried ? null : wet;
  });
}
