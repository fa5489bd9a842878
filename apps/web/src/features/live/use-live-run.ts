import { runMoment, type RunMoment, type RunPack, runState, type RunState } from '@keen/core';
import { useEffect, useMemo, useRef } from 'react';
import { alarmsBetween } from './live-view.js';
import type { RunLog } from './run-log.js';
import type { RunView } from './run-view.js';
import { say, signal } from './signals.js';
import { spokenBetween } from './spoken.js';
import { useEdgesNow } from './use-edges-now.js';
import { useNow } from './use-now.js';
import { useWakeLock } from './use-wake-lock.js';

export interface LiveRun {
  readonly state: RunState;
  readonly moment: RunMoment;
  readonly nowMs: number;
}

/** Where the run stands at this instant; sounds and shakes for what becomes due, and keeps the screen on. */
export function useLiveRun(pack: RunPack, log: RunLog, actions: RunView['actions']): LiveRun {
  const state = useMemo(() => runState(pack, actions), [pack, actions]);
  const isRunning = state.phase === 'running';
  const ticked = useNow(log.now, isRunning);
  // A tap is written after the last tick: nothing is shown as of before it was done.
  const nowMs = Math.max(ticked, actions.at(-1)?.atMs ?? 0);
  const now = useEdgesNow(pack, state.readings, nowMs);
  const moment = useMemo(() => runMoment(pack, state, { nowMs, now }), [pack, state, nowMs, now]);
  const before = useRef<RunMoment | null>(null);
  useEffect(() => {
    if (isRunning) {
      const alarms = alarmsBetween(before.current, moment);
      signal(alarms);
      say(spokenBetween(before.current, moment, alarms));
    }
    before.current = moment;
  }, [moment, isRunning]);
  useWakeLock(isRunning);
  return { state, moment, nowMs };
}
