import { type RunStep } from '../run/index.js';
import type { PanelId } from '../vehicle/index.js';
import { type RunDeed, type SkipReason } from './run-action.js';

/** A stretch of time; `toMs` null: it goes on. */
export interface RunSpan {
  readonly fromMs: number;
  readonly toMs: number | null;
}

export interface LiveStep {
  readonly key: string;
  readonly step: RunStep;
  readonly state: 'waiting' | 'running' | 'done' | 'skipped';
  readonly span: RunSpan | null;
  readonly skipped: SkipReason | null;
  /** The paid run of the meter that it belongs to on the sheet; null: it is off the meter. */
  readonly meterRun: number | null;
}

/** A product that lies on the car. */
export interface DwellTimer {
  /** Of the action that put it on. */
  readonly id: string;
  readonly step: string;
  /** Which part of the car, in words; empty: all of the step. */
  readonly part: string;
  readonly fromMs: number;
  readonly offMs: number | null;
}

export interface Reading {
  readonly of: PanelId | 'air';
  readonly tempC: number;
  readonly atMs: number;
}

export interface RunNote {
  readonly id: string;
  readonly atMs: number;
  readonly text: string;
  readonly photoId: string | null;
}

/** Where a wash stands. */
export interface RunState {
  readonly phase: 'not-begun' | 'running' | 'closed';
  readonly startedMs: number | null;
  readonly closedMs: number | null;
  readonly packId: string | null;
  /** In the order in which they are to be done. */
  readonly steps: readonly LiveStep[];
  readonly timers: readonly DwellTimer[];
  readonly meter: readonly RunSpan[];
  readonly pauses: readonly RunSpan[];
  /** Since when each wet panel is wet. */
  readonly wetSinceMs: ReadonlyMap<PanelId, number>;
  readonly wiped: ReadonlySet<PanelId>;
  readonly readings: readonly Reading[];
  readonly notes: readonly RunNote[];
  readonly close: Extract<RunDeed, { kind: 'close' }> | null;
}
