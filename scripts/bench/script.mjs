import { existsSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { add, root } from './shared.mjs';

/** As the server sends it: packed where the build has packed it. */
function sentBytes(file) {
  const packed = `${file}.br`;
  return statSync(existsSync(packed) ? packed : file).size;
}

export function initialScript() {
  const folder = join(root, 'apps', 'web', 'dist');
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  const files = [...page.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map((match) => match[1]);
  const bytes = files.reduce((sum, file) => sum + sentBytes(join(folder, file)), 0);
  add(`initial JavaScript as sent, ${files.length} files`, {
    measured: `${(bytes / 1000).toFixed(0)} kB`,
    asked: '≤ 260 kB',
    ok: bytes <= 260_000,
  });
}
