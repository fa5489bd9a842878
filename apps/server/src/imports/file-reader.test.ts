import { afterAll, describe, expect, it } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Order, Outcome } from './beside.js';
import { FileReader, type Reading } from './file-reader.js';

type Echo = (order: Order<string>) => Outcome<string>;

const folder = mkdtempSync(join(tmpdir(), 'reader-'));
const reader = new FileReader();
afterAll(async () => {
  await reader.onModuleDestroy();
  rmSync(folder, { recursive: true });
});

const BEGIN = 'begun.postMessage(null); begun.close();';
const WAIT = 'const until = Date.now() + 900; while (Date.now() < until);';
/** The program of a thread, by what it does when it is opened and when it is asked. */
const program = (name: string, { opened = '', asked = '' }: { opened?: string; asked?: string }) => {
  const file = join(folder, `${name}.mjs`);
  writeFileSync(
    file,
    `${opened} export default ({ job, begun }) => { ${BEGIN} ${asked} return { kind: 'read', found: job }; };`,
  );
  return { file: pathToFileURL(file).href, tooMuch: 'That takes too long.' } satisfies Reading<Echo>;
};
const read = (reading: Reading<Echo>, mostMs: number): Promise<string> =>
  reader.read(reading, 'told', mostMs);

describe('a file that is read beside the server', () => {
  it('has its time from when it is read, however long the thread took to open', async () => {
    await expect(read(program('slow-to-open', { opened: WAIT }), 400)).resolves.toBe('told');
  });

  it('is given up once it has had its time', async () => {
    await expect(read(program('endless', { asked: 'for (;;);' }), 400)).rejects.toMatchObject({
      status: 400,
      response: { error: { message: expect.stringContaining('That takes too long. Nothing was kept.') } },
    });
    // The next one is read all the same.
    await expect(read(program('plain', {}), 400)).resolves.toBe('told');
  });

  it('fails as what it is where the program does', async () => {
    await expect(read(program('broken', { asked: 'throw new Error("broken");' }), 400)).rejects.toThrow(
      'broken',
    );
  });
});
