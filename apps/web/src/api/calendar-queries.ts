import { useQuery } from '@tanstack/react-query';
import { ask } from './client.js';
import { useChange } from './queries.js';
import type { ImportMode, ImportReport } from './types.js';

export interface CalendarView {
  readonly path: string;
  readonly calendars: readonly {
    readonly calendar: string;
    readonly handsId: string | null;
    readonly count: number;
    readonly nextMs: number;
  }[];
}

export interface BusySpan {
  readonly fromMs: number;
  readonly toMs: number;
  readonly summary: string;
}

export const useCalendar = () =>
  useQuery({ queryKey: ['calendar'], queryFn: () => ask<CalendarView>('calendar') });

export const useRenewCalendar = () =>
  useChange(() => ask<CalendarView>('calendar/renew', { method: 'POST' }), 'calendar');

export const useImportBusy = () =>
  useChange(
    (body: { text: string; mode: ImportMode; calendar: string; handsId?: string }) =>
      ask<ImportReport<BusySpan>>('calendar/busy/import', { method: 'POST', body }),
    'calendar',
  );

export const useForgetCalendar = () =>
  useChange(
    (calendar: string) => ask<void>(`calendar/busy/${encodeURIComponent(calendar)}`, { method: 'DELETE' }),
    'calendar',
  );
