import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { StartError } from '../config/config.js';

const fileIn = (folder: string): string => join(folder, 'server.lock');

/** What the operating system calls it: "EEXIST". */
const codeOf = (error: unknown): unknown =>
  typeof error === 'object' && error !== null && 'code' in error ? error.code : null;

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    // It is there, and somebody else's.
    return codeOf(error) === 'EPERM';
  }
}

/** The process that owns a data folder; null: none that is still alive, this one not counted. */
export function ownerOf(folder: string): number | null {
  try {
    const pid = Number(readFileSync(fileIn(folder), 'utf8'));
    return Number.isInteger(pid) && pid > 0 && pid !== process.pid && isAlive(pid) ? pid : null;
  } catch {
    return null;
  }
}

/**
 * Makes this process the owner of a data folder: what is read, checked and written in turn holds for one server only.
 *
 * @returns what gives the folder back
 * @throws StartError where another process owns it
 */
export function ownFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true });
  const file = fileIn(folder);
  // Of two that start at once only one creates the file; one that a dead server left is taken away first.
  if (!created(file)) {
    const owner = ownerOf(folder);
    if (owner !== null) throw inUse(folder, `process ${owner}`);
    rmSync(file, { force: true });
    if (!created(file)) throw inUse(folder, 'it started at the same moment');
  }
  return () => rmSync(file, { force: true });
}

const inUse = (folder: string, by: string): StartError =>
  new StartError(
    `The folder ${folder} is in use by another Keen Rinse (${by}). Stop that first, or name another folder with KEEN_DATA.`,
  );

/** Writes this process into a file that was not there; false: it was. */
function created(file: string): boolean {
  try {
    writeFileSync(file, String(process.pid), { flag: 'wx' });
    return true;
  } catch (error) {
    if (codeOf(error) === 'EEXIST') return false;
    throw error;
  }
}
