import { defineConfig } from '@playwright/test';

/** Debian's Chromium, quiet towards a closed network. */
export const CHROMIUM = {
  executablePath: process.env.KEEN_CHROMIUM ?? '/usr/bin/chromium',
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

interface Suite {
  readonly port: number;
  readonly match: string;
}

/** One browser, one worker, one server of its own. */
export const suite = ({ port, match }: Suite): ReturnType<typeof defineConfig> =>
  defineConfig({
    testDir: '.',
    testMatch: match,
    workers: 1,
    timeout: 120_000,
    expect: { timeout: 30_000 },
    reporter: [['list']],
    use: {
      baseURL: `http://127.0.0.1:${port}`,
      launchOptions: CHROMIUM,
      viewport: DESK,
      locale: 'en-CA',
      timezoneId: 'Europe/Oslo',
      reducedMotion: 'reduce',
      trace: 'retain-on-failure',
    },
    webServer: {
      command: 'node serve.mjs',
      url: `http://127.0.0.1:${port}/api/health`,
      env: { PORT: String(port) },
      reuseExistingServer: false,
      timeout: 120_000,
      gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
    },
  });
