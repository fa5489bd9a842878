import { describe, expect, it } from '@jest/globals';
import type { PlanAnswer, PlanChoice, PlannedSlot, WashRecord } from '@keen/core';
import { asWashChanges, changesOf } from './proposals.js';

const NOW = Date.UTC(2026, 0, 14, 12);
const HOUR = 3_600_000;

const wash = (vehicleId: string, startMs: number): WashRecord =>
  ({
    id: `of-${vehicleId}`,
    vehicleId,
    placeId: 'garage',
    methodId: 'garage-rinseless',
    workerId: 'owner',
    status: 'planned',
    startMs,
    minutes: 60,
    startedMs: null,
    extras: [],
  }) as unknown as WashRecord;

const choice = (vehicleId: string, startMs: number): PlanChoice =>
  ({
    vehicleId,
    workerId: 'helper',
    window: {
      placeId: 'garage',
      methodId: 'garage-rinseless',
      startMs,
      endMs: startMs + HOUR,
      extras: { jobIds: ['underbody'], minutes: 8 },
    },
  }) as unknown as PlanChoice;

const changes = (planned: WashRecord[], choices: PlanChoice[], fixed: PlannedSlot[] = []) =>
  changesOf({
    found: { planned, nowMs: NOW },
    answer: { choices, fixed: fixed.map((slot) => ({ slot })) as unknown as PlanAnswer['fixed'] },
  });

describe('what a plan would change', () => {
  const added = changes([], [choice('black', NOW + 2 * HOUR)]);
  const moved = changes([wash('black', NOW + 2 * HOUR)], [choice('black', NOW + 5 * HOUR)]);
  const dropped = changes([wash('black', NOW + 2 * HOUR)], []);

  it('is a wash more, a wash elsewhere, a wash less, each under a name that tells all of it', () => {
    expect([added, moved, dropped].map((one) => one.map(({ kind, washId }) => [kind, washId]))).toEqual([
      [['add', null]],
      [['move', 'of-black']],
      [['drop', 'of-black']],
    ]);
    expect(added[0]?.id).toBe(`add.black.garage.garage-rinseless.${NOW + 2 * HOUR}.helper.underbody`);
    expect(dropped[0]?.id).toBe('drop.of-black.none');
    expect(changes([], [choice('black', NOW + 3 * HOUR)])[0]?.id).not.toBe(added[0]?.id);
  });

  it('leaves what stands fixed alone, and nothing else of that car or that hour', () => {
    const [black, white] = [wash('black', NOW + 2 * HOUR), wash('white', NOW + 2 * HOUR)];
    const fixed = [{ vehicleId: 'black', startMs: NOW + 2 * HOUR } as PlannedSlot];
    expect(changes([black, white], [], fixed).map(({ washId }) => washId)).toEqual(['of-white']);
    const later = { ...wash('black', NOW + 9 * HOUR), id: 'later' };
    expect(changes([black, later], [], fixed).map(({ washId }) => washId)).toEqual(['later']);
  });

  it('is carried out as such, and what the planner chose may be moved again', () => {
    const slot = {
      placeId: 'garage',
      methodId: 'garage-rinseless',
      workerId: 'helper',
      extras: ['underbody'],
    };
    expect(asWashChanges(added)).toEqual({
      add: [{ vehicleId: 'black', isLocked: false, startMs: NOW + 2 * HOUR, ...slot }],
      move: [],
      remove: [],
    });
    expect(asWashChanges(moved)).toEqual({
      add: [],
      move: [{ id: 'of-black', startMs: NOW + 5 * HOUR, ...slot }],
      remove: [],
    });
    expect(asWashChanges(dropped)).toEqual({ add: [], move: [], remove: ['of-black'] });
  });
});
