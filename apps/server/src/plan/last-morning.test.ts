import { afterEach, describe, expect, it } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { MorningView } from '@keen/core';
import { LastMorning } from './last-morning.js';

const VIEW: MorningView = { nowMs: 1, source: 's', issuedMs: 0, memberCount: 2, answers: [] };
const folders: string[] = [];
const newFolder = (): string => {
  const folder = mkdtempSync(join(tmpdir(), 'last-'));
  folders.push(folder);
  return folder;
};
afterEach(() => folders.splice(0).forEach((folder) => rmSync(folder, { recursive: true })));

describe('the last morning', () => {
  it('is there after a restart, the newest of them', () => {
    const dataFolder = join(newFolder(), 'not', 'there', 'yet');
    const kept = new LastMorning({ dataFolder });
    expect(kept.read()).toBeNull();
    kept.keep(VIEW);
    kept.keep({ ...VIEW, nowMs: 2 });
    expect(new LastMorning({ dataFolder }).read()).toEqual({ ...VIEW, nowMs: 2 });
  });

  it('of an older program took every last wash for known', () => {
    const dataFolder = newFolder();
    const old = { ...VIEW, answers: [{ vehicleId: 'a', due: { daysLate: 3 } }] };
    writeFileSync(join(dataFolder, 'last-morning.json'), JSON.stringify(old));
    const [answer] = new LastMorning({ dataFolder }).read()?.answers ?? [];
    expect(answer?.due).toEqual({ daysLate: 3, isLastWashKnown: true });
  });

  it('is none where the file is not one, or the folder cannot be written to', () => {
    const dataFolder = newFolder();
    writeFileSync(join(dataFolder, 'last-morning.json'), '{"nowMs":');
    expect(new LastMorning({ dataFolder }).read()).toBeNull();
    const beneathFile = new LastMorning({ dataFolder: join(dataFolder, 'last-morning.json') });
    expect(() => beneathFile.keep(VIEW)).not.toThrow();
    expect(beneathFile.read()).toBeNull();
  });
});
