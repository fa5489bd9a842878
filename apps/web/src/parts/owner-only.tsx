import type { ReactNode } from 'react';
import { useMayChange } from '../api/access-queries.js';

/** What changes the shop's records: shown to those whose change the server takes, and to nobody else. */
export function OwnerOnly({ children }: { readonly children: ReactNode }) {
  return useMayChange() ? <>{children}</> : null;
}
