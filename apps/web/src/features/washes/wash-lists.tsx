import type { WashRecord } from '@keen/core';
import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { Format } from '../../format/format.js';
import { Empty } from '../../parts/states.js';
import { RowAction, WashTable } from './wash-table.js';
import type { WashRow, WashSort } from './washes-view.js';

interface ListProps {
  readonly rows: readonly WashRow[];
  readonly sort: WashSort;
  readonly onSort: (sort: WashSort) => void;
  readonly format: Format;
  readonly onDelete: (row: WashRow) => void;
}

/** Which wash a row's button is about. */
const aboutRow = ({ vehicle, wash }: WashRow, format: Format): string =>
  `${vehicle}, ${format.dayTime(wash.startMs)}`;

/** What is planned, each with its sheet. */
export function PlannedWashes({
  rows,
  sort,
  onSort,
  format,
  onDelete,
  onDone,
}: ListProps & { readonly onDone: (wash: WashRecord) => void }) {
  return (
    <section>
      <h2>Planned</h2>
      {rows.length === 0 ? (
        <Empty title="Nothing planned">
          <span>
            Plan a wash from <Link to="/">this morning</Link> or from the <Link to="/windows">windows</Link>.
          </span>
        </Empty>
      ) : (
        <WashTable
          caption="Planned washes"
          rows={rows}
          sort={sort}
          onSort={onSort}
          format={format}
          acts={(row) => (
            <>
              <Button
                size="compact-md"
                variant="default"
                component={Link}
                to={`/run/${row.wash.id}`}
                aria-label={`Run sheet: ${aboutRow(row, format)}`}
              >
                Run sheet
              </Button>
              <RowAction label="Mark done" about={aboutRow(row, format)} onClick={() => onDone(row.wash)} />
              <RowAction
                label="Remove from plan"
                about={aboutRow(row, format)}
                onClick={() => onDelete(row)}
              />
            </>
          )}
        />
      )}
    </section>
  );
}

/** What was done, each with its run where it had one. */
export function DoneWashes({
  rows,
  sort,
  onSort,
  format,
  onDelete,
  isFiltered,
  onReopen,
}: ListProps & { readonly isFiltered: boolean; readonly onReopen: (wash: WashRecord) => void }) {
  return (
    <section>
      <h2>Done</h2>
      {rows.length === 0 ? (
        <Empty title={isFiltered ? 'Nothing matches' : 'Nothing logged yet'}>
          Log a wash to start the record; the salt ledger counts from it.
        </Empty>
      ) : (
        <WashTable
          caption="Done washes"
          rows={rows}
          sort={sort}
          onSort={onSort}
          format={format}
          acts={(row) => (
            <>
              {row.wash.found?.run ? (
                <Button
                  size="compact-md"
                  variant="default"
                  component={Link}
                  to={`/run/${row.wash.id}/live`}
                  aria-label={`Open its run: ${aboutRow(row, format)}`}
                >
                  Open its run
                </Button>
              ) : (
                <RowAction
                  label="Open again"
                  about={aboutRow(row, format)}
                  onClick={() => onReopen(row.wash)}
                />
              )}
              <RowAction label="Delete" about={aboutRow(row, format)} onClick={() => onDelete(row)} />
            </>
          )}
        />
      )}
    </section>
  );
}
