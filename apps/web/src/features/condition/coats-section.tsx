import type { CoatSpan, VehicleRecord } from '@keen/core';
import { useCoats } from '../../api/verdict-queries.js';
import { useVehicles } from '../../api/queries.js';
import { useFormat } from '../../format/use-format.js';
import { Failed } from '../../parts/states.js';
import { COAT_ENDS, coatName, coatSpanText, daysText } from '../../words/coat-words.js';
import { ZONE_NAMES } from '../../words/car-names.js';
import classes from './coats-section.module.css';
import shared from './condition.module.css';

/** More zones than this are counted, not listed. */
const MOST_NAMED = 3;

function zonesText({ zones }: CoatSpan): string {
  if (zones.length > MOST_NAMED) return `${zones.length} zones`;
  return new Intl.ListFormat('en').format(zones.map((zone) => ZONE_NAMES[zone].toLowerCase()));
}

interface CoatsSectionProps {
  readonly coats: readonly CoatSpan[];
  readonly nowMs: number;
}

/** What protected this car and for how long, and which protection lasted on which car of the shop. */
export function CoatsSection({ coats, nowMs }: CoatsSectionProps) {
  const format = useFormat();
  return (
    <section className={shared.box}>
      <h2>What protected it, by date</h2>
      {coats.length === 0 ? (
        <p className="muted">
          No coat with a date yet. Keep one on a zone, or log a wash that puts one on: a sealing step does it
          by itself.
        </p>
      ) : (
        <ul className={classes.coats}>
          {coats.map((coat) => (
            <li key={`${coat.fromMs} ${coat.toMs} ${coat.kind} ${coat.zones.join()}`}>
              <strong>{coatName(coat)}</strong> <span className="muted">{zonesText(coat)}</span>
              <br />
              {coatSpanText(coat, nowMs, format)}
            </li>
          ))}
        </ul>
      )}
      <WhichLasted />
    </section>
  );
}

const carName = (vehicles: readonly VehicleRecord[] | undefined, id: string): string =>
  vehicles?.find((vehicle) => vehicle.id === id)?.name ?? 'a removed car';

function WhichLasted() {
  const { data: rows, error } = useCoats();
  const { data: vehicles } = useVehicles();
  if (error) return <Failed error={error} />;
  if (!rows || rows.length === 0) return null;
  return (
    <details>
      <summary>Which lasted on which car</summary>
      <table className={classes.lasted}>
        <thead>
          <tr>
            <th>Protection</th>
            <th>On</th>
            <th>Held</th>
          </tr>
        </thead>
        <tbody>
          {rows.flatMap((row) =>
            row.cars.map(({ vehicleId, fromMs, days, ended }, i) => (
              <tr key={`${row.kind} ${row.productName} ${vehicleId} ${fromMs} ${i}`}>
                <th scope="row">
                  {i === 0 && coatName(row)}
                  {i === 0 && row.goneAfterDays !== null && (
                    <span className="muted"> gone after {daysText(row.goneAfterDays)} (median)</span>
                  )}
                </th>
                <td>{carName(vehicles, vehicleId)}</td>
                <td className="figure">
                  {daysText(days)}, {COAT_ENDS[ended]}
                </td>
              </tr>
            )),
          )}
        </tbody>
      </table>
      <p className="muted">
        Days from putting it on to its end, or so far. It counts as gone where somebody saw water lie flat.
      </p>
    </details>
  );
}
