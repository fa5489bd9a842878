import type { ErrorBody } from '@keen/core';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { createApp } from '../app.js';
import { FitsSchema } from './fits-schema.js';

export const TEST_CLOCK = '2026-01-14T06:40:00-05:00';

export interface TestApp {
  readonly app: NestExpressApplication;
  readonly folder: string;
  readonly close: () => Promise<void>;
}

/** The whole application on a database of its own in a temporary folder. */
export async function startTestApp(): Promise<TestApp> {
  const folder = mkdtempSync(join(tmpdir(), 'keen-'));
  Object.assign(process.env, { KEEN_DATA: folder, KEEN_CLOCK: TEST_CLOCK, KEEN_DEMO: '1' });
  const app = await createApp();
  app.useGlobalInterceptors(new FitsSchema());
  await app.init();
  return {
    app,
    folder,
    close: async () => {
      await app.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export const VEHICLE = {
  name: 'Black saloon',
  bodyClass: 'saloon',
  paintTone: 'black',
  bodyMaterial: 'steel',
  protection: 'coating',
  waterBehaviour: 'beading',
  driving: { mainRoadKm: 30, townKm: 10, bridgeKm: 0 },
  cadenceDays: 7,
};

export const PLACE = {
  name: 'Heated unit',
  kind: 'heated-unit',
  latitudeDeg: 46.5,
  longitudeDeg: -84.3,
  timeZone: 'America/Toronto',
  climate: { kind: 'heated', setpointC: 14 },
  shelter: { kind: 'indoors' },
  carHeadingDeg: 0,
  hasDrain: false,
  hasLight: true,
  tap: 'none',
  openHours: Array.from({ length: 7 }, () => ({ openMinute: 480, closeMinute: 1080 })),
  washWater: { name: 'Tap', hardnessMgPerLitre: 118, tdsMgPerLitre: 190, tempC: 12, origin: 'measured' },
  methods: [{ methodId: 'garage-rinseless', priceMinor: 1400 }],
  travelMinutes: 12,
};

/** A wash that was done without having been planned. */
export const doneWash = (vehicleId: string, placeId: string, startMs: number) => ({
  vehicleId,
  placeId,
  methodId: 'garage-rinseless',
  startMs,
  minutes: 70,
  costMinor: 1400,
  found: { icePanels: [], spots: 'none', leftovers: '', note: '' },
});

/** A bottle of the shop's own. */
export const RINSELESS = {
  name: 'Rinseless concentrate',
  role: 'rinseless',
  inUsePh: 7.5,
  usualParts: 255,
  fewestParts: 15,
  mostParts: 320,
  capMl: 30,
  lowestStoreC: 1,
  keptIn: 'van',
  bottleMl: 1000,
  leftMl: 1000,
  lowMl: 150,
  priceMinor: 2400,
} as const;

/** The first fault that a refusal names. */
export const faultOf = (body: unknown): ErrorBody['error'] => (body as ErrorBody).error;

/** What tests ask of the running application. */
export function testCalls(running: () => TestApp) {
  const api = () => request(running().app.getHttpServer());
  return {
    api,
    get: async <T>(path: string): Promise<T> => (await api().get(`/api/${path}`).expect(200)).body as T,
    make: async <T>(path: string, body: object): Promise<T> => {
      const response = await api().post(`/api/${path}`).send(body);
      if (response.status >= 300) throw new Error(`${path}: ${response.status} ${response.text}`);
      return response.body as T;
    },
  };
}
