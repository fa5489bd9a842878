import { existsSync } from 'node:fs';

/**
 * Where the program of a thread is.
 *
 * @param name of the worker and of its folder
 * @param here `import.meta.url` of who starts it
 * @returns the file beside it; a thread cannot load TypeScript, so a run from source uses what was built: the bundle, which is a few
 * files and not hundreds
 */
export function workerFile(name: string, here: string): string {
  const beside = new URL(`./${name}.worker.js`, here);
  return existsSync(beside) ? beside.href : new URL(`../../dist/bundle/${name}.worker.js`, here).href;
}
