import { type PointerEvent, type RefObject, useEffect, useRef, useState } from 'react';
import { type DropTarget, type LaneKind, nearestTarget } from './drop-targets.js';
import type { Block } from './plan-view.js';
import type { Drag } from './use-drag.js';

/** Farther than this a pressed pointer means to drag, not to choose. */
const CARRY_PX = 5;

type PointerMove = globalThis.PointerEvent;

interface Held {
  readonly x: number;
  readonly y: number;
  readonly isMoving: boolean;
}

interface Dropping {
  readonly drag: Drag;
  readonly kind: LaneKind;
  readonly onDrop: (target: DropTarget) => void;
}

interface PointerDrag {
  /** What follows the pointer while a wash is dragged. */
  readonly ghost: RefObject<HTMLDivElement | null>;
  readonly grab: (block: Block) => (event: PointerEvent) => void;
  /** It has left its place. */
  readonly isCarrying: boolean;
  readonly isDragging: () => boolean;
}

/** Where what is dragged would stand if it were let go here; null: not on a lane. */
function targetUnder(event: PointerMove, { drag, kind }: Dropping): DropTarget | null {
  const under = document.elementFromPoint(event.clientX, event.clientY);
  const track = under?.closest<HTMLElement>('[data-lane]');
  if (!track) return null;
  const box = track.getBoundingClientRect();
  const fromMs = Number(track.dataset['from']);
  const toMs = Number(track.dataset['to']);
  const atMs = fromMs + ((event.clientX - box.left) / box.width) * (toMs - fromMs);
  return nearestTarget(drag.targets, { kind, lane: track.dataset['lane'] ?? '', atMs });
}

/** Listens to the pointer wherever it is. */
function usePointer(onMove: (event: PointerMove) => void, onUp: (event: PointerMove) => void): void {
  const latest = useRef({ onMove, onUp });
  useEffect(() => {
    latest.current = { onMove, onUp };
  });
  useEffect(() => {
    const moved = (event: PointerMove): void => latest.current.onMove(event);
    const up = (event: PointerMove): void => latest.current.onUp(event);
    window.addEventListener('pointermove', moved);
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', up);
    return () => {
      window.removeEventListener('pointermove', moved);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', up);
    };
  }, []);
}

/** Washes dragged with a mouse or pen; a finger scrolls instead, and chooses by a tap. */
export function usePointerDrag(dropping: Dropping): PointerDrag {
  const ghost = useRef<HTMLDivElement>(null);
  const held = useRef<Held | null>(null);
  const [isCarrying, setCarrying] = useState(false);
  const onMove = (event: PointerMove): void => {
    const { current } = held;
    if (!current) return;
    const far = Math.hypot(event.clientX - current.x, event.clientY - current.y) > CARRY_PX;
    if (!current.isMoving && !far) return;
    held.current = { ...current, isMoving: true };
    setCarrying(true);
    if (ghost.current) {
      ghost.current.style.display = 'block';
      ghost.current.style.transform = `translate(${event.clientX + 12}px, ${event.clientY + 14}px)`;
    }
    const target = targetUnder(event, dropping);
    if (target?.key !== dropping.drag.target?.key) dropping.drag.aim(target);
  };
  const onUp = (event: PointerMove): void => {
    const { current } = held;
    held.current = null;
    if (ghost.current) ghost.current.style.display = 'none';
    if (!current?.isMoving) return;
    setCarrying(false);
    const target = event.type === 'pointerup' ? targetUnder(event, dropping) : null;
    if (target) dropping.onDrop(target);
    // The click that ends a drag is not meant to choose.
    window.addEventListener('click', (click) => click.stopPropagation(), { capture: true, once: true });
  };
  usePointer(onMove, onUp);

  const grab = (block: Block) => (event: PointerEvent) => {
    if (event.button !== 0 || event.pointerType === 'touch') return;
    held.current = { x: event.clientX, y: event.clientY, isMoving: false };
    const { drag } = dropping;
    if (drag.dragged?.block?.key !== block.key) drag.take({ vehicleId: block.vehicleId, block });
  };
  return { ghost, grab, isCarrying, isDragging: () => held.current !== null };
}
