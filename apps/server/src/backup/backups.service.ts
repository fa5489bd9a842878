import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import {
  Inject,
  Injectable,
  Logger,
  type OnApplicationBootstrap,
  type OnModuleDestroy,
} from '@nestjs/common';
import { type BackupsView, MS_PER_DAY, MS_PER_HOUR } from '@keen/core';
import { CONFIG, type Config } from '../config/config.js';
import { backupFolder, type OpenDatabase } from '../db/database.js';
import { OPEN_DATABASE } from '../db/database.module.js';
import { InTurn } from '../db/in-turn.js';
import { thinned } from './thinned.js';

const NAME = /^keen-rinse-(?<at>\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2})\.db$/;
const fileName = (atMs: number): string =>
  `keen-rinse-${new Date(atMs).toISOString().slice(0, 19).replaceAll(':', '-')}.db`;

function timeOf(name: string): number | null {
  const at = NAME.exec(name)?.groups?.at;
  if (!at) return null;
  const [day = '', clock = ''] = at.split('T');
  return Date.parse(`${day}T${clock.replaceAll('-', ':')}Z`);
}

/** Copies of the database, one a day by the machine's clock: made, looked at, and thinned. */
@Injectable()
export class BackupsService implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly log = new Logger(BackupsService.name);
  private timer: NodeJS.Timeout | null = null;
  private failure: string | null = null;
  private readonly turns = new InTurn();

  constructor(
    @Inject(CONFIG) private readonly config: Pick<Config, 'dataFolder' | 'databaseUrl' | 'isDemo'>,
    @Inject(OPEN_DATABASE) private readonly open: Pick<OpenDatabase, 'copyTo'>,
  ) {}

  /** Made-up data wants no copies, and a server elsewhere makes its own. */
  private get isWanted(): boolean {
    return !this.config.isDemo && this.config.databaseUrl.startsWith('file:');
  }

  onApplicationBootstrap(): void {
    if (!this.isWanted) return;
    this.makeIfDue();
    this.timer = setInterval(() => this.makeIfDue(), MS_PER_HOUR);
    this.timer.unref();
  }

  async onModuleDestroy(): Promise<void> {
    if (this.timer) clearInterval(this.timer);
    await this.turns.settled();
  }

  private makeIfDue(): void {
    const last = this.times().at(-1);
    if (last !== undefined && Date.now() - last < MS_PER_DAY) return;
    this.make().catch((error: unknown) => this.log.error(`The daily copy failed: ${String(error)}`));
  }

  /** When the copies that there are were made, the oldest first. */
  private times(): number[] {
    const folder = backupFolder(this.config);
    if (!existsSync(folder)) return [];
    return readdirSync(folder)
      .flatMap((name) => timeOf(name) ?? [])
      .sort((a, b) => a - b);
  }

  /** Makes a copy now, one after the other; a copy that is not sound is none. */
  make(): Promise<void> {
    return this.turns.run(() => this.makeNow());
  }

  private async makeNow(): Promise<void> {
    const folder = backupFolder(this.config);
    const file = join(folder, fileName(Date.now()));
    const part = `${file}.part`;
    try {
      mkdirSync(folder, { recursive: true });
      rmSync(part, { force: true });
      await this.open.copyTo(part);
      renameSync(part, file);
      this.failure = null;
    } catch (error) {
      rmSync(part, { force: true });
      this.failure = error instanceof Error ? error.message : String(error);
      throw error;
    }
    const times = this.times();
    const kept = thinned(times);
    for (const atMs of times) if (!kept.has(atMs)) rmSync(join(folder, fileName(atMs)), { force: true });
  }

  /** What there is, when the next is made, and why the last one failed. */
  view(): BackupsView {
    const folder = backupFolder(this.config);
    const times = this.times();
    const last = times.at(-1) ?? null;
    return {
      folder,
      isDaily: this.isWanted,
      copies: times
        .toReversed()
        .map((atMs) => ({ atMs, bytes: statSync(join(folder, fileName(atMs))).size })),
      nextMs: this.isWanted ? (last === null ? Date.now() : last + MS_PER_DAY) : null,
      failure: this.failure,
    };
  }
}
