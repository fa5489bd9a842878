import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask } from './client.js';
import type {
  CellDetail,
  CellQuery,
  Clock,
  DoneWash,
  MorningView,
  PlaceRecord,
  SaltView,
  Settings,
  VehicleRecord,
  WashRecord,
  WeatherView,
  WindowsView,
} from './types.js';

const MINUTE_MS = 60_000;

export const useClock = () =>
  useQuery({ queryKey: ['clock'], queryFn: () => ask<Clock>('clock'), refetchInterval: MINUTE_MS });
export const useSettings = () =>
  useQuery({ queryKey: ['settings'], queryFn: () => ask<Settings>('settings'), staleTime: Infinity });
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
    queryKey: ['verdicts', 'morning'],
    queryFn: () => ask<MorningView>('verdicts/morning'),
    refetchInterval: 10 * MINUTE_MS,
  });

export const useWindows = (vehicleId: string) =>
  useQuery({
    queryKey: ['verdicts', 'windows', vehicleId],
    queryFn: () => ask<WindowsView>(`verdicts/windows/${encodeURIComponent(vehicleId)}`),
    enabled: vehicleId !== '',
  });

export const useSalt = (vehicleId: string) =>
  useQuery({
    queryKey: ['verdicts', 'salt', vehicleId],
    queryFn: () => ask<SaltView>(`verdicts/salt/${encodeURIComponent(vehicleId)}`),
    enabled: vehicleId !== '',
  });

export const useCell = (query: CellQuery | null) =>
  useQuery({
    queryKey: ['verdicts', 'cell', query],
    queryFn: () =>
      ask<CellDetail>(
        `verdicts/cell?${new URLSearchParams(Object.entries(query ?? {}).map(([key, value]) => [key, String(value)])).toString()}`,
      ),
    enabled: query !== null,
    placeholderData: keepPreviousData,
  });

/** A change on the server, after which these parts of the cache are stale. */
function useChange<I, O>(change: (input: I) => Promise<O>, stale: readonly string[]) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => Promise.all(stale.map((key) => client.invalidateQueries({ queryKey: [key] }))),
  });
}

const WASHES = ['washes', 'verdicts'];

export const usePlanWash = () =>
  useChange((slot: CellQuery) => ask<WashRecord>('washes', { method: 'POST', body: slot }), WASHES);
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
const staleAfter = (kind: Kept): string[] => [kind, 'verdicts'];

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

export interface SettingsChange {
  readonly limits?: Record<string, number>;
  readonly prices?: Record<string, number>;
  readonly display?: Partial<Settings['display']>;
  readonly timeZone?: string;
}

export const useSaveSettings = () =>
  useChange(
    (change: SettingsChange) => ask<Settings>('settings', { method: 'PATCH', body: change }),
    ['settings', 'verdicts'],
  );
export const useSetClock = () =>
  useChange(
    (nowMs: number) => ask<Clock>('clock', { method: 'PUT', body: { nowMs } }),
    ['clock', 'verdicts', 'weather'],
  );
