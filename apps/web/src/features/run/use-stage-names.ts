import type { StageId } from '@keen/core';
import { usePlaces } from '../../api/queries.js';
import { nameOf } from '../../words/names.js';

/** The place where a wash begins and the one where it may be finished, by their names. */
export function useStageNames(placeId: string): Readonly<Record<StageId, string>> {
  const { data: places = [] } = usePlaces();
  const finishAt = places.find(({ id }) => id === placeId)?.finishAt;
  return {
    first: nameOf(places, placeId),
    second: finishAt ? nameOf(places, finishAt.placeId) : 'the second place',
  };
}
