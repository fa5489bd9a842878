import type { AuditedRecord, AuditPage } from '@keen/core';
import { useInfiniteQuery } from '@tanstack/react-query';
import { ask } from './client.js';

export interface ChangesAsked {
  /** null: all kinds. */
  readonly record: AuditedRecord | null;
  /** null: everybody. */
  readonly who: string | null;
}

const pathOf = ({ record, who }: ChangesAsked, before: number | null): string => {
  const query = new URLSearchParams({
    ...(record && { record }),
    ...(who && { who }),
    ...(before !== null && { before: String(before) }),
  });
  return `audit?${query}`;
};

/** What was changed, by whom, the newest first; older ones as they are asked for. */
export const useChanges = (asked: ChangesAsked) =>
  useInfiniteQuery({
    queryKey: ['audit', asked],
    queryFn: ({ pageParam }) => ask<AuditPage>(pathOf(asked, pageParam)),
    initialPageParam: null as number | null,
    getNextPageParam: ({ olderFrom }) => olderFrom,
  });
