import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import {
  FieldError,
  MS_PER_HOUR,
  type ReadHour,
  readingsByMember,
  requireSight,
  startOfHourMs,
  weatherRows,
  seasonStartMs,
  type ImportReport,
  type SightRecord,
  type WeatherSourceView,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField, notFound } from '../errors/api-error.js';
import { workerFile } from '../engine/worker-file.js';
import { FileReader, type Reading } from '../imports/file-reader.js';
import { keeps } from '../imports/import-report.js';
import { SettingsService } from '../settings/settings.service.js';
import { rowsOfList, type WeatherKind } from './read-weather.js';
import type run from './weather.worker.js';
import { SightsRepository } from '../records/sights.repository.js';
import type { ImportWeatherDto, SightDto, WeatherHoursDto } from './weather.dto.js';
import { WeatherRepository } from '../records/weather.repository.js';
import { WeatherService } from './weather.service.js';
import { WEATHER_SOURCE, type WeatherSource } from './weather-source.js';

const FORECAST_AHEAD_MS = 16 * 24 * MS_PER_HOUR;
const FORECAST_BEHIND_MS = 48 * MS_PER_HOUR;

const READING: Reading<typeof run> = {
  file: workerFile('weather', import.meta.url),
  tooMuch: 'This weather takes too long to read.',
};

/** Weather that people tell: read from files, sent by their own station, or seen out of the door. */
@Injectable()
export class KeptWeatherService {
  constructor(
    private readonly repository: WeatherRepository,
    private readonly seen: SightsRepository,
    private readonly weather: WeatherService,
    private readonly settings: SettingsService,
    private readonly clock: ClockService,
    @Inject(WEATHER_SOURCE) private readonly station: WeatherSource,
    private readonly reader: FileReader,
  ) {}

  async sources(): Promise<WeatherSourceView[]> {
    const nowMs = this.clock.now();
    await this.weather.bundle();
    const order = await this.weather.order();
    const kept = await this.repository.kept(nowMs);
    const views = await Promise.all(
      kept.map(async (one): Promise<WeatherSourceView> => {
        const run = one.issuedMs === null ? null : await this.repository.newestRun(one.source, nowMs);
        const rank = order.indexOf(one.source);
        return {
          ...one,
          isStation: one.source === this.station.name,
          rank: rank < 0 ? null : rank,
          memberCount: Math.max(0, (run?.members.length ?? 1) - 1),
        };
      }),
    );
    return views.sort((a, b) => (a.rank ?? Infinity) - (b.rank ?? Infinity));
  }

  /** @throws 400 naming a source that is not there, or one that is there twice */
  async setOrder(order: readonly string[]): Promise<WeatherSourceView[]> {
    const known = new Set((await this.sources()).map(({ source }) => source));
    order.forEach((source, i) => {
      if (!known.has(source)) throw badField(`order.${i}`, `order.${i}: there is no source ${source}.`);
      if (order.indexOf(source) !== i) throw badField(`order.${i}`, `order.${i}: ${source} is there twice.`);
    });
    await this.settings.setWeatherOrder(order);
    return this.sources();
  }

  private span(kind: WeatherKind): { fromMs: number; toMs: number } {
    const hourMs = startOfHourMs(this.clock.now());
    return kind === 'measured'
      ? { fromMs: seasonStartMs(hourMs), toMs: hourMs + MS_PER_HOUR }
      : { fromMs: hourMs - FORECAST_BEHIND_MS, toMs: hourMs + FORECAST_AHEAD_MS };
  }

  async importText(dto: ImportWeatherDto): Promise<ImportReport<ReadHour>> {
    this.requireOwnName(dto.source);
    const issuedMs = this.issued(dto.issuedMs);
    const { text, format, kind } = dto;
    const read = await this.reader.read(READING, {
      given: { text, format, kind },
      known: { span: this.span(kind), nowMs: this.clock.now() },
    });
    const kept = keeps(dto.mode, { good: read.hours, faults: read.faults });
    if (kept) await this.keep({ ...dto, issuedMs }, read.hours);
    return { good: read.hours, faults: read.faults, notes: read.notes, kept };
  }

  /** @throws 400 naming the hour and its field; then nothing is kept */
  async addHours(dto: WeatherHoursDto): Promise<{ kept: number }> {
    this.requireOwnName(dto.source);
    const issuedMs = this.issued(dto.issuedMs);
    const { hours, faults } = weatherRows(rowsOfList(dto.hours), this.span(dto.kind));
    const [first] = faults;
    if (first)
      throw badField(`hours.${first.line - 1}.${first.field}`, `Hour ${first.line}: ${first.message}.`);
    await this.keep({ ...dto, issuedMs }, hours);
    return { kept: hours.length };
  }

  private requireOwnName(source: string): void {
    if (source === this.station.name)
      throw badField('source', `source: ${source} is the name of the station; choose another.`);
  }

  private issued(issuedMs = this.clock.now()): number {
    if (issuedMs > this.clock.now()) throw badField('issuedMs', 'issuedMs is in the future.');
    if (issuedMs < this.clock.now() - FORECAST_BEHIND_MS)
      throw badField('issuedMs', 'issuedMs is more than two days ago; such a forecast is of no use.');
    return startOfHourMs(issuedMs);
  }

  private async keep(
    { source, kind, issuedMs }: { source: string; kind: WeatherKind; issuedMs: number },
    hours: readonly ReadHour[],
  ): Promise<void> {
    const members = readingsByMember(hours);
    const isNew = !(await this.repository.kept(this.clock.now())).some((one) => one.source === source);
    if (kind === 'measured') {
      if (hours.some(({ member }) => member > 0))
        throw badField('member', 'What was measured has no members.');
      await this.repository.addObserved(source, members[0] ?? []);
    } else {
      if (hours.every(({ member }) => member > 0))
        throw badField('member', 'The control (member 0, or empty) is missing.');
      await this.repository.addRun({ source, issuedMs, members });
    }
    // What somebody takes the trouble to tell is meant to count: a source that is new leads.
    const order = await this.weather.order();
    if (isNew) await this.settings.setWeatherOrder([source, ...order]);
    this.weather.changed();
  }

  async forget(source: string): Promise<void> {
    this.requireOwnName(source);
    const order = await this.weather.order();
    await this.settings.setWeatherOrder(order.filter((one) => one !== source));
    await this.repository.forget(source);
    this.weather.changed();
  }

  sights(): Promise<SightRecord[]> {
    return this.seen.since(this.clock.now() - 24 * MS_PER_HOUR);
  }

  /** @throws 400 naming the field outside its range, or where nothing was looked at */
  async see(dto: SightDto): Promise<SightRecord> {
    const sight = { atMs: this.clock.now(), ...dto };
    if (sight.roadState === null) requireSight(sight);
    if (sight.roadState !== null && sight.roadClass === null)
      throw new FieldError('missing-field', 'roadClass', 'Say which road it is.');
    const record: SightRecord = { id: randomUUID(), ...sight };
    await this.seen.insert(record);
    this.weather.changed();
    return record;
  }

  async setSightRemoved(id: string, isRemoved: boolean): Promise<void> {
    if (!(await this.seen.setRemoved(id, isRemoved ? this.clock.now() : null))) throw notFound('sight', id);
    this.weather.changed();
  }
}
