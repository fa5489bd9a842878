import { Button, Group, TextInput } from '@mantine/core';
import type { Worker, Settings } from '@keen/core';
import { useState } from 'react';
import { ApiError } from '../../api/client.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { HoursFields } from '../../parts/hours-fields.js';
import { workersErrors, newWorker } from './workers-form.js';
import classes from './settings.module.css';

interface WorkersSectionProps {
  readonly workers: Settings['workers'];
  /** @param read as they were when the first of them was touched */
  readonly onSave: (workers: readonly Worker[], read: readonly Worker[]) => Promise<unknown>;
}

/** Who washes, and when: the plan uses these hands in these hours. */
export function WorkersSection({ workers, onSave }: WorkersSectionProps) {
  const [draft, setTyped] = useState<readonly Worker[] | null>(null);
  const [read, setRead] = useState(workers);
  const setDraft = (typed: readonly Worker[] | null): void => {
    if (draft === null) setRead(workers);
    setTyped(typed);
  };
  const [isSaving, setSaving] = useState(false);
  const shown = draft ?? workers;
  const errors = workersErrors(shown);
  const change = (id: string, part: Partial<Worker>): void =>
    setDraft(shown.map((row) => (row.id === id ? { ...row, ...part } : row)));
  const save = (): void => {
    setSaving(true);
    onSave(shown, read)
      .then(() => setDraft(null))
      .catch((error: unknown) => {
        // What stands now has been seen with the refusal; saving again is meant.
        if (error instanceof ApiError && error.status === 409) setRead(workers);
        noticeOfFailure(error instanceof Error ? error : new ApiError(0, []));
      })
      .finally(() => setSaving(false));
  };
  return (
    <section className={classes.box}>
      <h2>People</h2>
      <p className="muted" style={{ marginTop: 0 }}>
        Who washes, and when. The plan gives each person one wash at a time, ways there and back included.
      </p>
      <div className={classes.workers}>
        {shown.map((row) => (
          <div key={row.id}>
            <TextInput
              label="Name"
              value={row.name}
              maxLength={60}
              onChange={(event) => change(row.id, { name: event.currentTarget.value })}
              error={errors[`${row.id}.name`]}
            />
            <HoursFields
              legend={`Hours of ${row.name.trim() || 'these hands'}`}
              without="not working"
              openHours={row.hours}
              errors={Object.fromEntries(
                row.hours.map((_, day) => [`openHours.${day}`, errors[`${row.id}.${day}`] ?? '']),
              )}
              onChange={(hours) => change(row.id, { hours })}
            />
            {shown.length > 1 && (
              <Button
                mt="xs"
                size="compact-md"
                variant="default"
                onClick={() => setDraft(shown.filter(({ id }) => id !== row.id))}
              >
                Delete {row.name}
              </Button>
            )}
          </div>
        ))}
      </div>
      <Group mt="sm">
        <Button variant="default" onClick={() => setDraft([...shown, newWorker(shown)])}>
          Add a person
        </Button>
        {draft && (
          <>
            <Button onClick={save} loading={isSaving} disabled={Object.keys(errors).length > 0}>
              Save people
            </Button>
            <Button variant="default" onClick={() => setDraft(null)}>
              Leave as it was
            </Button>
          </>
        )}
      </Group>
    </section>
  );
}
