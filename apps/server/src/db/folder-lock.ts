import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { StartError } from '../config/config.js';

const fileIn = (folder: string): string => join(folder, 'server.lock');

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    // It is there, and somebody else's.
    return error instanceof Error && (error as { code?: unknown }).code === 'EPERM';
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
  const owner = ownerOf(folder);
  if (owner !== null)
    throw new StartError(
      `The folder ${folder} is in use by another Keen Rinse (process ${owner}). Stop that first, or name another folder with KEEN_DATA.`,
    );
  writeFileSync(fileIn(folder), String(process.pid));
  return () => rmSync(fileIn(folder), { force: true });
}
