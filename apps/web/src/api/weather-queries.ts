import type {
  PrecipKind,
  ReadHour,
  RoadClass,
  RoadState,
  ImportMode,
  ImportReport,
  SightRecord,
  WeatherSourceView,
} from '@keen/core';
import { useQuery } from '@tanstack/react-query';
import { ask } from './client.js';
import { useChange } from './change.js';

export interface SightSeen {
  readonly airTempC: number | null;
  readonly windMetresPerSecond: number | null;
  readonly cloudFraction: number | null;
  readonly falling: PrecipKind | null;
  readonly roadClass: RoadClass | null;
  readonly roadState: RoadState | null;
}

export interface WeatherText {
  readonly source: string;
  readonly format: 'csv' | 'json' | 'aviation';
  readonly kind: 'measured' | 'forecast';
  readonly text: string;
  readonly mode: ImportMode;
}

export const useWeatherSources = () =>
  useQuery({
    queryKey: ['weather', 'sources'],
    queryFn: () => ask<WeatherSourceView[]>('weather/sources'),
  });

export const useSetWeatherOrder = () =>
  useChange(
    (order: readonly string[]) =>
      ask<WeatherSourceView[]>('weather/sources', { method: 'PUT', body: { order } }),
    'weather',
  );

export const useForgetWeather = () =>
  useChange(
    (source: string) => ask<void>(`weather/sources/${encodeURIComponent(source)}`, { method: 'DELETE' }),
    'weather',
  );

export const useImportWeather = () =>
  useChange(
    (body: WeatherText) => ask<ImportReport<ReadHour>>('weather/import', { method: 'POST', body }),
    'weather',
  );

export const useSights = () =>
  useQuery({ queryKey: ['weather', 'sights'], queryFn: () => ask<SightRecord[]>('weather/sights') });

export const useSee = () =>
  useChange(
    (seen: SightSeen) => ask<SightRecord>('weather/sights', { method: 'POST', body: seen }),
    'weather',
  );
