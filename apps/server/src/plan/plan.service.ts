import { Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import {
  morningAnswers,
  type PlanOption,
  type Schedule,
  type WorthOfRelief,
  type ChangedWashes,
  type ExplainedChange,
  type MorningSoFar,
  type MorningView,
  type PlanStanding,
  type PlanView,
} from '@keen/core';
import { Subject } from 'rxjs';
import { EnginePool } from '../engine/engine-pool.js';
import { conflict } from '../errors/api-error.js';
import { SolverPool } from '../solver/solver-pool.js';
import { AnswersService } from '../answers/answers.service.js';
import type { PlanFound } from '../answers/plan-found.js';
import { asWashChanges, changesOf } from './proposals.js';
import { LastMorning } from './last-morning.js';
import { WashChangesService } from '../washes/wash-changes.service.js';
import { type Run, standingOf, proposedBy, idOf, lateBefore } from './plan-state.js';

/** A search that has not ended by then has found what it will find. */
const PROOF_SECONDS = 60;

/** The plan of all vehicles: a good one at once, bettered and proven while nobody waits. */
@Injectable()
export class PlanService implements OnModuleDestroy {
  /** Told whenever the plan gets better or its bound tighter. */
  readonly news = new Subject<PlanStanding>();
  private readonly log = new Logger(PlanService.name);
  private run: Run | null = null;

  constructor(
    private readonly verdicts: AnswersService,
    private readonly solver: SolverPool,
    private readonly changes: WashChangesService,
    private readonly pool: EnginePool,
    private readonly last: LastMorning,
  ) {}

  async view(caller?: AbortSignal): Promise<PlanView> {
    const run = await this.current(caller);
    const { found, answer } = run;
    const { made, tell: _tell, ...around } = found;
    return {
      id: idOf(run),
      ...around,
      ...answer,
      horizonMs: made.horizonMs,
      changes: await this.explained(run),
      standing: standingOf(run),
    };
  }

  /** The morning's answer for every vehicle that has no wash planned. */
  async morning(caller?: AbortSignal): Promise<MorningView> {
    const { found, answer } = await this.current(caller);
    const { made, planned, nowMs, source, issuedMs, memberCount } = found;
    const taken = new Set(planned.map(({ vehicleId }) => vehicleId));
    const open = made.mornings.filter(({ vehicleId }) => !taken.has(vehicleId));
    const answers = morningAnswers(open, answer, made.horizonMs);
    const view = { nowMs, source, issuedMs, memberCount, answers };
    this.last.keep(view);
    return view;
  }

  /** What can be shown while the morning is worked out. */
  soFar(): MorningSoFar {
    return { early: this.pool.parts, last: this.last.read() };
  }

  /** Where else a wash could stand. */
  moves(vehicleId: string, washId: string | null, caller?: AbortSignal): Promise<PlanOption[]> {
    return this.verdicts.moves(vehicleId, washId, caller);
  }

  /** What a little more of each limit would be worth to the plan, most first. */
  reliefs(caller?: AbortSignal): Promise<WorthOfRelief[]> {
    return this.verdicts.reliefs(caller);
  }

  /** Ends the search; the best so far is kept. */
  stop(): void {
    this.run?.stop.abort();
  }

  /**
   * Carries out some of the changes that were proposed together. The name of a change tells all of it, so nobody accepts what they
   * have not seen.
   *
   * @throws 409 where weather, washes or the shop have changed since and they are no longer proposed
   */
  async accept(changeIds: readonly string[]): Promise<ChangedWashes> {
    const { proposals } = await this.current();
    const chosen = proposals
      .map((changes) => changes.filter(({ id }) => changeIds.includes(id)))
      .find(({ length }) => length === new Set(changeIds).size);
    if (!chosen)
      throw conflict(
        'changeIds',
        'The plan has moved on since you looked. Look at the new one, then accept.',
      );
    return this.changes.apply(asWashChanges(chosen));
  }

  private async current(caller?: AbortSignal): Promise<Run> {
    const found = await this.verdicts.plan(caller);
    if (this.run?.found.made !== found.made) this.begin(found);
    const { run } = this;
    if (!run) throw new Error('a plan without a run');
    return run;
  }

  private begin(found: PlanFound): void {
    this.run?.stop.abort();
    const { schedule, answer } = found.made;
    const proposals = [changesOf({ found, answer })];
    const run: Run = { found, schedule, answer, proposals, state: 'ended', stop: new AbortController() };
    this.run = run;
    if (schedule.status === 'proven') return;
    run.state = 'searching';
    void this.search(run);
  }

  private async search(run: Run): Promise<void> {
    const { problem } = run.found.made;
    const better = (schedule: Schedule): void => {
      const value = Math.max(run.schedule.value, schedule.value);
      const bound = Math.min(run.schedule.bound, schedule.bound);
      const chosen = schedule.value > run.schedule.value ? schedule.chosen : run.schedule.chosen;
      run.schedule = { chosen, value, bound: Math.max(bound, value), status: schedule.status };
      if (this.run === run) this.news.next(standingOf(run));
    };
    try {
      better(
        await this.solver.schedule(problem, {
          timeLimitSeconds: PROOF_SECONDS,
          signal: run.stop.signal,
          onBetter: ({ value, bound }) => {
            if (this.run === run && (value > run.schedule.value || bound < run.schedule.bound))
              this.news.next({
                ...standingOf(run),
                valueMinor: value - run.answer.steadyMinor,
                boundMinor: bound - run.answer.steadyMinor,
              });
          },
        }),
      );
      if (run.schedule.chosen !== run.found.made.schedule.chosen) {
        run.answer = await run.found.tell(run.schedule.chosen);
        run.proposals.push(changesOf(run));
      }
      run.state = run.stop.signal.aborted ? 'stopped' : 'ended';
    } catch (error) {
      run.state = run.stop.signal.aborted ? 'stopped' : 'failed';
      if (run.state === 'failed') this.log.error(error);
    }
    if (this.run === run) this.news.next(standingOf(run));
  }

  /** What rules out the old start of everything that is moved or dropped. */
  private explained(run: Run): Promise<ExplainedChange[]> {
    return Promise.all(
      proposedBy(run).map(async (change): Promise<ExplainedChange> => {
        if (change.kind === 'add') return { ...change, against: null, heldUpBy: null };
        const { vehicleId, placeId, methodId, startMs, extras } = change.before;
        const detail = await this.verdicts.cellIfForecast({ vehicleId, placeId, methodId, startMs, extras });
        const judgement = detail?.judgement;
        const against = judgement ? { verdict: judgement.standing, limiting: judgement.limiting } : null;
        return { ...change, against, heldUpBy: lateBefore(change.before, run.found) };
      }),
    );
  }

  onModuleDestroy(): void {
    this.stop();
    this.news.complete();
  }
}
