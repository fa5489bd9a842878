import { Button, CopyButton, Group, Menu, Select, TextInput } from '@mantine/core';
import type { FeedView, Worker } from '@keen/core';
import { useState } from 'react';
import { useAddFeed, useDeleteFeed, useRenewFeed } from '../../api/calendar-queries.js';
import { ApiError } from '../../api/client.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { MoreMenu } from '../../parts/more-menu.js';
import { nameOf } from '../../words/names.js';

const EVERYBODY = 'everybody';

interface FeedsProps {
  readonly workers: readonly Worker[];
  readonly feeds: readonly FeedView[];
}

/** Who follows the plan as a calendar, each under an address of their own that can be taken back. */
export function Feeds({ workers, feeds }: FeedsProps) {
  return (
    <>
      <h3>Who follows the plan</h3>
      <p className="muted" style={{ marginTop: 0 }}>
        Everybody gets an address of their own for their calendar: planned washes stand there with an alarm
        before the way there, and move when they are moved. Anyone who has an address can read those washes,
        until you delete it.
      </p>
      {feeds.map((feed) => (
        <Feed key={feed.id} feed={feed} workers={workers} />
      ))}
      <NewFeed workers={workers} />
    </>
  );
}

function Feed({ feed, workers }: { readonly feed: FeedView; readonly workers: readonly Worker[] }) {
  const format = useFormat();
  const renew = useRenewFeed();
  const remove = useDeleteFeed();
  const { id, name, workerId, path, lastReadMs } = feed;
  const address = new URL(path, window.location.href).href;
  const whose = workerId === null ? 'Everybody’s washes' : `Washes of ${nameOf(workers, workerId)}`;
  const read = lastReadMs === null ? 'not followed yet' : `last read ${format.dayTime(lastReadMs)}`;
  return (
    <Group align="end" mb="sm">
      <TextInput
        label={name}
        description={`${whose}; ${read}`}
        value={address}
        readOnly
        style={{ flex: '1 1 18rem' }}
      />
      <CopyButton value={address}>
        {({ copied, copy }) => (
          <Button variant="default" aria-label={`Copy the address of ${name}`} onClick={copy}>
            {copied ? 'Copied' : 'Copy'}
          </Button>
        )}
      </CopyButton>
      <MoreMenu about={name}>
        <Menu.Item component="a" href={path} download="washes.ics">
          Download once
        </Menu.Item>
        <Menu.Item onClick={() => void renew.mutateAsync(id).catch(noticeOfFailure)}>
          New address, shut out the old
        </Menu.Item>
        <Menu.Divider />
        <Menu.Item onClick={() => void remove.mutateAsync(id).catch(noticeOfFailure)}>Delete</Menu.Item>
      </MoreMenu>
    </Group>
  );
}

function NewFeed({ workers }: { readonly workers: readonly Worker[] }) {
  const add = useAddFeed();
  const [name, setName] = useState('');
  const [whose, setWhose] = useState(EVERYBODY);
  const [error, setError] = useState<string | null>(null);
  const onError = (fault: Error): void => {
    const told = fault instanceof ApiError ? fault.byField.name : undefined;
    if (told === undefined) noticeOfFailure(fault);
    else setError(told);
  };
  return (
    <form
      aria-label="A new address"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() === '') return setError('Say who follows the plan.');
        return add.mutate(
          { name, ...(whose === EVERYBODY ? {} : { workerId: whose }) },
          { onSuccess: () => setName(''), onError },
        );
      }}
    >
      <Group align="start">
        <TextInput
          label="Who follows the plan"
          placeholder="Partner, front desk"
          maxLength={60}
          value={name}
          error={error}
          onChange={(event) => {
            setName(event.currentTarget.value);
            setError(null);
          }}
        />
        <Select
          label="Which washes"
          data={[
            { value: EVERYBODY, label: 'Everybody’s' },
            ...workers.map((row) => ({ value: row.id, label: `Those of ${row.name}` })),
          ]}
          value={whose}
          onChange={(value) => value && setWhose(value)}
          allowDeselect={false}
        />
        <Button type="submit" variant="default" mt={25} loading={add.isPending}>
          Make an address
        </Button>
      </Group>
    </form>
  );
}
