import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from '@jest/globals';

const SOURCE = import.meta.dirname;

const filesBelow = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesBelow(path) : [path];
  });

const files = filesBelow(SOURCE).filter(
  (path) => path.endsWith('.ts') && !path.endsWith('.test.ts') && !path.endsWith('.d.ts'),
);

const importsOf = (path: string): string[] =>
  [...readFileSync(path, 'utf8').matchAll(/(?:from|import) '([^']+)'/g)].map((match) => match[1] ?? '');

const localImports = (path: string): string[] =>
  importsOf(path)
    .filter((name) => name.startsWith('.'))
    .map((name) => resolve(dirname(path), name.replace(/\.js$/, '.ts')));

describe('the core', () => {
  it('leans on nothing but its few libraries', () => {
    const outside = new Set(files.flatMap(importsOf).filter((name) => !name.startsWith('.')));
    expect([...outside].sort()).toEqual(['highs', 'psychrolib', 'suncalc', 'zod']);
  });

  it('reads neither clock nor chance', () => {
    const culprits = files.filter((path) =>
      /Date\.now|new Date\(\)|Math\.random|process\.|performance\./.test(readFileSync(path, 'utf8')),
    );
    expect(culprits.map((path) => relative(SOURCE, path))).toEqual([]);
  });

  it('goes into another folder only by its public face', () => {
    const crossings = files.flatMap((path) => {
      const folder = relative(SOURCE, path).split('/')[0];
      return localImports(path)
        .filter(
          (target) =>
            relative(SOURCE, target).includes('/') &&
            relative(SOURCE, target).split('/')[0] !== folder &&
            !/^[^/]+\/index\.ts$/.test(relative(SOURCE, target)),
        )
        .map((target) => `${relative(SOURCE, path)} → ${relative(SOURCE, target)}`);
    });
    expect(crossings).toEqual([]);
  });
});
