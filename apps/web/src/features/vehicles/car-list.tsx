import {
  CAR_COLUMNS,
  CAR_LINE_DEFAULTS,
  type CarColumns,
  type CarLine,
  type CarListReport,
} from '@keen/core';
import { Select } from '@mantine/core';
import { useRef } from 'react';
import { useKeepCarList, useLookAtCarList, useUndoCarList } from '../../api/car-list-queries.js';
import { useFormat } from '../../format/use-format.js';
import type { Format } from '../../format/format.js';
import { SideDialog } from '../../parts/dialog.js';
import { useDraft } from '../../parts/drafts.js';
import { ImportFile } from '../../parts/import-file.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { BODY_NAMES, PROTECTION_NAMES } from '../../words/car-names.js';
import { COLUMN_NAMES } from '../../words/car-list-words.js';
import { ownColumns } from './car-list-view.js';
import classes from './car-list.module.css';

interface CarListProps {
  readonly onClose: () => void;
}

const protectionText = (protection: CarLine['protection']): string =>
  protection === 'bare' ? 'no protection' : PROTECTION_NAMES[protection].toLowerCase();

const lineText = (line: CarLine, format: Format): string =>
  [
    `${line.name}: ${BODY_NAMES[line.bodyClass].toLowerCase()}, ${protectionText(line.protection)}`,
    `every ${line.cadenceDays} days`,
    line.customer,
    line.lastWashMs === null ? 'last wash not known' : `washed ${format.dayShort(line.lastWashMs)}`,
  ]
    .filter((part) => part !== null)
    .join(', ');

const addedText = (count: number): string => (count === 1 ? '1 car added.' : `${count} cars added.`);

interface ColumnsProps {
  readonly report: CarListReport;
  readonly onChange: (columns: CarColumns) => void;
}

/** Which heading of the file stands for what; kept for the next file with the same headings. */
function Columns({ report, onChange }: ColumnsProps) {
  const { headings, columns } = report;
  return (
    <details className={classes.headings} open={columns.name === undefined || undefined}>
      <summary>Headings of the file</summary>
      <div className={classes.columns}>
        {CAR_COLUMNS.map((column) => (
          <Select
            key={column}
            label={COLUMN_NAMES[column]}
            placeholder={column === 'name' ? 'Choose one' : 'Not in the file'}
            data={headings.filter((heading) => heading !== '')}
            value={columns[column] ?? null}
            onChange={(heading) => onChange({ ...columns, [column]: heading ?? undefined })}
            clearable
            clearButtonProps={{ 'aria-label': `${COLUMN_NAMES[column]}: not in the file` }}
          />
        ))}
      </div>
    </details>
  );
}

/** Cars and their customers from a spreadsheet: looked at first, kept all or the good ones, and taken out again. */
export function CarList({ onClose }: CarListProps) {
  const format = useFormat();
  const look = useLookAtCarList();
  const keep = useKeepCarList();
  const undo = useUndoCarList();
  const remembered = useDraft<{ columns: CarColumns }>('car-list-columns', { columns: {} });
  // What was chosen just now is read by the look that follows at once.
  const chosen = useRef<CarColumns | null>(null);
  const last = useRef<CarListReport | null>(null);
  const { body, protection, cadenceDays, kmADay } = CAR_LINE_DEFAULTS;
  return (
    <SideDialog title="Read a list of cars" onClose={onClose}>
      <p>
        A spreadsheet saved as CSV with a line for each car and headings on top. Only the name is needed; what
        is missing is taken for a {BODY_NAMES[body].toLowerCase()}, {protectionText(protection)}, washed every{' '}
        {cadenceDays} days, {format.km(kmADay)} a day.
      </p>
      <ImportFile<CarLine>
        label="File"
        accept=".csv,text/csv,text/plain"
        hint="Commas, semicolons or tabs between the cells"
        canPaste
        describe={(line) => lineText(line, format)}
        onSend={async ({ text, mode }) => {
          const columns = chosen.current ?? ownColumns(remembered.value.columns, text);
          const report = await (mode === 'look' ? look : keep).mutateAsync({
            text,
            mode,
            ...(columns && { columns }),
          });
          last.current = report;
          const { made } = report;
          if (made)
            noticeWithUndo(addedText(made.vehicleIds.length), () =>
              undo.mutate(made, { onError: noticeOfFailure }),
            );
          return report;
        }}
        choose={(_report, again) =>
          last.current && (
            <Columns
              report={last.current}
              onChange={(columns) => {
                const named = Object.fromEntries(Object.entries(columns).filter(([, heading]) => heading));
                chosen.current = named;
                remembered.set({ columns: named });
                again();
              }}
            />
          )
        }
      />
    </SideDialog>
  );
}
