import { edgesNow, type EdgesNow, type Reading, type RunPack } from '@keen/core';
import { expose } from 'comlink';

const worker = {
  edges(pack: RunPack, readings: readonly Reading[], nowMs: number): EdgesNow {
    return edgesNow(pack, readings, nowMs);
  },
};

export type EdgesWorker = typeof worker;

expose(worker);
