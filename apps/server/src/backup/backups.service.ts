import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  renameSync,
  rmSync,
  statfsSync,
  statSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  Inject,
  Injectable,
  Logger,
  type OnApplicationBootstrap,
  type OnModuleDestroy,
} from '@nestjs/common';
import { type BackupsView, type BackupTrial, MS_PER_DAY, MS_PER_HOUR } from '@keen/core';
import { CONFIG, type Config } from '../config/config.js';
import { backupFolder, openDatabase, type OpenDatabase } from '../db/database.js';
import { OPEN_DATABASE } from '../db/database.module.js';
import { InTurn } from '../db/in-turn.js';
import { notFound } from '../errors/api-error.js';
import { countsIn } from './counts-in.js';
import { thinned } from './thinned.js';

/** The user is warned below this much free space: enough for a day of photographs and a copy (judgement). */
const LOW_BYTES = 500_000_000;

const NAME = /^keen-rinse-(?<at>\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2})\.db$/;
const fileName = (atMs: number): string =>
  `keen-rinse-${new Date(atMs).toISOString().slice(0, 19).replaceAll(':', '-')}.db`;

function timeOf(name: string): number | null {
  const at = NAME.exec(name)?.groups?.at;
  if (!at) return null;
  const [day = '', clock = ''] = at.split('T');
  return Date.parse(`${day}T${clock.replaceAll('-', ':')}Z`);
}

type BackupConfig = Pick<
  Config,
  'dataFolder' | 'databaseUrl' | 'isDemo' | 'migrationsFolder' | 'secondBackupFolder'
>;

/** Copies of the database, one a day by the machine's clock: made, looked at, and thinned. */
@Injectable()
export class BackupsService implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly log = new Logger(BackupsService.name);
  private timer: NodeJS.Timeout | null = null;
  private failure: string | null = null;
  private readonly turns = new InTurn();

  constructor(
    @Inject(CONFIG) private readonly config: BackupConfig,
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
  private times(folder = backupFolder(this.config)): number[] {
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
    const name = fileName(Date.now());
    const part = join(folder, `${name}.part`);
    try {
      mkdirSync(folder, { recursive: true });
      rmSync(part, { force: true });
      await this.open.copyTo(part);
      renameSync(part, join(folder, name));
      this.thin(folder);
      this.copyAlso(join(folder, name), name);
      this.failure = null;
    } catch (error) {
      rmSync(part, { force: true });
      this.failure = error instanceof Error ? error.message : String(error);
      throw error;
    }
  }

  private thin(folder: string): void {
    const times = this.times(folder);
    const kept = thinned(times);
    for (const atMs of times) if (!kept.has(atMs)) rmSync(join(folder, fileName(atMs)), { force: true });
  }

  /** To the second folder, where there is one: half a file is never seen there. */
  private copyAlso(file: string, name: string): void {
    const { secondBackupFolder: folder } = this.config;
    if (folder === null) return;
    mkdirSync(folder, { recursive: true });
    const part = join(folder, `${name}.part`);
    copyFileSync(file, part);
    renameSync(part, join(folder, name));
    this.thin(folder);
  }

  /** Opens the newest copy elsewhere, as a restore would, and counts what is in it; nothing of the shop's own is touched. @throws 404 without a copy */
  async tryNewest(): Promise<BackupTrial> {
    const atMs = this.times().at(-1);
    if (atMs === undefined) throw notFound('backup', 'of today or before');
    const folder = mkdtempSync(join(tmpdir(), 'keen-restore-'));
    const file = join(folder, 'keen-rinse.db');
    try {
      copyFileSync(join(backupFolder(this.config), fileName(atMs)), file);
      const { migrationsFolder } = this.config;
      const opened = await openDatabase({
        dataFolder: folder,
        databaseUrl: `file:${file}`,
        migrationsFolder,
      });
      try {
        return { atMs, ...(await countsIn(opened.db)) };
      } finally {
        await opened.close();
      }
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  }

  /** What there is, when the next is made, and why the last one failed. */
  view(): Omit<BackupsView, 'liveCopy'> {
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
      secondFolder: this.config.secondBackupFolder,
      ...this.room(),
    };
  }

  /** What is left on the disk of the data. */
  private room(): Pick<BackupsView, 'freeBytes' | 'isRoomLow'> {
    try {
      const { bavail, bsize } = statfsSync(this.config.dataFolder);
      const freeBytes = bavail * bsize;
      return { freeBytes, isRoomLow: freeBytes < LOW_BYTES };
    } catch {
      // Some file systems do not tell.
      return { freeBytes: null, isRoomLow: false };
    }
  }
}
