import type { Fault } from '@keen/core';
import { noteKept } from './last-read.js';

/** The server's refusal: every fault, the first foremost. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly faults: readonly Fault[],
  ) {
    super(faults[0]?.message ?? `The server answered ${status}.`);
    this.name = 'ApiError';
  }

  /** Messages by field, for a form. */
  get byField(): Record<string, string> {
    return Object.fromEntries(this.faults.flatMap(({ field, message }) => (field ? [[field, message]] : [])));
  }
}

interface ErrorBody {
  readonly error?: Fault & { readonly others?: readonly Fault[] };
}

async function errorOf(response: Response): Promise<ApiError> {
  const body = (await response.json().catch(() => ({}))) as ErrorBody;
  const { error } = body;
  if (!error) return new ApiError(response.status, []);
  const { others = [], ...first } = error;
  return new ApiError(response.status, [first, ...others]);
}

/**
 * Asks the server.
 *
 * @param path under /api
 * @param options body is sent as JSON, file as it is; what `isFresh` is the server's own answer or none, never what was kept of an earlier one
 * @throws ApiError when it refuses; TypeError when it cannot be reached
 */
export async function ask<T>(
  path: string,
  options: { method?: string; body?: unknown; file?: Blob; signal?: AbortSignal; isFresh?: boolean } = {},
): Promise<T> {
  const { method = 'GET', body, file, signal, isFresh = false } = options;
  const type = file?.type ?? (body === undefined ? null : 'application/json');
  const response = await fetch(`/api/${path}`, {
    method,
    signal,
    ...(isFresh ? { cache: 'no-store' } : {}),
    headers: type === null ? {} : { 'content-type': type },
    body: file ?? (body === undefined ? undefined : JSON.stringify(body)),
  });
  if (!response.ok) throw await errorOf(response);
  noteKept(response.headers.get('x-kept-at'));
  return (response.status === 204 ? undefined : await response.json()) as T;
}
