import { afterAll, beforeEach, describe, expect, it } from '@jest/globals';
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { KeptInMemory } from './kept.js';
import { KeptFiles } from './kept-files.js';

const parent = mkdtempSync(join(tmpdir(), 'keen-kept-'));
let folder = '';
let count = 0;
beforeEach(() => {
  folder = join(parent, String((count += 1)));
});
afterAll(() => rmSync(parent, { recursive: true }));

const opened = (version = '1', under = 'a'): KeptFiles => {
  const files = new KeptFiles(folder, version);
  files.only(under);
  return files;
};

describe('what is kept in files', () => {
  it('is found again by another run of the same program, as it was', () => {
    const value = { minutes: Infinity, list: [1, null], name: 'ü' };
    opened().set('key', value);
    expect(opened().get('key')).toEqual(value);
    expect(opened().get('other')).toBeUndefined();
  });

  it('is not read by another version, nor under other inputs, and is deleted by then', () => {
    opened().set('key', 1);
    expect(opened('2').get('key')).toBeUndefined();
    expect(readdirSync(folder)).toEqual([]);
    opened().set('key', 1);
    expect(opened('1', 'b').get('key')).toBeUndefined();
    expect(readdirSync(folder)).toEqual([]);
  });

  it('is nothing where a file is broken or its folder cannot be made', () => {
    opened().set('key', 1);
    const [file = ''] = readdirSync(folder);
    writeFileSync(join(folder, file), 'no');
    expect(opened().get('key')).toBeUndefined();
    mkdirSync(parent, { recursive: true });
    writeFileSync(join(parent, 'in-the-way'), '');
    const blocked = new KeptFiles(join(parent, 'in-the-way', 'below'), '1');
    blocked.only('a');
    blocked.set('key', 1);
    expect(blocked.get('key')).toBeUndefined();
  });

  it('leaves no half of a file behind', () => {
    opened().set('key', 1);
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
  });
});

describe('mornings', () => {
  const made = (keep: KeptInMemory, input: number): { value: number; wasMade: boolean } => {
    let wasMade = false;
    keep.only('morning', { shared: 1 });
    const value = keep.of('morning', { input }, (inputs) => {
      wasMade = true;
      return inputs.input * 2;
    });
    return { value, wasMade };
  };

  it('outlive the program, other values do not', () => {
    expect(made(new KeptInMemory(new KeptFiles(folder, '1')), 4)).toEqual({ value: 8, wasMade: true });
    const later = new KeptInMemory(new KeptFiles(folder, '1'));
    expect(made(later, 4)).toEqual({ value: 8, wasMade: false });
    expect(made(later, 5)).toEqual({ value: 10, wasMade: true });
    later.of('site', { input: 1 }, () => 1);
    let isAgain = false;
    new KeptInMemory(new KeptFiles(folder, '1')).of('site', { input: 1 }, () => (isAgain = true));
    expect(isAgain).toBe(true);
  });
});
