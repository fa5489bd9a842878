import type { PlaceRecord, PlanView, PricedOption, SeasonJobId, VehicleRecord, WashRecord } from '@keen/core';
import type { Format } from '../../format/format.js';
import type { Block } from './plan-view.js';
import type { Drag } from './use-drag.js';

/** One wash of the board, the plan that it stands in, and what can be done with it. */
export interface WashPanelProps {
  readonly block: Block;
  readonly view: PlanView;
  readonly places: readonly PlaceRecord[];
  readonly vehicles: readonly VehicleRecord[];
  readonly format: Format;
  readonly drag: Drag;
  readonly onLock: (block: Block) => void;
  readonly onStart: (block: Block) => void;
  readonly onRemove: (block: Block) => void;
  readonly onTogether: (block: Block, other: WashRecord) => void;
  readonly onApart: (block: Block, startMs: number) => void;
  readonly onExtras: (block: Block, extras: readonly SeasonJobId[]) => void;
  readonly onMove: (to: PricedOption) => void;
  /** Takes what is proposed into the plan; null while the plan is recalculated. */
  readonly onAccept: ((block: Block) => void) | null;
  readonly onClose: () => void;
}
