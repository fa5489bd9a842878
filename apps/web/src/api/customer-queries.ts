import type {
  Customer,
  CustomerEverything,
  MessageKind,
  SeasonJobId,
  BookingRecord,
  MessageRecord,
  QuoteAnswer,
  TodaysContact,
  UnsentMessage,
} from '@keen/core';
import { useQuery } from '@tanstack/react-query';
import { ask } from './client.js';
import { type Changed } from './queries.js';
import { useChange } from './change.js';

/** A booking as it is typed, on the shop's clock. */
export interface BookingWish {
  readonly vehicleId: string;
  readonly from: string;
  readonly readyBy: string;
  readonly methodId: string | null;
  readonly extras: readonly SeasonJobId[];
  readonly agreedMinor: number | null;
  readonly note: string;
}

/** Whom to call about the cars that are washed today. */
export const useTodaysContacts = () =>
  useQuery({
    queryKey: ['plan', 'contacts'],
    queryFn: () => ask<TodaysContact[]>('customers/today'),
  });

export const useCustomers = () =>
  useQuery({ queryKey: ['customers'], queryFn: () => ask<Customer[]>('customers') });

export const useSaveCustomer = () =>
  useChange(
    ({ id, ...fields }: Changed<Customer> & { readonly vehicleIds?: readonly string[] }) =>
      ask<Customer>(id ? `customers/${id}` : 'customers', { method: id ? 'PATCH' : 'POST', body: fields }),
    'customers',
  );

export const useRemoveCustomer = () =>
  useChange((id: string) => ask<void>(`customers/${id}`, { method: 'DELETE' }), 'customers');
export const useRestoreCustomer = () =>
  useChange((id: string) => ask<Customer>(`customers/${id}/restore`, { method: 'POST' }), 'customers');

/** All that is known of a customer and their cars. */
export const askEverything = (id: string) => ask<CustomerEverything>(`customers/${id}/everything`);
export const useEraseCustomer = () =>
  useChange((id: string) => ask<void>(`customers/${id}/everything`, { method: 'DELETE' }), 'erased');

export const useBookings = () =>
  useQuery({ queryKey: ['bookings'], queryFn: () => ask<BookingRecord[]>('bookings') });

export const useAddBooking = () =>
  useChange(
    (wish: BookingWish) => ask<BookingRecord>('bookings', { method: 'POST', body: wish }),
    'bookings',
  );
export const useRemoveBooking = () =>
  useChange((id: string) => ask<void>(`bookings/${id}`, { method: 'DELETE' }), 'bookings');
export const useRestoreBooking = () =>
  useChange((id: string) => ask<BookingRecord>(`bookings/${id}/restore`, { method: 'POST' }), 'bookings');

interface QuoteQuery {
  readonly vehicleId: string;
  readonly placeId: string;
  readonly methodId: string;
  readonly extras: readonly SeasonJobId[];
}

export const useQuote = (query: QuoteQuery | null) =>
  useQuery({
    queryKey: ['bookings', 'quote', query],
    queryFn: () => {
      const { extras = [], ...of } = query ?? { vehicleId: '', placeId: '', methodId: '' };
      const text = new URLSearchParams({ ...of, extras: extras.join(',') }).toString();
      return ask<QuoteAnswer>(`bookings/quote?${text}`);
    },
    enabled: query !== null,
  });

export const useMessages = () =>
  useQuery({ queryKey: ['messages'], queryFn: () => ask<MessageRecord[]>('messages') });

export const useUnsentMessages = () =>
  useQuery({ queryKey: ['messages', 'unsent'], queryFn: () => ask<UnsentMessage[]>('messages/unsent') });

export const usePutMessage = () =>
  useChange(
    (message: { washId: string; kind: MessageKind; body: string }) =>
      ask<MessageRecord>('messages', { method: 'POST', body: message }),
    'messages',
  );
export const useTakeMessages = () =>
  useChange(() => ask<MessageRecord[]>('messages/take', { method: 'POST' }), 'messages');
export const useRemoveMessage = () =>
  useChange((id: string) => ask<void>(`messages/${id}`, { method: 'DELETE' }), 'messages');
export const useRestoreMessage = () =>
  useChange((id: string) => ask<void>(`messages/${id}/restore`, { method: 'POST' }), 'messages');
