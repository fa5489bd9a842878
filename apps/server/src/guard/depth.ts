import type { ErrorBody } from '@keen/core';
import type { NextFunction, Request, Response } from 'express';

/** Nothing that the program takes is nested so deep. */
export const MOST_LEVELS = 40;

/** Is a value nested deeper than so many levels? Walked without recursion, so that no depth can exhaust the stack. */
export function isDeeper(value: unknown, levels: number): boolean {
  let layer: unknown[] = [value];
  for (let level = 0; layer.length > 0; level += 1) {
    if (level > levels) return true;
    layer = layer.flatMap((one) =>
      typeof one === 'object' && one !== null ? (Object.values(one) as unknown[]) : [],
    );
  }
  return false;
}

/** Turns away what is nested too deep to be read safely. */
export function shallowOnly(request: Request, response: Response, next: NextFunction): void {
  if (Buffer.isBuffer(request.body) || !isDeeper(request.body, MOST_LEVELS)) {
    next();
    return;
  }
  const message = `The request is nested deeper than ${MOST_LEVELS} levels; nothing was changed.`;
  response.status(400).json({ error: { code: 'bad-request', field: null, message } } satisfies ErrorBody);
}
