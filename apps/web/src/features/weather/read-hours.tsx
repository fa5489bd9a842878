import { Group, SegmentedControl, TextInput } from '@mantine/core';
import { PLAIN_COLUMNS, type ReadHour, WEATHER_COLUMNS } from '@keen/core';
import { useState } from 'react';
import { useImportWeather, type WeatherText } from '../../api/weather-queries.js';
import { useFormat } from '../../format/use-format.js';
import { ImportFile } from '../../parts/import-file.js';
import { FALL_NAMES } from '../../words/names.js';
import classes from './weather.module.css';

const FORMATS = [
  { value: 'csv', label: 'Table (CSV)' },
  { value: 'json', label: 'List (JSON)' },
  { value: 'aviation', label: 'METAR, TAF' },
] as const;
const ACCEPTS = { csv: '.csv,.txt,text/csv', json: '.json,application/json', aviation: '.txt,text/plain' };
const HINTS = {
  csv: 'First line: at and columns by name and unit, as listed below. An empty cell is not known.',
  json: 'A list of objects with at and the same names, or an object whose hours is such a list.',
  aviation: 'Observations one a line, or one forecast. What is not the likely course is named and left out.',
};

/** Hours of weather from a file or pasted text. */
export function ReadHours() {
  const format = useFormat();
  const load = useImportWeather();
  const [source, setSource] = useState('');
  const [kind, setKind] = useState<WeatherText['kind']>('measured');
  const [written, setWritten] = useState<WeatherText['format']>('csv');
  const describe = ({ reading, member }: ReadHour): string => {
    const parts = [
      reading.airTempC === undefined ? null : format.temp(reading.airTempC),
      reading.windMetresPerSecond === undefined ? null : `wind ${format.wind(reading.windMetresPerSecond)}`,
      reading.cloudFraction === undefined ? null : `cloud ${format.share(reading.cloudFraction)}`,
      reading.precipMm === undefined
        ? null
        : reading.precipMm === 0
          ? 'nothing falls'
          : `${format.fall(reading.precipMm)} ${reading.precipKind ? FALL_NAMES[reading.precipKind] : ''}`.trim(),
    ];
    const of = member > 0 ? `, variant ${member}` : '';
    return `${format.dayTime(reading.atMs)}${of}: ${parts.filter((part) => part !== null).join(', ')}`;
  };
  return (
    <section className={classes.box}>
      <h2>Read hours</h2>
      <Group align="end">
        <TextInput
          label="Name of the source"
          placeholder="Yard mast"
          value={source}
          maxLength={60}
          onChange={(event) => setSource(event.currentTarget.value)}
        />
        <SegmentedControl
          aria-label="Measured or forecast"
          data={[
            { value: 'measured', label: 'Measured' },
            { value: 'forecast', label: 'Forecast' },
          ]}
          value={kind}
          onChange={(value) => setKind(value)}
        />
        <SegmentedControl
          aria-label="How it is written"
          data={[...FORMATS]}
          value={written}
          onChange={(value) => setWritten(value)}
        />
      </Group>
      <ImportFile
        key={written}
        label="Read a file"
        accept={ACCEPTS[written]}
        hint={HINTS[written]}
        canPaste
        onSend={(body) =>
          load.mutateAsync({ ...body, kind, format: written, source: source.trim() || 'My weather' })
        }
        describe={describe}
      />
      <details>
        <summary>Columns and their units</summary>
        <table className={classes.table}>
          <thead>
            <tr>
              <th>Column</th>
              <th>Unit</th>
              <th>From</th>
              <th>To</th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">{PLAIN_COLUMNS[0]}</th>
              <td colSpan={3}>the full hour that begins, with its offset: 2026-01-14T06:00:00-05:00</td>
            </tr>
            <tr>
              <th scope="row">{PLAIN_COLUMNS[1]}</th>
              <td colSpan={3}>of a forecast: 0 or empty is the main one, 1 to 30 are its variants</td>
            </tr>
            <tr>
              <th scope="row">{PLAIN_COLUMNS[2]}</th>
              <td colSpan={3}>none, rain, sleet or snow; by the air where it is empty</td>
            </tr>
            {WEATHER_COLUMNS.map(({ name, unit, min, max }) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td>{unit}</td>
                <td className="figure">{min}</td>
                <td className="figure">{max}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="muted">
          A station of your own can send the same names by itself: POST /api/weather/hours with source, kind
          and hours.
        </p>
      </details>
    </section>
  );
}
