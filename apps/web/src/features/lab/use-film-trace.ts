import type { FilmInput } from '@keen/core';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { FilmWorker } from './film.worker.js';
import type { TraceAnswer } from './trace-answer.js';

/** The film's life, computed in a worker of its own; while one is on its way only the newest change waits. */
export function useFilmTrace(film: FilmInput): TraceAnswer | null {
  const [answer, setAnswer] = useState<TraceAnswer | null>(null);
  const remote = useRef<Remote<FilmWorker> | null>(null);
  const waiting = useRef<FilmInput | null>(null);
  const isBusy = useRef(false);

  useEffect(() => {
    const worker = new Worker(new URL('./film.worker.ts', import.meta.url), { type: 'module' });
    remote.current = wrap<FilmWorker>(worker);
    isBusy.current = false;
    return () => {
      remote.current = null;
      worker.terminate();
    };
  }, []);

  useEffect(() => {
    waiting.current = film;
    const work = async (): Promise<void> => {
      if (isBusy.current) return;
      isBusy.current = true;
      while (waiting.current && remote.current) {
        const next = waiting.current;
        waiting.current = null;
        setAnswer(await remote.current.trace(next));
      }
      isBusy.current = false;
    };
    void work();
  }, [film]);

  return answer;
}
