import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  type Band,
  busyOf,
  type CellDetail,
  cellDetail,
  daylight,
  morningAnswer,
  MS_PER_HOUR,
  type PlaceRecord,
  type VehicleAnswer,
  type VehicleRecord,
  type WashRecord,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField } from '../errors/api-error.js';
import { PlacesService } from '../places/places.service.js';
import { SettingsService } from '../settings/settings.service.js';
import { VehiclesService } from '../vehicles/vehicles.service.js';
import { WashesRepository } from '../washes/washes.repository.js';
import { type WeatherBundle, WeatherService } from '../weather/weather.service.js';
import { GRID_HOURS, type SaltAnswer, spanOf } from './engine.js';
import type { EngineVehicle, EngineWeather } from './engine-job.js';
import { EnginePool } from './engine-pool.js';

const KEPT_ANSWERS = 30;

export interface CellQuery {
  readonly vehicleId: string;
  readonly placeId: string;
  readonly methodId: string;
  readonly startMs: number;
}

export interface MorningView {
  readonly nowMs: number;
  readonly source: string;
  readonly issuedMs: number;
  readonly memberCount: number;
  readonly answers: readonly VehicleAnswer[];
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
  readonly days: readonly DayLight[];
}

const engineWeather = ({ stamp, observed, control, members }: WeatherBundle): EngineWeather => ({
  stamp,
  observed,
  control,
  members,
});

const engineVehicle = (vehicle: VehicleRecord, washes: readonly WashRecord[]): EngineVehicle => {
  const {
    name: _name,
    colourName: _colour,
    keeper: _keeper,
    notes: _notes,
    knownSinceMs,
    ...engine
  } = vehicle;
  const done = washes.filter((wash) => wash.vehicleId === vehicle.id && wash.status === 'done');
  return {
    vehicle: engine,
    knownSinceMs,
    washes: done.map(({ startMs, minutes, methodId }) => ({ atMs: startMs + minutes * 60_000, methodId })),
  };
};

const enginePlace = ({
  name: _name,
  notes: _notes,
  ...place
}: PlaceRecord): Omit<PlaceRecord, 'name' | 'notes'> => place;

@Injectable()
export class VerdictsService {
  private readonly answers = new Map<string, Promise<unknown>>();

  constructor(
    private readonly pool: EnginePool,
    private readonly weather: WeatherService,
    private readonly vehicles: VehiclesService,
    private readonly places: PlacesService,
    private readonly washes: WashesRepository,
    private readonly settings: SettingsService,
    private readonly clock: ClockService,
  ) {}

  /** Which vehicle, where, when, how and why; for all vehicles. */
  async morning(): Promise<MorningView> {
    const { weather, places, settings } = await this.setting();
    const [vehicles, washes] = await Promise.all([this.vehicles.list(), this.washes.list({})]);
    const nowMs = this.clock.now();
    const job = {
      kind: 'morning' as const,
      vehicles: vehicles.map((vehicle) => engineVehicle(vehicle, washes)),
      places,
      limits: settings.limits,
      prices: settings.prices,
      timeZone: settings.timeZone,
      weather: engineWeather(weather),
      nowMs: Math.floor(nowMs / 60_000) * 60_000,
    };
    const mornings = await this.once(
      ['morning', weather.stamp, Math.floor(nowMs / 600_000), { ...job, weather: null, nowMs: null }],
      () => this.pool.run(job),
    );
    const planned = washes.filter(
      (wash) => wash.status === 'planned' && wash.startMs + wash.minutes * 60_000 > nowMs,
    );
    const taken = planned.map((wash) =>
      busyOf({ ...wash, endMs: wash.startMs + wash.minutes * 60_000 }, places),
    );
    const plannedIds = new Set(planned.map(({ vehicleId }) => vehicleId));
    const open = mornings.filter(({ vehicleId }) => !plannedIds.has(vehicleId));
    const answers = morningAnswer(open, { places, taken, horizonMs: nowMs + GRID_HOURS * MS_PER_HOUR });
    return {
      nowMs,
      source: weather.source,
      issuedMs: weather.issuedMs,
      memberCount: weather.members.length,
      answers,
    };
  }

  /** The ribbon of one vehicle over a week. */
  async windows(vehicleId: string): Promise<WindowsView> {
    const record = await this.vehicles.read(vehicleId);
    const { weather, places, settings } = await this.setting();
    const { vehicle } = engineVehicle(record, []);
    const job = {
      kind: 'grid' as const,
      vehicle,
      places,
      limits: settings.limits,
      weather: engineWeather(weather),
    };
    const bands = await this.once(['grid', weather.stamp, { ...job, weather: null }], () =>
      this.pool.run(job),
    );
    const fromMs = weather.control[0]?.atMs ?? 0;
    return {
      vehicleId,
      fromMs,
      hourCount: GRID_HOURS,
      issuedMs: weather.issuedMs,
      source: weather.source,
      bands,
      days: this.daysOf(places, fromMs),
    };
  }

  private daysOf(
    places: readonly { latitudeDeg: number; longitudeDeg: number }[],
    fromMs: number,
  ): DayLight[] {
    const [point] = places;
    if (!point) return [];
    const days = Array.from({ length: GRID_HOURS / 24 + 1 }, (_, i) =>
      daylight(point, fromMs + i * 24 * MS_PER_HOUR),
    );
    return days.flatMap((day) =>
      day.kind === 'day' ? [{ sunriseMs: day.sunriseMs, sunsetMs: day.sunsetMs }] : [],
    );
  }

  /** Every rule's finding for one start. @throws 400 outside the forecast */
  async cell(query: CellQuery): Promise<CellDetail> {
    const detail = await this.cellIfForecast(query);
    if (!detail) throw badField('startMs', 'startMs is outside the hours that the forecast reaches.');
    return detail;
  }

  /** The same; null where the forecast does not reach. */
  async cellIfForecast(query: CellQuery): Promise<(CellDetail & { readonly issuedMs: number }) | null> {
    const record = await this.vehicles.read(query.vehicleId);
    const place = await this.places.read(query.placeId);
    const { weather, settings } = await this.setting();
    const first = weather.control[0]?.atMs ?? Infinity;
    const last = weather.control.at(-1)?.atMs ?? -Infinity;
    if (query.startMs < first || query.startMs > last) return null;
    const { vehicle } = engineVehicle(record, []);
    const { methodId, startMs } = query;
    const control = spanOf(weather, weather.control);
    const detail = cellDetail({ vehicle, place, methodId, limits: settings.limits, control }, startMs);
    return { ...detail, issuedMs: weather.issuedMs };
  }

  /** The salt of one vehicle over the season. */
  async salt(vehicleId: string): Promise<SaltAnswer> {
    const record = await this.vehicles.read(vehicleId);
    const { weather, places, settings } = await this.setting();
    const washes = await this.washes.list({ vehicleId });
    const job = {
      kind: 'salt' as const,
      vehicle: engineVehicle(record, washes),
      places,
      limits: settings.limits,
      timeZone: settings.timeZone,
      weather: engineWeather(weather),
    };
    return this.once(['salt', weather.stamp, { ...job, weather: null }], () => this.pool.run(job));
  }

  private async setting(): Promise<{
    weather: WeatherBundle;
    places: PlaceRecordForEngine[];
    settings: Awaited<ReturnType<SettingsService['read']>>;
  }> {
    const [weather, places, settings] = await Promise.all([
      this.weather.bundle(),
      this.places.list(),
      this.settings.read(),
    ]);
    return { weather, places: places.map(enginePlace), settings };
  }

  /** The same question with the same inputs is asked of the engine once. */
  private once<T>(inputs: unknown, compute: () => Promise<T>): Promise<T> {
    const key = createHash('sha256').update(JSON.stringify(inputs)).digest('base64');
    const known = this.answers.get(key);
    if (known) return known as Promise<T>;
    const answer = compute();
    this.answers.set(key, answer);
    answer.catch(() => this.answers.delete(key));
    const [oldest] = this.answers.keys();
    if (this.answers.size > KEPT_ANSWERS && oldest !== undefined) this.answers.delete(oldest);
    return answer;
  }
}

type PlaceRecordForEngine = ReturnType<typeof enginePlace>;
