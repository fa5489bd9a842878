import { describe, expect, it } from '@jest/globals';
import { packFor } from '../testing/live.js';
import { underTodaysNames } from './index.js';

describe('what an earlier version kept of a run', () => {
  it('has its limits, its dwell and its worker under today’s names, and nothing else changed', () => {
    const old = {
      washId: 'w',
      wash: { id: 'w', handsId: 'helper', startMs: 5 },
      pack: {
        limits: { inHandShare: 0.5, blowerLeavesShare: 0.4, tolerableBlockedShare: 0.2, warmWaterC: 38 },
        method: {
          drying: { kind: 'left', filmShare: 0.25 },
          steps: [{ id: 'foam', dwell: { from: 3, to: 8 } }],
        },
        sheet: {
          steps: [{ id: 'foam', dwell: { fromMinutes: 3, toMinutes: 5, cutBy: 'roof' } }, { dwell: null }],
        },
        hours: [{ from: 1, to: 2 }, null],
      },
    };
    expect(underTodaysNames<unknown>(old)).toEqual({
      washId: 'w',
      wash: { id: 'w', workerId: 'helper', startMs: 5 },
      pack: {
        limits: {
          inHandFraction: 0.5,
          blowerLeavesFraction: 0.4,
          tolerableBlockedFraction: 0.2,
          warmWaterC: 38,
        },
        method: {
          drying: { kind: 'left', filmFraction: 0.25 },
          steps: [{ id: 'foam', dwell: { minMinutes: 3, maxMinutes: 8 } }],
        },
        sheet: {
          steps: [{ id: 'foam', dwell: { minMinutes: 3, maxMinutes: 5, cutBy: 'roof' } }, { dwell: null }],
        },
        hours: [{ from: 1, to: 2 }, null],
      },
    });
  });

  it('stays as it is where this version made it', () => {
    const pack = packFor();
    expect(underTodaysNames(pack)).toEqual(pack);
  });
});
