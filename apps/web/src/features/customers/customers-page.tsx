import { SegmentedControl } from '@mantine/core';
import { useSearchParams } from 'react-router';
import { useBookings, useCustomers, useUnsentMessages } from '../../api/customer-queries.js';
import { usePlaces, useSettings, useVehicles } from '../../api/queries.js';
import { Page } from '../../parts/page.js';
import { Failed, Loading } from '../../parts/states.js';
import { Bookings } from './bookings.js';
import { CustomerList } from './customer-list.js';
import { Messages } from './messages.js';
import { PriceListTable } from './price-list.js';

const TABS = ['people', 'bookings', 'prices', 'messages'] as const;
type Tab = (typeof TABS)[number];
const isTab = (text: string | null): text is Tab => (TABS as readonly (string | null)[]).includes(text);

/** Whose cars they are, what is booked for them, what they pay, and what they should be told. */
export function CustomersPage() {
  const [params, setParams] = useSearchParams();
  const { data: customers, error, refetch } = useCustomers();
  const { data: vehicles } = useVehicles();
  const { data: places } = usePlaces();
  const { data: settings } = useSettings();
  const { data: bookings } = useBookings();
  const { data: unsent } = useUnsentMessages();
  const asked = params.get('show');
  const tab: Tab = isTab(asked) ? asked : 'people';
  const isReady = customers && vehicles && places && settings;
  const counted = (word: string, count: number | undefined): string => (count ? `${word} (${count})` : word);
  return (
    <Page
      title="Customers"
      lead="Whose cars they are, what is booked, what it costs, and what they should know."
    >
      <SegmentedControl
        className="no-print"
        aria-label="What is shown"
        value={tab}
        onChange={(show) => setParams({ show }, { replace: true })}
        data={[
          { value: 'people', label: 'People' },
          { value: 'bookings', label: counted('Bookings', bookings?.length) },
          { value: 'prices', label: 'Prices' },
          { value: 'messages', label: counted('Messages', unsent?.length) },
        ]}
      />
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !isReady && <Loading what="Fetching the book" />}
      {isReady && tab === 'people' && <CustomerList customers={customers} vehicles={vehicles} />}
      {isReady && tab === 'bookings' && (
        <Bookings customers={customers} vehicles={vehicles} places={places} timeZone={settings.timeZone} />
      )}
      {isReady && tab === 'prices' && <PriceListTable settings={settings} />}
      {isReady && tab === 'messages' && (
        <Messages customers={customers} vehicles={vehicles} places={places} templates={settings.templates} />
      )}
    </Page>
  );
}
