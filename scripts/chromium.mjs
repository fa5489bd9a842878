import { existsSync } from 'node:fs';

/** Debian's Chromium without a screen: a third quicker than the one with. */
export const HEADLESS = 'chromium-headless-shell';
const PLACES = [`/usr/bin/${HEADLESS}`, '/usr/bin/chromium'];

/** The browser that tests and benches drive; null: there is none. */
export const chromium = () => process.env.KEEN_CHROMIUM ?? PLACES.find((file) => existsSync(file)) ?? null;
