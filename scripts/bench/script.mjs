import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { add, root } from './shared.mjs';

export function initialScript() {
  const folder = join(root, 'apps', 'web', 'dist');
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  const files = [...page.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map((match) => match[1]);
  const bytes = files.reduce((sum, file) => sum + gzipSync(readFileSync(join(folder, file))).length, 0);
  add(`initial JavaScript, gzip, ${files.length} files`, {
    measured: `${(bytes / 1000).toFixed(0)} kB`,
    asked: '≤ 300 kB',
    ok: bytes <= 300_000,
  });
}
