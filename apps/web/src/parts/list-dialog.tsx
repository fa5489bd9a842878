import type { ImportMode, ImportReport } from '@keen/core';
import { Select } from '@mantine/core';
import { type ReactNode, useRef } from 'react';
import { SideDialog } from './dialog.js';
import { useDraft } from './drafts.js';
import { ImportFile } from './import-file.js';
import classes from './list-dialog.module.css';
import { noticeWithUndo } from './notices.js';
import { type Columns, ownColumns } from './own-columns.js';

interface ListReport<T, C extends Columns, M> extends ImportReport<T> {
  readonly headings: readonly string[];
  readonly columns: C;
  readonly made: M | null;
}

interface ListFile<C> {
  readonly text: string;
  readonly mode: ImportMode;
  readonly columns?: C;
}

interface ListDialogProps<K extends string, T, M> {
  readonly title: string;
  /** What a line holds, and what is taken where it is silent. */
  readonly children: ReactNode;
  /** In the order in which they are asked for, by name. */
  readonly columns: readonly K[];
  readonly names: Readonly<Record<K, string>>;
  /** Without these a line says nothing. */
  readonly needed: readonly K[];
  /** Under which name the chosen headings are remembered. */
  readonly remembered: string;
  readonly describe: (line: T) => string;
  readonly send: (
    file: ListFile<Readonly<Partial<Record<K, string>>>>,
  ) => Promise<ListReport<T, Readonly<Partial<Record<K, string>>>, M>>;
  /** What is said once it is kept. */
  readonly added: (made: M) => string;
  readonly undo: (made: M) => Promise<unknown>;
  readonly onClose: () => void;
}

/** A list from a spreadsheet: headings by themselves or chosen and remembered, looked at first, kept all or the good ones, and taken out again. */
export function ListDialog<K extends string, T, M>(props: ListDialogProps<K, T, M>) {
  type C = Readonly<Partial<Record<K, string>>>;
  const { title, children, describe, send, added, undo, onClose, remembered: name } = props;
  const remembered = useDraft<{ columns: C }>(name, { columns: {} as C });
  // What was chosen just now is read by the look that follows at once.
  const chosen = useRef<C | null>(null);
  const last = useRef<ListReport<T, C, M> | null>(null);
  return (
    <SideDialog title={title} onClose={onClose}>
      {children}
      <ImportFile<T>
        label="File"
        accept=".csv,text/csv,text/plain"
        hint="Commas, semicolons or tabs between the cells"
        canPaste
        describe={describe}
        onSend={async ({ text, mode }) => {
          const columns = chosen.current ?? ownColumns(remembered.value.columns, text);
          const report = await send({ text, mode, ...(columns && { columns }) });
          last.current = report;
          const { made } = report;
          if (made !== null) noticeWithUndo(added(made), () => undo(made));
          return report;
        }}
        choose={(_report, again) =>
          last.current && (
            <Headings
              {...props}
              report={last.current}
              onChange={(columns) => {
                chosen.current = columns;
                remembered.set({ columns });
                again();
              }}
            />
          )
        }
      />
    </SideDialog>
  );
}

interface HeadingsProps<K extends string> {
  readonly columns: readonly K[];
  readonly names: Readonly<Record<K, string>>;
  readonly needed: readonly K[];
  readonly report: {
    readonly headings: readonly string[];
    readonly columns: Readonly<Partial<Record<K, string>>>;
  };
  readonly onChange: (columns: Readonly<Partial<Record<K, string>>>) => void;
}

/** Which heading of the file stands for what; kept for the next file with the same headings. */
function Headings<K extends string>({ columns: all, names, needed, report, onChange }: HeadingsProps<K>) {
  const { headings, columns } = report;
  const isOpen = needed.some((column) => columns[column] === undefined);
  const choose = (column: K, heading: string | null): void => {
    const { [column]: _, ...others } = columns;
    onChange((heading === null ? others : { ...columns, [column]: heading }) as Partial<Record<K, string>>);
  };
  return (
    <details className={classes.headings} open={isOpen || undefined}>
      <summary>Headings of the file</summary>
      <div className={classes.columns}>
        {all.map((column) => (
          <Select
            key={column}
            label={names[column]}
            placeholder={needed.includes(column) ? 'Choose one' : 'Not in the file'}
            data={headings.filter((heading) => heading !== '')}
            value={columns[column] ?? null}
            onChange={(heading) => choose(column, heading)}
            clearable
            clearButtonProps={{ 'aria-label': `${names[column]}: not in the file` }}
          />
        ))}
      </div>
    </details>
  );
}
