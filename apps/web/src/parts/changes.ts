type Fields = Readonly<Record<string, unknown>>;

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The fields of a form that were changed against what stands, and nothing else. */
export function changedFields<F extends object>(before: F, after: F): Partial<F> {
  const old = new Map(Object.entries(before));
  return Object.fromEntries(
    Object.entries(after).filter(([field, value]) => !isSame(old.get(field), value)),
  ) as Partial<F>;
}

/** What a record said of these fields, for the server to see whether it still does. */
export const readBefore = (record: unknown, fields: object): Fields | undefined => {
  if (typeof record !== 'object' || record === null) return undefined;
  return Object.fromEntries(Object.entries(record).filter(([field]) => field in fields));
};
