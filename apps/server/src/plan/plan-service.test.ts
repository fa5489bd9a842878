import { describe, expect, it, jest } from '@jest/globals';
import type {
  ChangedWashes,
  MorningView,
  PlanAnswer,
  PlanChoice,
  PlanStanding,
  Schedule,
  WashRecord,
} from '@keen/core';
import { ConflictException, Logger } from '@nestjs/common';
import type { EnginePool } from '../engine/engine-pool.js';
import type { LastMorning } from './last-morning.js';
import type { SolverPool } from '../solver/solver-pool.js';
import type { AnswersService } from '../answers/answers.service.js';
import type { PlanFound } from '../answers/plan-found.js';
import type { WashChanges, WashChangesService } from '../washes/wash-changes.service.js';
import { PlanService } from './plan.service.js';

const NOW = Date.parse('2026-01-14T12:00:00Z');
const HOUR = 3_600_000;

const choiceAt = (vehicleId: string, startMs: number): PlanChoice =>
  ({
    vehicleId,
    workerId: 'owner',
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

/** A plan service over one found plan whose search a test leads. */
function searching(found: PlanFound) {
  const standings: PlanStanding[] = [];
  const kept: MorningView[] = [];
  let better: (progress: Pick<Schedule, 'value' | 'bound'>) => void = () => undefined;
  let end: (schedule: Schedule) => void = () => undefined;
  let fail: (error: Error) => void = () => undefined;
  let asked: unknown = null;
  const plan = new PlanService(
    {
      plan: () => Promise.resolve(found),
      cellIfForecast: () => Promise.resolve(null),
    } as unknown as AnswersService,
    {
      schedule: (_problem: unknown, how: { onBetter: typeof better; timeLimitSeconds: number }) => {
        better = how.onBetter;
        asked = how.timeLimitSeconds;
        return new Promise<Schedule>((resolve, reject) => {
          end = resolve;
          fail = reject;
        });
      },
    } as unknown as SolverPool,
    { apply: () => Promise.resolve({} as ChangedWashes) } as unknown as WashChangesService,
    { parts: ['early'] } as unknown as EnginePool,
    {
      read: () => kept.at(-1) ?? null,
      keep: (view: MorningView) => kept.push(view),
    } as unknown as LastMorning,
  );
  plan.news.subscribe((standing) => standings.push(standing));
  const until = (state: PlanStanding['state']): Promise<void> =>
    new Promise((resolve) => {
      plan.news.subscribe((standing) => standing.state === state && resolve());
    });
  return {
    plan,
    standings,
    kept,
    until,
    better: (value: number, bound: number) => better({ value, bound }),
    end: (schedule: Schedule) => end(schedule),
    fail: (error: Error) => fail(error),
    limit: () => asked,
  };
}

describe('the search behind a plan', () => {
  const first = answerOf(choiceAt('first', NOW + 2 * HOUR));
  const better = { ...answerOf(choiceAt('first', NOW + 6 * HOUR)), steadyMinor: 4 };
  const found = () => ({
    ...foundWith({ ...first, steadyMinor: 4 }, better),
  });

  it('tells of what is better or tighter, less what stands anyway, and of nothing else', async () => {
    const { plan, standings, ...search } = searching(found());
    await plan.view();
    search.better(90, 100);
    expect(standings).toEqual([]);
    search.better(95, 100);
    search.better(90, 98);
    expect(standings.map(({ valueMinor, boundMinor, state }) => [valueMinor, boundMinor, state])).toEqual([
      [91, 96, 'searching'],
      [86, 94, 'searching'],
    ]);
    expect(search.limit()).toBe(60);
  });

  it('takes the tighter bound of both, never below what was found, and the better schedule', async () => {
    const { plan, standings, until, ...search } = searching(found());
    await plan.view();
    const ended = until('ended');
    search.end({ chosen: [7], value: 80, bound: 85, status: 'feasible' } as unknown as Schedule);
    await ended;
    expect(standings.at(-1)).toEqual({ valueMinor: 86, boundMinor: 86, status: 'feasible', state: 'ended' });
    // What was found first is still the best: nothing new is proposed.
    const [change] = (await plan.view()).changes;
    expect(change?.kind === 'add' && change.after.startMs).toBe(NOW + 2 * HOUR);
  });

  it('fails without taking the plan with it', async () => {
    const told = jest.spyOn(Logger.prototype, 'error').mockReturnValue();
    const { plan, until, fail } = searching(found());
    const seen = await plan.view();
    expect(seen.standing.state).toBe('searching');
    const failed = until('failed');
    fail(new Error('the solver broke'));
    await failed;
    expect(String(told.mock.calls)).toContain('the solver broke');
    told.mockRestore();
    const after = await plan.view();
    expect(after.standing.state).toBe('failed');
    expect(after.id).toBe(seen.id);
  });

  it('is stopped by a user who does not want to wait, and keeps what it has', async () => {
    const { plan, until, fail } = searching(found());
    await plan.view();
    const stopped = until('stopped');
    plan.stop();
    fail(new Error('aborted'));
    await stopped;
    expect((await plan.view()).standing).toMatchObject({ valueMinor: 86, state: 'stopped' });
  });

  it('does not begin where the first plan is proven', async () => {
    const proven = found();
    const made = { ...proven.made, schedule: chosen(90, 'proven') };
    const { plan, limit } = searching({ ...proven, made });
    expect((await plan.view()).standing).toMatchObject({ status: 'proven', state: 'ended' });
    expect(limit()).toBeNull();
  });
});

describe('the morning of a plan', () => {
  const planned = (vehicleId: string, change: Partial<WashRecord> = {}): WashRecord =>
    ({
      id: `of-${vehicleId}`,
      vehicleId,
      placeId: 'garage',
      methodId: 'garage-rinseless',
      workerId: 'owner',
      status: 'planned',
      startMs: NOW + 3 * HOUR,
      minutes: 60,
      startedMs: null,
      extras: [],
      ...change,
    }) as WashRecord;
  const foundOf = (washes: readonly WashRecord[], choices: readonly PlanChoice[] = []): PlanFound => {
    const found = foundWith(answerOf(...choices), answerOf());
    const mornings = ['black', 'white'].map((vehicleId) => ({
      vehicleId,
      due: { dueMs: NOW, deadlineMs: NOW },
      zones: [],
      refusals: [],
      nearest: [],
    }));
    return {
      ...found,
      planned: washes,
      source: 'made up',
      issuedMs: NOW,
      memberCount: 3,
      made: { ...found.made, mornings },
    } as unknown as PlanFound;
  };

  it('answers for the vehicles that have no wash planned, and is kept for the next start', async () => {
    const { plan, kept } = searching(foundOf([planned('white')]));
    const view = await plan.morning();
    expect(view.answers.map(({ vehicleId }) => vehicleId)).toEqual(['black']);
    expect(kept).toEqual([view]);
    expect(plan.soFar()).toEqual({ early: ['early'], last: view });
  });

  it.each([
    { why: 'with the same hands', change: {}, heldUpBy: 'late' },
    { why: 'at the same place', change: { workerId: 'helper' }, heldUpBy: 'late' },
    { why: 'elsewhere with other hands', change: { workerId: 'helper', placeId: 'bay' }, heldUpBy: null },
    { why: 'that is in time', change: { startedMs: null }, heldUpBy: null },
    { why: 'that begins later', change: { startMs: NOW + 3.5 * HOUR }, heldUpBy: null },
    {
      why: 'that is long over',
      change: { minutes: 10, startMs: NOW - 3 * HOUR, startedMs: NOW - 3 * HOUR },
      heldUpBy: null,
    },
  ])(
    'a wash that is dropped is held up by one that runs late $why: $heldUpBy',
    async ({ change, heldUpBy }) => {
      // Begun three quarters of an hour late, and still at it.
      const late = planned('late', { startMs: NOW + 2 * HOUR, startedMs: NOW + 2.75 * HOUR, ...change });
      const found = { ...foundOf([planned('white'), late]), nowMs: NOW + 2.8 * HOUR };
      const { plan } = searching(found);
      const dropped = (await plan.view()).changes.find((one) => one.washId === 'of-white');
      expect(dropped).toMatchObject({ kind: 'drop', against: null, heldUpBy });
    },
  );
});
