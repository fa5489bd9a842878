import { MS_PER_DAY, MS_PER_HOUR, type BusySpan, type CalendarView, type ImportReport } from '@keen/core';
import { randomBytes, randomUUID, timingSafeEqual } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { ClockService } from '../clock/clock.service.js';
import { badField, conflict, notFound } from '../errors/api-error.js';
import { workerFile } from '../engine/worker-file.js';
import { FileReader, type Reading } from '../imports/file-reader.js';
import { keeps } from '../imports/import-report.js';
import { PlacesRepository } from '../records/places.repository.js';
import { SettingsService } from '../settings/settings.service.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { WashesRepository } from '../records/washes.repository.js';
import { inPassing } from '../db/in-passing.js';
import type { FeedDto, ImportBusyDto } from './calendar.dto.js';
import { CalendarRepository } from '../records/calendar.repository.js';
import { planCalendar } from './plan-calendar.js';
import type run from './calendar.worker.js';

/** Washes of the last weeks stay in the feed, so that a calendar does not lose them at once. */
const PAST_DAYS = 14;
/** Repeats are written out this far ahead. */
const AHEAD_DAYS = 90;
const SECRET_BYTES = 24;
const MOST_FEEDS = 50;

const newSecret = (): string => randomBytes(SECRET_BYTES).toString('base64url');
const isSame = (given: string, secret: string): boolean =>
  Buffer.byteLength(given) === Buffer.byteLength(secret) &&
  timingSafeEqual(Buffer.from(given), Buffer.from(secret));

export const READING: Reading<typeof run> = {
  file: workerFile('calendar', import.meta.url),
  tooMuch: 'This calendar takes too long to read: a rule in it may never come to an end.',
};

@Injectable()
export class CalendarService {
  constructor(
    private readonly repository: CalendarRepository,
    private readonly washes: WashesRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly places: PlacesRepository,
    private readonly settings: SettingsService,
    private readonly clock: ClockService,
    private readonly reader: FileReader,
  ) {}

  async view(): Promise<CalendarView> {
    const rows = await this.repository.busy(this.clock.now());
    const names = [...new Set(rows.map(({ calendar }) => calendar))];
    const calendars = names.map((calendar) => {
      const own = rows.filter((row) => row.calendar === calendar);
      return {
        calendar,
        workerId: own[0]?.workerId ?? null,
        count: own.length,
        nextMs: own[0]?.fromMs ?? 0,
      };
    });
    const feeds = (await this.repository.feeds()).map(({ id, name, workerId, secret, lastReadMs }) => ({
      id,
      name,
      workerId,
      path: `/api/calendar/${secret}/washes.ics`,
      lastReadMs,
    }));
    return { feeds, calendars };
  }

  /** @throws 400 naming the field, 409 where somebody of this name follows the plan already */
  async addFeed({ name: given, workerId }: FeedDto): Promise<void> {
    const name = given.trim();
    await this.requireWorker(workerId);
    const taken = await this.repository.feeds();
    if (taken.length >= MOST_FEEDS) throw badField('name', `name: at most ${MOST_FEEDS} addresses are kept.`);
    if (taken.some((one) => one.name.toLowerCase() === name.toLowerCase()))
      throw conflict('name', `name: there is an address for ${name} already.`);
    const madeMs = this.clock.now();
    await this.repository.addFeed({
      id: randomUUID(),
      name,
      workerId: workerId ?? null,
      secret: newSecret(),
      madeMs,
      lastReadMs: null,
    });
  }

  /** A new address; the old one stops answering. */
  async renewFeed(id: string): Promise<void> {
    const fresh = { secret: newSecret(), madeMs: this.clock.now(), lastReadMs: null };
    if (!(await this.repository.setFeed(id, fresh))) throw notFound('address', id);
  }

  /** From now on it answers nobody. */
  async deleteFeed(id: string): Promise<void> {
    if (!(await this.repository.deleteFeed(id))) throw notFound('address', id);
  }

  /** The planned washes as an iCalendar file. @throws 404 for an address that is not, or no longer, good */
  async feed(given: string): Promise<string> {
    const feed = (await this.repository.feeds()).find(({ secret }) => isSame(given, secret));
    if (!feed) throw notFound('calendar', 'at this address');
    const nowMs = this.clock.now();
    // What is only read goes on while the disk is full.
    if (nowMs - (feed.lastReadMs ?? -Infinity) >= MS_PER_HOUR)
      await inPassing(() => this.repository.setFeed(feed.id, { lastReadMs: nowMs }));
    const [all, vehicles, places, { timeZone }] = await Promise.all([
      this.washes.forCalendar(nowMs - PAST_DAYS * MS_PER_DAY),
      this.vehicles.list(),
      this.places.list(),
      this.settings.read(),
    ]);
    const washes = all.filter(({ workerId }) => feed.workerId === null || workerId === feed.workerId);
    return planCalendar(washes, { washes, vehicles, places, nowMs, timeZone });
  }

  private async requireWorker(workerId: string | undefined): Promise<void> {
    if (workerId === undefined) return;
    const { workers } = await this.settings.read();
    if (!workers.some(({ id }) => id === workerId))
      throw badField('workerId', `workerId: nobody here is called ${workerId}.`);
  }

  /** Reads busy times; what is kept replaces what came from that calendar before. */
  async importBusy({ text, mode, calendar, workerId }: ImportBusyDto): Promise<ImportReport<BusySpan>> {
    await this.requireWorker(workerId);
    const { timeZone } = await this.settings.read();
    const nowMs = this.clock.now();
    const window = { fromMs: nowMs - MS_PER_DAY, toMs: nowMs + AHEAD_DAYS * MS_PER_DAY, timeZone };
    const found = await this.reader.read(READING, { text, window });
    const kept = keeps(mode, found);
    if (kept) await this.repository.replace(calendar, workerId ?? null, found.good);
    return { ...found, kept };
  }

  async forget(calendar: string): Promise<void> {
    if (!(await this.repository.forget(calendar))) throw notFound('calendar', calendar);
  }
}
