import { type QueryClient, useMutation, useQueryClient } from '@tanstack/react-query';
import { ApiError } from './client.js';
import { DEPENDENT_VIEWS, type RecordKind } from './stale.js';

/** Stops the work behind a question; the server stops it too when nobody else waits. */
export function useStop(queryKey: readonly unknown[]): () => void {
  const client = useQueryClient();
  return () => void client.cancelQueries({ queryKey });
}

/** Everything that depends on a kind of record is asked for again, where it is to be seen. */
export const refresh = (client: QueryClient, kind: RecordKind): Promise<void>[] =>
  DEPENDENT_VIEWS[kind].map((view) => client.invalidateQueries({ queryKey: [view] }));

/** An act that changes no record of the shop, such as coming in or going. */
export function useAct<I, O>(act: (input: I) => Promise<O>, onDone?: (client: QueryClient) => unknown) {
  const client = useQueryClient();
  return useMutation({ mutationFn: act, onSuccess: () => onDone?.(client) });
}

/**
 * A change on the server, after which all that depends on the record is stale. It is over when the records are read again; what has to
 * be worked out follows in its own time.
 *
 * @param kind of record that is changed, by the table of what depends on what
 * @param atOnce what of the cache can be told from the answer
 */
export function useChange<I, O>(
  change: (input: I) => Promise<O>,
  kind: RecordKind,
  atOnce?: (client: QueryClient, answer: O) => void,
) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: async (answer) => {
      atOnce?.(client, answer);
      const [own] = refresh(client, kind);
      if (kind !== 'looks') await own;
    },
    onError: (error) => {
      // What it was meant for is no longer as it was shown.
      if (error instanceof ApiError && error.status === 409) void refresh(client, kind);
    },
  });
}
