import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join, resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { VehicleAnswer, VehicleRecord, WashRecord } from '@keen/core';
import openapiTS, { astToString } from 'openapi-typescript';
import { startTestApp, type TestApp } from '../testing/test-app.js';
import { apiDocument } from './document.js';

const root = resolve(import.meta.dirname, '../../../..');
const folder = join(root, 'apps', 'server', 'client-test');

/** What the main job comes back with. */
interface Day {
  readonly vehicle: VehicleRecord;
  readonly hours: number;
  readonly morning: VehicleAnswer | undefined;
  readonly planned: WashRecord | undefined;
  readonly done: WashRecord;
  readonly log: readonly WashRecord[];
}

let test: TestApp;
beforeAll(async () => {
  test = await startTestApp();
  await test.app.listen(0);
});
afterAll(() => test.close());

describe('a client that is made from the description of the API', () => {
  it('has types under which the main job compiles', async () => {
    const types = await openapiTS(apiDocument(test.app) as unknown as Parameters<typeof openapiTS>[0]);
    writeFileSync(join(folder, 'paths.d.ts'), astToString(types));
    const compiler = join(root, 'node_modules', 'typescript-native', 'bin', 'tsc');
    const { stdout, status } = spawnSync('node', [compiler, '-p', folder], { encoding: 'utf8' });
    expect(stdout).toBe('');
    expect(status).toBe(0);
  });

  it('does the main job: vehicle, weather, morning, plan, done, log', async () => {
    const { port } = (test.app.getHttpServer() as { address(): AddressInfo }).address();
    // By its name only: its types are those that the test before has made.
    const { mainJob } = (await import(join(folder, 'main-job.ts'))) as {
      mainJob: (baseUrl: string) => Promise<Day>;
    };
    const day = await mainJob(`http://127.0.0.1:${port}`);
    expect(day.hours).toBeGreaterThan(24);
    expect(day.morning).toMatchObject({ vehicleId: day.vehicle.id, best: { placeId: expect.any(String) } });
    expect(day.planned).toMatchObject({ status: 'planned', vehicleId: day.vehicle.id });
    expect(day.done).toMatchObject({ id: day.planned?.id, status: 'done', minutes: 60 });
    expect(day.log.map(({ id }) => id)).toContain(day.done.id);
  });
});
