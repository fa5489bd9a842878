import { LONGEST_WATCH_MINUTES, type RunSheet, type SectionId } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { PANEL_NAMES } from '../../words/car-names.js';
import { SECTION_NAMES } from '../../words/way-words.js';
import { barFraction, edgeScaleMinutes } from './run-view.js';
import classes from './run.module.css';

const ENDS = { dries: 'dries', freezes: 'freezes', lasts: 'lasts' } as const;

/** Sheets made before ways were told hold the part with its minutes. */
const sectionIdOf = (section: RunSheet['section'] | { readonly id: string } | null): string =>
  typeof section === 'string' ? section : (section?.id ?? 'whole-car');

/** Panels in the order in which they dry or freeze once they are wet. */
export function EdgeBars({ sheet }: { readonly sheet: RunSheet }) {
  const format = useFormat();
  const { edges, section, firstFlank } = sheet;
  const scale = edgeScaleMinutes(edges);
  return (
    <section className={classes.box}>
      <h2>Time before each panel dries or freezes</h2>
      <ul className={classes.edges}>
        {edges.map(({ panel, minutes, ends }, i) => (
          <li key={panel} data-first={(i === 0 && minutes !== null) || undefined}>
            <span>{PANEL_NAMES[panel]}</span>
            <span className={classes.track}>
              <span
                className={classes.bar}
                data-ends={ends}
                style={{ width: `${barFraction(minutes, scale) * 100}%` }}
              />
            </span>
            <span className="figure">
              {minutes === null
                ? `wet > ${format.minutes(LONGEST_WATCH_MINUTES)}`
                : `${ENDS[ends]} ${format.minutes(minutes)}`}
            </span>
          </li>
        ))}
      </ul>
      <p>
        {sheet.steps.some(({ id }) => id === 'towel' || id === 'spray-wipe')
          ? `Work on ${SECTION_NAMES[sectionIdOf(section) as SectionId] ?? 'the car'} at a time.`
          : 'Nothing is wiped.'}
        {firstFlank && ` Finish the ${PANEL_NAMES[firstFlank]} first.`}
        <span className="muted"> Estimated from the forecast.</span>
      </p>
    </section>
  );
}
