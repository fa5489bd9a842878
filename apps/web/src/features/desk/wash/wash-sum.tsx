import { Button, Select, TextInput, VisuallyHidden } from '@mantine/core';
import { calculate, CALCULATORS, washPoints, type WashSumAnswer, type WashSumInput } from '@keen/core';
import { useState } from 'react';
import { useFormat } from '../../../format/use-format.js';
import { shownUnit } from '../../../format/shown-unit.js';
import { type EventRow, nextEvent, type PanelFields, shownExample, washInput } from './wash-form.js';
import { EventFields } from './event-fields.js';
import { WashSpans } from './wash-spans.js';
import { WashPicture } from './wash-picture.js';
import classes from './wash.module.css';

const MATERIALS = ['steel', 'aluminium', 'glass', 'plastic'];

const FIELDS: readonly {
  readonly name: Exclude<keyof PanelFields, 'material'>;
  readonly label: string;
  readonly unit: string;
  readonly path: string;
}[] = [
  { name: 'tilt', label: 'Tilt', unit: 'deg', path: 'tiltDeg' },
  { name: 'absorptance', label: 'Share of sun taken', unit: '0–1', path: 'absorptanceFraction' },
  { name: 'solar', label: 'Sun on it', unit: 'W/m²', path: 'climate.0.solarWm2' },
  { name: 'airC', label: 'Air', unit: '°C', path: 'climate.0.airTempC' },
  { name: 'humidity', label: 'Relative humidity', unit: '0–1', path: 'climate.0.relHumidityFraction' },
  { name: 'wind', label: 'Wind', unit: 'm/s at the panel', path: 'climate.0.airSpeedMetresPerSecond' },
  { name: 'skyC', label: 'Sky or roof above it', unit: '°C', path: 'climate.0.skyTempC' },
];

/** One panel through a whole wash of one's own: what is done to it when, and what becomes of it. */
export function WashSum() {
  const format = useFormat();
  const [panel, setPanel] = useState(() => shownExample(format.display).panel);
  const [rows, setRows] = useState(() => shownExample(format.display).events);
  const calculator = CALCULATORS.get('wash');
  if (!calculator) return null;
  const input: WashSumInput = washInput(panel, rows, format.display);
  const answer = calculate(calculator, input);
  const fault = answer.ok ? null : answer.error;
  const faultOf = (path: string): string | undefined => (fault?.field === path ? fault.message : undefined);
  const found = answer.ok ? (answer.value as WashSumAnswer) : null;
  const change = (index: number, to: Partial<EventRow>): void =>
    setRows(rows.map((row, i) => (i === index ? { ...row, ...to } : row)));
  return (
    <section aria-label={calculator.question}>
      <strong>{calculator.question}</strong>
      <div className={classes.fields}>
        <Select
          label="Material"
          data={MATERIALS}
          value={panel.material}
          allowDeselect={false}
          onChange={(material) =>
            setPanel({ ...panel, material: (material ?? 'steel') as PanelFields['material'] })
          }
        />
        {FIELDS.map(({ name, label, unit, path }) => (
          <TextInput
            key={name}
            label={`${label}, ${shownUnit(unit, format.display).label}`}
            inputMode="decimal"
            value={panel[name]}
            error={faultOf(path)}
            onChange={(event) => setPanel({ ...panel, [name]: event.currentTarget.value })}
          />
        ))}
      </div>
      <div className={classes.scroll} role="region" aria-label="What is done to the panel" tabIndex={0}>
        <table className={classes.table}>
          <thead>
            <tr>
              <th scope="col">Event</th>
              <th scope="col">Minute</th>
              <th scope="col">What</th>
              <th scope="col">Film that stays, g/m²</th>
              <th scope="col">Runs over it, g/m²</th>
              <th scope="col">Water, {shownUnit('°C', format.display).label}</th>
              <th>
                <VisuallyHidden>What can be done</VisuallyHidden>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={i}>
                <td className="figure">{i + 1}</td>
                <EventFields row={row} index={i} faultOf={faultOf} onChange={(to) => change(i, to)} />
                <td>
                  <Button
                    size="compact-xs"
                    variant="subtle"
                    aria-label={`Remove event ${i + 1}`}
                    onClick={() => setRows(rows.filter((_, k) => k !== i))}
                  >
                    Remove
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Button size="xs" variant="default" onClick={() => setRows([...rows, nextEvent(rows)])}>
        Add an event
      </Button>
      <div aria-live="polite">
        {found ? (
          <>
            <p>
              The panel is at <strong className="figure">{format.temp(found.startPanelC)}</strong> before any
              water meets it.
            </p>
            <WashPicture points={washPoints(input)} answer={found} />
            <WashSpans answer={found} />
          </>
        ) : (
          <p role="alert">{fault?.message}</p>
        )}
      </div>
    </section>
  );
}
