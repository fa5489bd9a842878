import { Button, Group, Select, Stack, Text, TextInput } from '@mantine/core';
import { METHODS, MINOR_PER_UNIT, MS_PER_HOUR, type SeasonJobId, type VehicleRecord } from '@keen/core';
import { useState } from 'react';
import { useAddBooking, useQuote } from '../../api/customer-queries.js';
import { useClock } from '../../api/queries.js';
import { toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { Dialog } from '../../parts/dialog.js';
import { faultsOf } from '../../parts/note-form.js';
import { NumberField } from '../../parts/number-field.js';
import { SeasonChips } from '../../parts/season-chips.js';
import { methodName, nameOf } from '../../words/names.js';
import type { BookingsProps } from './bookings-props.js';
import { QuoteText } from './quote-text.js';

/** "Black saloon, Nell Harrow" */
const carName = ({ name, customerId }: VehicleRecord, customers: BookingsProps['customers']): string =>
  customerId ? `${name}, ${nameOf(customers, customerId)}` : name;

interface SpanProps {
  readonly from: string;
  readonly readyBy: string;
  readonly onFrom: (from: string) => void;
  readonly onReadyBy: (readyBy: string) => void;
  readonly errors: Readonly<Record<string, string>>;
}

function Span({ from, readyBy, onFrom, onReadyBy, errors }: SpanProps) {
  return (
    <Group grow align="start">
      <TextInput
        type="datetime-local"
        label="Available from"
        value={from}
        onChange={(event) => onFrom(event.currentTarget.value)}
        error={errors.from}
      />
      <TextInput
        type="datetime-local"
        label="Ready by"
        value={readyBy}
        onChange={(event) => onReadyBy(event.currentTarget.value)}
        error={errors.readyBy}
      />
    </Group>
  );
}

interface MethodFieldProps {
  readonly value: string | null;
  readonly onChange: (methodId: string | null) => void;
  readonly error: string | undefined;
}

function MethodField({ value, onChange, error }: MethodFieldProps) {
  return (
    <Select
      label="Method"
      placeholder="Any that washes it"
      data={METHODS.filter(({ scope }) => scope === 'wash').map(({ id }) => ({
        value: id,
        label: methodName(id),
      }))}
      value={value}
      onChange={onChange}
      clearable
      clearButtonProps={{ 'aria-label': 'Any method' }}
      error={error}
    />
  );
}

/** A booking: which car, from when, ready by when, how, and for how much. */
export function BookingForm({
  vehicles,
  customers,
  places,
  timeZone,
  onClose,
}: BookingsProps & { readonly onClose: () => void }) {
  const format = useFormat();
  const { data: clock } = useClock();
  const add = useAddBooking();
  const start = toLocalInput((clock?.nowMs ?? 0) + 24 * MS_PER_HOUR, timeZone).slice(0, 11);
  const [vehicleId, setVehicleId] = useState<string | null>(null);
  const [from, setFrom] = useState(`${start}08:00`);
  const [readyBy, setReadyBy] = useState(`${start}17:00`);
  const [methodId, setMethodId] = useState<string | null>(null);
  const [extras, setExtras] = useState<readonly SeasonJobId[]>([]);
  const [agreed, setAgreed] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const place = places.find(({ methods }) => methods.some((offer) => offer.methodId === methodId));
  const asked = vehicleId && methodId && place ? { vehicleId, methodId, placeId: place.id, extras } : null;
  const { data: quote } = useQuote(asked);
  const submit = (): void => {
    if (!vehicleId) return setErrors({ vehicleId: 'Choose the car.' });
    setErrors({});
    add.mutate(
      {
        vehicleId,
        from,
        readyBy,
        methodId,
        extras,
        agreedMinor: agreed === null ? null : Math.round(agreed * MINOR_PER_UNIT),
        note,
      },
      { onSuccess: onClose, onError: (error) => setErrors(faultsOf(error, 'note')) },
    );
  };
  return (
    <Dialog onClose={onClose} title="Book a wash">
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <Stack gap="sm">
          <Select
            label="Car"
            data={vehicles.map((one) => ({ value: one.id, label: carName(one, customers) }))}
            value={vehicleId}
            onChange={setVehicleId}
            error={errors.vehicleId ?? errors.vehicle}
            searchable
            data-autofocus
          />
          <Span from={from} readyBy={readyBy} onFrom={setFrom} onReadyBy={setReadyBy} errors={errors} />
          <MethodField value={methodId} onChange={setMethodId} error={errors.methodId} />
          <div>
            <Text size="sm" fw={500} mb={4}>
              Seasonal jobs
            </Text>
            <SeasonChips value={extras} onChange={setExtras} />
          </div>
          <NumberField
            label="Agreed"
            unit={format.display.currency}
            value={agreed}
            onChange={setAgreed}
            min={0}
            decimals={2}
            error={errors.agreedMinor}
          />
          {quote && place && <QuoteText quote={quote} place={place} onAgree={setAgreed} />}
          <TextInput
            label="Note"
            value={note}
            maxLength={500}
            onChange={(event) => setNote(event.currentTarget.value)}
            error={errors.note}
          />
          <Group justify="flex-end">
            <Button variant="default" onClick={onClose}>
              Cancel
            </Button>
            <Button type="submit" color="lamp.3" loading={add.isPending}>
              Book it
            </Button>
          </Group>
        </Stack>
      </form>
    </Dialog>
  );
}
