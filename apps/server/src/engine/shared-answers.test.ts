import { describe, expect, it } from '@jest/globals';
import { SharedAnswers } from './shared-answers.js';

/** Work that ends when told, and knows whether it was stopped. */
function slowWork() {
  let finish: (value: string) => void = () => undefined;
  const state = { runs: 0, isStopped: false };
  const compute = (_inputs: unknown, signal: AbortSignal): Promise<string> => {
    state.runs += 1;
    return new Promise((done, fail) => {
      finish = done;
      signal.addEventListener('abort', () => {
        state.isStopped = true;
        fail(new Error('stopped'));
      });
    });
  };
  return { state, compute, finish: (value: string) => finish(value) };
}

describe('shared answers', () => {
  it('are worked out once for all who ask the same, and kept', async () => {
    const answers = new SharedAnswers();
    const { state, compute, finish } = slowWork();
    const both = [answers.once(['q', 1], compute), answers.once(['q', 1], compute)];
    finish('here');
    expect(await Promise.all(both)).toEqual(['here', 'here']);
    expect(await answers.once(['q', 1], compute)).toBe('here');
    expect(state.runs).toBe(1);
  });

  it('go on while one of two still waits, and stop when nobody does', async () => {
    const answers = new SharedAnswers();
    const { state, compute } = slowWork();
    const first = new AbortController();
    const second = new AbortController();
    const waiting = [answers.once('q', compute, first.signal), answers.once('q', compute, second.signal)];
    const ended = Promise.allSettled(waiting);
    first.abort();
    expect(state.isStopped).toBe(false);
    second.abort();
    expect(state.isStopped).toBe(true);
    expect((await ended).map(({ status }) => status)).toEqual(['rejected', 'rejected']);
    void answers.once('q', compute);
    expect(state.runs).toBe(2);
  });

  it('are not stopped for one who waits for good, nor begun for one who has gone', async () => {
    const answers = new SharedAnswers();
    const { state, compute } = slowWork();
    void answers.once('q', compute);
    const caller = new AbortController();
    const asked = answers.once('q', compute, caller.signal);
    void asked;
    caller.abort();
    expect(state.isStopped).toBe(false);
    await expect(answers.once('other', compute, caller.signal)).rejects.toThrow('nobody waits');
    expect(state.runs).toBe(1);
  });

  it('are asked again after a failure', async () => {
    const answers = new SharedAnswers();
    await expect(answers.once('q', () => Promise.reject(new Error('no')))).rejects.toThrow('no');
    expect(await answers.once('q', () => Promise.resolve('yes'))).toBe('yes');
  });
});
