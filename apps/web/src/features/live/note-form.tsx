import { FileButton, Textarea } from '@mantine/core';
import { useState } from 'react';
import { useDraft } from '../../parts/drafts.js';
import { PhotoRefused, smallPhoto } from '../../parts/photo.js';
import shared from './live.module.css';
import type { PartProps, MoreSheetProps } from './more-props.js';

export function NoteForm({ log, act, onDone }: PartProps & Pick<MoreSheetProps, 'log'>) {
  const { value, set, forget } = useDraft(`run-note-${log.washId}`, { text: '' });
  const [fault, setFault] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const text = value.text.trim();
  const done = (): void => {
    forget();
    onDone();
  };
  const add = (): void => {
    if (text === '') {
      setFault('Write the note first, or take a photograph.');
      return;
    }
    act({ kind: 'note', text });
    done();
  };
  const photo = async (file: File | null): Promise<void> => {
    if (!file) return;
    setBusy(true);
    try {
      await log.addPhoto(await smallPhoto(file), text);
      done();
    } catch (failure) {
      setFault(
        failure instanceof PhotoRefused
          ? failure.message
          : 'The photograph could not be kept; is this phone full?',
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <section>
      <h3>Note or photograph</h3>
      <Textarea
        aria-label="Note"
        placeholder="What is seen: a chip, a frozen lock"
        size="lg"
        maxLength={1000}
        autosize
        minRows={2}
        value={value.text}
        onChange={(event) => {
          set({ text: event.currentTarget.value });
          setFault(null);
        }}
        error={fault}
      />
      <div className={shared.pair}>
        <button type="button" onClick={add}>
          Add the note
        </button>
        <FileButton accept="image/*" capture="environment" onChange={(file) => void photo(file)}>
          {(props) => (
            <button type="button" disabled={isBusy} {...props}>
              {isBusy ? 'Making it smaller' : 'Photograph'}
            </button>
          )}
        </FileButton>
      </div>
    </section>
  );
}
