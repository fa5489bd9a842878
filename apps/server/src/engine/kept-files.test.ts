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
  files.only('room', under);
  return files;
};

describe('what is kept in files', () => {
  it('is found again by another run of the same program, as it was', () => {
    const value = { minutes: Infinity, list: [1, null], name: 'ü' };
    opened().set('room', 'key', value);
    expect(opened().get('room', 'key')).toEqual(value);
    expect(opened().get('room', 'other')).toBeUndefined();
  });

  it('is not read by another version, nor under other inputs, and is deleted by then', () => {
    opened().set('room', 'key', 1);
    expect(opened('2').get('room', 'key')).toBeUndefined();
    expect(readdirSync(folder)).toEqual([]);
    opened().set('room', 'key', 1);
    expect(opened('1', 'b').get('room', 'key')).toBeUndefined();
    expect(readdirSync(folder)).toEqual([]);
  });

  it('is kept apart by rooms, and what an older program left in none goes', () => {
    opened().set('room', 'key', 1);
    writeFileSync(join(folder, 'abc-def'), '');
    const files = opened();
    files.only('other', 'b');
    files.set('other', 'key', 2);
    expect([files.get('room', 'key'), files.get('other', 'key')]).toEqual([1, 2]);
    files.only('other', 'c');
    expect([files.get('room', 'key'), files.get('other', 'key')]).toEqual([1, undefined]);
    expect(readdirSync(folder)).toHaveLength(1);
  });

  it('is nothing where a file is broken or its folder cannot be made', () => {
    opened().set('room', 'key', 1);
    const [file = ''] = readdirSync(folder);
    writeFileSync(join(folder, file), 'no');
    expect(opened().get('room', 'key')).toBeUndefined();
    mkdirSync(parent, { recursive: true });
    writeFileSync(join(parent, 'in-the-way'), '');
    const blocked = new KeptFiles(join(parent, 'in-the-way', 'below'), '1');
    blocked.only('room', 'a');
    blocked.set('room', 'key', 1);
    expect(blocked.get('room', 'key')).toBeUndefined();
  });

  it('leaves no half of a file behind', () => {
    opened().set('room', 'key', 1);
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

  it('are made with what was found out about a car before, which stands in files alone', () => {
    const first = new KeptInMemory(new KeptFiles(folder, '1'));
    first.only('book', { weather: 1 });
    first.set('book', { carId: 'a' }, new Map([['page', 1]]));
    const other = new KeptInMemory(new KeptFiles(folder, '1'));
    other.only('book', { weather: 1 });
    expect(other.get('book', { carId: 'a' })).toEqual(new Map([['page', 1]]));
    other.set('book', { carId: 'a' }, new Map([['page', 2]]));
    expect(first.get('book', { carId: 'a' })).toEqual(new Map([['page', 2]]));
    other.only('book', { weather: 2 });
    expect(other.get('book', { carId: 'a' })).toBeUndefined();
    expect(new KeptInMemory().get('book', { carId: 'a' })).toBeUndefined();
  });
});
