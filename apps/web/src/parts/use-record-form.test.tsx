import { beforeEach, describe, expect, it } from '@jest/globals';
import { act, renderHook, waitFor } from '@testing-library/react';
import { ApiError } from '../api/client.js';
import { type Saved, useRecordForm } from './use-record-form.js';

interface Form {
  readonly name: string;
  readonly notes: string;
}
interface Row extends Form {
  readonly id: string;
}
const ROW: Row = { id: 'v', name: 'Old', notes: 'Low nose.' };

let keys = 0;
let sent: Saved<Form>[] = [];
let saved: Row[] = [];
let closed = 0;
beforeEach(() => {
  keys += 1;
  sent = [];
  saved = [];
  closed = 0;
});

const opened = (record: Row | null, answer: () => Promise<Row> = () => Promise.resolve(ROW)) =>
  renderHook(() =>
    useRecordForm<Form, Form, Row>({
      draftKey: `form-${keys}`,
      record,
      initial: record ? { name: record.name, notes: record.notes } : { name: '', notes: '' },
      errorsOf: ({ name }) => ({ name: name === '' ? 'Give a name.' : undefined }),
      fieldsOf: ({ name, notes }) => ({ name: name.trim(), notes }),
      save: (fields) => {
        sent.push(fields);
        return answer();
      },
      onSaved: (row) => saved.push(row),
      onClose: () => (closed += 1),
    }),
  );
const refusal = (status: number, code: string, field: string, message: string) => () =>
  Promise.reject(new ApiError(status, [{ code, field, message }]));

describe('the form of a record', () => {
  it('names what is missing and sends nothing, then sends all of a new record', async () => {
    const { result } = opened(null);
    act(() => result.current.submit());
    expect(result.current).toMatchObject({
      errors: { name: 'Give a name.' },
      failure: 'Some fields need another look.',
    });
    expect(sent).toEqual([]);
    act(() => result.current.set({ name: ' New ' }));
    act(() => result.current.submit());
    expect(result.current).toMatchObject({ errors: {}, failure: null });
    await waitFor(() => expect(saved).toEqual([ROW]));
    expect(sent).toEqual([{ name: 'New', notes: '', was: undefined }]);
    expect(result.current.draft.name).toBe('');
  });

  it('sends only what was changed, with what it was', async () => {
    const { result } = opened(ROW);
    act(() => result.current.set({ notes: 'High nose.' }));
    act(() => result.current.submit());
    await waitFor(() => expect(saved).toHaveLength(1));
    expect(sent).toEqual([{ notes: 'High nose.', was: { notes: 'Low nose.' } }]);
  });

  it('sends nothing of a record in which nothing was changed', () => {
    const { result } = opened(ROW);
    act(() => result.current.submit());
    expect([sent, saved]).toEqual([[], [ROW]]);
  });

  it('shows what the server refuses at its field, and keeps what was typed', async () => {
    const { result } = opened(ROW, refusal(400, 'bad-field', 'name', 'That name is taken.'));
    act(() => result.current.set({ name: 'Taken' }));
    act(() => result.current.submit());
    await waitFor(() => expect(result.current.failure).toBe('That name is taken.'));
    expect(result.current.errors).toEqual({ name: 'That name is taken.' });
    expect(result.current.draft.name).toBe('Taken');
    expect(saved).toEqual([]);
  });

  it('says so where it changed meanwhile, and where nobody answers', async () => {
    const stale = opened(ROW, refusal(409, 'changed-meanwhile', 'name', 'The name is Other now.'));
    act(() => stale.result.current.set({ name: 'Mine' }));
    act(() => stale.result.current.submit());
    await waitFor(() => expect(stale.result.current.failure).toMatch(/^The name is Other now\. Save again/));
    stale.unmount();
    const silent = opened(ROW, () => Promise.reject(new TypeError('no signal')));
    act(() => silent.result.current.submit());
    await waitFor(() => expect(silent.result.current.failure).toMatch(/server is not responding/));
    expect(silent.result.current.draft.name).toBe('Mine');
  });

  it('forgets what was typed when it is cancelled', () => {
    const { result } = opened(ROW);
    act(() => result.current.set({ name: 'Mine' }));
    act(() => result.current.cancel());
    expect([closed, result.current.draft.name]).toEqual([1, 'Old']);
  });
});
