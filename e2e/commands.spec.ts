import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { expect, test } from '@playwright/test';

const ROOT = resolve(import.meta.dirname, '..');

interface Ran {
  readonly status: number | null;
  readonly stdout: string;
  readonly stderr: string;
}

function run(
  script: string,
  args: readonly string[],
  options: { input?: string; env?: Record<string, string> } = {},
): Ran {
  return spawnSync('node', [join(ROOT, 'apps/server/dist', script), ...args], {
    input: options.input,
    env: { ...process.env, ...options.env },
    encoding: 'utf8',
    timeout: 90_000,
  });
}

const folder = (): string => mkdtempSync(join(tmpdir(), 'keen-cmd-'));

test('the sums answer line for line, in order, and fail the command where one line is bad', () => {
  const lines = [
    '{"airTempC":-10,"windKmh":20}',
    '{"airTempC":-10}',
    'not json',
    '{"airTempC":0,"windKmh":0}',
  ];
  const { stdout, status } = run('calc/calc-command.js', ['wind-chill'], { input: lines.join('\n') });
  const answers = stdout
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);
  expect(answers).toHaveLength(4);
  expect(answers[0]).toMatchObject({ frostbiteClass: 'none' });
  expect(answers[1]).toMatchObject({ error: { code: 'missing-field', field: 'windKmh' } });
  expect(answers[2]).toMatchObject({ error: { code: 'bad-json' } });
  expect(answers[3]).toMatchObject({ windChillC: 0 });
  expect(status).toBe(2);
});

test('hundreds of lines in one process, and the list of names', () => {
  const line = '{"tdsMgPerLitre":300,"filmGramsPerM2":60}\n';
  const many = run('calc/calc-command.js', ['residue'], { input: line.repeat(800) });
  expect(many.status).toBe(0);
  expect(many.stdout.trim().split('\n')).toHaveLength(800);
  const list = run('calc/calc-command.js', ['--list']);
  expect(list.stdout.trim().split('\n').length).toBeGreaterThanOrEqual(16);
  expect(run('calc/calc-command.js', ['alchemy'], { input: line }).status).toBe(2);
});

test('a port in use and a database that is none end the start with the cure', async () => {
  const blocker = createServer();
  const port = await new Promise<number>((done) => {
    blocker.listen(0, '127.0.0.1', () => {
      const address = blocker.address();
      done(typeof address === 'object' && address ? address.port : 0);
    });
  });
  const inUse = run('bundle/main.js', [], { env: { PORT: String(port), KEEN_DATA: folder() } });
  blocker.close();
  expect(inUse.status).toBe(1);
  expect(inUse.stderr).toContain(`Port ${port} is in use`);

  const broken = folder();
  writeFileSync(
    join(broken, 'keen-rinse.db'),
    'no database, but long enough that somebody might take it for the head of one',
  );
  const noDatabase = run('bundle/main.js', [], { env: { PORT: '0', KEEN_DATA: broken } });
  expect(noDatabase.status).toBe(1);
  expect(noDatabase.stderr).toContain('cannot be opened');
});

test('a seed that was killed leaves nothing half made, a backup of it is restored, and a file that is none is refused', () => {
  const env = { KEEN_DATA: folder(), KEEN_CLOCK: '2026-01-14T06:40:00-05:00' };
  writeFileSync(join(env.KEEN_DATA, 'keen-rinse.db.part'), 'half of a database');
  expect(run('demo/seed-command.js', [], { env }).stdout).toContain('12 vehicles');
  expect(run('demo/seed-command.js', [], { env })).toMatchObject({ status: 0, stdout: '' });

  const copy = join(folder(), 'copy.db');
  expect(run('backup/backup-command.js', ['backup', copy], { env })).toMatchObject({
    status: 0,
    stdout: `Backed up to ${copy}.\n`,
  });
  expect(run('backup/backup-command.js', ['restore', copy], { env }).stdout).toContain('Restored');
  const other = join(folder(), 'other.db');
  writeFileSync(other, 'nothing of the kind');
  const refused = run('backup/backup-command.js', ['restore', other], { env });
  expect(refused).toMatchObject({
    status: 1,
    stderr: `${other} cannot be read as a database; nothing was changed.\n`,
  });
});

test('the program survives being killed, asked nonsense, asked twice at once, cut off and fed hostile files', () => {
  test.setTimeout(360_000);
  const script = join(ROOT, 'scripts/torture/run.mjs');
  // A live copy that another machine takes over has a test of its own beside the server.
  const share = { kills: 1, fuzz: 120, pairs: 3, days: 0, cuts: 5, copies: 0, files: 1 };
  const args = Object.entries(share).flatMap(([name, count]) => [`--${name}`, String(count)]);
  const { status, stdout } = spawnSync('node', [script, ...args, '--only-losses'], {
    encoding: 'utf8',
    timeout: 300_000,
  });
  // What was measured stands in the message where something was not kept.
  expect(status, stdout).toBe(0);
  expect(spawnSync('node', [script, '--kills', 'many'], { encoding: 'utf8' })).toMatchObject({ status: 2 });
});
