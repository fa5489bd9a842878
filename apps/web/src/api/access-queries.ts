import { type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { AccountView, PairingView, Role, SessionView } from '@keen/core';
import { useChange } from './change.js';
import { ApiError, ask } from './client.js';

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
  if (error instanceof ApiError && error.status === 401) void client.invalidateQueries({ queryKey: SESSION });
};

/** Comes in or goes: nothing that was read before may be shown to somebody else. */
function useDoor<I>(pass: (input: I) => Promise<unknown>) {
  const client = useQueryClient();
  return useMutation({ mutationFn: pass, onSuccess: () => client.resetQueries() });
}

interface SignInFields {
  readonly name: string;
  readonly password: string;
  readonly device: string;
}

export const useSignIn = () =>
  useDoor((body: SignInFields) => ask<void>('access/session', { method: 'POST', body }));

/** Goes, and begins again with an empty page: nothing that was typed stays for the next one. */
export const useSignOut = () =>
  useMutation({
    mutationFn: () => ask<void>('access/session', { method: 'DELETE' }),
    onSuccess: () => globalThis.location.assign('/'),
  });

export const usePair = () =>
  useDoor((body: { readonly code: string; readonly device: string }) =>
    ask<void>('access/pair', { method: 'POST', body }),
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
  useMutation({
    mutationFn: (id: string) => ask<PairingView>(`access/accounts/${id}/pairing`, { method: 'POST' }),
  });
