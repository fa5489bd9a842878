import { type RefObject, useLayoutEffect, useRef } from 'react';

const topOf = (board: HTMLElement | null, key: string): number | null =>
  board?.querySelector(`[data-block="${CSS.escape(key)}"]`)?.getBoundingClientRect().top ?? null;

/**
 * Keeps a block where it is on the screen while lanes and days unfold round it.
 * @returns what is called with its key, just before
 */
export function useSteady(board: RefObject<HTMLElement | null>, isUnfolded: boolean): (key: string) => void {
  const held = useRef<{ readonly key: string; readonly top: number } | null>(null);
  useLayoutEffect(() => {
    const before = held.current;
    held.current = null;
    const top = before && topOf(board.current, before.key);
    if (before && top !== null) window.scrollBy({ top: top - before.top, behavior: 'instant' });
  }, [board, isUnfolded]);
  return (key) => {
    // Nothing is about to unfold: what is remembered now would move the page when it folds.
    if (isUnfolded) return;
    const top = topOf(board.current, key);
    held.current = top === null ? null : { key, top };
  };
}
