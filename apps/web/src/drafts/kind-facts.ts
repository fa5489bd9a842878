import type { MethodId, PlaceKind } from '@keen/core';

interface KindFacts {
  readonly climate: string;
  readonly shelter: string;
  readonly hasDrain: boolean;
  readonly methodIds: readonly MethodId[];
}

/** What a kind of place is like: its air, its roof, its floor, and the usual ways to wash there. */
export const KIND_FACTS = {
  garage: { climate: 'unheated', shelter: 'indoors', hasDrain: false, methodIds: ['garage-rinseless'] },
  'heated-unit': { climate: 'heated', shelter: 'indoors', hasDrain: false, methodIds: ['garage-rinseless'] },
  'self-serve-bay': {
    climate: 'open-bay',
    shelter: 'roofed',
    hasDrain: true,
    methodIds: ['bay-touch-free', 'bay-contact'],
  },
  'automatic-bay': {
    climate: 'outdoors',
    shelter: 'open',
    hasDrain: true,
    methodIds: ['touchless-automatic'],
  },
  drive: {
    climate: 'outdoors',
    shelter: 'open',
    hasDrain: false,
    methodIds: ['drive-hose', 'rinseless-outdoors'],
  },
  'car-park': { climate: 'outdoors', shelter: 'open', hasDrain: false, methodIds: ['rinseless-outdoors'] },
} as const satisfies Readonly<Record<PlaceKind, KindFacts>>;
