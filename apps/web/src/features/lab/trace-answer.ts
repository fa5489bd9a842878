import { FieldError, type FilmInput, filmTrace, type FilmTrace } from '@keen/core';

/** The life of a film, or the field that is out of its range; and how long the sum took. */
export type TraceAnswer =
  | { readonly ok: true; readonly trace: FilmTrace; readonly tookMs: number }
  | { readonly ok: false; readonly field: string; readonly message: string };

/** @throws what is no fault of the input */
export function traceAnswer(input: FilmInput): TraceAnswer {
  const startedMs = performance.now();
  try {
    const trace = filmTrace(input);
    return { ok: true, trace, tookMs: performance.now() - startedMs };
  } catch (error) {
    if (error instanceof FieldError) return { ok: false, field: error.field, message: error.message };
    throw error;
  }
}
