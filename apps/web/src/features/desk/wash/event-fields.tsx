import { Select, TextInput } from '@mantine/core';
import { useFormat } from '../../../format/use-format.js';
import { shownUnit } from '../../../format/shown-unit.js';
import type { EventRow } from './wash-form.js';
import classes from './wash.module.css';

const KINDS = [
  { value: 'wet', label: 'wet it' },
  { value: 'blow', label: 'blow it' },
  { value: 'wipe', label: 'wipe it' },
];
interface EventFieldsProps {
  readonly row: EventRow;
  readonly index: number;
  readonly faultOf: (path: string) => string | undefined;
  readonly onChange: (change: Partial<EventRow>) => void;
}

/** What is done to the panel at one minute. */
export function EventFields({ row, index, faultOf, onChange }: EventFieldsProps) {
  const tempUnit = shownUnit('°C', useFormat().display).label;
  const field = (name: 'at' | 'film' | 'passes' | 'waterC' | 'leaves', label: string, path: string) => (
    <TextInput
      aria-label={`${label} of event ${index + 1}`}
      placeholder={label}
      size="xs"
      inputMode="decimal"
      value={row[name]}
      error={faultOf(`events.${index}.${path}`)}
      onChange={(event) => onChange({ [name]: event.currentTarget.value })}
    />
  );
  return (
    <>
      <td>{field('at', 'minute', 'atMinute')}</td>
      <td>
        <Select
          aria-label={`What is done, event ${index + 1}`}
          size="xs"
          data={KINDS}
          value={row.kind}
          allowDeselect={false}
          onChange={(kind) => onChange({ kind: (kind ?? 'wet') as EventRow['kind'] })}
        />
      </td>
      {row.kind === 'wet' ? (
        <>
          <td>{field('film', 'film, g/m²', 'filmGramsPerM2')}</td>
          <td>{field('passes', 'passes, g/m²', 'passesGramsPerM2')}</td>
          <td>{field('waterC', `water, ${tempUnit}`, 'waterTempC')}</td>
        </>
      ) : (
        <td colSpan={3}>
          <div className={classes.leaves}>
            {row.kind === 'blow'
              ? field('leaves', 'share that stays', 'leavesFraction')
              : field('leaves', 'film that stays', 'leavesGramsPerM2')}
            <span>{row.kind === 'blow' ? 'of the water stays (0–1)' : 'g/m² of water stay at most'}</span>
          </div>
        </td>
      )}
    </>
  );
}
