import type { BusySpan, CalendarView, ImportMode, ImportReport } from '@keen/core';
import { useQuery } from '@tanstack/react-query';
import { ask } from './client.js';
import { useChange } from './change.js';

export const useCalendar = () =>
  useQuery({ queryKey: ['calendar'], queryFn: () => ask<CalendarView>('calendar') });

export const useAddFeed = () =>
  useChange(
    (body: { readonly name: string; readonly workerId?: string }) =>
      ask<CalendarView>('calendar/feeds', { method: 'POST', body }),
    'calendar',
  );

export const useRenewFeed = () =>
  useChange((id: string) => ask<CalendarView>(`calendar/feeds/${id}/renew`, { method: 'POST' }), 'calendar');

export const useDeleteFeed = () =>
  useChange((id: string) => ask<void>(`calendar/feeds/${id}`, { method: 'DELETE' }), 'calendar');

export const useImportBusy = () =>
  useChange(
    (body: { text: string; mode: ImportMode; calendar: string; workerId?: string }) =>
      ask<ImportReport<BusySpan>>('calendar/busy/import', { method: 'POST', body }),
    'calendar',
  );

export const useForgetCalendar = () =>
  useChange(
    (calendar: string) => ask<void>(`calendar/busy/${encodeURIComponent(calendar)}`, { method: 'DELETE' }),
    'calendar',
  );
