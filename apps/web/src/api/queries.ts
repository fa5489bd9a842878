import { useQuery } from '@tanstack/react-query';
import { ask } from './client.js';
import { keepSettings } from './kept-settings.js';
import {
  type Variant,
  MS_PER_MINUTE,
  type HouseRules,
  type PlaceRecord,
  type Settings,
  type VehicleRecord,
  type WeatherAnswer,
  type Clock,
} from '@keen/core';
import { useChange } from './change.js';

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

export const useWeather = () =>
  useQuery({
    queryKey: ['weather'],
    queryFn: () => ask<WeatherAnswer>('weather'),
    refetchInterval: 10 * MS_PER_MINUTE,
  });

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
