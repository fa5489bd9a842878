import { describe, expect, it } from '@jest/globals';
import { filmTrace } from '@keen/core';
import { PLAIN_FILM } from './lab-view.js';
import { traceAnswer } from './trace-answer.js';

describe('the film in its worker', () => {
  it('is the core’s, with how long it took', () => {
    const answer = traceAnswer(PLAIN_FILM);
    expect(answer).toMatchObject({ ok: true, trace: filmTrace(PLAIN_FILM) });
    expect(answer.ok && answer.tookMs).toBeGreaterThanOrEqual(0);
    expect(answer.ok && answer.tookMs).toBeLessThan(10_000);
  });

  it('names the field that is out of its range', () => {
    expect(traceAnswer({ ...PLAIN_FILM, tiltDeg: 400 })).toEqual({
      ok: false,
      field: 'tiltDeg',
      message: expect.stringContaining('400'),
    });
  });

  it('throws what is no fault of the input', () => {
    expect(() => traceAnswer(null as never)).toThrow(TypeError);
  });
});
