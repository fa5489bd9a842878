import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface Drafts {
  readonly drafts: Readonly<Record<string, unknown>>;
  readonly keep: (key: string, draft: unknown) => void;
  readonly forget: (key: string) => void;
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
    { name: 'keen-drafts' },
  ),
);

export interface Draft<T> {
  readonly value: T;
  readonly set: (change: Partial<T>) => void;
  readonly forget: () => void;
}

/** A half-typed form, kept over a reload until it is saved or cancelled; starts as `initial`. */
export function useDraft<T extends object>(key: string, initial: T): Draft<T> {
  const { drafts, keep, forget } = useDrafts();
  const value = (drafts[key] as T | undefined) ?? initial;
  return { value, set: (change) => keep(key, { ...value, ...change }), forget: () => forget(key) };
}
