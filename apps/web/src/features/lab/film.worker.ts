import { FieldError, type FilmInput, filmTrace, type FilmTrace } from '@keen/core';
import { expose } from 'comlink';

/** The life of a film, or the field that is out of its range; and how long the sum took. */
export type TraceAnswer =
  | { readonly ok: true; readonly trace: FilmTrace; readonly tookMs: number }
  | { readonly ok: false; readonly field: string; readonly message: string };

const worker = {
  trace(input: FilmInput): TraceAnswer {
    const startedMs = performance.now();
    try {
      const trace = filmTrace(input);
      return { ok: true, trace, tookMs: performance.now() - startedMs };
    } catch (error) {
      if (error instanceof FieldError) return { ok: false, field: error.field, message: error.message };
      throw error;
    }
  },
};

export type FilmWorker = typeof worker;

expose(worker);
