import { type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ApiError, ask } from './client.js';
import { keepSettings } from './kept-settings.js';
import { DEPENDENT_VIEWS, type RecordKind } from './stale.js';
import {
  type Variant,
  MS_PER_MINUTE,
  type Bulletins,
  type CellQuery,
  type Drive,
  type DriveRecord,
  type HouseRules,
  type ImportMode,
  type ImportReport,
  type PlaceRecord,
  type Settings,
  type SwabRecord,
  type Treatment,
  type TreatmentRecord,
  type VehicleRecord,
  type WashRecord,
  type WeatherAnswer,
  type Clock,
  type SeasonJobId,
  type WashFound,
} from '@keen/core';

/** A wash as it is logged, with what was found. */
export interface LoggedWash {
  readonly startMs: number;
  readonly minutes: number;
  readonly methodId: string;
  /** Seasonal jobs that were done. */
  readonly extras?: readonly SeasonJobId[];
  readonly costMinor: number | null;
  readonly found: WashFound;
}

export const useClock = () =>
  useQuery({ queryKey: ['clock'], queryFn: () => ask<Clock>('clock'), refetchInterval: MS_PER_MINUTE });
export const useSettings = () =>
  useQuery({
    queryKey: ['settings'],
    queryFn: async () => {
      const settings = await ask<Settings>('settings');
      keepSettings(settings);
      return settings;
    },
  });
export const useVehicles = () =>
  useQuery({ queryKey: ['vehicles'], queryFn: () => ask<VehicleRecord[]>('vehicles') });
export const usePlaces = () =>
  useQuery({ queryKey: ['places'], queryFn: () => ask<PlaceRecord[]>('places') });
export const useWashes = () => useQuery({ queryKey: ['washes'], queryFn: () => ask<WashRecord[]>('washes') });
export const useWeather = () =>
  useQuery({
    queryKey: ['weather'],
    queryFn: () => ask<WeatherAnswer>('weather'),
    refetchInterval: 10 * MS_PER_MINUTE,
  });
export const useBulletins = () =>
  useQuery({ queryKey: ['bulletins'], queryFn: () => ask<Bulletins>('roads/bulletins') });

export const useDrives = (vehicleId: string) =>
  useQuery({
    queryKey: ['drives', vehicleId],
    queryFn: () => ask<DriveRecord[]>(`vehicles/${vehicleId}/drives`),
    enabled: vehicleId !== '',
  });

export const useSwabs = (vehicleId: string) =>
  useQuery({
    queryKey: ['swabs', vehicleId],
    queryFn: () => ask<SwabRecord[]>(`vehicles/${vehicleId}/swabs`),
    enabled: vehicleId !== '',
  });

/** Stops the work behind a question; the server stops it too when nobody else waits. */
export function useStop(queryKey: readonly unknown[]): () => void {
  const client = useQueryClient();
  return () => void client.cancelQueries({ queryKey });
}

/** Everything that depends on a kind of record is asked for again, where it is to be seen. */
export const refresh = (client: QueryClient, kind: RecordKind): Promise<void>[] =>
  DEPENDENT_VIEWS[kind].map((view) => client.invalidateQueries({ queryKey: [view] }));

/**
 * A change on the server, after which all that depends on the record is stale. It is over when the records are read again; what has to
 * be worked out follows in its own time.
 *
 * @param kind of record that is changed, by the table of what depends on what
 * @param atOnce what of the cache can be told from the answer
 */
export function useChange<I, O>(
  change: (input: I) => Promise<O>,
  kind: RecordKind,
  atOnce?: (client: QueryClient, answer: O) => void,
) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: async (answer) => {
      atOnce?.(client, answer);
      const [own] = refresh(client, kind);
      if (kind !== 'looks') await own;
    },
    onError: (error) => {
      // What it was meant for is no longer as it was shown.
      if (error instanceof ApiError && error.status === 409) void refresh(client, kind);
    },
  });
}

export const usePlanWash = () =>
  useChange(
    (slot: CellQuery & { workerId?: string }) => ask<WashRecord>('washes', { method: 'POST', body: slot }),
    'washes',
  );
/** A change of a planned wash; a bottle that is null is again as the house has it. */
type WashMove = Partial<Omit<CellQuery, 'products' | 'variant'>> & {
  readonly id: string;
  readonly products?: Readonly<Record<string, string | null>>;
  readonly variant?: CellQuery['variant'] | null;
};

export const useMoveWash = () =>
  useChange(
    ({ id, ...change }: WashMove) => ask<WashRecord>(`washes/${id}`, { method: 'PATCH', body: change }),
    'washes',
  );
export const useFinishWash = () =>
  useChange(
    ({ id, done }: { id: string; done: LoggedWash }) =>
      ask<WashRecord>(`washes/${id}/done`, { method: 'POST', body: done }),
    'washes',
  );
export const useLogWash = () =>
  useChange(
    (log: LoggedWash & { vehicleId: string; placeId: string }) =>
      ask<WashRecord>('washes/done', { method: 'POST', body: log }),
    'washes',
  );
export const useReopenWash = () =>
  useChange((id: string) => ask<WashRecord>(`washes/${id}/reopen`, { method: 'POST' }), 'washes');

type Kept = 'vehicles' | 'places' | 'washes';

export const useRemove = (kind: Kept) =>
  useChange((id: string) => ask<void>(`${kind}/${id}`, { method: 'DELETE' }), kind);
export const useRestore = (kind: Kept) =>
  useChange((id: string) => ask<unknown>(`${kind}/${id}/restore`, { method: 'POST' }), kind);

/** Fields of a record that are to change (all of them of a new one), with what was read of them before. */
export type Changed<R extends { readonly id: string }> = Partial<Omit<R, 'id'>> & {
  readonly id?: string | undefined;
  readonly was?: Readonly<Record<string, unknown>> | undefined;
};

export const useSaveVehicle = () =>
  useChange(
    ({ id, ...fields }: Changed<VehicleRecord>) =>
      ask<VehicleRecord>(id ? `vehicles/${id}` : 'vehicles', { method: id ? 'PATCH' : 'POST', body: fields }),
    'vehicles',
  );
export const useSavePlace = () =>
  useChange(
    ({ id, ...fields }: Changed<PlaceRecord>) =>
      ask<PlaceRecord>(id ? `places/${id}` : 'places', { method: id ? 'PATCH' : 'POST', body: fields }),
    'places',
  );

export const useAddBulletin = () =>
  useChange(
    (treatment: Treatment) =>
      ask<TreatmentRecord & { readonly isLate: boolean }>('roads/bulletins', {
        method: 'POST',
        body: treatment,
      }),
    'bulletins',
  );
export const useImportBulletins = () =>
  useChange(
    (body: { text: string; mode: ImportMode }) =>
      ask<ImportReport<Treatment>>('roads/bulletins/import', { method: 'POST', body }),
    'bulletins',
  );
export const useAddDrive = (vehicleId: string) =>
  useChange(
    (drive: Drive) => ask<DriveRecord>(`vehicles/${vehicleId}/drives`, { method: 'POST', body: drive }),
    'drives',
  );
export const useImportTrack = (vehicleId: string) =>
  useChange(
    (body: { text: string; mode: ImportMode }) =>
      ask<ImportReport<Drive>>(`vehicles/${vehicleId}/drives/import`, { method: 'POST', body }),
    'drives',
  );
export const useAddSwab = (vehicleId: string) =>
  useChange(
    (swab: Omit<SwabRecord, 'id' | 'vehicleId' | 'gramsPerM2'>) =>
      ask<SwabRecord>(`vehicles/${vehicleId}/swabs`, { method: 'POST', body: swab }),
    'swabs',
  );
/** Takes away, or brings back, what a path names. */
export const useDelete = (kind: RecordKind) =>
  useChange((path: string) => ask<void>(path, { method: 'DELETE' }), kind);
export const useBringBack = (kind: RecordKind) =>
  useChange((path: string) => ask<void>(`${path}/restore`, { method: 'POST' }), kind);

export interface SettingsChange {
  readonly house?: {
    readonly choices?: Partial<HouseRules['choices']>;
    readonly numbers?: Record<string, number>;
    /** null: as shipped. */
    readonly variants?: Readonly<Record<string, Variant | null>>;
    /** null: the mildest that works. */
    readonly products?: Readonly<Record<string, string | null>>;
  };
  readonly namedWays?: Settings['namedWays'];
  readonly drivesOn?: Settings['drivesOn'];
  readonly limits?: Record<string, number>;
  readonly prices?: Record<string, number>;
  readonly display?: Partial<Settings['display']>;
  readonly timeZone?: string;
  readonly workers?: Settings['workers'];
  readonly season?: Record<string, number>;
  /** Prices that change, by method and body, and by job; null takes one off. */
  readonly priceList?: {
    readonly methods?: Readonly<Record<string, Readonly<Record<string, number | null>>>>;
    readonly extras?: Readonly<Record<string, number | null>>;
  };
  /** Washes left that change, by method; null: not counted. */
  readonly stock?: Readonly<Record<string, number | null>>;
  /** Words that change, by kind of message; empty: as shipped. */
  readonly templates?: Readonly<Record<string, string>>;
  /** What was read of the fields that change as a whole. */
  readonly was?: Readonly<Record<string, unknown>>;
}

export const useSaveSettings = () =>
  useChange(
    (change: SettingsChange) => ask<Settings>('settings', { method: 'PATCH', body: change }),
    'settings',
  );
export const useSetClock = () =>
  useChange((nowMs: number) => ask<Clock>('clock', { method: 'PUT', body: { nowMs } }), 'clock');
