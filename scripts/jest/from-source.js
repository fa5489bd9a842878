// What unit tests of the server and the web use of the core, and what their threads run, is made from the sources before they start,
// wherever a source is newer than what was made: what a test exercises is what is in the editor.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { rolldown } from 'rolldown';
import { joinVendor } from './vendor.js';

const root = resolve(import.meta.dirname, '..', '..');
/** The core in one file: hundreds of them are slow to open. */
export const CORE_IN_ONE = join(root, 'node_modules', '.cache', 'keen', 'core.mjs');
const WORKSPACES = ['packages/core', 'apps/server'];

const newestMs = (folder) =>
  Math.max(
    0,
    ...readdirSync(folder, { withFileTypes: true }).map((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? newestMs(path) : statSync(path).mtimeMs;
    }),
  );

async function joinCore() {
  const source = join(root, 'packages', 'core', 'src');
  const changedMs = Math.max(newestMs(source), newestMs(import.meta.dirname));
  if (existsSync(CORE_IN_ONE) && statSync(CORE_IN_ONE).mtimeMs > changedMs) return;
  mkdirSync(dirname(CORE_IN_ONE), { recursive: true });
  const bundle = await rolldown({
    input: join(source, 'index.ts'),
    external: (id) => !/^[./]/.test(id),
    platform: 'neutral',
  });
  const made = `${CORE_IN_ONE}.part`;
  await bundle.write({ file: made, format: 'esm', codeSplitting: false });
  await bundle.close();
  renameSync(made, CORE_IN_ONE);
}

function compileForThreads() {
  for (const workspace of WORKSPACES) {
    const cwd = join(root, workspace);
    const made = join(cwd, 'dist');
    if (existsSync(made) && newestMs(made) > newestMs(join(cwd, 'src'))) continue;
    const args = ['src', '-d', 'dist', '--strip-leading-paths', '--quiet'];
    const config = ['--config-file', join(root, 'apps', 'server', '.swcrc')];
    const ran = spawnSync(join(root, 'node_modules', '.bin', 'swc'), [...args, ...config], {
      cwd,
      stdio: 'inherit',
    });
    if (ran.status !== 0) throw new Error(`${workspace} could not be compiled for its threads`);
  }
}

export default async function makeWhatIsOlder() {
  await joinCore();
  await joinVendor();
  compileForThreads();
}
