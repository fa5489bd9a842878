import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type {
  BottlesByStep,
  Variant,
  WindowsView,
  SaltAnswer,
  CellAnswer,
  CellQuery,
  TrialAnswer,
  WashAnswer,
  WayOption,
  Flip,
  BalanceView,
  CadenceOutcome,
  CadencePart,
  ConditionView,
  CoatRecord,
} from '@keen/core';
import { ask } from './client.js';

export const useWindows = (vehicleId: string) =>
  useQuery({
    queryKey: ['verdicts', 'windows', vehicleId],
    queryFn: ({ signal }) =>
      ask<WindowsView>(`verdicts/windows/${encodeURIComponent(vehicleId)}`, { signal }),
    enabled: vehicleId !== '',
  });

export const useSalt = (vehicleId: string) =>
  useQuery({
    queryKey: ['verdicts', 'salt', vehicleId],
    queryFn: () => ask<SaltAnswer>(`verdicts/salt/${encodeURIComponent(vehicleId)}`),
    enabled: vehicleId !== '',
  });

type Sent = string | number | null | undefined | readonly string[] | BottlesByStep | Variant;

/** Lists by commas, bottles as step and bottle with a colon between. */
function textOf(value: Sent): string {
  if (typeof value !== 'object' || value === null) return String(value ?? '');
  if (Array.isArray(value)) return value.join(',');
  if ('leftOut' in value) return JSON.stringify(value);
  return Object.entries(value)
    .map(([step, bottle]) => `${step}:${bottle}`)
    .join(',');
}

/** What is not said, or is an empty list, is left out. */
const queryText = (query: Partial<CellQuery>): string =>
  new URLSearchParams(
    Object.entries(query).flatMap(([key, value]) => {
      const text = textOf(value);
      return text === '' ? [] : [[key, text]];
    }),
  ).toString();

export const useCell = (query: CellQuery | null) =>
  useQuery({
    queryKey: ['verdicts', 'cell', query],
    queryFn: ({ signal }) => ask<CellAnswer>(`verdicts/cell?${queryText(query ?? {})}`, { signal }),
    enabled: query !== null,
    placeholderData: keepPreviousData,
  });

/** One start worked through, step by step and panel by panel. */
export const useWorkedWash = (query: CellQuery | null) =>
  useQuery({
    queryKey: ['verdicts', 'wash', query],
    queryFn: ({ signal }) => ask<WashAnswer>(`verdicts/wash?${queryText(query ?? {})}`, { signal }),
    enabled: query !== null,
    placeholderData: keepPreviousData,
  });

/** One start in steps that somebody tries out. */
export const useTrial = (query: CellQuery | null) =>
  useQuery({
    queryKey: ['verdicts', 'trial', query],
    queryFn: ({ signal }) => ask<TrialAnswer>('verdicts/trial', { method: 'POST', body: query, signal }),
    enabled: query !== null,
    placeholderData: keepPreviousData,
    retry: false,
  });

/** The ways in which one start could be done. */
export const useWays = (query: CellQuery | null) =>
  useQuery({
    queryKey: ['verdicts', 'ways', query],
    queryFn: ({ signal }) => ask<WayOption[]>(`verdicts/ways?${queryText(query ?? {})}`, { signal }),
    enabled: query !== null,
  });

export const useFlips = (query: CellQuery | null) =>
  useQuery({
    queryKey: ['verdicts', 'flips', query],
    queryFn: ({ signal }) => ask<Flip[]>(`verdicts/flips?${queryText(query ?? {})}`, { signal }),
    enabled: query !== null,
  });

export const useBalance = (vehicleId: string, atMs: number | null) =>
  useQuery({
    queryKey: ['verdicts', 'balance', vehicleId, atMs],
    queryFn: ({ signal }) =>
      ask<BalanceView>(`verdicts/balance/${encodeURIComponent(vehicleId)}?atMs=${atMs}`, { signal }),
    enabled: vehicleId !== '' && atMs !== null,
    placeholderData: keepPreviousData,
  });

export const useCadences = (vehicleId: string, plans: readonly (readonly CadencePart[])[]) =>
  useQuery({
    queryKey: ['verdicts', 'cadence', vehicleId, plans],
    queryFn: ({ signal }) =>
      ask<CadenceOutcome[]>(`verdicts/cadence/${encodeURIComponent(vehicleId)}`, {
        method: 'POST',
        body: { plans: plans.map((parts) => ({ parts })) },
        signal,
      }),
    enabled: vehicleId !== '' && plans.length > 0,
    placeholderData: keepPreviousData,
    retry: false,
  });

export const useCondition = (vehicleId: string) =>
  useQuery({
    queryKey: ['verdicts', 'condition', vehicleId],
    queryFn: () => ask<ConditionView>(`verdicts/condition/${encodeURIComponent(vehicleId)}`),
    enabled: vehicleId !== '',
  });

/** What each protection lasted on each car. */
export const useCoats = () =>
  useQuery({ queryKey: ['verdicts', 'coats'], queryFn: () => ask<CoatRecord[]>('verdicts/coats') });
