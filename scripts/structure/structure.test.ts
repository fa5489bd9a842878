import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from '@jest/globals';

const ROOT = resolve(import.meta.dirname, '..', '..');
const WORKSPACES = ['packages/core/src', 'apps/server/src', 'apps/web/src'] as const;

/**
 * Files that are longer than the rest, each for one class whose state its methods share: cut up, every part would need the others'
 * private arrays. Tables (`data/`, the schema, the demo's scenario) are not counted.
 */
const LONG_FILES: Readonly<Record<string, number>> = {
  'packages/core/src/film/film-run.ts': 267,
  'packages/core/src/schedule/crew-sequence.ts': 220,
};
const LINES = 200;
const TABLES = /\/data\/|\/db\/schema\.ts$|\/demo\/scenario\.ts$|core\/src\/index\.ts$/;

const filesBelow = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesBelow(path) : [path];
  });
const isSource = (path: string): boolean =>
  /\.tsx?$/.test(path) && !/\.(test|d)\.tsx?$|\/testing\//.test(path);

interface Module {
  readonly path: string;
  readonly text: string;
  readonly imports: readonly string[];
}

/** The file that a relative import means, under its own name. */
const fileOf = (from: string, name: string, known: ReadonlySet<string>): string | undefined => {
  const stem = resolve(dirname(from), name.replace(/\.js$/, ''));
  return [`${stem}.ts`, `${stem}.tsx`].find((path) => known.has(path));
};

function modulesOf(workspace: string): Module[] {
  const paths = filesBelow(join(ROOT, workspace)).filter(isSource);
  const known = new Set(paths);
  return paths.map((path) => {
    const text = readFileSync(path, 'utf8');
    const named = [...text.matchAll(/(?:from|import|import\() ?'(\.[^']+)'/g)].map(([, name]) => name ?? '');
    return { path, text, imports: named.flatMap((name) => fileOf(path, name, known) ?? []) };
  });
}

/** Every circle that a walk along these arrows runs into. */
function circlesOf(arrows: ReadonlyMap<string, ReadonlySet<string>>): string[] {
  const done = new Set<string>();
  const circles: string[] = [];
  const walk = (at: string, trail: readonly string[]): void => {
    if (trail.includes(at)) circles.push([...trail.slice(trail.indexOf(at)), at].join(' → '));
    if (done.has(at) || trail.includes(at)) return;
    for (const next of arrows.get(at) ?? []) walk(next, [...trail, at]);
    done.add(at);
  };
  for (const at of arrows.keys()) walk(at, []);
  return circles;
}

describe.each(WORKSPACES)('%s', (workspace) => {
  const modules = modulesOf(workspace);
  const short = (path: string): string => relative(join(ROOT, workspace), path);
  const folderOf = (path: string): string => {
    const [top = '', second = ''] = dirname(short(path)).split('/');
    return top === 'features' ? `features/${second}` : top;
  };

  it('has no circle of files', () => {
    const arrows = new Map(
      modules.map(({ path, imports }) => [short(path), new Set(imports.map(short))] as const),
    );
    expect(circlesOf(arrows)).toEqual([]);
  });

  it('has no circle of folders', () => {
    const arrows = new Map<string, Set<string>>();
    for (const { path, imports } of modules) {
      const from = folderOf(path);
      const to = arrows.get(from) ?? new Set();
      arrows.set(from, to);
      for (const target of imports) if (folderOf(target) !== from) to.add(folderOf(target));
    }
    expect(circlesOf(arrows)).toEqual([]);
  });

  it('reaches another workspace only through the core’s front door', () => {
    const outside = modules.flatMap(({ path, text }) =>
      [...text.matchAll(/from '([^']+)'/g)]
        .map(([, name]) => name ?? '')
        .filter((name) => name.startsWith('@keen/') && name !== '@keen/core')
        .map((name) => `${short(path)} → ${name}`),
    );
    expect(outside).toEqual([]);
  });
});

it('production knows nothing of the demo', () => {
  const users = modulesOf('apps/server/src')
    .filter(({ path, imports }) => !path.includes('/demo/') && imports.some((to) => to.includes('/demo/')))
    .map(({ path }) => relative(ROOT, path));
  expect(users).toEqual([]);
});

it('features of the web do not know each other', () => {
  const featureOf = (path: string): string | undefined => /\/features\/([^/]+)\//.exec(path)?.[1];
  const crossings = modulesOf('apps/web/src').flatMap(({ path, imports }) =>
    imports
      .filter((to) => featureOf(path) && featureOf(to) && featureOf(path) !== featureOf(to))
      .map((to) => `${relative(ROOT, path)} → ${relative(ROOT, to)}`),
  );
  expect(crossings).toEqual([]);
});

it('no service of the server leans on more than seven others', () => {
  const heavy = modulesOf('apps/server/src').filter(({ text }) => {
    const [, given = ''] = /@Injectable\(\)[\s\S]*?constructor\(([\s\S]*?)\) \{/.exec(text) ?? [];
    return (given.match(/private readonly/g) ?? []).length > 7;
  });
  expect(heavy.map(({ path }) => relative(ROOT, path))).toEqual([]);
});

it('no file grows beyond what it may have', () => {
  const lengths = WORKSPACES.flatMap(modulesOf)
    .filter(({ path }) => !TABLES.test(path))
    .map(({ path, text }) => ({ name: relative(ROOT, path), lines: text.split('\n').length - 1 }));
  expect(lengths.filter(({ name, lines }) => lines > (LONG_FILES[name] ?? LINES))).toEqual([]);
  // What has become short is no exception any more.
  const names = new Set(lengths.filter(({ lines }) => lines > LINES).map(({ name }) => name));
  expect(Object.keys(LONG_FILES).filter((name) => !names.has(name))).toEqual([]);
});
