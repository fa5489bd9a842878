import { type QueryClient, useQuery } from '@tanstack/react-query';
import type { AccountView, PairingView, Role, SessionView } from '@keen/core';
import { useAct, useChange } from './change.js';
import { ApiError, ask } from './client.js';
import { forgetLastRead } from './last-read.js';

const SESSION = ['access', 'session'] as const;

/** Whether somebody has to sign in here, and who has. */
export const useSession = () =>
  useQuery({ queryKey: SESSION, queryFn: () => ask<SessionView>('access/session'), staleTime: 5 * 60_000 });

/** The role of who is signed in; the owner's where nobody has to sign in. */
export const useRole = (): Role => useSession().data?.who?.role ?? 'owner';

/** Plans, records and settings are the owner's to change. */
export const useMayChange = (): boolean => useRole() === 'owner';

/** A session that was ended elsewhere is found out by the first request that is refused. */
export const lookAgainWhenSignedOut = (client: QueryClient, error: unknown): void => {
  if (!(error instanceof ApiError) || error.status !== 401) return;
  void forgetLastRead();
  void client.invalidateQueries({ queryKey: SESSION });
};

/** Nothing that was read before may be shown to somebody else. */
const forgetAll = async (client: QueryClient): Promise<void> => {
  await forgetLastRead();
  await client.resetQueries();
};

interface SignInFields {
  readonly name: string;
  readonly password: string;
  readonly device: string;
}

export const useSignIn = () =>
  useAct((body: SignInFields) => ask<void>('access/session', { method: 'POST', body }), forgetAll);

/** Goes, and begins again with an empty page: nothing that was typed stays for the next one. */
export const useSignOut = () =>
  useAct(
    (_: void) => ask<void>('access/session', { method: 'DELETE' }),
    () => forgetLastRead().then(() => globalThis.location.assign('/')),
  );

export const usePair = () =>
  useAct(
    (body: { readonly code: string; readonly device: string }) =>
      ask<void>('access/pair', { method: 'POST', body }),
    forgetAll,
  );

export const useAccounts = () =>
  useQuery({ queryKey: ['access', 'accounts'], queryFn: () => ask<AccountView[]>('access/accounts') });

export interface AccountFields {
  readonly name: string;
  readonly password: string;
  readonly role: Role;
  readonly workerId: string | null;
}

export const useAddAccount = () =>
  useChange(
    (body: AccountFields & { readonly device: string }) =>
      ask<AccountView[]>('access/accounts', { method: 'POST', body }),
    'access',
  );

export const useChangeAccount = () =>
  useChange(
    ({ id, ...body }: Partial<AccountFields> & { readonly id: string }) =>
      ask<AccountView[]>(`access/accounts/${id}`, { method: 'PATCH', body }),
    'access',
  );

export const useDeleteAccount = () =>
  useChange((id: string) => ask<void>(`access/accounts/${id}`, { method: 'DELETE' }), 'access');

export const useEndDevice = () =>
  useChange((id: string) => ask<void>(`access/devices/${id}`, { method: 'DELETE' }), 'access');

/** A code that lets one phone in for an account. */
export const useOfferPairing = () =>
  useAct((id: string) => ask<PairingView>(`access/accounts/${id}/pairing`, { method: 'POST' }));
