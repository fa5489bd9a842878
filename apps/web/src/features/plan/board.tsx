import type { Band, Worker, PlaceRecord, PlanView, VehicleRecord } from '@keen/core';
import { type KeyboardEvent, type PointerEvent, useEffect, useRef } from 'react';
import type { Format } from '../../format/format.js';
import { methodName, nameOf } from '../../words/names.js';
import { moveCostText } from '../../words/plan-words.js';
import { verdictText } from '../../words/verdict-words.js';
import { BlockButton } from './block-button.js';
import classes from './board.module.css';
import {
  type Block,
  type DayStrip,
  type DropTarget,
  isOn,
  laneOf,
  type LaneKind,
  nearestTarget,
  stackOf,
  steppedTarget,
} from './plan-view.js';
import { Strip, type Lane } from './strip.js';
import type { Drag } from './use-drag.js';

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

/** Farther than this a pressed pointer means to drag, not to choose. */
const CARRY_PX = 5;

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
  const ghost = useRef<HTMLDivElement>(null);
  const dragging = useRef<{ x: number; y: number; block: Block; isMoving: boolean } | null>(null);
  const latest = useRef({ drag, onDrop: props.onDrop, kind });
  useEffect(() => {
    latest.current = { drag, onDrop: props.onDrop, kind };
  });

  useEffect(() => {
    const targetUnder = (event: globalThis.PointerEvent): DropTarget | null => {
      const under = document.elementFromPoint(event.clientX, event.clientY);
      const track = under?.closest<HTMLElement>('[data-lane]');
      if (!track) return null;
      const box = track.getBoundingClientRect();
      const fromMs = Number(track.dataset['from']);
      const toMs = Number(track.dataset['to']);
      const atMs = fromMs + ((event.clientX - box.left) / box.width) * (toMs - fromMs);
      const { drag: now, kind: lanesBy } = latest.current;
      return nearestTarget(now.targets, { kind: lanesBy, lane: track.dataset['lane'] ?? '', atMs });
    };
    const onMove = (event: globalThis.PointerEvent): void => {
      const held = dragging.current;
      if (!held) return;
      const far = Math.hypot(event.clientX - held.x, event.clientY - held.y) > CARRY_PX;
      if (!held.isMoving && !far) return;
      held.isMoving = true;
      if (ghost.current) {
        ghost.current.style.display = 'block';
        ghost.current.style.transform = `translate(${event.clientX + 12}px, ${event.clientY + 14}px)`;
      }
      const target = targetUnder(event);
      if (target?.key !== latest.current.drag.target?.key) latest.current.drag.aim(target);
    };
    const onUp = (event: globalThis.PointerEvent): void => {
      const held = dragging.current;
      dragging.current = null;
      if (ghost.current) ghost.current.style.display = 'none';
      if (!held?.isMoving) return;
      const target = event.type === 'pointerup' ? targetUnder(event) : null;
      if (target) latest.current.onDrop(target);
      // The click that ends a drag is not meant to choose.
      window.addEventListener('click', (click) => click.stopPropagation(), { capture: true, once: true });
    };
    window.addEventListener('pointermove', onMove);
    window.addEventListener('pointerup', onUp);
    window.addEventListener('pointercancel', onUp);
    return () => {
      window.removeEventListener('pointermove', onMove);
      window.removeEventListener('pointerup', onUp);
      window.removeEventListener('pointercancel', onUp);
    };
  }, []);

  const grab = (block: Block) => (event: PointerEvent) => {
    if (event.button !== 0 || event.pointerType === 'touch') return;
    dragging.current = { x: event.clientX, y: event.clientY, block, isMoving: false };
    if (drag.dragged?.block?.key !== block.key) drag.take({ vehicleId: block.vehicleId, block });
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
          onAim={(target) => (dragging.current ? undefined : drag.aim(target))}
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
