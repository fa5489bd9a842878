import { Button } from '@mantine/core';
import { ruleOf } from '@keen/core';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { Glyph } from '../../parts/glyph.js';
import { SeasonChips } from '../../parts/season-chips.js';
import { seasonJobsText } from '../../words/car-names.js';
import { methodName, nameOf } from '../../words/names.js';
import { chanceText, fallbackText, moveCostText, worthText } from '../../words/plan-words.js';
import { alsoIfText, verdictText } from '../../words/verdict-words.js';
import { wayBeside } from '../../words/way-words.js';
import { OneVisit } from './one-visit.js';
import shared from './plan.module.css';
import { Acts, Alternatives } from './wash-acts.js';
import type { WashPanelProps } from './wash-panel-props.js';
import classes from './wash-panel.module.css';
import { MarginGauge } from '../../parts/margin-gauge.js';
import { Away, Promised } from './wash-times.js';

/** Seasonal jobs in the same visit: as proposed, or to be chosen for a wash that stands in the plan. */
function SeasonWork({ block, format, onExtras }: WashPanelProps) {
  const proposed = block.window?.extras;
  if (!block.wash)
    return proposed && proposed.jobIds.length > 0 ? (
      <p>
        With {seasonJobsText(proposed.jobIds)}: {format.minutes(proposed.minutes)} more, worth{' '}
        <span className="figure">{format.money(block.window?.value.seasonMinor ?? 0)}</span> beyond what it
        takes (judgement).
      </p>
    ) : null;
  const { extras } = block.wash;
  return (
    <details className="no-print" open={extras.length > 0}>
      <summary>Seasonal jobs{extras.length > 0 ? `: ${seasonJobsText(extras)}` : ''}</summary>
      <SeasonChips value={extras} onChange={(chosen) => onExtras(block, chosen)} />
    </details>
  );
}

/** Where what is in hand would fall, before it is let go. */
function Aim({ block, drag, places, format }: WashPanelProps) {
  if (drag.dragged?.block?.key !== block.key) return null;
  if (drag.isLoading) return <p className="muted">Looking where else it goes …</p>;
  if (!drag.target)
    return (
      <p className={`${classes.keys} muted`}>
        Drag it, or move it with the arrow keys, to where it goes; Enter puts it down, Escape leaves it.
      </p>
    );
  const { option, costMinor } = drag.target;
  const { window } = option;
  return (
    <p className={classes.aim}>
      <strong>{format.dayTime(window.startMs)}</strong>, {nameOf(places, window.placeId)},{' '}
      {methodName(window.methodId)}: <strong>{moveCostText(costMinor, format)}</strong>
      <span className="muted">
        {' '}
        · {window.failures ? chanceText(window.failures) : 'other forecasts not asked'}. Enter puts it there.
      </span>
    </p>
  );
}

/** All about one wash: what the weather says, what it is worth, what else could be. */
export function WashPanel(props: WashPanelProps) {
  const { block, view, places, vehicles, format, onClose } = props;
  const { window, worthMinor, fallback } = block;
  const panel = useRef<HTMLElement>(null);
  // On a phone it stands above the list, out of sight of the entry that was touched.
  useEffect(() => {
    const box = panel.current?.getBoundingClientRect();
    if (box && (box.bottom < 0 || box.top > globalThis.innerHeight)) panel.current?.scrollIntoView();
  }, [block.key]);
  return (
    <aside ref={panel} className={shared.panel} aria-label="The chosen wash">
      <header>
        <h2>{nameOf(vehicles, block.vehicleId)}</h2>
        <Button size="compact-sm" variant="default" onClick={onClose}>
          Close
        </Button>
      </header>
      <p>
        <strong>
          {format.dayTime(block.startMs)} to {format.time(block.endMs)}
        </strong>
        <br />
        {nameOf(places, block.placeId)}, {methodName(block.methodId)}, {nameOf(view.workers, block.workerId)}
        {block.kind === 'proposed' && <span className="muted"> · proposed</span>}
      </p>
      {window ? (
        <>
          <p className={classes.verdict}>
            <Glyph glyph={ruleOf(window.limiting.ruleId).glyph} size={18} />
            <MarginGauge finding={window.limiting} format={format} />
            <span>
              {verdictText(window.verdict, window.limiting, format)}
              {window.failures && <span className="muted"> · {chanceText(window.failures)}</span>}
            </span>
          </p>
          {window.otherConditions.length > 0 && <p>And if {alsoIfText(window.otherConditions, format)}.</p>}
          {wayBeside(window.wayId, window.limiting) && <p>{wayBeside(window.wayId, window.limiting)}</p>}
          {worthMinor !== null && (
            <p className="muted">
              {worthText(worthMinor, format)}; salt damage avoided:{' '}
              <span className="figure">{window.activeHoursSaved.toFixed(1)}</span> h (estimated).
            </p>
          )}
        </>
      ) : (
        <p className={classes.against}>It does not go there now, or the forecast does not reach so far.</p>
      )}
      <Away {...props} />
      <Promised {...props} />
      <OneVisit {...props} />
      <SeasonWork {...props} />
      {block.missingExtras.length > 0 && (
        <p className={classes.against}>
          Agreed with the customer, but it does not go at that start: {seasonJobsText(block.missingExtras)}.
        </p>
      )}
      {fallback && <p>{fallbackText(fallback, places, format)}</p>}
      <Aim {...props} />
      <Acts {...props} />
      <Alternatives {...props} />
      {block.wash && (
        <p className={classes.more}>
          <Link to={`/run/${block.wash.id}`}>Run sheet: what to bring, in which order</Link>
        </p>
      )}
      <p className={classes.more}>
        <Link to={`/windows/${block.vehicleId}`}>All windows of this car</Link>
      </p>
    </aside>
  );
}
