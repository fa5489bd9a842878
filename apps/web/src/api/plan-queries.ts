import {
  type PlanOption,
  type MorningSoFar,
  type MorningView,
  type SeasonJobId,
  type WorthOfRelief,
  MS_PER_MINUTE,
  type ChangedWashes,
  type PlanStanding,
  type BottlesByStep,
  type PlanView,
  type WashRecord,
  type WayId,
} from '@keen/core';
import { keepPreviousData, type QueryClient, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { ask } from './client.js';
import { useChange } from './change.js';

export interface WashChanges {
  readonly add?: readonly Partial<WashRecord>[];
  readonly move?: readonly (Partial<WashRecord> & {
    readonly id: string;
    readonly wayId?: WayId;
    readonly products?: BottlesByStep;
    /** Done in one visit with this wash; null: by itself. */
    readonly visitWith?: string | null;
  })[];
  readonly remove?: readonly string[];
  readonly restore?: readonly string[];
}

const BOARD = ['plan', 'board'];

export const useMorning = () =>
  useQuery({
    queryKey: ['plan', 'morning'],
    queryFn: ({ signal }) => ask<MorningView>('plan/morning', { signal }),
    refetchInterval: 10 * MS_PER_MINUTE,
  });

/** The morning where it has been asked for already; it is asked of nobody here. */
export const useKnownMorning = () =>
  useQuery({
    queryKey: ['plan', 'morning'],
    queryFn: () => ask<MorningView>('plan/morning'),
    enabled: false,
  });

/** What can be shown while the morning is worked out; asked again whenever another car is done. */
export const useMorningSoFar = (isWaiting: boolean, label: string | undefined) =>
  useQuery({
    queryKey: ['plan', 'so-far', label],
    queryFn: ({ signal }) => ask<MorningSoFar>('plan/so-far', { signal }),
    enabled: isWaiting,
    placeholderData: keepPreviousData,
    gcTime: 0,
  });

export const usePlan = () =>
  useQuery({
    queryKey: BOARD,
    queryFn: ({ signal }) => ask<PlanView>('plan', { signal }),
    refetchInterval: 5 * MS_PER_MINUTE,
  });

/** Where else a wash could stand; asked once a car is taken up. */
export const useMoves = (of: { vehicleId: string; washId: string | null } | null) =>
  useQuery({
    queryKey: ['plan', 'moves', of],
    queryFn: ({ signal }) => {
      const query = new URLSearchParams({ vehicleId: of?.vehicleId ?? '' });
      if (of?.washId) query.set('washId', of.washId);
      return ask<PlanOption[]>(`plan/moves?${query.toString()}`, { signal });
    },
    enabled: of !== null,
    staleTime: MS_PER_MINUTE,
  });

export const useReliefs = (isWanted: boolean) =>
  useQuery({
    queryKey: ['plan', 'reliefs'],
    queryFn: ({ signal }) => ask<WorthOfRelief[]>('plan/reliefs', { signal }),
    enabled: isWanted,
  });

/** The board with washes changed, until the plan round them is recalculated: what it proposed for their cars no longer holds. */
export function withChanged(view: PlanView, { added, moved, removed, restored }: ChangedWashes): PlanView {
  const gone = new Set([...removed, ...moved.map(({ before }) => before)].map(({ id }) => id));
  const here = [...added, ...restored, ...moved.map(({ after }) => after)];
  const cars = new Set([...removed, ...here].map(({ vehicleId }) => vehicleId));
  return {
    ...view,
    planned: [...view.planned.filter(({ id }) => !gone.has(id)), ...here],
    changes: view.changes.filter(
      (change) => !cars.has(change.kind === 'drop' ? change.before.vehicleId : change.after.vehicleId),
    ),
  };
}

/** The board with a wash locked, begun or given other work: it stands where it stood, and so does what is proposed. */
export const withMarked = (view: PlanView, marked: WashRecord): PlanView => ({
  ...view,
  planned: view.planned.map((wash) => (wash.id === marked.id ? marked : wash)),
});

const showAtOnce = (client: QueryClient, changed: ChangedWashes): void => {
  client.setQueryData<PlanView>(BOARD, (view) => view && withChanged(view, changed));
};

export const useChangeWashes = () =>
  useChange(
    (changes: WashChanges) => ask<ChangedWashes>('washes/changes', { method: 'POST', body: changes }),
    'washes',
    showAtOnce,
  );

export const useMarkWash = () =>
  useChange(
    ({
      id,
      ...mark
    }: {
      id: string;
      isLocked?: boolean;
      startedMs?: number | null;
      extras?: readonly SeasonJobId[];
    }) => ask<WashRecord>(`washes/${id}`, { method: 'PATCH', body: mark }),
    'washes',
    (client, marked) => client.setQueryData<PlanView>(BOARD, (view) => view && withMarked(view, marked)),
  );

export const useAcceptPlan = () =>
  useChange(
    (changeIds: readonly string[]) =>
      ask<ChangedWashes>('plan/accept', { method: 'POST', body: { changeIds } }),
    'washes',
    showAtOnce,
  );

export const stopSearch = (): Promise<void> => ask<void>('plan/stop', { method: 'POST' });

/** What takes changes back. */
export const inverseOf = ({ added, moved, removed, restored }: ChangedWashes): WashChanges => ({
  remove: [...added, ...restored].map(({ id }) => id),
  move: moved.map(
    ({ before: { id, placeId, methodId, startMs, workerId, isLocked, extras, predicted, visit } }) => ({
      id,
      placeId,
      methodId,
      startMs,
      workerId,
      isLocked,
      extras,
      visitWith: visit?.withId ?? null,
      ...(predicted?.isOwnWay ? { wayId: predicted.wayId } : {}),
      ...(predicted?.products ? { products: predicted.products } : {}),
    }),
  ),
  restore: removed.map(({ id }) => id),
});

/** How the search stands, as it goes on; a better plan is fetched when it has ended. */
export function usePlanStanding(known: PlanStanding | undefined): PlanStanding | undefined {
  const client = useQueryClient();
  const [heard, setHeard] = useState<PlanStanding | null>(null);
  const isSearching = known?.state === 'searching';
  useEffect(() => {
    if (!isSearching) return undefined;
    const events = new EventSource('/api/plan/news');
    events.onmessage = (event: MessageEvent<string>) => {
      const standing = JSON.parse(event.data) as PlanStanding;
      setHeard(standing);
      if (standing.state !== 'searching') void client.invalidateQueries({ queryKey: ['plan'] });
    };
    // The search may have ended before anybody listened.
    events.onopen = () => void client.invalidateQueries({ queryKey: ['plan', 'board'] });
    return () => {
      events.close();
      setHeard(null);
    };
  }, [isSearching, client]);
  return heard && isSearching ? heard : known;
}
