import { Group, Select, TextInput } from '@mantine/core';
import type { Worker, BusySpan } from '@keen/core';
import { useState } from 'react';
import { useCalendar, useForgetCalendar, useImportBusy } from '../../api/calendar-queries.js';
import { useFormat } from '../../format/use-format.js';
import { ImportFile } from '../../parts/import-file.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { Failed, Loading } from '../../parts/states.js';
import { DeleteButton } from '../../parts/delete-button.js';
import { Feeds } from './feeds.js';
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
          <Feeds workers={workers} feeds={view.feeds} />
          <Busy workers={workers} calendars={view.calendars} />
        </>
      )}
    </section>
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
            onClick={() => void forget.mutateAsync(row.calendar).catch(noticeOfFailure)}
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
