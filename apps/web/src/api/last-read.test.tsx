import { afterEach, describe, expect, it } from '@jest/globals';
import { ask } from './client.js';
import { forgetLastRead, noteKept, useLastRead } from './last-read.js';

const KEPT_AT = 'x-kept-at';
const answering = (headers: Record<string, string>): RequestInit[] => {
  const asked: RequestInit[] = [];
  globalThis.fetch = ((_path: string, options: RequestInit) => {
    asked.push(options);
    return Promise.resolve({
      ok: true,
      status: 200,
      headers: new Headers(headers),
      json: () => Promise.resolve(1),
    });
  }) as unknown as typeof fetch;
  return asked;
};
const keptMs = (): number | null => useLastRead.getState().keptMs;

describe('what was read last', () => {
  afterEach(() => forgetLastRead());

  it('counts from the oldest of what is shown, until the server answers itself', async () => {
    answering({ [KEPT_AT]: '500' });
    await ask('plan');
    noteKept('900');
    expect(keptMs()).toBe(500);
    noteKept('300');
    expect(keptMs()).toBe(300);
    answering({});
    await ask('plan');
    expect(keptMs()).toBeNull();
  });

  it('is never taken for an answer that has to be fresh', async () => {
    const asked = answering({});
    await ask('runs/w', { isFresh: true });
    await ask('runs/w');
    expect(asked.map(({ cache }) => cache)).toEqual(['no-store', undefined]);
  });

  it('goes with the one who read it', async () => {
    const deleted: string[] = [];
    Object.assign(globalThis, {
      caches: { delete: (name: string) => Promise.resolve(deleted.push(name) > 0) },
    });
    noteKept('500');
    await forgetLastRead();
    expect(deleted).toEqual(['last-read']);
    expect(keptMs()).toBeNull();
  });
});
