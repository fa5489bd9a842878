import { Select } from '@mantine/core';
import { type PanelId, panelsOf } from '@keen/core';
import { useMemo, useState } from 'react';
import { useFormat } from '../../format/use-format.js';
import { PANEL_NAMES } from '../../words/car-names.js';
import { simulatedThermometer } from './thermometer.js';
import { readingC } from './reading.js';
import { TypedNumber } from '../../parts/typed-number.js';
import shared from './live.module.css';
import classes from './more-sheet.module.css';
import type { MoreSheetProps, PartProps } from './more-props.js';

export function ReadingForm({ pack, log, act, onDone }: PartProps & Pick<MoreSheetProps, 'pack' | 'log'>) {
  const format = useFormat();
  const [of, setOf] = useState<PanelId | 'air'>('air');
  const [typed, setTyped] = useState<number | string>('');
  const [error, setError] = useState<string | null>(null);
  const thermometer = useMemo(() => simulatedThermometer(pack, log.now), [pack, log]);
  const unit = format.display.temperature;
  const take = (tempC: number, origin: 'typed' | 'thermometer'): void => {
    act({ kind: 'reading', of, tempC, origin });
    onDone();
  };
  const save = (): void => {
    const tempC = readingC(typed, unit);
    if (tempC === null) setError(`Give a temperature between ${format.temp(-60)} and ${format.temp(80)}.`);
    else take(tempC, 'typed');
  };
  const read = (): void => {
    thermometer
      .read(of)
      .then((tempC) => take(tempC, 'thermometer'))
      .catch((failure: unknown) => setError(failure instanceof Error ? failure.message : 'No reading.'));
  };
  return (
    <section>
      <h3>Temperature at the car</h3>
      <div className={classes.readingRow}>
        <Select
          label="Of"
          size="lg"
          data={[
            { value: 'air', label: 'air' },
            ...panelsOf(pack.vehicle.bodyClass).map(({ id }) => ({ value: id, label: PANEL_NAMES[id] })),
          ]}
          value={of}
          onChange={(value) => setOf(value ?? 'air')}
          allowDeselect={false}
        />
        <TypedNumber
          label={`Reading, °${unit}`}
          size="lg"
          value={typed}
          onChange={setTyped}
          decimalScale={1}
          inputMode="text"
          error={error}
          onKeyDown={(event) => event.key === 'Enter' && save()}
        />
      </div>
      <div className={shared.pair}>
        <button type="button" onClick={save}>
          Use this reading
        </button>
        <button type="button" onClick={read}>
          From the thermometer (simulated)
        </button>
      </div>
    </section>
  );
}
