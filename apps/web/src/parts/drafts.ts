import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** What was typed of a form: the fields that were touched, and the record as it was read when the first of them was. */
interface KeptDraft {
  readonly touched: object;
  readonly read: unknown;
}

interface Drafts {
  readonly drafts: Readonly<Record<string, KeptDraft>>;
  readonly keep: (key: string, draft: KeptDraft) => void;
  readonly forget: (key: string) => void;
}

/** Drafts that were kept before only what was touched was: all of their fields count as touched. */
function fromBefore(stored: unknown): Pick<Drafts, 'drafts'> {
  const { drafts = {} } = (stored ?? {}) as { drafts?: Record<string, object> };
  return {
    drafts: Object.fromEntries(
      Object.entries(drafts).map(([key, touched]) => [key, { touched, read: null }]),
    ),
  };
}

const useDrafts = create<Drafts>()(
  persist(
    (set) => ({
      drafts: {},
      keep: (key, draft) => set(({ drafts }) => ({ drafts: { ...drafts, [key]: draft } })),
      forget: (key) =>
        set(({ drafts }) => ({
          drafts: Object.fromEntries(Object.entries(drafts).filter(([other]) => other !== key)),
        })),
    }),
    { name: 'keen-drafts', version: 1, migrate: fromBefore, partialize: ({ drafts }) => ({ drafts }) },
  ),
);

export interface Draft<T> {
  /** As it stands now, with what was touched in place of it. */
  readonly value: T;
  readonly isTouched: boolean;
  /** The record as it was read when the first field was touched; null where that is not known. */
  readonly read: unknown;
  readonly set: (change: Partial<T>) => void;
  readonly forget: () => void;
  /** What was touched stands on the newest record from now on. */
  readonly rebase: () => void;
}

/**
 * A half-typed form, kept over a reload until it is saved or cancelled.
 *
 * @param initial as the record stands now: fields that nobody touched follow it
 * @param record what is being edited, kept with the draft from the first touch on
 */
export function useDraft<T extends object>(key: string, initial: T, record: unknown = null): Draft<T> {
  const { drafts, keep, forget } = useDrafts();
  const kept = drafts[key];
  const read = kept ? kept.read : record;
  return {
    value: { ...initial, ...kept?.touched },
    isTouched: kept !== undefined,
    read,
    set: (change) => keep(key, { touched: { ...kept?.touched, ...change }, read }),
    forget: () => forget(key),
    rebase: () => kept && keep(key, { ...kept, read: record }),
  };
}
