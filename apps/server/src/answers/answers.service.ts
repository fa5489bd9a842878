import { Injectable } from '@nestjs/common';
import {
  type Answers,
  type CadenceOutcome,
  type CadencePart,
  type CellAnswer,
  type CoatRecord,
  type ConditionView,
  type WeatherOrigin,
  type Flip,
  MS_PER_HOUR,
  type PackDraft,
  type PlannedSlot,
  type PlanOption,
  type Question,
  type SaltAnswer,
  slotOf,
  startOfHourMs,
  type WayOption,
  WEEK_HOURS,
  type WorthOfRelief,
  type BalanceView,
  type CellQuery,
  type TrialAnswer,
  type WashAnswer,
  type WindowsView,
} from '@keen/core';
import { EnginePool } from '../engine/engine-pool.js';
import { SharedAnswers } from '../engine/shared-answers.js';
import { badField, notFound } from '../errors/api-error.js';
import { PlacesRepository } from '../records/places.repository.js';
import { ShopReader } from '../shop/shop-reader.js';
import { daysOf } from './days-of.js';
import type { PlanFound } from './plan-found.js';
import { type Accepted, isForecast, notForecast, startOf } from './start-of.js';

/** Puts questions with the facts that they rest on to the engine. */
@Injectable()
export class AnswersService {
  private readonly shared = new SharedAnswers();

  constructor(
    private readonly pool: EnginePool,
    private readonly shop: ShopReader,
    private readonly places: PlacesRepository,
  ) {}

  /** One good plan for all vehicles round the washes that stand in it already. */
  async plan(caller?: AbortSignal): Promise<PlanFound> {
    const { facts, origin, cars, notes, planned, booked } = await this.shop.plan();
    const question = { ...facts, cars, facts: notes };
    const made = await this.ask({ ...question, kind: 'plan' }, caller);
    const { fromMs, members } = facts.weather;
    return {
      made,
      planned,
      nowMs: facts.nowMs,
      fromMs,
      days: daysOf(facts, fromMs, (made.horizonMs - fromMs) / MS_PER_HOUR),
      ...origin,
      memberCount: members.length,
      workers: notes.workers,
      bookings: booked,
      tell: (chosen) => this.ask({ ...question, kind: 'plan-tell', chosen }, caller),
    };
  }

  /** Where else a vehicle's wash could stand, every other planned wash left where it is. */
  async moves(vehicleId: string, washId: string | null, caller?: AbortSignal): Promise<PlanOption[]> {
    const { facts, cars, notes, planned } = await this.shop.plan();
    const car = cars.find(({ vehicle }) => vehicle.id === vehicleId);
    if (!car) throw notFound('vehicle', vehicleId);
    const slots = (which: (id: string) => boolean): PlannedSlot[] =>
      planned.filter(({ id }) => which(id)).map((wash) => slotOf(wash, facts.nowMs));
    const beside = { ...notes, fixed: slots((id) => id !== washId), movable: slots((id) => id === washId) };
    return this.ask({ ...facts, kind: 'moves', car, facts: beside }, caller);
  }

  /** What a little more of each limit would be worth to the plan. */
  async reliefs(caller?: AbortSignal): Promise<WorthOfRelief[]> {
    const { facts, cars, notes } = await this.shop.plan();
    return this.ask({ ...facts, kind: 'reliefs', cars, facts: notes }, caller);
  }

  /** The ribbon of one vehicle over a week. */
  async windows(vehicleId: string, caller?: AbortSignal): Promise<WindowsView> {
    const { facts, origin } = await this.shop.car(vehicleId);
    const { bands, hours } = await this.ask({ ...facts, kind: 'week' }, caller);
    const { fromMs } = facts.weather;
    return { vehicleId, fromMs, hourCount: WEEK_HOURS, ...origin, bands, hours, days: daysOf(facts, fromMs) };
  }

  /** Every rule's finding for one start. @throws 400 outside the forecast */
  async cell(query: CellQuery): Promise<CellAnswer> {
    const detail = await this.cellIfForecast(query);
    if (!detail) throw notForecast();
    return detail;
  }

  /** The same; null where the forecast does not reach. */
  async cellIfForecast(query: CellQuery): Promise<(CellAnswer & { readonly issuedMs: number }) | null> {
    const asked = await this.start(query);
    if (!asked) return null;
    const detail = await this.ask({ ...asked.question, kind: 'cell' });
    return { ...detail, issuedMs: asked.origin.issuedMs };
  }

  /** One start worked through, step by step and panel by panel. @throws 400 outside the forecast */
  async wash(query: CellQuery): Promise<WashAnswer> {
    const asked = await this.start(query);
    const worked = asked && (await this.ask({ ...asked.question, kind: 'wash' }));
    if (!worked) throw notForecast();
    return worked;
  }

  /** How it would go in an order of steps that somebody tries out. @throws 400 outside the forecast */
  async trial(query: CellQuery & Accepted): Promise<TrialAnswer> {
    const [asked, kit] = await Promise.all([this.start(query), this.shop.kit()]);
    const tried = asked && (await this.ask({ ...asked.question, kind: 'trial', kit }));
    if (!tried) throw notForecast();
    return tried;
  }

  /** In which ways it could be done. @throws 400 outside the forecast */
  async ways(query: CellQuery): Promise<WayOption[]> {
    const asked = await this.start(query);
    if (!asked) throw notForecast();
    return this.ask({ ...asked.question, kind: 'ways' });
  }

  /** What would change the answer to one start. @throws 400 outside the forecast */
  async flips(query: CellQuery): Promise<Flip[]> {
    const asked = await this.start(query);
    if (!asked) throw notForecast();
    return this.ask({ ...asked.question, kind: 'flips' });
  }

  /** All that it takes to do a wash there then; null where the forecast does not reach, or nobody knows that hour. */
  async runPack(query: CellQuery & Accepted): Promise<(PackDraft & WeatherOrigin) | null> {
    const [asked, kit] = await Promise.all([this.start(query), this.shop.kit()]);
    if (!asked) return null;
    const draft = await this.ask({ ...asked.question, kind: 'run-pack', kit });
    return draft && { ...draft, ...asked.origin };
  }

  private async start({ vehicleId, ...asked }: CellQuery & Accepted) {
    await this.places.read(asked.placeId);
    const { facts, origin } = await this.shop.car(vehicleId);
    return isForecast(facts, asked.startMs)
      ? { question: { ...facts, start: startOf(asked) }, origin }
      : null;
  }

  /** The salt of one vehicle over the season. */
  async salt(vehicleId: string): Promise<SaltAnswer> {
    const { facts } = await this.shop.car(vehicleId);
    return this.ask({ ...facts, kind: 'salt' });
  }

  /** Soil and protection of one vehicle, zone by zone. */
  async condition(vehicleId: string): Promise<ConditionView> {
    const { facts, notes } = await this.shop.car(vehicleId);
    const answer = await this.ask({ ...facts, kind: 'condition' });
    return { ...answer, looks: notes.looks };
  }

  /** What each protection lasted on each vehicle. */
  async coats(): Promise<CoatRecord[]> {
    const { facts, cars } = await this.shop.plan();
    return this.ask({ ...facts, kind: 'coats', cars });
  }

  /** All ways to wash one vehicle in one hour. @throws 400 outside the forecast */
  async balance(vehicleId: string, atMs: number, caller?: AbortSignal): Promise<BalanceView> {
    const { facts, origin } = await this.shop.car(vehicleId);
    const { fromMs } = facts.weather;
    const hourMs = startOfHourMs(atMs);
    if (hourMs < fromMs || hourMs >= fromMs + WEEK_HOURS * MS_PER_HOUR)
      throw badField('atMs', 'atMs is outside the week that is judged.');
    const rows = await this.ask({ ...facts, kind: 'balance', atMs: hourMs }, caller);
    return { vehicleId, atMs: hourMs, ...origin, rows };
  }

  /** What cadences would have cost and saved one vehicle this season so far. */
  async cadence(vehicleId: string, plans: readonly (readonly CadencePart[])[]): Promise<CadenceOutcome[]> {
    const { facts } = await this.shop.car(vehicleId);
    return this.ask({ ...facts, kind: 'cadence', plans });
  }

  /** The same question is put once, however many wait for the answer; it is stopped when nobody waits any more. */
  private ask<K extends Question['kind']>(
    question: Extract<Question, { kind: K }> & { readonly kind: K },
    caller?: AbortSignal,
  ): Promise<Answers[K]> {
    return this.shared.once(question, (inputs, signal) => this.pool.run<K>(inputs, signal), caller);
  }
}
