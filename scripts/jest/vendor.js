// What tests of components load of other people's packages, joined into a few files: thousands of small ones, of which most are icons that
// nobody draws, are slow to open.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { rolldown } from 'rolldown';

const root = resolve(import.meta.dirname, '..', '..');
const ICONS = '@tabler/icons-react';

const folder = join(root, 'apps', 'web', 'node_modules', '.cache', 'keen', 'vendor');
const requireOfWeb = createRequire(join(root, 'apps', 'web', 'package.json'));

/** What these export is read off them. */
const COMMON = ['react', 'react/jsx-runtime', 'react-dom', 'react-dom/client'];
const MODULES = [
  'react-router',
  '@mantine/core',
  '@mantine/hooks',
  '@mantine/notifications',
  '@mantine/spotlight',
  '@tanstack/react-query',
  '@testing-library/react',
  '@testing-library/user-event',
  ICONS,
];
/** These have a default besides their names. */
const DEFAULTS = ['@testing-library/user-event'];
const NAMES = [...MODULES, ...COMMON];

const fileNameOf = (name) => name.replaceAll(/[^\w-]/g, '_');

/** The file of each package by its exact name. */
export const VENDOR_OF_WEB = new Map(
  NAMES.map((name) => [name, pathToFileURL(join(folder, `${fileNameOf(name)}.mjs`)).href]),
);

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
  const known = requireOfWeb(ICONS);
  return [...new Set(named)].filter((name) => name in known).toSorted();
}

/** Names that a file cannot export by themselves. */
const WORDS = new Set(['default', 'static']);

function entryOf(name, icons) {
  if (name === ICONS) return `export { ${icons.join(', ')} } from '${ICONS}';`;
  if (!COMMON.includes(name))
    return `export * from '${name}';${DEFAULTS.includes(name) ? ` export { default } from '${name}';` : ''}`;
  const names = Object.keys(requireOfWeb(name)).filter(
    (one) => /^[A-Za-z_$][\w$]*$/.test(one) && !WORDS.has(one),
  );
  return `import all from '${name}';\nexport default all;\nexport const { ${names.join(', ')} } = all;`;
}

export async function joinVendor() {
  const icons = usedIcons();
  const mark = join(folder, 'stamp');
  const lock = readFileSync(join(root, 'package-lock.json'));
  const own = readFileSync(import.meta.filename, 'utf8');
  const stamp = createHash('sha256').update(lock).update(own).update(icons.join()).digest('hex');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === stamp) return;
  rmSync(folder, { recursive: true, force: true });
  const entries = join(folder, 'entries');
  mkdirSync(entries, { recursive: true });
  const input = Object.fromEntries(
    NAMES.map((name) => {
      const path = join(entries, `${fileNameOf(name)}.mjs`);
      writeFileSync(path, entryOf(name, icons));
      return [fileNameOf(name), path];
    }),
  );
  const bundle = await rolldown({
    input,
    logLevel: 'silent',
    external: (id) => id.startsWith('node:'),
    platform: 'browser',
    resolve: { conditionNames: ['import', 'browser', 'default'] },
    transform: { define: { 'process.env.NODE_ENV': '"test"' } },
  });
  await bundle.write({
    dir: folder,
    format: 'esm',
    entryFileNames: '[name].mjs',
    chunkFileNames: '[name].mjs',
    keepNames: true,
  });
  await bundle.close();
  writeFileSync(mark, stamp);
}
