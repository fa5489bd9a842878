import { CLOTH_LIVES } from './data/cloth-lives.js';
import { CLOTH_DUTIES, type ClothDuty, type Gear } from './product.js';

/**
 * Is the pile of these cloths worn for what they still touch?
 *
 * @returns false where nobody counted how often they were laundered; each step down gives them half a life more (judgement)
 */
export function isWorn({ kind, duty = 'paint', launderedTimes = 0 }: Gear): boolean {
  const life = CLOTH_LIVES[kind];
  if (life === undefined) return false;
  return launderedTimes >= life * (1 + CLOTH_DUTIES.indexOf(duty) / 2);
}

/** What worn cloths may still touch; null: nothing, they are rags. */
export const demoted = ({ duty = 'paint' }: Pick<Gear, 'duty'>): ClothDuty | null =>
  CLOTH_DUTIES[CLOTH_DUTIES.indexOf(duty) + 1] ?? null;

/** A load of laundry: all clean, and each on average so much older. */
export const laundered = ({
  count,
  cleanCount,
  launderedTimes = 0,
}: Pick<Gear, 'count' | 'cleanCount' | 'launderedTimes'>): Pick<Gear, 'cleanCount' | 'launderedTimes'> => ({
  cleanCount: count,
  launderedTimes: launderedTimes + (count > 0 ? (count - cleanCount) / count : 0),
});
