import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { chromium } from '../scripts/chromium.mjs';

/** Debian's Chromium, quiet towards a closed network. */
export const CHROMIUM = {
  executablePath: chromium() ?? 'chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

export const DESK = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844 };

/** Files that share a server, one test after the other. */
interface Group {
  readonly name: string;
  readonly port: number;
  readonly match: string | readonly string[];
  /** The server has no demo data. */
  readonly isEmpty?: boolean;
}

/** Where the servers of one run find the demo data that one of them has made. */
const SHARED_DEMO = join(tmpdir(), `keen-e2e-demo-${randomUUID()}`);

const addressOf = (port: number): string => `http://127.0.0.1:${port}`;

/** One browser; each group has a server and a worker of its own, so that groups run side by side, so many at a time. */
export const suite = (groups: readonly Group[], workers: number): ReturnType<typeof defineConfig> =>
  defineConfig({
    testDir: '.',
    workers,
    timeout: 240_000,
    expect: { timeout: 30_000 },
    reporter: [['list']],
    use: {
      launchOptions: CHROMIUM,
      viewport: DESK,
      locale: 'en-CA',
      timezoneId: 'Europe/Oslo',
      reducedMotion: 'reduce',
      // Pages come from the server, but where a test is about being without it.
      serviceWorkers: 'block',
      trace: 'off',
    },
    projects: groups.map(({ name, port, match }) => ({
      name,
      workers: 1,
      testMatch: typeof match === 'string' ? match : match.slice(),
      use: { baseURL: addressOf(port) },
    })),
    webServer: groups.map(({ port, isEmpty = false }) => ({
      command: 'node serve.mjs',
      url: `${addressOf(port)}/api/health`,
      env: { PORT: String(port), KEEN_EMPTY: isEmpty ? '1' : '0', KEEN_SHARED_DEMO: SHARED_DEMO },
      reuseExistingServer: false,
      timeout: 120_000,
      gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5000 },
    })),
  });
