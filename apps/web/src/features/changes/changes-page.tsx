import { AUDIT_DAYS, AUDITED_RECORDS, type AuditedRecord, type AuditEntry } from '@keen/core';
import { Button, Select } from '@mantine/core';
import { useState } from 'react';
import { useChanges } from '../../api/audit-queries.js';
import { useVehicles } from '../../api/queries.js';
import { useWashes } from '../../api/wash-queries.js';
import { useFormat } from '../../format/use-format.js';
import { download } from '../../parts/download.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { DEED_NAMES, RECORD_NAMES } from '../../words/change-words.js';
import classes from './changes.module.css';
import { byWhom, changesCsv, fieldText, type NameOf, subjectOf, toldFields } from './changes-view.js';

/** What changed is read field by field; what was added or is gone is one line of what it says. */
function Fields({ entry }: { readonly entry: AuditEntry }) {
  const format = useFormat();
  const told = toldFields(entry);
  if (told.length === 0) return null;
  if (entry.deed !== 'changed')
    return <p className={classes.whole}>{told.map((one) => fieldText(entry, one, format)).join(' · ')}</p>;
  return (
    <ul className={classes.fields}>
      {told.map((one) => (
        <li key={one.field}>{fieldText(entry, one, format)}</li>
      ))}
    </ul>
  );
}

function useNames(): NameOf {
  const { data: vehicles = [] } = useVehicles();
  const { data: washes = [] } = useWashes();
  const nameOf: NameOf = (id) => {
    const carId = washes.find((wash) => wash.id === id)?.vehicleId ?? id;
    return vehicles.find((vehicle) => vehicle.id === carId)?.name ?? null;
  };
  return nameOf;
}

/** What was changed, by whom and on which phone. */
export function ChangesPage() {
  const format = useFormat();
  const [record, setRecord] = useState<AuditedRecord | null>(null);
  const [who, setWho] = useState<string | null>(null);
  const changes = useChanges({ record, who });
  const nameOf = useNames();
  const entries = changes.data?.pages.flatMap((page) => page.entries) ?? [];
  const people = changes.data?.pages[0]?.people ?? [];
  return (
    <Page
      title="Changes"
      lead={`Who changed what, before and after. Remembered for ${AUDIT_DAYS / 365} years.`}
      actions={
        <>
          <Select
            label="Record"
            placeholder="All"
            clearable
            clearButtonProps={{ 'aria-label': 'All records' }}
            data={AUDITED_RECORDS.map((value) => ({ value, label: RECORD_NAMES[value] }))}
            value={record}
            onChange={(value) => setRecord(AUDITED_RECORDS.find((one) => one === value) ?? null)}
            w={190}
          />
          {people.length > 0 && (
            <Select
              label="By"
              placeholder="Everybody"
              clearable
              clearButtonProps={{ 'aria-label': 'By everybody' }}
              data={[...people]}
              value={who}
              onChange={setWho}
              w={160}
            />
          )}
          <Button
            variant="default"
            disabled={entries.length === 0}
            onClick={() => download('changes.csv', changesCsv(entries, nameOf, format), 'text/csv')}
          >
            Export CSV
          </Button>
        </>
      }
    >
      {changes.isPending && <Loading what="Fetching the changes" />}
      {changes.error && <Failed error={changes.error} onRetry={() => void changes.refetch()} />}
      {changes.data && entries.length === 0 && (
        <Empty title={record || who ? 'Nothing like that was changed' : 'Nothing was changed yet'} />
      )}
      <ol className={classes.list} aria-label="Changes">
        {entries.map((entry) => (
          <li key={entry.seq}>
            <span className={classes.when}>{format.dayTime(entry.atMs)}</span>
            <div>
              <strong>{subjectOf(entry, nameOf)}</strong> {DEED_NAMES[entry.deed]}
              <Fields entry={entry} />
            </div>
            <span className="muted">{byWhom(entry)}</span>
          </li>
        ))}
      </ol>
      {changes.hasNextPage && (
        <Button
          variant="default"
          loading={changes.isFetchingNextPage}
          onClick={() => void changes.fetchNextPage()}
        >
          Show older ones
        </Button>
      )}
    </Page>
  );
}
