import type { RunPack } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { PACK_NAMES, RUN_STEP_NAMES } from '../../words/run-words.js';
import { wayText } from '../../words/way-words.js';
import shared from './live.module.css';
import classes from './before.module.css';

/** Before the run begins: is everything here? */
export function Before({ pack }: { readonly pack: RunPack }) {
  const format = useFormat();
  const { sheet } = pack;
  const way = wayText(pack.method.wayId);
  return (
    <div className={shared.column}>
      <section className={shared.step}>
        <p className={shared.kicker}>Planned for {format.dayTime(pack.startMs)}</p>
        <h2>Ready to begin</h2>
        <p>
          {sheet.steps.length} steps, {format.minutes(sheet.minutes)}. This page now works with no signal.
        </p>
        {way && (
          <p>
            <strong>{way}</strong>
          </p>
        )}
        <p className={shared.then}>First: {RUN_STEP_NAMES[sheet.steps[0]?.id ?? 'rinse'].toLowerCase()}.</p>
      </section>
      <section className={shared.card}>
        <h2>Is it all here?</h2>
        <ul className={classes.packed}>
          {sheet.preparation.pack.map((item) => (
            <li key={item}>{PACK_NAMES[item]}</li>
          ))}
        </ul>
      </section>
    </div>
  );
}
