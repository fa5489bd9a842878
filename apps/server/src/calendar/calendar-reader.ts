import { BadRequestException, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import { unreadable } from '../imports/import-report.js';
import type { CalendarJob, CalendarOutcome } from './calendar.worker.js';
import type { readCalendar } from './read-calendar.js';
import { workerFile } from '../engine/worker-file.js';

/** A year of a busy calendar takes a tenth of it (judgement). */
export const MOST_READING_MS = 3000;

/** Reads calendars beside the server, with a budget of time and memory: whatever stands in a file, others are answered meanwhile. */
@Injectable()
export class CalendarReader implements OnModuleDestroy {
  private readonly pool = new Piscina({
    filename: workerFile('calendar', import.meta.url),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 2000,
    resourceLimits: { maxOldGenerationSizeMb: 128 },
  });

  /** @throws 400 where the file cannot be read, or not within its time and memory */
  async read(job: CalendarJob, mostMs = MOST_READING_MS): Promise<ReturnType<typeof readCalendar>> {
    const outcome = await this.outcome(job, AbortSignal.timeout(mostMs));
    if (outcome.kind === 'read') return outcome.found;
    throw new BadRequestException(outcome.body);
  }

  private async outcome(job: CalendarJob, signal: AbortSignal): Promise<CalendarOutcome> {
    try {
      return (await this.pool.run(job, { signal })) as CalendarOutcome;
    } catch (error) {
      const isTooMuch = signal.aborted || (error as { code?: unknown }).code === 'ERR_WORKER_OUT_OF_MEMORY';
      if (!isTooMuch) throw error;
      throw unreadable(
        'This calendar takes too long to read: a rule in it may never come to an end. Nothing was kept.',
      );
    }
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool.destroy();
  }
}
