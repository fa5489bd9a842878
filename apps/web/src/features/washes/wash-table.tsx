import { Button } from '@mantine/core';
import { IconArrowDown, IconArrowUp } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import type { Format } from '../../format/format.js';
import { verdictText } from '../../words/verdict-words.js';
import type { SortKey, WashRow, WashSort } from './washes-view.js';
import { RunDetails } from './run-details.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import classes from './washes.module.css';

interface WashTableProps {
  readonly rows: readonly WashRow[];
  readonly sort: WashSort;
  readonly onSort: (sort: WashSort) => void;
  readonly format: Format;
  readonly acts: (row: WashRow) => ReactNode;
  readonly caption: string;
}

const HEADS: readonly { readonly by: SortKey | null; readonly label: string }[] = [
  { by: 'start', label: 'When' },
  { by: 'vehicle', label: 'Vehicle' },
  { by: 'place', label: 'Place and method' },
  { by: 'minutes', label: 'Minutes' },
  { by: 'cost', label: 'Paid' },
  { by: null, label: 'Found' },
  { by: null, label: 'Actions' },
];

function Head({
  by,
  label,
  sort,
  onSort,
}: { by: SortKey | null; label: string } & Pick<WashTableProps, 'sort' | 'onSort'>) {
  if (by === null) return <th scope="col">{label}</th>;
  const active = sort.by === by;
  const Arrow = sort.descending ? IconArrowDown : IconArrowUp;
  return (
    <th
      scope="col"
      className={by === 'minutes' || by === 'cost' ? classes.right : undefined}
      aria-sort={active ? (sort.descending ? 'descending' : 'ascending') : 'none'}
    >
      <button
        type="button"
        onClick={() => onSort({ by, descending: active ? !sort.descending : by === 'start' })}
      >
        {label} {active && <Arrow size={14} aria-hidden />}
      </button>
    </th>
  );
}

/** Washes as rows; on a phone each row becomes a small card. */
export function WashTable({ rows, sort, onSort, format, acts, caption }: WashTableProps) {
  return (
    <div className={classes.scroll} tabIndex={0} role="region" aria-label={caption}>
      <table className={classes.table}>
        <thead>
          <tr>
            {HEADS.map((head) => (
              <Head key={head.label} {...head} sort={sort} onSort={onSort} />
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr
              key={row.wash.id}
              data-ice={row.wash.found && row.wash.found.icePanels.length > 0 ? '' : undefined}
            >
              <td className={`${classes.when} figure`}>{format.dayTime(row.wash.startMs)}</td>
              <td>
                <strong>{row.vehicle}</strong>
              </td>
              <td className={classes.wide}>
                {row.place}, {row.method}
              </td>
              <td className={`${classes.right} figure`}>{format.minutes(row.wash.minutes)}</td>
              <td className={`${classes.right} figure`}>
                {row.wash.costMinor === null ? '' : format.money(row.wash.costMinor)}
              </td>
              <td className={classes.wide}>
                {row.found}
                {row.wash.found?.run && <RunDetails washId={row.wash.id} run={row.wash.found.run} />}
                {row.wash.predicted && (
                  <div className="muted">
                    Foreseen: {verdictText(row.wash.predicted.verdict, row.wash.predicted.limiting, format)}
                  </div>
                )}
              </td>
              <td className={classes.wide}>
                <div className={`${classes.acts} no-print`}>{acts(row)}</div>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** A plain small action in a row. */
export function RowAction({
  label,
  about,
  onClick,
}: {
  readonly label: string;
  /** Of which wash, for those who hear the page. */
  readonly about: string;
  readonly onClick: () => void;
}) {
  return (
    <OwnerOnly>
      <Button size="compact-md" variant="default" aria-label={`${label}: ${about}`} onClick={onClick}>
        {label}
      </Button>
    </OwnerOnly>
  );
}
