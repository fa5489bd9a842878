import { ApiError } from '../../api/client.js';
import type { RunView } from './run-view.js';

/** What ends by itself: somebody signs in again, or the server has time again. */
const PASSING: ReadonlySet<number> = new Set([401, 408, 429]);

/** The server was reached and does not take it; anything else is worth another attempt. */
export const isRefusal = (error: unknown): error is ApiError =>
  error instanceof ApiError && error.status < 500 && !PASSING.has(error.status);

/** What a failed exchange says of the signal, and of being signed in. */
export const signalOf = (error: Error): Pick<RunView, 'hasSignal' | 'isSignedOut'> => ({
  hasSignal: error instanceof ApiError && error.status < 500,
  isSignedOut: error instanceof ApiError && error.status === 401,
});
