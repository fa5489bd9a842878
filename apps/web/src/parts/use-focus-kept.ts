import { type RefObject, useEffect } from 'react';

const FOCUSABLE =
  'a[href], button:not([disabled]), input:not([disabled]), select:not([disabled]), textarea:not([disabled]), [tabindex="0"]';

interface Held {
  readonly element: Element;
  /** What can be reached behind it and before it, the nearest first, as it was when it had the focus. */
  readonly after: readonly HTMLElement[];
  readonly before: readonly HTMLElement[];
}

function heldAt(root: HTMLElement, element: Element): Held {
  const all = [...root.querySelectorAll<HTMLElement>(FOCUSABLE)];
  const index = all.findIndex((one) => one === element);
  return { element, after: all.slice(index + 1), before: all.slice(0, Math.max(0, index)).toReversed() };
}

const isThere = (element: Element): boolean => element.isConnected && element.matches(FOCUSABLE);

/**
 * Keeps the focus where the work is: where what had it is taken away, as a car is that has just been planned, what came behind it has it
 * next, and what was disabled for a while has it again. Nothing is done once somebody has gone elsewhere.
 */
export function useFocusKept(area: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const root = area.current;
    if (!root) return undefined;
    let held: Held | null = null;
    const onFocus = ({ target }: FocusEvent): void => {
      held = target instanceof Element ? heldAt(root, target) : null;
    };
    const onAway = ({ target }: Event): void => {
      if (!(target instanceof Node && root.contains(target))) held = null;
    };
    const onPointer = ({ target }: Event): void => {
      if (target instanceof Element && !target.closest(FOCUSABLE)) held = null;
    };
    const observer = new MutationObserver(() => {
      if (!held || document.activeElement !== document.body) return;
      const next = [held.element as HTMLElement, ...held.after, ...held.before].find(isThere);
      next?.focus({ preventScroll: next === held.element });
    });
    observer.observe(root, { childList: true, subtree: true, attributeFilter: ['disabled'] });
    root.addEventListener('focusin', onFocus);
    document.addEventListener('focusin', onAway);
    document.addEventListener('pointerdown', onPointer);
    return () => {
      observer.disconnect();
      root.removeEventListener('focusin', onFocus);
      document.removeEventListener('focusin', onAway);
      document.removeEventListener('pointerdown', onPointer);
    };
  }, [area]);
}
