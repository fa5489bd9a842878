import { describe, expect, it } from '@jest/globals';
import type { PlanAnswer, PlanChoice, Schedule, ChangedWashes } from '@keen/core';
import { ConflictException } from '@nestjs/common';
import type { EnginePool } from '../engine/engine-pool.js';
import type { LastMorning } from './last-morning.js';
import type { SolverPool } from '../solver/solver-pool.js';
import type { PlanFound, AnswersService } from '../answers/answers.service.js';
import type { WashChanges, WashChangesService } from '../washes/wash-changes.service.js';
import { PlanService } from './plan.service.js';

const NOW = Date.parse('2026-01-14T12:00:00Z');
const HOUR = 3_600_000;

const choiceAt = (vehicleId: string, startMs: number): PlanChoice =>
  ({
    vehicleId,
    handsId: 'owner',
    window: {
      placeId: 'garage',
      methodId: 'garage-rinseless',
      startMs,
      endMs: startMs + HOUR,
      extras: { jobIds: [], minutes: 0 },
    },
  }) as unknown as PlanChoice;

const answerOf = (...choices: PlanChoice[]): PlanAnswer => ({
  choices,
  fixed: [],
  unplanned: [],
  steadyMinor: 0,
});

const chosen = (value: number, status: Schedule['status']): Schedule => ({
  chosen: [],
  value,
  bound: 100,
  status,
});

const foundWith = (first: PlanAnswer, better: PlanAnswer): PlanFound =>
  ({
    made: { schedule: chosen(90, 'feasible'), answer: first, problem: {}, horizonMs: NOW + 48 * HOUR },
    planned: [],
    nowMs: NOW,
    tell: () => Promise.resolve(better),
  }) as unknown as PlanFound;

describe('a plan that is bettered while somebody looks at it', () => {
  const first = answerOf(choiceAt('first', NOW + 2 * HOUR), choiceAt('second', NOW + 4 * HOUR));
  const better = answerOf(choiceAt('first', NOW + 6 * HOUR), choiceAt('second', NOW + 4 * HOUR));

  const started = () => {
    const applied: WashChanges[] = [];
    let found = foundWith(first, better);
    let end: (schedule: Schedule) => void = () => undefined;
    const searched = new Promise<Schedule>((resolve) => {
      end = resolve;
    });
    const plan = new PlanService(
      { plan: () => Promise.resolve(found) } as unknown as AnswersService,
      { schedule: () => searched } as unknown as SolverPool,
      {
        apply: (changes: WashChanges) => {
          applied.push(changes);
          return Promise.resolve({} as ChangedWashes);
        },
      } as unknown as WashChangesService,
      { parts: [] } as unknown as EnginePool,
      { read: () => null, keep: () => undefined } as unknown as LastMorning,
    );
    const bettered = async (): Promise<void> => {
      const ended = new Promise<void>((resolve) => {
        plan.news.subscribe(({ state }) => state === 'ended' && resolve());
      });
      end(chosen(100, 'proven'));
      await ended;
    };
    const changed = (): void => {
      found = foundWith(better, better);
    };
    return { plan, applied, bettered, changed };
  };

  it('is accepted as it was seen', async () => {
    const { plan, applied, bettered } = started();
    const seen = await plan.view();
    await bettered();
    const now = await plan.view();
    expect(now.id).not.toBe(seen.id);
    await plan.accept(seen.changes.map(({ id }) => id));
    expect(applied[0]?.add?.map(({ startMs }) => startMs)).toEqual([NOW + 2 * HOUR, NOW + 4 * HOUR]);
    await plan.accept(now.changes.map(({ id }) => id));
    expect(applied[1]?.add?.map(({ startMs }) => startMs).sort()).toEqual([NOW + 4 * HOUR, NOW + 6 * HOUR]);
  });

  it('is not mixed from two proposals', async () => {
    const { plan, applied, bettered } = started();
    const seen = await plan.view();
    await bettered();
    const now = await plan.view();
    const ids = [...seen.changes, ...now.changes].map(({ id }) => id);
    await expect(plan.accept(ids)).rejects.toThrow(ConflictException);
    expect(applied).toEqual([]);
  });

  it('is refused when the facts have changed and it is no longer proposed', async () => {
    const { plan, applied, changed } = started();
    const [gone, stays] = (await plan.view()).changes.map(({ id }) => id);
    changed();
    await expect(plan.accept([gone ?? '', stays ?? ''])).rejects.toThrow(ConflictException);
    await plan.accept([stays ?? '']);
    expect(applied).toHaveLength(1);
  });
});
