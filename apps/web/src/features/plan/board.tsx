import type { Band, Worker, PlaceRecord, PlanView, VehicleRecord } from '@keen/core';
import { useElementSize, useMergedRef } from '@mantine/hooks';
import { type KeyboardEvent, type ReactNode, useRef } from 'react';
import type { Format } from '../../format/format.js';
import { methodName, nameOf } from '../../words/names.js';
import { moveCostText } from '../../words/plan-words.js';
import { verdictText } from '../../words/verdict-words.js';
import { BlockButton } from './block-button.js';
import classes from './board.module.css';
import { boardRows, drawnOn } from './board-view.js';
import { FreeDays } from './free-days.js';
import { type Block, type DayStrip, isOn } from './plan-view.js';
import { type DropTarget, laneOf, type LaneKind, steppedTarget } from './drop-targets.js';
import { type Lane, type LaneBlocks, Strip } from './strip.js';
import type { Drag } from './use-drag.js';
import { usePointerDrag } from './use-pointer-drag.js';
import { useSteady } from './use-steady.js';

interface BoardProps {
  readonly view: PlanView;
  readonly strips: readonly DayStrip[];
  readonly blocks: readonly Block[];
  readonly kind: LaneKind;
  readonly places: readonly PlaceRecord[];
  readonly vehicles: readonly VehicleRecord[];
  readonly format: Format;
  readonly drag: Drag;
  readonly chosenKey: string | null;
  /** Days and lanes are shown on which nothing stands. */
  readonly isUnfolded: boolean;
  /** How the chosen car's hours go, by place; null: nothing is chosen. */
  readonly behind: ReadonlyMap<string, Band> | null;
  readonly onChoose: (block: Block) => void;
  readonly onDrop: (target: DropTarget) => void;
  readonly onLock: (block: Block) => void;
  readonly onRemove: (block: Block) => void;
}

/** What of the board's width is no track: the lane's name, padding and borders of the day. */
const BESIDE_TRACK_PX = 160;

const workerName = (workers: readonly Worker[], id: string): string => nameOf(workers, id);

export function blockLabel(
  block: Block,
  around: Pick<BoardProps, 'places' | 'vehicles' | 'format'> & { readonly workers: readonly Worker[] },
): string {
  const { places, vehicles, format, workers } = around;
  const parts = [
    nameOf(vehicles, block.vehicleId),
    `${format.dayTime(block.startMs)} to ${format.time(block.endMs)}`,
    `${nameOf(places, block.placeId)}, ${methodName(block.methodId)}`,
    workerName(workers, block.workerId),
    block.kind === 'proposed' ? 'proposed' : block.wash?.isLocked ? 'planned and locked' : 'planned',
    ...(block.wash?.visit ? ['in one visit with another car'] : []),
  ];
  const verdict = block.window
    ? verdictText(block.window.verdict, block.window.limiting, format)
    : 'it does not go here now, or the forecast does not reach';
  return `${parts.join(', ')}. ${verdict}`;
}

/** The days with their washes; what is taken up can be put down where it goes. */
export function Board(props: BoardProps) {
  const { view, strips, blocks, kind, places, vehicles, format, drag, chosenKey } = props;
  const lanes: Lane[] = (kind === 'place' ? places : view.workers).map(({ id, name }) => ({ id, name }));
  const chosen = blocks.find(({ key }) => key === chosenKey) ?? null;
  const { ghost, grab, isCarrying, isDragging } = usePointerDrag({ drag, kind, onDrop: props.onDrop });
  const { ref: sized, width } = useElementSize();
  const board = useRef<HTMLDivElement>(null);
  const isUnfolded = props.isUnfolded || isCarrying;
  const hold = useSteady(board, isUnfolded);
  const around = { places, vehicles, format, workers: view.workers };

  const choose = (block: Block): void => {
    hold(block.key);
    props.onChoose(block);
  };

  const stepTo = (block: Block, key: string): void => {
    const from = drag.target ?? block;
    const step = { kind, lanes: lanes.map(({ id }) => id), key };
    const next = steppedTarget(drag.targets, { lane: laneOf(kind, from), startMs: from.startMs }, step);
    if (next) drag.aim(next);
  };

  const onKey = (block: Block) => (event: KeyboardEvent) => {
    if (event.key === 'l' && block.wash) props.onLock(block);
    else if (event.key === 'Delete' && block.wash) props.onRemove(block);
    else if (event.key === 'Escape') drag.take(null);
    else if (event.key === 'Enter' && drag.target && drag.dragged?.block?.key === block.key)
      props.onDrop(drag.target);
    else if (event.key.startsWith('Arrow')) {
      if (drag.dragged?.block?.key === block.key) stepTo(block, event.key);
      else choose(block);
    } else return;
    event.preventDefault();
  };

  const aimText = drag.target
    ? `${format.dayTime(drag.target.startMs)}, ${nameOf(places, drag.target.placeId)}, ${methodName(drag.target.option.window.methodId)}: ${moveCostText(drag.target.costMinor, format)}`
    : 'Not here';
  const nameOn = (block: Block): string => nameOf(vehicles, block.vehicleId);
  const blocksOn = (strip: DayStrip, lane: Lane): readonly Block[] =>
    blocks.filter((block) => laneOf(kind, block) === lane.id && isOn(strip, block));
  const laneBlocks = (strip: DayStrip, lane: Lane): LaneBlocks => {
    const trackPx = Math.max(0, width - BESIDE_TRACK_PX);
    const { drawn, rows } = drawnOn(strip, blocksOn(strip, lane), { trackPx, nameOf: nameOn });
    const buttons = drawn.map((one) => (
      <BlockButton
        key={one.block.key}
        drawn={one}
        strip={strip}
        name={nameOn(one.block)}
        label={blockLabel(one.block, around)}
        under={
          kind === 'workers'
            ? `${nameOf(places, one.block.placeId)}, ${methodName(one.block.methodId)}`
            : null
        }
        isChosen={one.block.key === chosenKey}
        isDragged={one.block.key === drag.dragged?.block?.key}
        onChoose={() => choose(one.block)}
        onKey={onKey(one.block)}
        onGrab={grab(one.block)}
      />
    ));
    return { blocks: buttons, rows };
  };
  const stripOf = (strip: DayStrip): ReactNode => (
    <Strip
      key={strip.key}
      strip={strip}
      lanes={isUnfolded ? lanes : lanes.filter((lane) => blocksOn(strip, lane).length > 0)}
      kind={kind}
      nowMs={view.nowMs}
      format={format}
      targets={drag.targets}
      target={drag.target}
      onDrop={props.onDrop}
      onAim={(target) => (isDragging() ? undefined : drag.aim(target))}
      isTall={kind === 'workers'}
      bandOn={(lane) =>
        props.behind?.get(kind === 'place' ? lane.id : ((drag.target ?? chosen)?.placeId ?? ''))
      }
      blocksOn={(lane) => laneBlocks(strip, lane)}
    />
  );
  return (
    <div
      ref={useMergedRef(sized, board)}
      className={`${classes.board} no-print`}
      data-dragging={drag.dragged !== null || undefined}
      data-behind={props.behind !== null || undefined}
    >
      {boardRows(strips, blocks, isUnfolded).map((row) =>
        row.kind === 'day' ? (
          stripOf(row.strip)
        ) : (
          <FreeDays key={row.strips[0]?.key} strips={row.strips} format={format} />
        ),
      )}
      <div ref={ghost} className={classes.ghost} aria-hidden="true">
        {aimText}
      </div>
      <p className={classes.heard} aria-live="polite">
        {drag.dragged && drag.target ? aimText : ''}
      </p>
    </div>
  );
}
