// Compiles TypeScript as Node.js loads it, and finds what Jest's settings find elsewhere.
import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { fileURLToPath, pathToFileURL } from 'node:url';
import swc from '@swc/core';
import { COMPILED } from '../compiled.js';
import { CORE_IN_ONE } from '../from-source.js';

const ELSEWHERE = new Map([
  ['@jest/globals', new URL('names.js', import.meta.url).href],
  ['@keen/core', pathToFileURL(CORE_IN_ONE).href],
]);
const SOURCE = /\.tsx?$/;
const COMPILED_BESIDE = /^\.{1,2}\/.*\.js$/;

const withoutQuery = (url = '') => url.split('?')[0];

/** What TypeScript imports by the name that it will have once compiled; undefined: it is no source. */
const sourceOf = (specifier, parent) =>
  ['.ts', '.tsx']
    .map((end) => new URL(specifier.replace(/\.js$/, end), parent))
    .find((url) => existsSync(url))?.href;

export async function resolve(specifier, context, next) {
  const parent = withoutQuery(context.parentURL);
  const isBeside = SOURCE.test(parent) && COMPILED_BESIDE.test(specifier);
  const url = ELSEWHERE.get(specifier) ?? (isBeside ? sourceOf(specifier, parent) : undefined);
  return url ? { url, shortCircuit: true } : next(specifier, context);
}

export async function load(url, context, next) {
  const plain = withoutQuery(url);
  if (!plain.startsWith('file:') || !SOURCE.test(plain)) return next(url, context);
  const filename = fileURLToPath(plain);
  const { code } = await swc.transform(await readFile(filename, 'utf8'), {
    ...COMPILED,
    filename,
    sourceMaps: 'inline',
  });
  return { format: 'module', source: code, shortCircuit: true };
}
