import type { ImportMode, ImportReport } from '@keen/core';
import { Button, Group } from '@mantine/core';
import classes from './import-file.module.css';

const SHOWN = 6;

function keepText(count: number, hasFaults: boolean): string {
  if (!hasFaults) return 'Keep all';
  return count === 1 ? 'Keep the good one' : `Keep the ${count} good ones`;
}

interface ImportReportViewProps<T> {
  readonly report: ImportReport<T>;
  /** One good line in words. */
  readonly describe: (row: T) => string;
  readonly isBusy: boolean;
  readonly onKeep: (mode: ImportMode) => void;
  readonly onClose: () => void;
}

interface LinesProps {
  readonly lines: readonly { readonly key: string; readonly text: string }[];
  readonly most: number;
  readonly className?: string;
}

/** The first lines of many, and how many more there are. */
function Lines({ lines, most, className }: LinesProps) {
  if (lines.length === 0) return null;
  return (
    <ul className={className}>
      {lines.slice(0, most).map(({ key, text }) => (
        <li key={key}>{text}</li>
      ))}
      {lines.length > most && <li>and {lines.length - most} more</li>}
    </ul>
  );
}

const textLine = (text: string) => ({ key: text, text });

/** What is good of a file and what is not, line by line, and what to keep of it. */
export function ImportReportView<T>({ report, describe, isBusy, onKeep, onClose }: ImportReportViewProps<T>) {
  const { good, faults, notes = [], kept } = report;
  const hasFaults = faults.length > 0;
  return (
    <div role="status" className={classes.report}>
      <strong>
        {kept
          ? `Kept ${good.length}${hasFaults ? `, left out ${faults.length}` : ''}.`
          : `${good.length} good, ${faults.length} not.`}
      </strong>
      <Lines lines={good.map((row) => textLine(describe(row)))} most={SHOWN} />
      <Lines lines={notes.map(textLine)} most={notes.length} />
      <Lines
        className={classes.faults}
        lines={faults.map(({ line, field, message }) => ({
          key: `${line} ${field} ${message}`,
          text: `Line ${line}, ${field}: ${message}`,
        }))}
        most={SHOWN * 2}
      />
      {kept ? (
        <Button variant="default" size="compact-md" onClick={onClose}>
          Done
        </Button>
      ) : (
        <Group gap={8}>
          {good.length > 0 && (
            <Button
              color="lamp.3"
              loading={isBusy}
              onClick={() => onKeep(hasFaults ? 'good-lines' : 'all-or-nothing')}
            >
              {keepText(good.length, hasFaults)}
            </Button>
          )}
          <Button variant="default" onClick={onClose}>
            Keep nothing
          </Button>
        </Group>
      )}
    </div>
  );
}
