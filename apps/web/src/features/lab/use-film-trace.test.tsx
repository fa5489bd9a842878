import { MessageChannel } from 'node:worker_threads';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import type { FilmInput } from '@keen/core';
import { act, renderHook, waitFor } from '@testing-library/react';
import { type Endpoint, expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/umd/node-adapter.js';
import { PLAIN_FILM } from './lab-view.js';
import type { TraceAnswer } from './trace-answer.js';
import { useFilmTrace } from './use-film-trace.js';

const asEndpoint = nodeEndpoint as unknown as (port: unknown) => Endpoint;

/** Films that were asked for, each answered when the test says so. */
const asked: { readonly film: FilmInput; readonly answer: (message: string) => void }[] = [];
let endedCount = 0;

/** A worker whose other side is the test's. */
class MadeUpWorker {
  private readonly endpoint: Endpoint;
  private readonly close: () => void;

  constructor() {
    const { port1, port2 } = new MessageChannel();
    const trace = (film: FilmInput): Promise<TraceAnswer> =>
      new Promise((done) => {
        asked.push({ film, answer: (message) => done({ ok: false, field: 'tiltDeg', message }) });
      });
    expose({ trace }, asEndpoint(port2));
    this.endpoint = asEndpoint(port1);
    this.close = () => port1.close();
  }

  postMessage(...args: Parameters<Endpoint['postMessage']>): void {
    this.endpoint.postMessage(...args);
  }

  addEventListener(...args: Parameters<Endpoint['addEventListener']>): void {
    this.endpoint.addEventListener(...args);
  }

  removeEventListener(...args: Parameters<Endpoint['removeEventListener']>): void {
    this.endpoint.removeEventListener(...args);
  }

  terminate(): void {
    endedCount += 1;
    this.close();
  }
}

const film = (tiltDeg: number): FilmInput => ({ ...PLAIN_FILM, tiltDeg });

describe('the film that is worked out beside the page', () => {
  beforeEach(() => {
    asked.length = 0;
    endedCount = 0;
    Object.assign(globalThis, { Worker: MadeUpWorker });
  });
  afterEach(() => {
    Reflect.deleteProperty(globalThis, 'Worker');
  });

  it('is nothing at first, then what the worker answers; while that works only the newest change waits', async () => {
    const { result, rerender, unmount } = renderHook(({ tilt }) => useFilmTrace(film(tilt)), {
      initialProps: { tilt: 10 },
    });
    expect(result.current).toBeNull();
    await waitFor(() => expect(asked).toHaveLength(1));
    for (const tilt of [20, 30, 40]) rerender({ tilt });
    expect(asked).toHaveLength(1);
    act(() => asked[0]?.answer('first'));
    await waitFor(() => expect(asked).toHaveLength(2));
    expect(asked.map((one) => one.film.tiltDeg)).toEqual([10, 40]);
    await waitFor(() => expect(result.current).toMatchObject({ message: 'first' }));
    act(() => asked[1]?.answer('second'));
    await waitFor(() => expect(result.current).toMatchObject({ message: 'second' }));
    rerender({ tilt: 50 });
    await waitFor(() => expect(asked).toHaveLength(3));
    unmount();
    expect(endedCount).toBe(1);
  });
});
