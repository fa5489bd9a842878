import { IconSquare, IconSquareCheckFilled } from '@tabler/icons-react';
import type { PackItem, RunPack } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { useDraft } from '../../parts/drafts.js';
import { HowNear } from '../../parts/how-near.js';
import { PACK_NAMES, RUN_STEP_NAMES } from '../../words/run-words.js';
import { wayText } from '../../words/way-words.js';
import shared from './live.module.css';
import classes from './before.module.css';

/** What has to be here, ticked off as it is found; kept over a reload. */
function Packed({ washId, items }: { readonly washId: string; readonly items: readonly PackItem[] }) {
  const { value, set } = useDraft<{ ticked: readonly PackItem[] }>(`run-packed-${washId}`, { ticked: [] });
  const missing = items.filter((item) => !value.ticked.includes(item)).length;
  const turn = (item: PackItem): void =>
    set({
      ticked: value.ticked.includes(item)
        ? value.ticked.filter((one) => one !== item)
        : [...value.ticked, item],
    });
  return (
    <>
      <ul className={classes.packed}>
        {items.map((item) => (
          <li key={item}>
            <button
              type="button"
              role="checkbox"
              aria-checked={value.ticked.includes(item)}
              onClick={() => turn(item)}
            >
              {value.ticked.includes(item) ? (
                <IconSquareCheckFilled aria-hidden />
              ) : (
                <IconSquare aria-hidden />
              )}
              {PACK_NAMES[item]}
            </button>
          </li>
        ))}
      </ul>
      <p role="status">
        {missing === 0 ? 'All here.' : `${missing} not ticked yet; the run can begin all the same.`}
      </p>
    </>
  );
}

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
        <HowNear limiting={pack.limiting} format={format} />
        <p className={shared.then}>First: {RUN_STEP_NAMES[sheet.steps[0]?.id ?? 'rinse'].toLowerCase()}.</p>
      </section>
      <section className={shared.card}>
        <h2>Is it all here?</h2>
        <Packed washId={pack.washId} items={sheet.preparation.pack} />
      </section>
    </div>
  );
}
