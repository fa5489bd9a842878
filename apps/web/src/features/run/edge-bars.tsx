import { LONGEST_WATCH_MINUTES, type RunSheet, type SectionId } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { PANEL_NAMES } from '../../words/car-names.js';
import { SECTION_NAMES } from '../../words/way-words.js';
import { edgeScaleMinutes } from './run-view.js';
import bars from './edge-bars.module.css';
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
  const lasting = edges.filter(({ minutes }) => minutes === null);
  const limited = edges.filter(({ minutes }) => minutes !== null);
  const still = `wet for more than ${format.minutes(LONGEST_WATCH_MINUTES)}`;
  return (
    <section className={classes.box}>
      <h2>Time before each panel dries or freezes</h2>
      {limited.length > 0 && (
        <ul className={bars.edges}>
          {limited.map(({ panel, minutes, ends }, i) => (
            <li key={panel} data-first={i === 0 || undefined}>
              <span>{PANEL_NAMES[panel]}</span>
              <span className={bars.track}>
                <span
                  className={bars.bar}
                  data-ends={ends}
                  style={{ width: `${Math.min(1, (minutes ?? scale) / scale) * 100}%` }}
                />
              </span>
              <span className="figure">
                {ENDS[ends]} {format.minutes(minutes ?? 0)}
              </span>
            </li>
          ))}
        </ul>
      )}
      {/* What does not differ needs no bars. */}
      {limited.length === 0 && <p>Every panel stays {still}.</p>}
      {limited.length > 0 && lasting.length > 0 && (
        <p>
          {new Intl.ListFormat('en').format(lasting.map(({ panel }) => PANEL_NAMES[panel]))}: {still}.
        </p>
      )}
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
