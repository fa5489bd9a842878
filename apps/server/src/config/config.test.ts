import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { openDatabase } from '../db/database.js';
import { readConfig, StartError } from './config.js';

describe('readConfig', () => {
  it('binds to this machine alone and to the usual port unless told otherwise', () => {
    expect(readConfig({})).toMatchObject({
      host: '127.0.0.1',
      port: 4310,
      clockStartMs: null,
      isDemo: false,
    });
  });

  it('goes by no other name unless told so', () => {
    expect(readConfig({}).hosts).toEqual([]);
    expect(readConfig({ KEEN_HOSTS: ' Shop.local,,bay-pc ' }).hosts).toEqual(['shop.local', 'bay-pc']);
  });

  it.each([
    { env: { PORT: 'eighty' }, names: 'PORT' },
    { env: { PORT: '70000' }, names: 'PORT' },
    { env: { KEEN_CLOCK: 'tomorrow' }, names: 'KEEN_CLOCK' },
    { env: { KEEN_HOSTS: 'shop.local, http://other' }, names: 'KEEN_HOSTS' },
  ])('names the variable that is wrong: $names', ({ env, names }) => {
    expect(() => readConfig(env)).toThrow(StartError);
    expect(() => readConfig(env)).toThrow(names);
  });
});

describe('openDatabase', () => {
  it('tells cause and cure where the file is no database', async () => {
    const dataFolder = mkdtempSync(join(tmpdir(), 'keen-'));
    const file = join(dataFolder, 'keen-rinse.db');
    writeFileSync(
      file,
      'this is a shopping list, not a database, and long enough to be read as a header of one',
    );
    const config = {
      ...readConfig({ KEEN_DATA: dataFolder }),
      migrationsFolder: join(import.meta.dirname, '../../drizzle'),
    };
    await expect(openDatabase(config)).rejects.toThrow(/cannot be opened.*KEEN_DATA/s);
  });

  it('tells cause and cure where the folder cannot be made', async () => {
    const dataFolder = mkdtempSync(join(tmpdir(), 'keen-'));
    writeFileSync(join(dataFolder, 'in-the-way'), '');
    const config = readConfig({ KEEN_DATA: join(dataFolder, 'in-the-way', 'below') });
    await expect(openDatabase(config)).rejects.toThrow(StartError);
  });
});
