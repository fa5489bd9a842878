import { type WashFound } from '@keen/core';
import type { DoneWashDto } from './wash.dto.js';

/** A wash that was never planned: by whom is not known, and nothing holds it in place. */
export const ALONE = { workerId: 'owner', isLocked: false, startedMs: null } as const;

/** A wash as it was done, from a form or from its run. */
export type FinishedWash = Omit<DoneWashDto, 'found'> & { readonly found: WashFound };
