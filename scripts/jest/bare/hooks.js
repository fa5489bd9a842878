// Compiles TypeScript as Node.js loads it, and finds what Jest's settings find elsewhere.
import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join, resolve as resolvePath } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import swc from '@swc/core';
import { COMPILED } from '../compiled.js';
import { CORE_IN_ONE } from '../from-source.js';
import { VENDOR_OF_WEB } from '../vendor.js';

const NO_STYLES = new URL('no-styles.js', import.meta.url).href;
const ELSEWHERE = new Map([
  ['@jest/globals', new URL('names.js', import.meta.url).href],
  ['@keen/core', pathToFileURL(CORE_IN_ONE).href],
]);
const WEB = pathToFileURL(
  join(resolvePath(import.meta.dirname, '..', '..', '..'), 'apps', 'web', 'src'),
).href;
const SOURCE = /\.tsx?$/;
const COMPILED_BESIDE = /^\.{1,2}\/.*\.js$/;

/** By the name of a file and its query. */
const halves = (url = '') => {
  const [plain, query = ''] = url.split('?');
  return { plain, query };
};

/** What TypeScript imports by the name that it will have once compiled; undefined: it is no source. */
const sourceOf = (specifier, parent) =>
  ['.ts', '.tsx']
    .map((end) => new URL(specifier.replace(/\.js$/, end), parent))
    .find((url) => existsSync(url))?.href;

/** Tests of components have the modules of the web each for themselves, since some of these keep what somebody did. */
const ownOf = ({ plain, query }) =>
  query.startsWith('own=') ? `?${query}` : plain.endsWith('.test.tsx') ? `?own=${query}` : '';

export async function resolve(specifier, context, next) {
  // Packages that stand apart have to have the same one of these.
  const elsewhere = ELSEWHERE.get(specifier) ?? VENDOR_OF_WEB.get(specifier);
  if (elsewhere) return { url: elsewhere, shortCircuit: true };
  const parent = halves(context.parentURL);
  if (!SOURCE.test(parent.plain)) return next(specifier, context);
  if (specifier.endsWith('.css')) return { url: NO_STYLES, shortCircuit: true };
  const source = COMPILED_BESIDE.test(specifier) ? sourceOf(specifier, parent.plain) : undefined;
  if (!source) return next(specifier, context);
  return { url: source.startsWith(WEB) ? source + ownOf(parent) : source, shortCircuit: true };
}

const compiled = new Map();

async function compile(filename) {
  const options = { ...COMPILED, filename, sourceMaps: 'inline' };
  const { code } = await swc.transform(await readFile(filename, 'utf8'), options);
  return code;
}

export async function load(url, context, next) {
  const { plain } = halves(url);
  if (!plain.startsWith('file:') || !SOURCE.test(plain)) return next(url, context);
  if (!compiled.has(plain)) compiled.set(plain, compile(fileURLToPath(plain)));
  return { format: 'module', source: await compiled.get(plain), shortCircuit: true };
}
