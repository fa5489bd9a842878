import type { Gear, Kit, KitWarnings, Product } from '@keen/core';
import { useQuery } from '@tanstack/react-query';
import { ask } from './client.js';
import { PLAN, useChange } from './queries.js';

const KIT = ['kit', ...PLAN];

export const useKit = () => useQuery({ queryKey: ['kit', 'all'], queryFn: () => ask<Kit>('kit') });
export const useKitWarnings = () =>
  useQuery({ queryKey: ['kit', 'warnings'], queryFn: () => ask<KitWarnings>('kit/warnings') });

const save = <T>(path: string, { id, ...fields }: Partial<T> & { readonly id?: string }): Promise<T> =>
  ask<T>(id ? `kit/${path}/${id}` : `kit/${path}`, { method: id ? 'PATCH' : 'POST', body: fields });

export const useSaveProduct = () =>
  useChange((product: Partial<Product>) => save<Product>('products', product), KIT);
export const useSaveGear = () => useChange((gear: Partial<Gear>) => save<Gear>('gear', gear), KIT);

type Shelf = 'products' | 'gear';

export const useRemoveFrom = (shelf: Shelf) =>
  useChange((id: string) => ask<void>(`kit/${shelf}/${id}`, { method: 'DELETE' }), KIT);
export const useRestoreTo = (shelf: Shelf) =>
  useChange((id: string) => ask<unknown>(`kit/${shelf}/${id}/restore`, { method: 'POST' }), KIT);
