import type { Band, Hands, PlaceRecord, PlanView, VehicleRecord } from '@keen/core';
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
import type { Carry } from './use-carry.js';

interface BoardProps {
  readonly view: PlanView;
  readonly strips: readonly DayStrip[];
  readonly blocks: readonly Block[];
  readonly kind: LaneKind;
  readonly places: readonly PlaceRecord[];
  readonly vehicles: readonly VehicleRecord[];
  readonly format: Format;
  readonly carry: Carry;
  readonly chosenKey: string | null;
  /** How the chosen car's hours go, by place; null: nothing is chosen. */
  readonly behind: ReadonlyMap<string, Band> | null;
  readonly onChoose: (block: Block) => void;
  readonly onDrop: (target: DropTarget) => void;
  readonly onLock: (block: Block) => void;
  readonly onRemove: (block: Block) => void;
}

/** Farther than this a pressed pointer means to carry, not to choose. */
const CARRY_PX = 5;

const handsName = (hands: readonly Hands[], id: string): string => nameOf(hands, id);

export function blockLabel(
  block: Block,
  around: Pick<BoardProps, 'places' | 'vehicles' | 'format'> & { readonly hands: readonly Hands[] },
): string {
  const { places, vehicles, format, hands } = around;
  const parts = [
    nameOf(vehicles, block.vehicleId),
    `${format.dayTime(block.startMs)} to ${format.time(block.endMs)}`,
    `${nameOf(places, block.placeId)}, ${methodName(block.methodId)}`,
    handsName(hands, block.handsId),
    block.kind === 'proposed' ? 'proposed' : block.wash?.isLocked ? 'planned and locked' : 'planned',
  ];
  const verdict = block.window
    ? verdictText(block.window.verdict, block.window.limiting, format)
    : 'it does not go here now, or the forecast does not reach';
  return `${parts.join(', ')}. ${verdict}`;
}

/** The days with their washes; what is taken up can be put down where it goes. */
export function Board(props: BoardProps) {
  const { view, strips, blocks, kind, places, vehicles, format, carry, chosenKey } = props;
  const lanes: Lane[] = (kind === 'place' ? places : view.hands).map(({ id, name }) => ({ id, name }));
  const chosen = blocks.find(({ key }) => key === chosenKey) ?? null;
  const ghost = useRef<HTMLDivElement>(null);
  const dragging = useRef<{ x: number; y: number; block: Block; isMoving: boolean } | null>(null);
  const latest = useRef({ carry, onDrop: props.onDrop, kind });
  useEffect(() => {
    latest.current = { carry, onDrop: props.onDrop, kind };
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
      const { carry: now, kind: lanesBy } = latest.current;
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
      if (target?.key !== latest.current.carry.target?.key) latest.current.carry.aim(target);
    };
    const onUp = (event: globalThis.PointerEvent): void => {
      const held = dragging.current;
      dragging.current = null;
      if (ghost.current) ghost.current.style.display = 'none';
      if (!held?.isMoving) return;
      const target = event.type === 'pointerup' ? targetUnder(event) : null;
      if (target) latest.current.onDrop(target);
      // The click that ends a carry is not meant to choose.
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
    if (carry.carried?.block?.key !== block.key) carry.take({ vehicleId: block.vehicleId, block });
  };

  const stepTo = (block: Block, key: string): void => {
    const from = carry.target ?? block;
    const step = { kind, lanes: lanes.map(({ id }) => id), key };
    const next = steppedTarget(carry.targets, { lane: laneOf(kind, from), startMs: from.startMs }, step);
    if (next) carry.aim(next);
  };

  const onKey = (block: Block) => (event: KeyboardEvent) => {
    if (event.key === 'l' && block.wash) props.onLock(block);
    else if (event.key === 'Delete' && block.wash) props.onRemove(block);
    else if (event.key === 'Escape') carry.take(null);
    else if (event.key === 'Enter' && carry.target && carry.carried?.block?.key === block.key)
      props.onDrop(carry.target);
    else if (event.key.startsWith('Arrow')) {
      if (carry.carried?.block?.key === block.key) stepTo(block, event.key);
      else props.onChoose(block);
    } else return;
    event.preventDefault();
  };

  const around = { places, vehicles, format, hands: view.hands };
  const aimText = carry.target
    ? `${format.dayTime(carry.target.startMs)}, ${nameOf(places, carry.target.placeId)}, ${methodName(carry.target.option.window.methodId)}: ${moveCostText(carry.target.costMinor, format)}`
    : 'Not here';
  return (
    <div
      className={classes.board}
      data-carrying={carry.carried !== null || undefined}
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
          targets={carry.targets}
          target={carry.target}
          onDrop={props.onDrop}
          onAim={(target) => (dragging.current ? undefined : carry.aim(target))}
          isTall={kind === 'hands'}
          bandOn={(lane) =>
            props.behind?.get(kind === 'place' ? lane.id : ((carry.target ?? chosen)?.placeId ?? ''))
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
                handsName={
                  kind === 'hands'
                    ? `${nameOf(places, block.placeId)}, ${methodName(block.methodId)}`
                    : view.hands.length > 1 && block.handsId !== view.hands[0]?.id
                      ? handsName(view.hands, block.handsId)
                      : null
                }
                isChosen={block.key === chosenKey}
                isCarried={block.key === carry.carried?.block?.key}
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
        {carry.carried && carry.target ? aimText : ''}
      </p>
    </div>
  );
}
