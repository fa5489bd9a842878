import { Button } from '@mantine/core';
import {
  busyOf,
  type PricedOption,
  ruleOf,
  type SeasonJobId,
  MS_PER_MINUTE,
  type PlaceRecord,
  type PlanView,
  type VehicleRecord,
} from '@keen/core';
import { IconLock, IconLockOpen, IconPlayerPlay, IconTrash } from '@tabler/icons-react';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { Format } from '../../format/format.js';
import { Glyph } from '../../parts/glyph.js';
import { SeasonChips } from '../../parts/season-chips.js';
import { methodName, nameOf, seasonJobsText } from '../../words/names.js';
import { chanceText, fallbackText, moveCostText } from '../../words/plan-words.js';
import { alsoIfText, verdictText } from '../../words/verdict-words.js';
import { wayBeside } from '../../words/way-words.js';
import shared from './plan.module.css';
import classes from './wash-panel.module.css';
import type { Block } from './plan-view.js';
import type { Drag } from './use-drag.js';

interface WashPanelProps {
  readonly block: Block;
  readonly view: PlanView;
  readonly places: readonly PlaceRecord[];
  readonly vehicles: readonly VehicleRecord[];
  readonly format: Format;
  readonly drag: Drag;
  readonly onLock: (block: Block) => void;
  readonly onStart: (block: Block) => void;
  readonly onRemove: (block: Block) => void;
  readonly onExtras: (block: Block, extras: readonly SeasonJobId[]) => void;
  readonly onMove: (to: PricedOption) => void;
  /** Takes what is proposed into the plan; null while the plan is recalculated. */
  readonly onAccept: ((block: Block) => void) | null;
  readonly onClose: () => void;
}

function Alternatives({ block, places, format, onMove }: WashPanelProps) {
  if (block.alternatives.length === 0) return null;
  return (
    <>
      <h4>Next best</h4>
      <ul className={shared.options}>
        {block.alternatives.map((option) => (
          <li key={`${option.window.placeId} ${option.window.methodId} ${option.window.startMs}`}>
            <span>
              <strong>{format.dayTime(option.window.startMs)}</strong>,{' '}
              {nameOf(places, option.window.placeId)}, {methodName(option.window.methodId)}
              <br />
              <span className="muted">
                costs the plan <span className="figure">{format.money(option.costMinor)}</span>
                {option.pushesOut.length > 0 && ', and another car gives way'}
              </span>
            </span>
            {option.pushesOut.length === 0 && (
              <Button size="compact-sm" variant="default" onClick={() => onMove(option)}>
                {block.washId === null ? 'Plan' : 'Move'}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

function Acts({ block, onLock, onStart, onRemove, onAccept }: WashPanelProps) {
  if (!block.wash)
    return (
      <div className={`${classes.acts} no-print`}>
        <Button color="lamp.3" disabled={onAccept === null} onClick={() => onAccept?.(block)}>
          Accept this one
        </Button>
      </div>
    );
  const { isLocked, startedMs } = block.wash;
  return (
    <div className={`${classes.acts} no-print`}>
      <Button
        variant="default"
        leftSection={isLocked ? <IconLockOpen size={16} /> : <IconLock size={16} />}
        onClick={() => onLock(block)}
      >
        {isLocked ? 'Unlock' : 'Lock'}
      </Button>
      <Button variant="default" leftSection={<IconPlayerPlay size={16} />} onClick={() => onStart(block)}>
        {startedMs === null ? 'Mark started' : 'Mark not started'}
      </Button>
      <Button variant="default" leftSection={<IconTrash size={16} />} onClick={() => onRemove(block)}>
        Remove from plan
      </Button>
    </div>
  );
}

/** Work of the season in the same visit: as proposed, or to be chosen for a wash that stands in the plan. */
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
      <summary>Work of the season{extras.length > 0 ? `: ${seasonJobsText(extras)}` : ''}</summary>
      <SeasonChips value={extras} onChange={(chosen) => onExtras(block, chosen)} />
    </details>
  );
}

const busyWith = ({ wash, ...work }: Block, places: readonly PlaceRecord[]) =>
  busyOf({ ...work, isBegun: wash !== null && wash.startedMs !== null }, places);

/** From when to when it takes its hands, where that is more than the wash. */
function Away({ block, places, format }: WashPanelProps) {
  const place = places.find(({ id }) => id === block.placeId);
  const { fromMs, toMs } = busyWith(block, places);
  if (!place || (fromMs === block.startMs && toMs === block.endMs)) return null;
  const queue = (toMs - block.endMs) / MS_PER_MINUTE - place.travelMinutes;
  return (
    <p className="muted">
      Away from {format.time(fromMs)} to {format.time(toMs)}: the way there and back,{' '}
      <span className="figure">{format.minutes(place.travelMinutes)}</span> each
      {queue > 0 && (
        <>
          , and about <span className="figure">{format.minutes(queue)}</span> in the queue at that hour
        </>
      )}{' '}
      (both as set for the place).
    </p>
  );
}

/** What was promised to the customer, and whether this start keeps it. */
function Promise({ block, view, places, format }: WashPanelProps) {
  const period = view.choices.find(
    ({ vehicleId, window }) => vehicleId === block.vehicleId && window.startMs === block.startMs,
  )?.period;
  const booking = view.bookings.find(
    ({ id, vehicleId, fromMs, readyByMs }) =>
      id === period?.bookingId ||
      (vehicleId === block.vehicleId && block.startMs >= fromMs && block.startMs < readyByMs),
  );
  if (!booking) return null;
  const isKept = busyWith(block, places).toMs <= booking.readyByMs;
  return (
    <p className={isKept ? undefined : classes.against}>
      Booked, ready by <strong>{format.dayTime(booking.readyByMs)}</strong>
      {isKept ? '' : ', which this start does not keep'}
      {booking.note && <span className="muted"> · {booking.note}</span>}
    </p>
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
            <span>
              {verdictText(window.verdict, window.limiting, format)}
              {window.failures && <span className="muted"> · {chanceText(window.failures)}</span>}
            </span>
          </p>
          {window.otherConditions.length > 0 && <p>And if {alsoIfText(window.otherConditions, format)}.</p>}
          {wayBeside(window.wayId, window.limiting) && <p>{wayBeside(window.wayId, window.limiting)}</p>}
          {worthMinor !== null && (
            <p className="muted">
              Worth <span className="figure">{format.money(worthMinor)}</span> to the plan; saves{' '}
              <span className="figure">{window.activeHoursSaved.toFixed(1)}</span> active salt hours
              (estimated).
            </p>
          )}
        </>
      ) : (
        <p className={classes.against}>It does not go there now, or the forecast does not reach so far.</p>
      )}
      <Away {...props} />
      <Promise {...props} />
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
