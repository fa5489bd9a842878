import { useCallback, useMemo, useState } from 'react';
import { useMoves } from '../../api/plan-queries.js';
import { type Block } from './plan-view.js';
import { type DropTarget, dropTargets, type LaneKind } from './drop-targets.js';

/** What is taken up: a wash of the board, or a car that has none. */
export interface Carried {
  readonly vehicleId: string;
  readonly block: Block | null;
}

export interface Drag {
  readonly dragged: Carried | null;
  readonly targets: readonly DropTarget[];
  readonly isLoading: boolean;
  readonly error: Error | null;
  /** Where it would fall now. */
  readonly target: DropTarget | null;
  readonly take: (dragged: Carried | null) => void;
  readonly aim: (target: DropTarget | null) => void;
}

/** A car in hand, and where it may be put down. */
export function useDrag(kind: LaneKind): Drag {
  const [dragged, setCarried] = useState<Carried | null>(null);
  const [target, setTarget] = useState<DropTarget | null>(null);
  const asked = dragged && {
    vehicleId: dragged.vehicleId,
    washId: dragged.block?.washId ?? null,
  };
  const { data: moves, isLoading, error } = useMoves(asked);
  const targets = useMemo(
    () => (dragged && moves ? dropTargets(moves, dragged.block, kind) : []),
    [dragged, moves, kind],
  );
  const take = useCallback((next: Carried | null) => {
    setCarried(next);
    setTarget(null);
  }, []);
  return { dragged, targets, isLoading, error, target, take, aim: setTarget };
}
