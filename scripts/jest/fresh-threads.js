// Threads cannot load TypeScript, so unit tests that start one run what was compiled. Where a source is newer than that, it is
// compiled again first: what such a test exercises is what is in the editor.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join, resolve } from 'node:path';

const root = resolve(import.meta.dirname, '..', '..');
const WORKSPACES = ['packages/core', 'apps/server'];

const newestMs = (folder) =>
  Math.max(
    0,
    ...readdirSync(folder, { withFileTypes: true }).map((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? newestMs(path) : statSync(path).mtimeMs;
    }),
  );

export default function compileWhatIsOlder() {
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
