import type { RunDeed, RunMoment, RunPack, RunState } from '@keen/core';
import type { RunLog } from './run-log.js';

export interface MoreSheetProps {
  readonly pack: RunPack;
  readonly log: RunLog;
  readonly state: RunState;
  readonly moment: RunMoment;
  readonly act: (...deeds: readonly RunDeed[]) => void;
  readonly onClose: () => void;
}

export interface PartProps {
  readonly act: (...deeds: readonly RunDeed[]) => void;
  readonly onDone: () => void;
}
