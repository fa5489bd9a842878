// What component tests load of other people's packages, joined into a few files once: every test file has modules of its own, and more than a
// thousand small ones are slow to open each time.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join, resolve } from 'node:path';
import { rolldown } from 'rolldown';

const root = resolve(import.meta.dirname, '..', '..');
const WEB = join(root, 'apps', 'web');
const FOLDER = join(root, 'node_modules', '.cache', 'keen', 'vendor');
const STAMP = join(FOLDER, 'stamp');
const ICONS = '@tabler/icons-react';
const PACKAGES = [
  'react',
  'react/jsx-runtime',
  'react-dom',
  'react-dom/client',
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
/** These are CommonJS: what they export is read off them. */
const COMMON = new Set(['react', 'react/jsx-runtime', 'react-dom', 'react-dom/client']);

/** These have a default besides their names. */
const DEFAULTS = new Set(['@testing-library/user-event']);

const fileOf = (name) => join(FOLDER, `${name.replaceAll(/[^\w-]/g, '_')}.mjs`);

/** For `moduleNameMapper`: each package by its exact name. */
export const VENDOR_MAPPER = Object.fromEntries(PACKAGES.map((name) => [`^${name}$`, fileOf(name)]));

const sourcesBelow = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sourcesBelow(path);
    return /\.tsx?$/.test(entry.name) ? [path] : [];
  });

/** Of thousands of icons those that the web draws. */
function usedIcons() {
  const named = sourcesBelow(join(WEB, 'src')).flatMap((path) => {
    const text = readFileSync(path, 'utf8');
    return text.includes(ICONS) ? [...text.matchAll(/\bIcon[A-Z]\w*/g)].map(([name]) => name) : [];
  });
  const known = createRequire(join(WEB, 'package.json'))(ICONS);
  return [...new Set(named)].filter((name) => name in known).toSorted();
}

function entryOf(name, icons) {
  if (name === ICONS) return `export { ${icons.join(', ')} } from '${ICONS}';`;
  if (!COMMON.has(name))
    return `export * from '${name}';${DEFAULTS.has(name) ? ` export { default } from '${name}';` : ''}`;
  const names = Object.keys(createRequire(join(WEB, 'package.json'))(name)).filter(
    (one) => /^[A-Za-z_$][\w$]*$/.test(one) && one !== 'default',
  );
  return `import all from '${name}';\nexport default all;\nexport const { ${names.join(', ')} } = all;`;
}

export async function joinVendor() {
  const icons = usedIcons();
  const lock = readFileSync(join(root, 'package-lock.json'));
  const own = readFileSync(import.meta.filename);
  const stamp = createHash('sha256').update(lock).update(own).update(icons.join()).digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === stamp) return;
  rmSync(FOLDER, { recursive: true, force: true });
  const entries = join(FOLDER, 'entries');
  mkdirSync(entries, { recursive: true });
  const input = Object.fromEntries(
    PACKAGES.map((name) => {
      const path = join(entries, `${name.replaceAll(/[^\w-]/g, '_')}.mjs`);
      writeFileSync(path, entryOf(name, icons));
      return [name.replaceAll(/[^\w-]/g, '_'), path];
    }),
  );
  const bundle = await rolldown({
    input,
    cwd: WEB,
    platform: 'browser',
    logLevel: 'silent',
    external: (id) => id.startsWith('node:'),
    resolve: { conditionNames: ['import', 'browser', 'default'] },
    transform: { define: { 'process.env.NODE_ENV': '"test"' } },
  });
  await bundle.write({
    dir: FOLDER,
    format: 'esm',
    entryFileNames: '[name].mjs',
    chunkFileNames: '[name].mjs',
  });
  await bundle.close();
  writeFileSync(STAMP, stamp);
}
