import { CAR_COLUMNS, CAR_LINE_DEFAULTS, type CarLine, type CarsMade } from '@keen/core';
import { useKeepCarList, useLookAtCarList, useUndoCarList } from '../../api/list-queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { ListDialog } from '../../parts/list-dialog.js';
import { BODY_NAMES, PROTECTION_NAMES } from '../../words/car-names.js';
import { CAR_COLUMN_NAMES } from '../../words/list-words.js';

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

const addedText = ({ vehicleIds: { length } }: CarsMade): string =>
  length === 1 ? '1 car added.' : `${length} cars added.`;

/** Cars and their customers from a spreadsheet. */
export function CarList({ onClose }: { readonly onClose: () => void }) {
  const format = useFormat();
  const look = useLookAtCarList();
  const keep = useKeepCarList();
  const undo = useUndoCarList();
  const { body, protection, cadenceDays, kmADay } = CAR_LINE_DEFAULTS;
  return (
    <ListDialog
      title="Read a list of cars"
      columns={CAR_COLUMNS}
      names={CAR_COLUMN_NAMES}
      needed={['name']}
      remembered="car-list-columns"
      describe={(line: CarLine) => lineText(line, format)}
      send={(file) => (file.mode === 'look' ? look : keep).mutateAsync(file)}
      added={addedText}
      undo={(made: CarsMade) => undo.mutateAsync(made)}
      onClose={onClose}
    >
      <p>
        A spreadsheet saved as CSV with a line for each car and headings on top. Only the name is needed; what
        is missing is taken for a {BODY_NAMES[body].toLowerCase()}, {protectionText(protection)}, washed every{' '}
        {cadenceDays} days, {format.km(kmADay)} a day.
      </p>
    </ListDialog>
  );
}
