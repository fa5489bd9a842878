import type { DryingPlan } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { TRAP_NAMES } from '../../words/trap-words.js';
import { DRYING_TEXTS } from '../../words/run-words.js';
import classes from './run.module.css';

const list = new Intl.ListFormat('en');

/** How the water leaves: what stands on the car, and towels until they are saturated. */
export function Drying({ drying, clean }: { readonly drying: DryingPlan; readonly clean: number | null }) {
  const format = useFormat();
  const { by, waterGrams, towelGrams, towels, traps = [], mayBeLeft = false, towelHolds } = drying;
  return (
    <section className={classes.box}>
      <h2>Drying</h2>
      <p>
        {DRYING_TEXTS[by]} {format.ml(waterGrams)} stand on it after the last rinse
        {towels > 0 && (
          <>
            ; {format.ml(towelGrams)} for the towels: {towels} until {towels === 1 ? 'it is' : 'they are'}{' '}
            saturated
            {towelHolds &&
              `, ${format.ml(towelHolds.grams)} each (${towelHolds.isWeighed ? 'weighed' : 'house figure'})`}
            {clean !== null && clean < towels && `, ${clean} clean`}
          </>
        )}
        . <span className="muted">Estimated; gaps not counted.</span>
      </p>
      {traps.length > 0 && (
        <p>Water hides in {list.format(traps.map((trap) => TRAP_NAMES[trap]))}: then a last dry pass.</p>
      )}
      {mayBeLeft && <p>The last water is demineralised and runs off: what stays may dry by itself.</p>}
    </section>
  );
}
