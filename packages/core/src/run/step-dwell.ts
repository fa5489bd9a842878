import { type WashStep } from '../method/index.js';
import type { PanelId } from '../vehicle/index.js';
import type { WetEdge } from './steps-around.js';

/** The dwell of one step, cut to what the panels allow. */
export interface StepDwell {
  readonly minMinutes: number;
  readonly maxMinutes: number;
  /** The product's own longest by its label, which no water over it lengthens; absent in sheets made before it was kept. */
  readonly labelMinutes?: number;
  /** The panel whose wet edge cuts it; null: the product's own longest. */
  readonly cutBy: PanelId | null;
  /** What happens to it there when its time is over; null where nothing cuts it. */
  readonly cutAs: 'dries' | 'freezes' | null;
  /** It dries or freezes on before it has worked: smaller sections, or wet it again. */
  readonly isTooShort: boolean;
}

/** The first to dry or freeze; null: none does. */
export function firstToEnd(edges: readonly WetEdge[]): WetEdge | null {
  const ending = edges.filter(({ minutes }) => minutes !== null);
  return ending.reduce<WetEdge | null>(
    (first, edge) =>
      first === null || (edge.minutes ?? Infinity) < (first.minutes ?? Infinity) ? edge : first,
    null,
  );
}

/** The dwell that a product is given here: never longer than the panel stays wet. */
export function boundedDwell(dwell: NonNullable<WashStep['dwell']>, edges: readonly WetEdge[]): StepDwell {
  const first = firstToEnd(edges);
  const edgeMinutes = first?.minutes ?? Infinity;
  const isCut = edgeMinutes < dwell.maxMinutes;
  return {
    minMinutes: dwell.minMinutes,
    maxMinutes: Math.min(dwell.maxMinutes, edgeMinutes),
    labelMinutes: dwell.maxMinutes,
    cutBy: isCut ? (first?.panel ?? null) : null,
    cutAs: isCut && first && first.ends !== 'lasts' ? first.ends : null,
    isTooShort: edgeMinutes < dwell.minMinutes,
  };
}
