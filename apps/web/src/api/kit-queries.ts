import type { Gear, Kit, KitWarnings, Product } from '@keen/core';
import { useQuery } from '@tanstack/react-query';
import { ask } from './client.js';
import { type Changed } from './queries.js';
import { useChange } from './change.js';

export const useKit = () => useQuery({ queryKey: ['kit', 'all'], queryFn: () => ask<Kit>('kit') });
export const useKitWarnings = () =>
  useQuery({ queryKey: ['kit', 'warnings'], queryFn: () => ask<KitWarnings>('kit/warnings') });

const save = <T extends { readonly id: string }>(path: string, { id, ...fields }: Changed<T>): Promise<T> =>
  ask<T>(id ? `kit/${path}/${id}` : `kit/${path}`, { method: id ? 'PATCH' : 'POST', body: fields });

export const useSaveProduct = () =>
  useChange((product: Changed<Product>) => save<Product>('products', product), 'kit');
export const useSaveGear = () => useChange((gear: Changed<Gear>) => save<Gear>('gear', gear), 'kit');

type Shelf = 'products' | 'gear';

export const useRemoveFrom = (shelf: Shelf) =>
  useChange((id: string) => ask<void>(`kit/${shelf}/${id}`, { method: 'DELETE' }), 'kit');
export const useRestoreTo = (shelf: Shelf) =>
  useChange((id: string) => ask<unknown>(`kit/${shelf}/${id}/restore`, { method: 'POST' }), 'kit');
