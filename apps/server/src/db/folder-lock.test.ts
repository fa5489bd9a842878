import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { ownerOf, ownFolder } from './folder-lock.js';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'keen-lock-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const lock = () => join(folder, 'server.lock');

describe('a data folder', () => {
  it('is owned by one process, and given back', () => {
    const giveBack = ownFolder(folder);
    expect(existsSync(lock())).toBe(true);
    giveBack();
    expect(existsSync(lock())).toBe(false);
  });

  it('is refused while another process has it, which is named', async () => {
    const other = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)']);
    writeFileSync(lock(), String(other.pid));
    expect(ownerOf(folder)).toBe(other.pid);
    expect(() => ownFolder(folder)).toThrow(`(process ${other.pid})`);
    const ended = new Promise((done) => other.on('exit', done));
    other.kill('SIGKILL');
    await ended;
    // What a killed server left behind is in nobody's way.
    expect(ownerOf(folder)).toBeNull();
    ownFolder(folder)();
  });

  it.each(['', 'no number', '-4', String(process.pid)])('is free where its lock says “%s”', (text) => {
    writeFileSync(lock(), text);
    expect(ownerOf(folder)).toBeNull();
  });
});
