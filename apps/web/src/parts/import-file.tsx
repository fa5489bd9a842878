import type { ImportMode, ImportReport } from '@keen/core';
import { Button, FileInput, Group, Textarea } from '@mantine/core';
import { useState } from 'react';
import { ApiError } from '../api/client.js';
import classes from './import-file.module.css';

interface ImportFileProps<T> {
  readonly label: string;
  readonly accept: string;
  readonly hint: string;
  /** Text can be pasted instead of choosing a file. */
  readonly canPaste?: boolean;
  readonly onSend: (body: { text: string; mode: ImportMode }) => Promise<ImportReport<T>>;
  /** One good line in words. */
  readonly describe: (row: T) => string;
}

const MOST_BYTES = 8_000_000;
const SHOWN = 6;

/** Reads a file, shows what is good and what is not line by line, and keeps all or the good ones as the user says. */
export function ImportFile<T>({ label, accept, hint, canPaste, onSend, describe }: ImportFileProps<T>) {
  const [file, setFile] = useState<File | null>(null);
  const [text, setText] = useState<string | null>(null);
  const [report, setReport] = useState<ImportReport<T> | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [pasted, setPasted] = useState('');
  const [isBusy, setBusy] = useState(false);

  const send = async (body: { text: string; mode: ImportMode }): Promise<void> => {
    setBusy(true);
    setFailure(null);
    try {
      setReport(await onSend(body));
    } catch (error) {
      setReport(null);
      setFailure(
        error instanceof ApiError
          ? `${error.faults[0]?.field ? `${error.faults[0].field}: ` : ''}${error.message}`
          : 'The program does not answer; nothing was kept.',
      );
    } finally {
      setBusy(false);
    }
  };
  const choose = (chosen: File | null): void => {
    setFile(chosen);
    setReport(null);
    setFailure(null);
    setText(null);
    if (!chosen) return;
    if (chosen.size > MOST_BYTES) {
      setFailure(
        `The file is ${(chosen.size / 1e6).toFixed(0)} MB; at most ${MOST_BYTES / 1e6} MB are read.`,
      );
      return;
    }
    void chosen.text().then((content) => {
      setText(content);
      return send({ text: content, mode: 'look' });
    });
  };
  const keep = (mode: ImportMode): void => {
    if (text !== null) void send({ text, mode });
  };
  const close = (): void => {
    choose(null);
    setPasted('');
  };
  const look = (): void => {
    setFile(null);
    setText(pasted);
    void send({ text: pasted, mode: 'look' });
  };

  return (
    <div className={`${classes.box} no-print`}>
      <FileInput
        label={label}
        description={hint}
        placeholder="Choose a file"
        accept={accept}
        value={file}
        onChange={choose}
        clearable
        clearButtonProps={{ 'aria-label': 'Another file' }}
      />
      {canPaste && (
        <>
          <Textarea
            label="Or paste it"
            autosize
            minRows={2}
            maxRows={8}
            value={pasted}
            onChange={(event) => setPasted(event.currentTarget.value)}
          />
          {pasted.trim() !== '' && !report && (
            <Button variant="default" loading={isBusy} onClick={look}>
              Look at it
            </Button>
          )}
        </>
      )}
      {failure && (
        <p role="alert" className={classes.fault}>
          {failure} Nothing was kept.
        </p>
      )}
      {report && (
        <div role="status" className={classes.report}>
          <strong>
            {report.kept
              ? `Kept ${report.good.length}${report.faults.length > 0 ? `, left out ${report.faults.length}` : ''}.`
              : `${report.good.length} good, ${report.faults.length} not.`}
          </strong>
          <ul>
            {report.good.slice(0, SHOWN).map((row) => (
              <li key={describe(row)}>{describe(row)}</li>
            ))}
            {report.good.length > SHOWN && <li>and {report.good.length - SHOWN} more</li>}
          </ul>
          {report.notes && report.notes.length > 0 && (
            <ul>
              {report.notes.map((note) => (
                <li key={note}>{note}</li>
              ))}
            </ul>
          )}
          {report.faults.length > 0 && (
            <ul className={classes.faults}>
              {report.faults.slice(0, SHOWN * 2).map(({ line, field, message }) => (
                <li key={`${line} ${field} ${message}`}>
                  Line {line}, {field}: {message}
                </li>
              ))}
              {report.faults.length > SHOWN * 2 && <li>and {report.faults.length - SHOWN * 2} more</li>}
            </ul>
          )}
          {report.kept ? (
            <Button variant="default" size="compact-md" onClick={close}>
              Done
            </Button>
          ) : (
            <Group gap={8}>
              {report.faults.length === 0 && report.good.length > 0 && (
                <Button color="lamp.3" loading={isBusy} onClick={() => keep('all-or-nothing')}>
                  Keep all
                </Button>
              )}
              {report.faults.length > 0 && report.good.length > 0 && (
                <Button color="lamp.3" loading={isBusy} onClick={() => keep('good-lines')}>
                  Keep the {report.good.length} good ones
                </Button>
              )}
              <Button variant="default" onClick={close}>
                Keep nothing
              </Button>
            </Group>
          )}
        </div>
      )}
    </div>
  );
}
