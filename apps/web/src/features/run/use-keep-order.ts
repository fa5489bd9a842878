import type { RunAnswer, Variant } from '@keen/core';
import { useState } from 'react';
import { ApiError } from '../../api/client.js';
import { useSaveSettings, useSettings } from '../../api/queries.js';
import { useMoveWash } from '../../api/wash-queries.js';
import { noticeWithUndo } from '../../parts/notices.js';

/** What the program says of a failure; null: there is none. */
export const messageOf = (error: Error | null): string | null => {
  if (!error) return null;
  return error instanceof ApiError
    ? error.message
    : 'The server is not responding. Your order is still here; try again.';
};

/** What is kept now, and how to keep another order. */
export interface KeepOrder {
  /** The steps of this wash alone; null: as in every wash. */
  readonly once: Variant | null;
  /** The shop's own way; null: as it ships. */
  readonly always: Variant | null;
  readonly failure: string | null;
  readonly isSaving: boolean;
  readonly keepAlways: (variant: Variant | null, text: string) => void;
  readonly keepOnce: (variant: Variant | null, text: string) => void;
}

/** Keeps an order for every wash by the method, or for this wash alone; both can be undone. */
export function useKeepOrder(
  { wash }: Pick<RunAnswer, 'wash'>,
  { isBegun, onClose }: { readonly isBegun: boolean; readonly onClose: () => void },
): KeepOrder {
  const { data: settings } = useSettings();
  const save = useSaveSettings();
  const move = useMoveWash();
  const [failure, setFailure] = useState<string | null>(null);
  const { methodId } = wash;
  const always = settings?.house.variants?.[methodId] ?? null;
  const once = wash.predicted?.variant ?? null;
  const forAll = (variant: Variant | null) => ({ house: { variants: { [methodId]: variant } } });
  const forOne = (variant: Variant | null) => ({ id: wash.id, variant });
  const keep = (change: Promise<unknown>, text: string, undo: () => Promise<unknown>): void =>
    void change.then(
      () => {
        noticeWithUndo(text, undo);
        onClose();
      },
      (error: Error) => setFailure(messageOf(error)),
    );
  return {
    once,
    always,
    failure,
    isSaving: save.isPending || move.isPending,
    keepAlways: (variant, text) => {
      // What was chosen for this wash alone would hide it; a wash that is begun stays as it was.
      const replaced = isBegun ? null : once;
      const both = async (shop: Variant | null, one: Variant | null): Promise<void> => {
        await save.mutateAsync(forAll(shop));
        if (replaced) await move.mutateAsync(forOne(one));
      };
      keep(both(variant, null), text, () => both(always, replaced));
    },
    keepOnce: (variant, text) =>
      keep(move.mutateAsync(forOne(variant)), text, () => move.mutateAsync(forOne(once))),
  };
}
