import { meterRunOf } from '../run/index.js';
import { panelsOf } from '../vehicle/index.js';
import { type RunAction, standingActions } from './run-action.js';
import { keyedSteps, type RunPack } from './run-pack.js';
import { type Draft, apply } from './apply-deed.js';
import type { RunState } from './run-state.js';

/**
 * Where does this wash stand?
 *
 * @param pack what the run is made of
 * @param merged the actions of all phones, as `mergeActions` gives them
 * @returns steps, timers, meter, wet panels, readings and notes; the same for the same actions on every phone. What follows the
 * close changes nothing
 */
export function runState(pack: Pick<RunPack, 'sheet' | 'vehicle'>, merged: readonly RunAction[]): RunState {
  const runs = meterRunOf(pack.sheet.steps);
  const draft: Draft = {
    phase: 'not-begun',
    startedMs: null,
    closedMs: null,
    packId: null,
    steps: keyedSteps(pack.sheet).map(({ key, step }, i) => ({
      key,
      step,
      state: 'waiting',
      span: null,
      skipped: null,
      meterRun: runs[i] ?? null,
    })),
    timers: [],
    meter: [],
    pauses: [],
    wetSinceMs: new Map(),
    wiped: new Set(),
    readings: [],
    notes: [],
    close: null,
  };
  const panels = panelsOf(pack.vehicle.bodyClass).map(({ id }) => id);
  for (const { id, atMs, deed } of standingActions(merged)) {
    if (draft.phase === 'closed') break;
    apply(draft, deed.kind, { id, atMs, deed, panels });
  }
  return draft;
}
