import { describe, expect, it } from '@jest/globals';
import { Busy } from './busy.js';
import { FairTurns } from './fair-turns.js';

/** Work that goes on until `end` is called. */
function held() {
  const log: string[] = [];
  const ends: (() => void)[] = [];
  const work = (name: string) => (): Promise<string> =>
    new Promise((done) => {
      log.push(name);
      ends.push(() => done(name));
    });
  const end = async (): Promise<void> => {
    ends.shift()?.();
    await new Promise(setImmediate);
  };
  return { log, work, end };
}

describe('turns of several clients', () => {
  it('go round: one question of one comes before the second of another', async () => {
    const { log, work, end } = held();
    const turns = new FairTurns(10);
    const all = ['a1', 'a2', 'a3', 'b1', 'c1', 'b2'].map((name) => turns.run(name.slice(0, 1), work(name)));
    for (let n = 0; n < 6; n += 1) await end();
    expect(log).toEqual(['a1', 'a2', 'b1', 'c1', 'a3', 'b2']);
    expect(await Promise.all(all)).toEqual(['a1', 'a2', 'a3', 'b1', 'c1', 'b2']);
  });

  it('are one at a time', async () => {
    const { log, work, end } = held();
    const turns = new FairTurns(10);
    const first = turns.run('a', work('a1'));
    const second = turns.run('b', work('b1'));
    expect(log).toEqual(['a1']);
    await end();
    expect(log).toEqual(['a1', 'b1']);
    await end();
    await Promise.all([first, second]);
    const third = turns.run('a', work('a2'));
    expect(log.at(-1)).toBe('a2');
    await end();
    await third;
  });

  it('go on after work that failed', async () => {
    const { work, end } = held();
    const turns = new FairTurns(10);
    const bad = turns.run('a', () => Promise.reject(new Error('no')));
    const good = turns.run('b', work('b1'));
    await expect(bad).rejects.toThrow('no');
    await new Promise(setImmediate);
    await end();
    expect(await good).toBe('b1');
  });

  it('turn a client away of whom too much waits, and nobody else', async () => {
    const { work, end } = held();
    const turns = new FairTurns(2);
    const kept = ['a1', 'a2', 'a3'].map((name) => turns.run('a', work(name)));
    await expect(turns.run('a', work('a4'))).rejects.toThrow(Busy);
    const other = turns.run('b', work('b1'));
    for (let n = 0; n < 4; n += 1) await end();
    expect(await Promise.all([...kept, other])).toEqual(['a1', 'a2', 'a3', 'b1']);
  });
});
