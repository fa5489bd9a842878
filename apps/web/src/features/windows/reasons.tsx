import { Button } from '@mantine/core';
import {
  type Finding,
  ruleOf,
  type CellAnswer,
  type CellQuery,
  type PlaceRecord,
  MS_PER_MINUTE,
} from '@keen/core';
import { Link } from 'react-router';
import { useCell, useWorkedWash } from '../../api/verdict-queries.js';
import type { Format } from '../../format/format.js';
import { Glyph } from '../../parts/glyph.js';
import { Failed } from '../../parts/states.js';
import { VerdictSwatch } from '../../parts/verdict-patterns.js';
import { marginText } from '../../words/finding-figures.js';
import { findingText } from '../../words/finding-words.js';
import { WashStrip } from '../../parts/wash-strip.js';
import { wayText } from '../../words/way-words.js';
import { labPath } from '../../parts/lab-path.js';
import { PANEL_NAMES } from '../../words/car-names.js';
import { methodName, RULE_NAMES } from '../../words/names.js';
import { type InsteadProps, Nearest, SameHour } from './instead.js';
import { Flips } from './flips.js';
import { verdictText } from '../../words/verdict-words.js';
import { MarginGauge } from '../../parts/margin-gauge.js';
import classes from './reasons.module.css';

interface ReasonsProps extends InsteadProps {
  readonly place: PlaceRecord | undefined;
  readonly onPlan: () => void;
  readonly isPlanning: boolean;
}

const LEVEL_WORDS: Readonly<Record<Finding['level'], string>> = {
  clear: 'clear',
  condition: 'go if',
  block: 'blocks',
  unknown: 'not known',
};

/** The rule tells its own margin: how far from the limit, or nothing where it is not a matter of degree. */
function FindingRow({ finding, format }: { readonly finding: Finding; readonly format: Format }) {
  return (
    <tr data-level={finding.level}>
      <th scope="row">
        <Glyph glyph={ruleOf(finding.ruleId).glyph} size={16} /> {RULE_NAMES[finding.ruleId]}
      </th>
      <td className={classes.level}>{LEVEL_WORDS[finding.level]}</td>
      <td>{findingText(finding, format)}</td>
      <td className={classes.margin}>
        <MarginGauge finding={finding} format={format} />
        <span className="figure">
          {finding.margin === null ? '' : marginText(finding.margin, finding.unit, format)}
        </span>
      </td>
    </tr>
  );
}

const GRAVITY = ['block', 'unknown', 'condition', 'clear'] as const;

/** The gravest first, then the nearest to its limit; what is not one of degree last. */
const ranked = (findings: readonly Finding[]): Finding[] =>
  [...findings].sort(
    (a, b) =>
      GRAVITY.indexOf(a.level) - GRAVITY.indexOf(b.level) ||
      Number(a.margin === null) - Number(b.margin === null) ||
      a.comfort - b.comfort,
  );

interface OpenInLabProps {
  readonly detail: CellAnswer | undefined;
  readonly place: PlaceRecord | undefined;
  readonly startMs: number;
}

/** The film of each panel can be taken to the lab; the one that limits first. */
function OpenInLab({ detail, place, startMs }: OpenInLabProps) {
  const films = detail?.films ?? [];
  if (films.length === 0) return null;
  const first = detail?.judgement.limiting.panel ?? detail?.water?.ice.panel;
  const sorted = [...films].sort((a, b) => Number(b.panel === first) - Number(a.panel === first));
  return (
    <p className={classes.labs}>
      Open in the film lab:{' '}
      {sorted.map(({ panel, input }) => (
        <Link key={panel} to={labPath(input, { panel, place: place?.name ?? '', startMs })}>
          {PANEL_NAMES[panel]}
        </Link>
      ))}
    </p>
  );
}

/** Everything about one start: the verdict, every rule with its margin, and the way to plan it. */
export function Reasons(props: ReasonsProps) {
  const { vehicleId, band, hourIndex, place, format, onPlan, isPlanning } = props;
  const cell = band.cells[hourIndex];
  const startMs = cell ? cell.startMs + cell.delayMinutes * MS_PER_MINUTE : 0;
  const query: CellQuery | null = cell
    ? { vehicleId, placeId: band.placeId, methodId: band.methodId, startMs }
    : null;
  const { data, error } = useCell(query);
  const { data: worked } = useWorkedWash(query);
  if (!cell) return null;
  const goes = cell.verdict === 'go' || cell.verdict === 'go-if';
  return (
    <section className={classes.panel} aria-label="Reasons">
      <div className={classes.answer}>
        <h2>{format.dayTime(cell.startMs)}</h2>
        <div>
          {place?.name}, {methodName(band.methodId)}
        </div>
        <p className={classes.verdict}>
          <VerdictSwatch verdict={cell.verdict} />
          <span>
            {verdictText(cell.verdict, cell.limiting, format)}
            {cell.untilMs !== null && <>. Next start that goes: {format.dayTime(cell.untilMs)}</>}
          </span>
        </p>
        {wayText(cell.wayId) && goes && <p>{wayText(cell.wayId)}</p>}
        {cell.blockedFraction !== null && (
          <p className="muted">
            {cell.blockedFraction === 0
              ? 'All forecasts agree.'
              : `Fails in ${format.share(cell.blockedFraction)} of the forecasts.`}
          </p>
        )}
        <div className={classes.acts}>
          <Button
            {...(goes ? { color: 'lamp.3' } : { variant: 'default' })}
            onClick={onPlan}
            loading={isPlanning}
          >
            {goes ? 'Plan this wash' : 'Plan it all the same'}
          </Button>
          <Button variant="default" component={Link} to={`/balance/${vehicleId}?at=${cell.startMs}`}>
            Balance this hour
          </Button>
        </div>
        <SameHour {...props} />
        <Nearest {...props} />
        <OpenInLab detail={data} place={place} startMs={cell.startMs} />
      </div>
      {error ? (
        <Failed error={error} />
      ) : (
        <table className={classes.table}>
          <thead>
            <tr>
              <th scope="col">Rule</th>
              <th scope="col">Says</th>
              <th scope="col">Because</th>
              <th scope="col">Margin</th>
            </tr>
          </thead>
          <tbody>
            {data &&
              ranked(data.judgement.findings).map((finding) => (
                <FindingRow key={finding.ruleId} finding={finding} format={format} />
              ))}
          </tbody>
        </table>
      )}
      {worked && <WashStrip panels={worked.panels} steps={worked.steps} minutes={worked.minutes} />}
      {query && (
        <div className={classes.flips}>
          <Flips query={query} format={format} />
        </div>
      )}
    </section>
  );
}
