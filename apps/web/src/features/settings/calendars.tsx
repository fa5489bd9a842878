import { Button, CopyButton, Group, Select, TextInput } from '@mantine/core';
import type { Worker, BusySpan } from '@keen/core';
import { useState } from 'react';
import {
  useCalendar,
  useForgetCalendar,
  useImportBusy,
  useRenewCalendar,
} from '../../api/calendar-queries.js';
import { useFormat } from '../../format/use-format.js';
import { ImportFile } from '../../parts/import-file.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { Failed, Loading } from '../../parts/states.js';
import { DeleteButton } from '../../parts/delete-button.js';
import { nameOf } from '../../words/names.js';
import classes from './settings.module.css';

const EVERYBODY = 'everybody';

/** The plan as a calendar that others can follow, and the calendars that the plan keeps clear of. */
export function Calendars({ workers }: { readonly workers: readonly Worker[] }) {
  const { data: view, error, isPending } = useCalendar();
  return (
    <section className={classes.box}>
      <h2>Calendars</h2>
      {isPending && <Loading what="Fetching the calendars" />}
      {error && <Failed error={error} />}
      {view && (
        <>
          <Feed path={view.path} />
          <Busy workers={workers} calendars={view.calendars} />
        </>
      )}
    </section>
  );
}

function Feed({ path }: { readonly path: string }) {
  const renew = useRenewCalendar();
  const address = new URL(path, window.location.href).href;
  return (
    <>
      <p className="muted" style={{ marginTop: 0 }}>
        Subscribe to this address in any calendar: planned washes stand there with an alarm before the way
        there, and move when they are moved. Anyone who has the address can read the plan; a new one shuts out
        the old.
      </p>
      <Group align="end">
        <TextInput label="Address of the plan" value={address} readOnly style={{ flex: '1 1 18rem' }} />
        <CopyButton value={address}>
          {({ copied, copy }) => (
            <Button variant="default" onClick={copy}>
              {copied ? 'Copied' : 'Copy'}
            </Button>
          )}
        </CopyButton>
        <Button variant="default" component="a" href={path} download="washes.ics">
          Download
        </Button>
        <Button
          variant="default"
          loading={renew.isPending}
          onClick={() => renew.mutate(undefined, { onError: noticeOfFailure })}
        >
          New address
        </Button>
      </Group>
    </>
  );
}

interface BusyProps {
  readonly workers: readonly Worker[];
  readonly calendars: NonNullable<ReturnType<typeof useCalendar>['data']>['calendars'];
}

function Busy({ workers, calendars }: BusyProps) {
  const format = useFormat();
  const load = useImportBusy();
  const forget = useForgetCalendar();
  const [calendar, setCalendar] = useState('');
  const [whose, setWhose] = useState(EVERYBODY);
  const name = calendar.trim() || 'Calendar';
  const describe = ({ fromMs, toMs, summary }: BusySpan): string =>
    `${format.dayTime(fromMs)} to ${format.dayTime(toMs)}${summary ? `: ${summary}` : ''}`;
  const whoseData = [
    { value: EVERYBODY, label: 'Everybody’s' },
    ...workers.map((row) => ({ value: row.id, label: row.name })),
  ];
  return (
    <>
      <h3>Busy times</h3>
      {calendars.length === 0 && (
        <p className="muted">No other calendar is read; the plan uses all working hours.</p>
      )}
      {calendars.map((row) => (
        <Group key={row.calendar} justify="space-between">
          <span>
            <strong>{row.calendar}</strong>,{' '}
            {row.workerId === null ? 'everybody' : nameOf(workers, row.workerId)}: {row.count} to come, next{' '}
            {format.dayTime(row.nextMs)}
          </span>
          <DeleteButton
            what={row.calendar}
            onClick={() => forget.mutate(row.calendar, { onError: noticeOfFailure })}
          />
        </Group>
      ))}
      <Group mt="sm" align="start">
        <TextInput
          label="Name of the calendar"
          placeholder="Calendar"
          value={calendar}
          maxLength={60}
          onChange={(event) => setCalendar(event.currentTarget.value)}
        />
        <Select
          label="Whose time"
          data={whoseData}
          value={whose}
          onChange={(value) => value && setWhose(value)}
          allowDeselect={false}
        />
      </Group>
      <ImportFile
        label="Read busy times (iCalendar)"
        accept=".ics,text/calendar"
        hint="Repeats are written out for 90 days. A second file under the same name replaces the first."
        onSend={(body) =>
          load.mutateAsync({ ...body, calendar: name, ...(whose === EVERYBODY ? {} : { workerId: whose }) })
        }
        describe={describe}
      />
    </>
  );
}
