import { Injectable } from '@nestjs/common';
import {
  type BalanceRow,
  type Band,
  type CadenceOutcome,
  type CadencePart,
  daylight,
  type Flip,
  type Hands,
  MS_PER_HOUR,
  type PlanAnswer,
  type PlanOption,
  startOfHourMs,
  type WashRecord,
  type WorthOfRelief,
} from '@keen/core';
import { CalendarRepository } from '../records/calendar.repository.js';
import { ClockService } from '../clock/clock.service.js';
import { type BookingRecord, BookingsRepository } from '../records/bookings.repository.js';
import { CustomersRepository } from '../records/customers.repository.js';
import { DrivesRepository } from '../records/drives.repository.js';
import { badField, notFound } from '../errors/api-error.js';
import { KitRepository } from '../records/kit.repository.js';
import { PlacesRepository } from '../records/places.repository.js';
import { RoadsService } from '../roads/roads.service.js';
import { SettingsService } from '../settings/settings.service.js';
import { SoilLooksRepository } from '../records/soil-looks.repository.js';
import { SwabsRepository } from '../records/swabs.repository.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { WashesRepository } from '../records/washes.repository.js';
import { type WeatherBundle, WeatherService } from '../weather/weather.service.js';
import type { ConditionAnswer } from './condition-answer.js';
import { type CellAnswer, GRID_HOURS, type MadePlan, type PackDraft, type RibbonHour } from './engine.js';
import type { EngineJob, EngineSetting, EngineVehicle, StartQuestion } from './engine-job.js';
import { EnginePool, type EngineResults } from './engine-pool.js';
import { enginePlace, engineVehicle, type Notes } from './engine-facts.js';
import { isAhead, planFacts, slotOf, stockByMethod } from './plan-facts.js';
import type { SaltAnswer } from './salt-answer.js';
import { SharedAnswers } from './shared-answers.js';

export interface CellQuery extends StartQuestion {
  readonly vehicleId: string;
}

/** A plan as first found, with what it was made from. */
export interface PlanFound {
  readonly made: MadePlan;
  readonly planned: readonly WashRecord[];
  readonly hands: readonly Hands[];
  readonly bookings: readonly BookingRecord[];
  readonly nowMs: number;
  readonly fromMs: number;
  readonly days: readonly DayLight[];
  readonly source: string;
  readonly issuedMs: number;
  readonly memberCount: number;
  /** Words the plan that other options of the same problem make. */
  readonly tell: (chosen: readonly number[]) => Promise<PlanAnswer>;
}

export interface DayLight {
  readonly sunriseMs: number;
  readonly sunsetMs: number;
}

export interface WindowsView {
  readonly vehicleId: string;
  readonly fromMs: number;
  readonly hourCount: number;
  readonly issuedMs: number;
  readonly source: string;
  readonly bands: readonly Band[];
  readonly hours: readonly RibbonHour[];
  readonly days: readonly DayLight[];
}

export interface BalanceView {
  readonly vehicleId: string;
  readonly atMs: number;
  readonly source: string;
  readonly issuedMs: number;
  readonly rows: readonly BalanceRow[];
}

type Setting = EngineSetting & Pick<WeatherBundle, 'source' | 'issuedMs'>;

@Injectable()
export class VerdictsService {
  private readonly answers = new SharedAnswers();

  constructor(
    private readonly pool: EnginePool,
    private readonly weather: WeatherService,
    private readonly roads: RoadsService,
    private readonly vehicles: VehiclesRepository,
    private readonly places: PlacesRepository,
    private readonly washes: WashesRepository,
    private readonly drives: DrivesRepository,
    private readonly swabs: SwabsRepository,
    private readonly looks: SoilLooksRepository,
    private readonly settings: SettingsService,
    private readonly busy: CalendarRepository,
    private readonly customers: CustomersRepository,
    private readonly bookings: BookingsRepository,
    private readonly kit: KitRepository,
    private readonly clock: ClockService,
  ) {}

  /** One good plan for all vehicles round the washes that stand in it already. */
  async plan(caller?: AbortSignal): Promise<PlanFound> {
    const { setting, cars, planned, facts, booked } = await this.planInputs();
    const job = { ...planSetting(setting), cars, facts };
    const made = await this.ask({ ...job, kind: 'plan' }, caller);
    const { source, issuedMs, weather, places, nowMs } = setting;
    const { fromMs } = weather;
    const hours = (made.horizonMs - fromMs) / MS_PER_HOUR;
    const days = this.daysOf(places, fromMs, hours);
    const tell = (chosen: readonly number[]): Promise<PlanAnswer> =>
      this.ask({ ...job, kind: 'plan-tell', chosen });
    const memberCount = weather.members.length;
    const shown = { hands: facts.hands, bookings: booked };
    return { made, planned, nowMs, fromMs, days, source, issuedMs, memberCount, ...shown, tell };
  }

  /** Where else a vehicle's wash could stand, every other planned wash left where it is. */
  async moves(vehicleId: string, washId: string | null, caller?: AbortSignal): Promise<PlanOption[]> {
    const { setting, cars, facts, planned } = await this.planInputs();
    const car = cars.find(({ vehicle }) => vehicle.id === vehicleId);
    if (!car) throw notFound('vehicle', vehicleId);
    const others = planned.filter(({ id }) => id !== washId).map((wash) => slotOf(wash, setting.nowMs));
    const beside = { ...facts, fixed: others, movable: [] };
    return this.ask({ ...planSetting(setting), kind: 'moves', car, facts: beside }, caller);
  }

  /** What a little more of each limit would be worth to the plan. */
  async reliefs(caller?: AbortSignal): Promise<WorthOfRelief[]> {
    const { setting, cars, facts } = await this.planInputs();
    return this.ask({ ...planSetting(setting), kind: 'reliefs', cars, facts }, caller);
  }

  private async planInputs() {
    const [setting, vehicles, notes, { hands, stock: counted, house }, booked, kit] = await Promise.all([
      this.setting(),
      this.vehicles.list(),
      this.notes(),
      this.settings.read(),
      this.bookings.open(this.clock.now()),
      this.kit.all(),
    ]);
    const stock = stockByMethod(counted, kit, house);
    const cars = vehicles.map((vehicle) => engineVehicle(vehicle, notes, setting.nowMs));
    const planned = notes.washes.filter((wash) => isAhead(wash, setting.nowMs));
    const engaged = (await this.busy.busy(setting.nowMs)).map(({ handsId, fromMs, toMs }) => ({
      handsId,
      fromMs,
      toMs,
    }));
    const bookings = booked.map(({ id, vehicleId, fromMs, readyByMs, methodId, extras }) => ({
      id,
      vehicleId,
      fromMs,
      readyByMs,
      methodId,
      extras,
    }));
    const facts = planFacts({ planned, nowMs: setting.nowMs }, { hands, busy: engaged, bookings, stock });
    return { setting, cars, planned, facts, booked };
  }

  /** The ribbon of one vehicle over a week. */
  async windows(vehicleId: string, caller?: AbortSignal): Promise<WindowsView> {
    const { setting, car } = await this.ofCar(vehicleId);
    const { bands, hours } = await this.ask({ ...carSetting(setting), kind: 'grid', car }, caller);
    const { issuedMs, source, weather, places } = setting;
    const { fromMs } = weather;
    const days = this.daysOf(places, fromMs);
    return { vehicleId, fromMs, hourCount: GRID_HOURS, issuedMs, source, bands, hours, days };
  }

  private daysOf(
    places: readonly { latitudeDeg: number; longitudeDeg: number }[],
    fromMs: number,
    hours = GRID_HOURS,
  ): DayLight[] {
    const [point] = places;
    if (!point) return [];
    const days = Array.from({ length: Math.ceil(hours / 24) + 1 }, (_, i) =>
      daylight(point, fromMs + i * 24 * MS_PER_HOUR),
    );
    return days.flatMap((day) =>
      day.kind === 'day' ? [{ sunriseMs: day.sunriseMs, sunsetMs: day.sunsetMs }] : [],
    );
  }

  /** Every rule's finding for one start. @throws 400 outside the forecast */
  async cell(query: CellQuery): Promise<CellAnswer> {
    const detail = await this.cellIfForecast(query);
    if (!detail) throw badField('startMs', 'startMs is outside the hours that the forecast reaches.');
    return detail;
  }

  /** The same; null where the forecast does not reach. */
  async cellIfForecast(query: CellQuery): Promise<(CellAnswer & { readonly issuedMs: number }) | null> {
    const asked = await this.start(query);
    if (!asked) return null;
    const { setting, car, start } = asked;
    const detail = await this.ask({ ...carSetting(setting), kind: 'cell', car, start });
    return { ...detail, issuedMs: setting.issuedMs };
  }

  /** What would change the answer to one start. @throws 400 outside the forecast */
  async flips(query: CellQuery): Promise<Flip[]> {
    const asked = await this.start(query);
    if (!asked) throw badField('startMs', 'startMs is outside the hours that the forecast reaches.');
    const { setting, car, start } = asked;
    return this.ask({ ...carSetting(setting), kind: 'flips', car, start });
  }

  /** All that it takes to do a wash there then; null where the forecast does not reach, or nobody knows that hour. */
  async runPack(query: CellQuery): Promise<(PackDraft & Pick<Setting, 'source' | 'issuedMs'>) | null> {
    const asked = await this.start(query);
    if (!asked) return null;
    const { setting, car, start } = asked;
    const kit = await this.kit.all();
    const draft = await this.ask({ ...carSetting(setting), kind: 'run-pack', car, start, kit });
    return draft && { ...draft, source: setting.source, issuedMs: setting.issuedMs };
  }

  private async start({ vehicleId, placeId, methodId, startMs }: CellQuery) {
    await this.places.read(placeId);
    const { setting, car } = await this.ofCar(vehicleId);
    const { fromMs, control } = setting.weather;
    const inside = startMs >= fromMs && startMs < fromMs + control.length * MS_PER_HOUR;
    return inside ? { setting, car, start: { placeId, methodId, startMs } } : null;
  }

  /** The salt of one vehicle over the season. */
  async salt(vehicleId: string): Promise<SaltAnswer> {
    const { setting, car } = await this.ofCar(vehicleId);
    return this.ask({ ...carSetting(setting), kind: 'salt', car });
  }

  /** Soil and protection of one vehicle, zone by zone. */
  async condition(vehicleId: string): Promise<ConditionAnswer & { readonly looks: Notes['looks'] }> {
    const { setting, car, notes } = await this.ofCar(vehicleId);
    const answer = await this.ask({ ...carSetting(setting), kind: 'condition', car });
    return { ...answer, looks: notes.looks };
  }

  /** All ways to wash one vehicle in one hour. @throws 400 outside the forecast */
  async balance(vehicleId: string, atMs: number, caller?: AbortSignal): Promise<BalanceView> {
    const { setting, car } = await this.ofCar(vehicleId);
    const { fromMs } = setting.weather;
    const hourMs = startOfHourMs(atMs);
    if (hourMs < fromMs || hourMs >= fromMs + GRID_HOURS * MS_PER_HOUR)
      throw badField('atMs', 'atMs is outside the week that is judged.');
    const rows = await this.ask({ ...carSetting(setting), kind: 'balance', car, atMs: hourMs }, caller);
    return { vehicleId, atMs: hourMs, source: setting.source, issuedMs: setting.issuedMs, rows };
  }

  /** What cadences would have cost and saved one vehicle this season so far. */
  async cadence(vehicleId: string, plans: readonly (readonly CadencePart[])[]): Promise<CadenceOutcome[]> {
    const { setting, car } = await this.ofCar(vehicleId);
    return this.ask({ ...carSetting(setting), kind: 'cadence', car, plans });
  }

  private async ofCar(vehicleId: string): Promise<{ setting: Setting; car: EngineVehicle; notes: Notes }> {
    const record = await this.vehicles.read(vehicleId);
    const [setting, notes] = await Promise.all([this.setting(), this.notes(vehicleId)]);
    return { setting, car: engineVehicle(record, notes, setting.nowMs), notes };
  }

  private async notes(vehicleId?: string): Promise<Notes> {
    const [washes, drives, swabs, looks, customers] = await Promise.all([
      this.washes.list({ vehicleId }),
      this.drives.list(vehicleId),
      this.swabs.list(vehicleId),
      this.looks.list(vehicleId),
      this.customers.list(),
    ]);
    return { washes, drives, swabs, looks, customers };
  }

  private async setting(): Promise<Setting> {
    const [bundle, places, { limits, prices, house, drivesOn, timeZone, season }, { treatments }] =
      await Promise.all([
        this.weather.bundle(),
        this.places.list(),
        this.settings.read(),
        this.roads.bulletins(),
      ]);
    const { stamp, source, issuedMs, seasonMs, fromMs, observed, control, members, roadSights } = bundle;
    const spread = treatments.map(({ atMs, roadClass, agent, gramsPerM2 }) => ({
      atMs,
      roadClass,
      agent,
      gramsPerM2,
    }));
    return {
      places: places.map(enginePlace),
      limits,
      prices,
      house,
      drivesOn,
      timeZone,
      season,
      treatments: spread,
      weather: {
        stamp,
        seasonMs,
        fromMs,
        observed,
        control,
        members,
        roadSights,
      },
      nowMs: Math.floor(this.clock.now() / 60_000) * 60_000,
      source,
      issuedMs,
    };
  }

  /** The same job is given to the engine once, however many wait for it; it is stopped when nobody waits any more. */
  private ask<K extends EngineJob['kind']>(
    job: Extract<EngineJob, { kind: K }> & { readonly kind: K },
    caller?: AbortSignal,
  ): Promise<EngineResults[K]> {
    return this.answers.once(job, (inputs, signal) => this.pool.run<K>(inputs, signal), caller);
  }
}

const TEN_MINUTES_MS = 600_000;

/** What questions about starts to come rest on: no start is planned for minutes that are over, and an answer holds for ten. */
function planSetting({ source: _source, issuedMs: _issued, ...setting }: Setting): EngineSetting {
  return { ...setting, nowMs: Math.ceil(setting.nowMs / TEN_MINUTES_MS) * TEN_MINUTES_MS };
}

/** What questions about one car rest on: its hours, to ten minutes. */
function carSetting({ source: _source, issuedMs: _issued, ...setting }: Setting): EngineSetting {
  return { ...setting, nowMs: Math.floor(setting.nowMs / TEN_MINUTES_MS) * TEN_MINUTES_MS };
}
