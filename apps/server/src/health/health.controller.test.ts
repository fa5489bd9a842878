import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { OpenDatabase } from '../db/database.js';
import { ownDatabase } from '../testing/own-database.js';
import { HealthController, VERSION } from './health.controller.js';

let database: OpenDatabase;
beforeAll(async () => {
  database = await ownDatabase();
});
afterAll(() => database.close());

describe('health', () => {
  it('says which version runs, and that its database is open', async () => {
    expect(await new HealthController(database.db).read()).toEqual({ version: VERSION, database: 'open' });
  });

  it('says that its database is closed where it does not answer, and still answers itself', async () => {
    const gone = { run: () => Promise.reject(new Error('CLIENT_CLOSED')) } as unknown as OpenDatabase['db'];
    expect(await new HealthController(gone).read()).toEqual({ version: VERSION, database: 'closed' });
  });
});
