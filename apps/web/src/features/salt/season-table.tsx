import type { SaltAnswer } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { ZONE_NAMES } from '../../words/car-names.js';
import classes from './salt.module.css';

export function SeasonTable({ salt }: { readonly salt: SaltAnswer }) {
  const format = useFormat();
  const weekly = salt.days.filter((_, i) => i % 7 === 0);
  const zones = salt.now.zones.map(({ zone }) => zone);
  return (
    <div style={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Season as a table">
      <table className={classes.table}>
        <thead>
          <tr>
            <th scope="col">Day</th>
            {zones.map((zone) => (
              <th key={zone} scope="col">
                {ZONE_NAMES[zone]}, g/m²
              </th>
            ))}
            <th scope="col">Clock, h</th>
          </tr>
        </thead>
        <tbody>
          {weekly.map((day) => (
            <tr key={day.atMs}>
              <th scope="row">{format.dayShort(day.atMs)}</th>
              {day.zones.map(({ zone, loadGramsPerM2 }) => (
                <td key={zone} className="figure">
                  {loadGramsPerM2.toFixed(1)}
                </td>
              ))}
              <td className="figure">{day.activeHours.toFixed(0)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
