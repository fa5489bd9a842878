import type { RunState } from './run-state.js';

/**
 * Has the meter to be stopped once this step is over or skipped? Where the sheet stops it behind that paid run and nothing of the run is
 * left, and in any case behind the last paid step: whatever was skipped or done in another order.
 *
 * @param key of the step that ends or is skipped
 */
export function meterStopsWith({ steps, meter }: Pick<RunState, 'steps' | 'meter'>, key: string): boolean {
  const ending = steps.find((one) => one.key === key);
  const isOn = meter.some(({ toMs }) => toMs === null);
  if (!isOn || !ending || ending.meterRun === null) return false;
  const left = steps.filter(
    (one) => one.key !== key && one.meterRun !== null && (one.state === 'waiting' || one.state === 'running'),
  );
  if (left.length === 0) return true;
  const stopsBehind = steps.some(({ meterRun, step }) => meterRun === ending.meterRun && step.stopsMeter);
  return stopsBehind && !left.some(({ meterRun }) => meterRun === ending.meterRun);
}
