import type { ImportMode, ImportReport } from '@keen/core';
import { Button, FileInput, Textarea } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { ApiError } from '../api/client.js';
import classes from './import-file.module.css';
import { ImportReportView } from './import-report.js';

interface ImportFileProps<T> {
  readonly label: string;
  readonly accept: string;
  readonly hint: string;
  /** Text can be pasted instead of choosing a file. */
  readonly canPaste?: boolean;
  readonly onSend: (body: { text: string; mode: ImportMode }) => Promise<ImportReport<T>>;
  /** One good line in words. */
  readonly describe: (row: T) => string;
  /** What can be chosen about the file that was looked at; `again` looks at it once more, with what was chosen since. */
  readonly choose?: (report: ImportReport<T>, again: () => void) => ReactNode;
}

const MOST_BYTES = 8_000_000;

/** Reads a file, shows what is good and what is not line by line, and keeps all or the good ones as the user says. */
export function ImportFile<T>({
  label,
  accept,
  hint,
  canPaste,
  onSend,
  describe,
  choose: choices,
}: ImportFileProps<T>) {
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
          : 'The server is not responding.',
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
      {report && !report.kept && choices?.(report, () => keep('look'))}
      {report && (
        <ImportReportView report={report} describe={describe} isBusy={isBusy} onKeep={keep} onClose={close} />
      )}
    </div>
  );
}
