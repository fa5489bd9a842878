import { describe, expect, it } from '@jest/globals';
import { InTurn } from './in-turn.js';

describe('work in turn', () => {
  it('is done one after the other, in the order in which it was asked for', async () => {
    const turn = new InTurn();
    const told: string[] = [];
    const work = (name: string, steps: number) => async (): Promise<string> => {
      told.push(`${name} begins`);
      for (let i = 0; i < steps; i += 1) await Promise.resolve();
      told.push(`${name} ends`);
      return name;
    };
    expect(
      await Promise.all([turn.run(work('a', 9)), turn.run(work('b', 1)), turn.run(work('c', 0))]),
    ).toEqual(['a', 'b', 'c']);
    expect(told).toEqual(['a begins', 'a ends', 'b begins', 'b ends', 'c begins', 'c ends']);
  });

  it('fails for who asked for it, and for nobody else', async () => {
    const turn = new InTurn();
    const failing = turn.run(() => Promise.reject(new Error('no')));
    const next = turn.run(() => Promise.resolve(7));
    await expect(failing).rejects.toThrow('no');
    expect(await next).toBe(7);
  });
});
