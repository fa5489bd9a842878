import { type ChildProcess, execFile, spawn } from 'node:child_process';
import { existsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import {
  Inject,
  Injectable,
  Logger,
  type OnApplicationBootstrap,
  type OnModuleDestroy,
} from '@nestjs/common';
import type { LiveCopyView } from '@keen/core';
import { CONFIG, type Config } from '../config/config.js';
import { copyAddress, litestreamFile, secondsOf, shownAddress } from './litestream.js';

/** It is started again so long after it ended. */
const AGAIN_MS = 5000;
const ASK_MS = 4000;
const LAST_WORDS = 400;

/** A copy that follows every write within a second, made by a program beside this one, which is started, watched and ended here. */
@Injectable()
export class LiveCopyService implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly log = new Logger(LiveCopyService.name);
  private child: ChildProcess | null = null;
  private again: NodeJS.Timeout | null = null;
  private isClosing = false;
  private failure: string | null = null;

  constructor(
    @Inject(CONFIG) private readonly config: Pick<Config, 'dataFolder' | 'databaseUrl' | 'liveCopyTo'>,
  ) {}

  private get settingsFile(): string {
    return join(this.config.dataFolder, 'live-copy.yml');
  }

  private get database(): string {
    return this.config.databaseUrl.replace(/^file:/, '');
  }

  onApplicationBootstrap(): void {
    const { liveCopyTo, databaseUrl } = this.config;
    if (liveCopyTo === null) return;
    if (!databaseUrl.startsWith('file:')) {
      this.failure = 'The database is on another server, which makes its own copies.';
      return;
    }
    const replica = { url: copyAddress(liveCopyTo), 'sync-interval': '1s', retention: '72h' };
    // JSON is YAML.
    const settings = { dbs: [{ path: this.database, replicas: [replica] }] };
    writeFileSync(this.settingsFile, JSON.stringify(settings), { mode: 0o600 });
    this.begin();
  }

  private begin(): void {
    const file = litestreamFile();
    if (file === null) {
      this.failure = 'The program that makes it did not come with the packages of this system.';
      return;
    }
    const child = spawn(file, ['replicate', '-config', this.settingsFile], {
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    this.child = child;
    let said = '';
    child.stderr.on('data', (text: Buffer) => (said = `${said}${String(text)}`.slice(-LAST_WORDS)));
    child.on('error', (error) => (said = error.message));
    child.on('exit', (code) => {
      this.child = null;
      if (this.isClosing) return;
      this.failure = `It ended by itself (${String(code)}): ${said.trim() || 'it said nothing'}`;
      this.log.error(`The live copy ended: ${this.failure}`);
      this.again = setTimeout(() => this.begin(), AGAIN_MS);
      this.again.unref();
    });
  }

  async onModuleDestroy(): Promise<void> {
    this.isClosing = true;
    if (this.again) clearTimeout(this.again);
    const { child } = this;
    if (!child) return;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGTERM');
    await gone;
  }

  /** Where it goes, whether it runs and how far it is behind; null: nobody asked for one. */
  async view(): Promise<LiveCopyView | null> {
    const { liveCopyTo } = this.config;
    if (liveCopyTo === null) return null;
    const lagSeconds = this.child ? await this.lag() : null;
    if (lagSeconds !== null) this.failure = null;
    return {
      to: shownAddress(liveCopyTo),
      isRunning: this.child !== null,
      lagSeconds,
      failure: this.failure,
    };
  }

  /** How far the copy is behind, as the program beside tells; null: it does not, as before its first copy. */
  private async lag(): Promise<number | null> {
    const file = litestreamFile();
    if (file === null || !existsSync(this.settingsFile)) return null;
    try {
      const args = ['generations', '-config', this.settingsFile, this.database];
      const { stdout } = await promisify(execFile)(file, args, { timeout: ASK_MS });
      const [head = '', ...rows] = stdout.trim().split('\n');
      const column = head.trim().split(/\s+/).indexOf('lag');
      const lags = rows.flatMap((row) => secondsOf(row.trim().split(/\s+/)[column] ?? '') ?? []);
      return lags.length > 0 ? Math.min(...lags) : null;
    } catch {
      return null;
    }
  }
}
