import type { StageId } from '@keen/core';
import { usePlaces } from '../../api/queries.js';
import { nameOf } from '../../words/names.js';

/** The place where a wash begins and the one where it may be finished, by their names; null: it has no second one. */
export function useStageNames(placeId: string): Readonly<Record<StageId, string>> | null {
  const { data: places } = usePlaces();
  const finishAt = places?.find(({ id }) => id === placeId)?.finishAt;
  if (!places || !finishAt) return null;
  return { first: nameOf(places, placeId), second: nameOf(places, finishAt.placeId) };
}
