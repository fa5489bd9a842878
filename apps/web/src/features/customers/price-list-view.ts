import type { BodyClass, MethodId, PriceList, SeasonJobId } from '@keen/core';

/** The list with one price set, or taken off (null). */
export function withMethodPrice(
  list: PriceList,
  { methodId, body }: { readonly methodId: MethodId; readonly body: BodyClass },
  minor: number | null,
): PriceList {
  const { [body]: _, ...others } = list.methods[methodId] ?? {};
  const row = minor === null ? others : { ...others, [body]: minor };
  return { ...list, methods: { ...list.methods, [methodId]: row } };
}

/** The same for work of the season. */
export function withExtraPrice(list: PriceList, jobId: SeasonJobId, minor: number | null): PriceList {
  const { [jobId]: _, ...others } = list.extras;
  return { ...list, extras: minor === null ? others : { ...others, [jobId]: minor } };
}
