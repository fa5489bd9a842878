import { MS_PER_DAY, type BusySpan, type CalendarView, type ImportReport } from '@keen/core';
import { randomBytes, timingSafeEqual } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { ClockService } from '../clock/clock.service.js';
import { badField, notFound } from '../errors/api-error.js';
import { workerFile } from '../engine/worker-file.js';
import { FileReader, type Reading } from '../imports/file-reader.js';
import { keeps } from '../imports/import-report.js';
import { PlacesRepository } from '../records/places.repository.js';
import { SettingsService } from '../settings/settings.service.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { WashesRepository } from '../records/washes.repository.js';
import type { ImportBusyDto } from './calendar.dto.js';
import { CalendarRepository } from '../records/calendar.repository.js';
import { planCalendar } from './plan-calendar.js';
import type run from './calendar.worker.js';

/** Washes of the last weeks stay in the feed, so that a calendar does not lose them at once. */
const PAST_DAYS = 14;
/** Repeats are written out this far ahead. */
const AHEAD_DAYS = 90;
const SECRET_BYTES = 24;

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
    const secret = (await this.repository.secret()) ?? (await this.renew());
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
    return { path: `/api/calendar/${secret}/washes.ics`, calendars };
  }

  /** A new address; the old one stops answering. */
  async renew(): Promise<string> {
    const secret = randomBytes(SECRET_BYTES).toString('base64url');
    await this.repository.setSecret(secret);
    return secret;
  }

  /** The planned washes as an iCalendar file. @throws 404 for an address that is not, or no longer, good */
  async feed(given: string): Promise<string> {
    const secret = await this.repository.secret();
    const isGood =
      secret !== null &&
      given.length === secret.length &&
      timingSafeEqual(Buffer.from(given), Buffer.from(secret));
    if (!isGood) throw notFound('calendar', 'at this address');
    const nowMs = this.clock.now();
    const [washes, vehicles, places, { timeZone }] = await Promise.all([
      this.washes.forCalendar(nowMs - PAST_DAYS * MS_PER_DAY),
      this.vehicles.list(),
      this.places.list(),
      this.settings.read(),
    ]);
    return planCalendar(washes, { washes, vehicles, places, nowMs, timeZone });
  }

  /** Reads busy times; what is kept replaces what came from that calendar before. */
  async importBusy({ text, mode, calendar, workerId }: ImportBusyDto): Promise<ImportReport<BusySpan>> {
    const { timeZone, workers } = await this.settings.read();
    if (workerId !== undefined && !workers.some(({ id }) => id === workerId))
      throw badField('workerId', `workerId: nobody here is called ${workerId}.`);
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
