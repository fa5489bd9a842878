import { useAct } from './change.js';
import { ask } from './client.js';

/** Nothing that was read before holds any more: the page is loaded again. */
const loadAgain = (): void => globalThis.location.assign('/');

/** Wipes the shop; a copy of it is made first. */
export const useWipe = () =>
  useAct(
    (_: void) => ask<void>('start-again/wipe', { method: 'POST', body: { confirm: 'wipe' } }),
    loadAgain,
  );

/** Fills an empty shop with made-up cars and places. */
export const useTryMadeUp = () =>
  useAct((_: void) => ask<void>('start-again/made-up', { method: 'POST' }), loadAgain);
