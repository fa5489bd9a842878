import { WASH_COLUMNS, WASH_LINE_DEFAULTS, type WashesMade, type WashLine } from '@keen/core';
import { useKeepWashList, useLookAtWashList, useUndoWashList } from '../../api/list-queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { ListDialog } from '../../parts/list-dialog.js';
import { WASH_COLUMN_NAMES } from '../../words/list-words.js';
import { methodName } from '../../words/names.js';

const lineText = (line: WashLine, format: Format): string =>
  [
    `${line.car}: ${format.dayYear(line.startMs)}, ${format.time(line.startMs)}`,
    line.place,
    methodName(line.methodId),
    format.minutes(line.minutes),
    line.costMinor === null ? null : format.money(line.costMinor),
    line.note || null,
  ]
    .filter((part) => part !== null)
    .join(', ');

const addedText = ({ washIds: { length } }: WashesMade): string =>
  `${length === 1 ? '1 wash' : `${length} washes`} added. The salt ledger has moved with ${length === 1 ? 'it' : 'them'}.`;

/** Old washes from a spreadsheet. */
export function WashList({ onClose }: { readonly onClose: () => void }) {
  const format = useFormat();
  const look = useLookAtWashList();
  const keep = useKeepWashList();
  const undo = useUndoWashList();
  const { method, minutes, time } = WASH_LINE_DEFAULTS;
  return (
    <ListDialog
      title="Read a list of old washes"
      columns={WASH_COLUMNS}
      names={WASH_COLUMN_NAMES}
      needed={['car', 'day']}
      remembered="wash-list-columns"
      describe={(line: WashLine) => lineText(line, format)}
      send={(file) => (file.mode === 'look' ? look : keep).mutateAsync(file)}
      added={addedText}
      undo={(made: WashesMade) => undo.mutateAsync(made)}
      onClose={onClose}
    >
      <p>
        A spreadsheet saved as CSV with a line for each wash and headings on top; the file that this page
        exports will do. Car and day are needed, and the cars have to be here already. What is missing is
        taken for {methodName(method)}, {format.minutes(minutes)} at {time}. Bottles and towels stay as they
        are counted.
      </p>
    </ListDialog>
  );
}
