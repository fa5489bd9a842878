import { useState } from 'react';
import { ApiError } from '../api/client.js';
import { changedFields, readBefore } from './changes.js';
import { useDraft } from './drafts.js';

/** What a form needs to keep one record: its draft, its faults by field, and saving. */
export interface RecordForm<D> {
  readonly draft: D;
  readonly set: (change: Partial<D>) => void;
  readonly errors: Readonly<Record<string, string>>;
  /** What prevents saving as a whole; null: nothing. */
  readonly failure: string | null;
  readonly submit: () => void;
  /** Forgets what was typed. */
  readonly cancel: () => void;
}

/** The fields that are to be saved: all of a new record, of another those that were changed, with what they were when they were read. */
export type Saved<F extends object> = Partial<F> & {
  readonly was?: Readonly<Record<string, unknown>> | undefined;
};

interface RecordFormCase<D extends object, F extends object, S> {
  /** Under which the draft outlives a reload. */
  readonly draftKey: string;
  /** null: a new one. */
  readonly record: S | null;
  /** The form of the record as it stands. */
  readonly initial: D;
  readonly errorsOf: (draft: D) => Readonly<Record<string, string | undefined>>;
  /** A draft without faults as the server takes it. */
  readonly fieldsOf: (draft: D) => F;
  readonly save: (fields: Saved<F>) => Promise<S>;
  readonly onSaved: (saved: S) => void;
  readonly onClose: () => void;
}

const NOT_ANSWERING = 'The server is not responding. What you typed is kept; try again.';

function failureText(error: unknown): string {
  if (!(error instanceof ApiError)) return NOT_ANSWERING;
  const isStale = error.faults.some(({ code }) => code === 'changed-meanwhile');
  if (!isStale) return error.message;
  const what = error.faults.map(({ message }) => message).join(' ');
  return `${what} Save again to keep yours, or cancel to keep what is there now.`;
}

/** The course of a form at the side: checked here, then by the server; what is typed is kept until it is saved or cancelled. */
export function useRecordForm<D extends object, F extends object, S>(
  form: RecordFormCase<D, F, S>,
): RecordForm<D> {
  const { record, initial, fieldsOf } = form;
  const { value: draft, read, set, forget, rebase } = useDraft<D>(form.draftKey, initial, record);
  const [errors, setErrors] = useState<RecordForm<D>['errors']>({});
  const [failure, setFailure] = useState<string | null>(null);
  const submit = (): void => {
    const found = Object.fromEntries(
      Object.entries(form.errorsOf(draft)).filter(
        (entry): entry is [string, string] => entry[1] !== undefined,
      ),
    );
    setErrors(found);
    const isFaulty = Object.keys(found).length > 0;
    setFailure(isFaulty ? 'Some fields need another look.' : null);
    if (isFaulty) return;
    const fields = fieldsOf(draft);
    const changed = record ? changedFields(fieldsOf(initial), fields) : fields;
    if (record && Object.keys(changed).length === 0) {
      forget();
      form.onSaved(record);
      return;
    }
    form.save({ ...changed, was: readBefore(read, changed) }).then(
      (saved) => {
        forget();
        form.onSaved(saved);
      },
      (error: unknown) => {
        if (error instanceof ApiError) {
          setErrors(error.byField);
          if (error.status === 409) rebase();
        }
        setFailure(failureText(error));
      },
    );
  };
  const cancel = (): void => {
    forget();
    form.onClose();
  };
  return { draft, set, errors, failure, submit, cancel };
}
