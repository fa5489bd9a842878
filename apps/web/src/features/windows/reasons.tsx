import { Button } from '@mantine/core';
import {
  type Finding,
  nearestWays,
  type NearWay,
  ruleOf,
  type CellAnswer,
  type CellQuery,
  type PlaceRecord,
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
import { NearestWays } from '../../parts/nearest-ways.js';
import { labPath } from '../../parts/lab-path.js';
import { methodName, PANEL_NAMES, RULE_NAMES } from '../../words/names.js';
import { Flips } from './flips.js';
import { goingAt } from './ribbon-view.js';
import { verdictText } from '../../words/verdict-words.js';
import type { Band } from '@keen/core';
import classes from './reasons.module.css';

interface ReasonsProps {
  readonly vehicleId: string;
  readonly vehicleName: string;
  readonly band: Band;
  readonly hourIndex: number;
  /** All bands of the ribbon, to say what else goes at this hour. */
  readonly bands: readonly Band[];
  readonly places: readonly PlaceRecord[];
  readonly onChooseBand: (bandIndex: number) => void;
  /** Chooses another start of the ribbon. */
  readonly onShow: (way: NearWay) => void;
  readonly place: PlaceRecord | undefined;
  readonly format: Format;
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
      <td className="figure">
        {finding.margin === null ? '' : marginText(finding.margin, finding.unit, format)}
      </td>
    </tr>
  );
}

const GRAVITY = ['block', 'unknown', 'condition', 'clear'] as const;

/** Boundless comfort arrives as nothing. */
const comfortOf = ({ comfort, level }: Finding): number =>
  comfort ?? (level === 'clear' ? Infinity : -Infinity);

/** The gravest first, then the nearest to its limit; what is not one of degree last. */
const ranked = (findings: readonly Finding[]): Finding[] =>
  [...findings].sort(
    (a, b) =>
      GRAVITY.indexOf(a.level) - GRAVITY.indexOf(b.level) ||
      Number(a.margin === null) - Number(b.margin === null) ||
      comfortOf(a) - comfortOf(b),
  );

const SHOWN_ELSEWHERE = 4;

/** What else goes at this hour, where this one goes on condition. */
function SameHour({ band, bands, hourIndex, places, format, onChooseBand }: ReasonsProps) {
  const others = goingAt(bands, hourIndex).filter((bandIndex) => bands[bandIndex] !== band);
  if (others.length === 0 || band.cells[hourIndex]?.verdict !== 'go-if') return null;
  return (
    <div className={classes.elsewhere}>
      <strong>At this hour instead</strong>
      <ul className={classes.sameHour}>
        {others.slice(0, SHOWN_ELSEWHERE).map((bandIndex) => {
          const other = bands[bandIndex];
          const cell = other?.cells[hourIndex];
          if (!other || !cell) return null;
          const name = places.find(({ id }) => id === other.placeId)?.name ?? other.placeId;
          return (
            <li key={bandIndex}>
              <button type="button" onClick={() => onChooseBand(bandIndex)}>
                {name}, {methodName(other.methodId)}
              </button>{' '}
              {verdictText(cell.verdict, cell.limiting, format)}
            </li>
          );
        })}
      </ul>
    </div>
  );
}

/** Where it does not go: what comes nearest, each one tap from being planned. */
function Nearest({ vehicleId, vehicleName, band, bands, hourIndex, places, onShow }: ReasonsProps) {
  const cell = band.cells[hourIndex];
  if (!cell || cell.verdict === 'go' || cell.verdict === 'go-if') return null;
  const { placeId, methodId } = band;
  const ways = nearestWays(bands, { placeId, methodId, startMs: cell.startMs }).filter(
    (way) => way.placeId !== placeId || way.methodId !== methodId || way.startMs !== cell.startMs,
  );
  return (
    <div className={classes.elsewhere}>
      <strong>
        {ways.some(({ verdict }) => verdict.startsWith('go')) ? 'Nearest that goes' : 'Nothing goes; nearest'}
      </strong>
      <NearestWays
        vehicleId={vehicleId}
        vehicleName={vehicleName}
        ways={ways}
        places={places}
        onShow={onShow}
      />
    </div>
  );
}

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
  const startMs = cell ? cell.startMs + cell.delayMinutes * 60_000 : 0;
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
        {cell.blockedShare !== null && (
          <p className="muted">
            {cell.blockedShare === 0
              ? 'All forecasts agree.'
              : `Fails in ${format.share(cell.blockedShare)} of the forecasts.`}
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
