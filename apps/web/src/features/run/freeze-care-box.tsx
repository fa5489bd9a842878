import type { RunSheet } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { FREEZE_CARE_NAMES } from '../../words/car-names.js';
import classes from './run.module.css';

/** What to see to so that nothing freezes in the night after. */
export function FreezeCareBox({ sheet }: { readonly sheet: RunSheet }) {
  const format = useFormat();
  return (
    <section className={classes.box}>
      <h2>Freeze care tonight</h2>
      {sheet.freezeCare.length === 0 ? (
        <p>
          Nothing is needed: where it stands tonight goes down to {format.temp(sheet.overnightC ?? 0)} at the
          coldest (forecast).
        </p>
      ) : (
        <>
          <p>
            {sheet.overnightC === null
              ? 'Nobody knows the night, so all of it:'
              : `Down to ${format.temp(sheet.overnightC)} where it stands (forecast):`}
          </p>
          <ul className={classes.care}>
            {sheet.freezeCare.map(({ id, beyondK }) => (
              <li key={id}>
                {FREEZE_CARE_NAMES[id]}
                {sheet.overnightC !== null && (
                  <span className="muted no-print">
                    {' '}
                    (below {format.temp(sheet.overnightC + beyondK)}, judgement)
                  </span>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
