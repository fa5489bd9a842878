// What unit tests load of other people's packages, joined into a few files once: every test file has modules of its own, and more than a
// thousand small ones are slow to open each time.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join, resolve } from 'node:path';
import { rolldown } from 'rolldown';
import { takenOnce } from './globals.js';

const root = resolve(import.meta.dirname, '..', '..');
const ICONS = '@tabler/icons-react';

/**
 * Packages of a workspace that are joined: `names` are ECMAScript modules, of those that are `common` what they export is read off them, and
 * `defaults` have a default besides their names.
 */
const shelf = (workspace, { names, common, defaults = [], isLeftAlone = () => false, options }) => ({
  folder: join(root, workspace, 'node_modules', '.cache', 'keen', 'vendor'),
  from: join(root, workspace, 'package.json'),
  names: [...names, ...common],
  common: new Set(common),
  defaults: new Set(defaults),
  external: (id) => id.startsWith('node:') || isLeftAlone(id),
  options,
});

const WEB = shelf('apps/web', {
  names: [
    'react-router',
    '@mantine/core',
    '@mantine/hooks',
    '@mantine/notifications',
    '@mantine/spotlight',
    '@tanstack/react-query',
    '@testing-library/react',
    '@testing-library/user-event',
    ICONS,
  ],
  common: ['react', 'react/jsx-runtime', 'react-dom', 'react-dom/client'],
  defaults: ['@testing-library/user-event'],
  options: {
    platform: 'browser',
    resolve: { conditionNames: ['import', 'browser', 'default'] },
    transform: { define: { 'process.env.NODE_ENV': '"test"' } },
  },
});

/**
 * These find their own files, must be in one place for all who keep something in them, or are parts of the framework that are not used.
 * As in what is served, but for the reflection of decorators: it has to be there before any of them runs.
 */
const APART =
  /^(piscina|@?libsql|@node-rs|sharp|highs|class-validator|class-transformer|reflect-metadata|@nestjs\/(microservices|websockets)|@fastify\/static)/u;

const SERVER = shelf('apps/server', {
  names: [
    '@nestjs/common',
    '@nestjs/core',
    '@nestjs/platform-express',
    '@nestjs/swagger',
    'better-auth',
    'better-auth/adapters/drizzle',
    'better-auth/api',
    'better-auth/cookies',
    'better-auth/plugins/username',
    'drizzle-orm',
    'drizzle-orm/batch',
    'drizzle-orm/libsql',
    'drizzle-orm/libsql/migrator',
    'drizzle-orm/sqlite-core',
  ],
  common: ['express', 'rxjs', 'supertest'],
  isLeftAlone: (id) => APART.test(id),
  options: { platform: 'node' },
});

const fileNameOf = (name) => name.replaceAll(/[^\w-]/g, '_');

const mapperOf = ({ folder, names }) =>
  Object.fromEntries(names.map((name) => [`^${name}$`, join(folder, `${fileNameOf(name)}.mjs`)]));

/** For `moduleNameMapper`: each package by its exact name. */
export const WEB_VENDOR = mapperOf(WEB);
export const SERVER_VENDOR = mapperOf(SERVER);

const sourcesBelow = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sourcesBelow(path);
    return /\.tsx?$/.test(entry.name) ? [path] : [];
  });

/** Of thousands of icons those that the web draws. */
function usedIcons() {
  const named = sourcesBelow(join(root, 'apps', 'web', 'src')).flatMap((path) => {
    const text = readFileSync(path, 'utf8');
    return text.includes(ICONS) ? [...text.matchAll(/\bIcon[A-Z]\w*/g)].map(([name]) => name) : [];
  });
  const known = createRequire(WEB.from)(ICONS);
  return [...new Set(named)].filter((name) => name in known).toSorted();
}

/** Names that a file cannot export by themselves. */
const WORDS = new Set(['default', 'static']);

function entryOf({ from, common, defaults }, name, icons) {
  if (name === ICONS) return `export { ${icons.join(', ')} } from '${ICONS}';`;
  if (!common.has(name))
    return `export * from '${name}';${defaults.has(name) ? ` export { default } from '${name}';` : ''}`;
  const names = Object.keys(createRequire(from)(name)).filter(
    (one) => /^[A-Za-z_$][\w$]*$/.test(one) && !WORDS.has(one),
  );
  return `import all from '${name}';\nexport default all;\nexport const { ${names.join(', ')} } = all;`;
}

async function joinShelf(of, icons) {
  const { folder, names, external, options } = of;
  const mark = join(folder, 'stamp');
  const lock = readFileSync(join(root, 'package-lock.json'));
  const own = ['vendor.js', 'globals.js'].map((name) =>
    readFileSync(join(import.meta.dirname, name), 'utf8'),
  );
  const stamp = createHash('sha256').update(lock).update(own.join()).update(icons.join()).digest('hex');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === stamp) return;
  rmSync(folder, { recursive: true, force: true });
  const entries = join(folder, 'entries');
  mkdirSync(entries, { recursive: true });
  const input = Object.fromEntries(
    names.map((name) => {
      const path = join(entries, `${fileNameOf(name)}.mjs`);
      writeFileSync(path, entryOf(of, name, icons));
      return [fileNameOf(name), path];
    }),
  );
  const bundle = await rolldown({ input, logLevel: 'silent', external, ...options });
  await bundle.write({
    dir: folder,
    format: 'esm',
    entryFileNames: '[name].mjs',
    chunkFileNames: '[name].mjs',
    keepNames: true,
    plugins: [{ name: 'globals', renderChunk: takenOnce }],
  });
  await bundle.close();
  writeFileSync(mark, stamp);
}

export async function joinVendor() {
  await joinShelf(WEB, usedIcons());
  await joinShelf(SERVER, []);
}
