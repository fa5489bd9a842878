import {
  keepPreviousData,
  type QueryClient,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { ApiError, ask } from './client.js';
import { keepSettings } from './kept-settings.js';
import type {
  BalanceView,
  Bulletins,
  CadenceOutcome,
  CadencePart,
  CellAnswer,
  CellQuery,
  Clock,
  ConditionView,
  DoneWash,
  Drive,
  DriveRecord,
  Flip,
  HouseRules,
  ImportMode,
  ImportReport,
  MorningView,
  PlaceRecord,
  SaltView,
  Settings,
  SoilLookRecord,
  SwabRecord,
  Treatment,
  TreatmentRecord,
  VehicleRecord,
  WashRecord,
  WeatherView,
  WindowsView,
} from './types.js';

const MINUTE_MS = 60_000;

export const useClock = () =>
  useQuery({ queryKey: ['clock'], queryFn: () => ask<Clock>('clock'), refetchInterval: MINUTE_MS });
export const useSettings = () =>
  useQuery({
    queryKey: ['settings'],
    queryFn: async () => {
      const settings = await ask<Settings>('settings');
      keepSettings(settings);
      return settings;
    },
    staleTime: Infinity,
  });
export const useVehicles = () =>
  useQuery({ queryKey: ['vehicles'], queryFn: () => ask<VehicleRecord[]>('vehicles') });
export const usePlaces = () =>
  useQuery({ queryKey: ['places'], queryFn: () => ask<PlaceRecord[]>('places') });
export const useWashes = () => useQuery({ queryKey: ['washes'], queryFn: () => ask<WashRecord[]>('washes') });
export const useWeather = () =>
  useQuery({
    queryKey: ['weather'],
    queryFn: () => ask<WeatherView>('weather'),
    refetchInterval: 10 * MINUTE_MS,
  });
export const useMorning = () =>
  useQuery({
    queryKey: ['plan', 'morning'],
    queryFn: ({ signal }) => ask<MorningView>('plan/morning', { signal }),
    refetchInterval: 10 * MINUTE_MS,
  });

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
    queryFn: () => ask<SaltView>(`verdicts/salt/${encodeURIComponent(vehicleId)}`),
    enabled: vehicleId !== '',
  });

const queryText = (query: object): string =>
  new URLSearchParams(
    Object.entries(query).map(([key, value]: [string, unknown]) => [key, String(value)]),
  ).toString();

export const useCell = (query: CellQuery | null) =>
  useQuery({
    queryKey: ['verdicts', 'cell', query],
    queryFn: ({ signal }) => ask<CellAnswer>(`verdicts/cell?${queryText(query ?? {})}`, { signal }),
    enabled: query !== null,
    placeholderData: keepPreviousData,
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

/** The morning is read from the plan, and the plan from everything. */
export const PLAN = ['plan', 'verdicts'];

/**
 * A change on the server, after which these parts of the cache are stale. It is over when the records are read anew; what has to be
 * worked out follows in its own time.
 *
 * @param atOnce what of the cache can be told from the answer
 */
export function useChange<I, O>(
  change: (input: I) => Promise<O>,
  stale: readonly string[],
  atOnce?: (client: QueryClient, answer: O) => void,
) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: async (answer) => {
      atOnce?.(client, answer);
      const read = stale.map((key) => ({ key, done: client.invalidateQueries({ queryKey: [key] }) }));
      await Promise.all(read.filter(({ key }) => !PLAN.includes(key)).map(({ done }) => done));
    },
    onError: (error) => {
      // What it was meant for is no longer as it was shown.
      if (error instanceof ApiError && error.status === 409)
        for (const key of stale) void client.invalidateQueries({ queryKey: [key] });
    },
  });
}

export const WASHES = ['washes', ...PLAN];

export const usePlanWash = () =>
  useChange(
    (slot: CellQuery & { handsId?: string }) => ask<WashRecord>('washes', { method: 'POST', body: slot }),
    WASHES,
  );
export const useMoveWash = () =>
  useChange(
    ({ id, ...change }: { id: string; startMs?: number; placeId?: string; methodId?: string }) =>
      ask<WashRecord>(`washes/${id}`, { method: 'PATCH', body: change }),
    WASHES,
  );
export const useFinishWash = () =>
  useChange(
    ({ id, done }: { id: string; done: DoneWash }) =>
      ask<WashRecord>(`washes/${id}/done`, { method: 'POST', body: done }),
    WASHES,
  );
export const useLogWash = () =>
  useChange(
    (log: DoneWash & { vehicleId: string; placeId: string }) =>
      ask<WashRecord>('washes/done', { method: 'POST', body: log }),
    WASHES,
  );
export const useReopenWash = () =>
  useChange((id: string) => ask<WashRecord>(`washes/${id}/reopen`, { method: 'POST' }), WASHES);

type Kept = 'vehicles' | 'places' | 'washes';
const staleAfter = (kind: Kept): string[] => [kind, ...PLAN];

export const useRemove = (kind: Kept) =>
  useChange((id: string) => ask<void>(`${kind}/${id}`, { method: 'DELETE' }), staleAfter(kind));
export const useRestore = (kind: Kept) =>
  useChange((id: string) => ask<unknown>(`${kind}/${id}/restore`, { method: 'POST' }), staleAfter(kind));

export const useSaveVehicle = () =>
  useChange(
    ({ id, ...fields }: Partial<VehicleRecord> & { id?: string }) =>
      ask<VehicleRecord>(id ? `vehicles/${id}` : 'vehicles', { method: id ? 'PATCH' : 'POST', body: fields }),
    staleAfter('vehicles'),
  );
export const useSavePlace = () =>
  useChange(
    ({ id, ...fields }: Partial<PlaceRecord> & { id?: string }) =>
      ask<PlaceRecord>(id ? `places/${id}` : 'places', { method: id ? 'PATCH' : 'POST', body: fields }),
    staleAfter('places'),
  );

export const useAddBulletin = () =>
  useChange(
    (treatment: Treatment) =>
      ask<TreatmentRecord & { readonly isLate: boolean }>('roads/bulletins', {
        method: 'POST',
        body: treatment,
      }),
    ['bulletins', ...PLAN],
  );
export const useImportBulletins = () =>
  useChange(
    (body: { text: string; mode: ImportMode }) =>
      ask<ImportReport<Treatment>>('roads/bulletins/import', { method: 'POST', body }),
    ['bulletins', ...PLAN],
  );
export const useAddDrive = (vehicleId: string) =>
  useChange(
    (drive: Drive) => ask<DriveRecord>(`vehicles/${vehicleId}/drives`, { method: 'POST', body: drive }),
    ['drives', ...PLAN],
  );
export const useImportTrack = (vehicleId: string) =>
  useChange(
    (body: { text: string; mode: ImportMode }) =>
      ask<ImportReport<Drive>>(`vehicles/${vehicleId}/drives/import`, { method: 'POST', body }),
    ['drives', ...PLAN],
  );
export const useAddSwab = (vehicleId: string) =>
  useChange(
    (swab: Omit<SwabRecord, 'id' | 'vehicleId' | 'gramsPerM2'>) =>
      ask<SwabRecord>(`vehicles/${vehicleId}/swabs`, { method: 'POST', body: swab }),
    ['swabs', ...PLAN],
  );
export const useLookAtSoil = (vehicleId: string) =>
  useChange(
    (look: Pick<SoilLookRecord, 'zone' | 'kind' | 'grade'>) =>
      ask<SoilLookRecord>(`vehicles/${vehicleId}/soil`, { method: 'POST', body: look }),
    PLAN,
  );

/** Takes away, or brings back, what a path names. */
export const useTakeAway = (stale: readonly string[]) =>
  useChange((path: string) => ask<void>(path, { method: 'DELETE' }), stale);
export const useBringBack = (stale: readonly string[]) =>
  useChange((path: string) => ask<void>(`${path}/restore`, { method: 'POST' }), stale);

export interface SettingsChange {
  readonly house?: {
    readonly choices?: Partial<HouseRules['choices']>;
    readonly numbers?: Record<string, number>;
    readonly variants?: HouseRules['variants'];
  };
  readonly drivesOn?: Settings['drivesOn'];
  readonly limits?: Record<string, number>;
  readonly prices?: Record<string, number>;
  readonly display?: Partial<Settings['display']>;
  readonly timeZone?: string;
  readonly hands?: Settings['hands'];
  readonly season?: Record<string, number>;
  readonly priceList?: Settings['priceList'];
  readonly stock?: Settings['stock'];
  readonly templates?: Settings['templates'];
}

export const useSaveSettings = () =>
  useChange(
    (change: SettingsChange) => ask<Settings>('settings', { method: 'PATCH', body: change }),
    ['settings', ...PLAN],
  );
export const useSetClock = () =>
  useChange(
    (nowMs: number) => ask<Clock>('clock', { method: 'PUT', body: { nowMs } }),
    ['clock', 'weather', ...PLAN],
  );
