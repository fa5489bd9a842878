import type { Band, Worker, PlaceRecord, PlanView, VehicleRecord } from '@keen/core';
import type { KeyboardEvent } from 'react';
import type { Format } from '../../format/format.js';
import { methodName, nameOf } from '../../words/names.js';
import { moveCostText } from '../../words/plan-words.js';
import { verdictText } from '../../words/verdict-words.js';
import { BlockButton } from './block-button.js';
import classes from './board.module.css';
import { type Block, type DayStrip, isOn, stackOf } from './plan-view.js';
import { type DropTarget, laneOf, type LaneKind, steppedTarget } from './drop-targets.js';
import { Strip, type Lane } from './strip.js';
import type { Drag } from './use-drag.js';
import { usePointerDrag } from './use-pointer-drag.js';

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
  /** How the chosen car's hours go, by place; null: nothing is chosen. */
  readonly behind: ReadonlyMap<string, Band> | null;
  readonly onChoose: (block: Block) => void;
  readonly onDrop: (target: DropTarget) => void;
  readonly onLock: (block: Block) => void;
  readonly onRemove: (block: Block) => void;
}

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
  const { ghost, grab, isDragging } = usePointerDrag({ drag, kind, onDrop: props.onDrop });

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
      else props.onChoose(block);
    } else return;
    event.preventDefault();
  };

  const around = { places, vehicles, format, workers: view.workers };
  const aimText = drag.target
    ? `${format.dayTime(drag.target.startMs)}, ${nameOf(places, drag.target.placeId)}, ${methodName(drag.target.option.window.methodId)}: ${moveCostText(drag.target.costMinor, format)}`
    : 'Not here';
  return (
    <div
      className={classes.board}
      data-dragging={drag.dragged !== null || undefined}
      data-behind={props.behind !== null || undefined}
    >
      {strips.map((strip) => (
        <Strip
          key={strip.key}
          strip={strip}
          lanes={lanes}
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
          blocksOn={(lane) => {
            const here = blocks.filter((block) => laneOf(kind, block) === lane.id && isOn(strip, block));
            const { rowOf, rows } = stackOf(here);
            const drawn = here.map((block) => (
              <BlockButton
                key={block.key}
                block={block}
                strip={strip}
                row={rowOf.get(block.key) ?? 0}
                name={nameOf(vehicles, block.vehicleId)}
                label={blockLabel(block, around)}
                workerName={
                  kind === 'workers'
                    ? `${nameOf(places, block.placeId)}, ${methodName(block.methodId)}`
                    : view.workers.length > 1 && block.workerId !== view.workers[0]?.id
                      ? workerName(view.workers, block.workerId)
                      : null
                }
                isChosen={block.key === chosenKey}
                isDragged={block.key === drag.dragged?.block?.key}
                onChoose={() => props.onChoose(block)}
                onKey={onKey(block)}
                onGrab={grab(block)}
              />
            ));
            return { blocks: drawn, rows };
          }}
        />
      ))}
      <div ref={ghost} className={classes.ghost} aria-hidden="true">
        {aimText}
      </div>
      <p className={classes.heard} aria-live="polite">
        {drag.dragged && drag.target ? aimText : ''}
      </p>
    </div>
  );
}
