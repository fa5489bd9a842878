import { execFile } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { Inject, Injectable } from '@nestjs/common';
import { BackupsService } from '../backup/backups.service.js';
import { ClockService } from '../clock/clock.service.js';
import { CONFIG, type Config } from '../config/config.js';
import type { OpenDatabase } from '../db/database.js';
import { OPEN_DATABASE } from '../db/database.module.js';
import { conflict } from '../errors/api-error.js';
import { AllRowsRepository } from '../records/all-rows.repository.js';
import { WeatherService } from '../weather/weather.service.js';

/** A program of its own, so that the server knows nothing of what it makes up; a run from source uses what was built. */
const SEED = ['../demo/seed-command.js', '../../dist/demo/seed-command.js']
  .map((path) => fileURLToPath(new URL(path, import.meta.url)))
  .find((file) => existsSync(file));
const SEED_MS = 60_000;

/** Beginning with nothing, or with a made-up shop to try things in; a copy of what was there is made first. */
@Injectable()
export class StartAgainService {
  constructor(
    private readonly rows: AllRowsRepository,
    private readonly backups: BackupsService,
    private readonly weather: WeatherService,
    private readonly clock: ClockService,
    @Inject(OPEN_DATABASE) private readonly open: OpenDatabase,
    @Inject(CONFIG) private readonly config: Pick<Config, 'databaseUrl'>,
  ) {}

  /** Accounts stay; the copy made before brings it all back. */
  async wipe(): Promise<void> {
    await this.backups.make();
    await this.rows.wipe();
    await this.open.tidy();
    this.weather.changed();
  }

  /** @throws 409 where the shop is not empty: nothing of one's own is mixed with what is made up */
  async tryMadeUp(): Promise<void> {
    if (!this.config.databaseUrl.startsWith('file:'))
      throw conflict('shop', 'The database is on another server; a made-up shop is for one on this machine.');
    if (!(await this.rows.isEmpty()))
      throw conflict('shop', 'There are cars or places here. Wipe the shop first; a copy of it is made.');
    const folder = mkdtempSync(join(tmpdir(), 'keen-made-up-'));
    try {
      const env = {
        ...process.env,
        KEEN_DATA: folder,
        KEEN_DATABASE_URL: '',
        KEEN_CLOCK: new Date(this.clock.now()).toISOString(),
      };
      if (!SEED) throw new Error('the program that makes a shop up was not built');
      await promisify(execFile)(process.execPath, [SEED], { env, timeout: SEED_MS });
      await this.rows.takeFrom(join(folder, 'keen-rinse.db'));
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
    this.weather.changed();
  }
}
