import { useState } from 'react';
import { ApiError } from '../api/client.js';
import { useDraft } from './drafts.js';

/** What a form needs to keep one record: its draft, its faults by field, and saving. */
export interface RecordForm<D> {
  readonly draft: D;
  readonly set: (change: Partial<D>) => void;
  readonly errors: Readonly<Record<string, string>>;
  /** What stands against saving as a whole; null: nothing. */
  readonly failure: string | null;
  readonly submit: () => void;
  /** Forgets what was typed. */
  readonly cancel: () => void;
}

interface RecordFormCase<D extends object, S> {
  /** Under which the draft outlives a reload. */
  readonly draftKey: string;
  readonly initial: D;
  readonly errorsOf: (draft: D) => Readonly<Record<string, string | undefined>>;
  /** Saves a draft without faults. */
  readonly save: (draft: D) => Promise<S>;
  readonly onSaved: (saved: S) => void;
  readonly onClose: () => void;
}

/** The course of a form at the side: checked here, then by the server; what is typed is kept until it is saved or cancelled. */
export function useRecordForm<D extends object, S>(form: RecordFormCase<D, S>): RecordForm<D> {
  const { value: draft, set, forget } = useDraft<D>(form.draftKey, form.initial);
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
    form.save(draft).then(
      (saved) => {
        forget();
        form.onSaved(saved);
      },
      (error: unknown) => {
        if (error instanceof ApiError) setErrors(error.byField);
        setFailure(
          error instanceof ApiError
            ? error.message
            : 'The program does not answer. What you typed is kept; try again.',
        );
      },
    );
  };
  const cancel = (): void => {
    forget();
    form.onClose();
  };
  return { draft, set, errors, failure, submit, cancel };
}
