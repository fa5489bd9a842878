import type { Band } from '@keen/core';
import { memo, type ReactNode, useMemo } from 'react';
import { Link } from 'react-router';
import type { Format } from '../../format/format.js';
import { moveCostText } from '../../words/plan-words.js';
import margins from './margins.module.css';
import shared from './plan.module.css';
import classes from './strip.module.css';
import { type DayStrip, shareOf } from './plan-view.js';
import { marginsOn, targetGrade } from './margins.js';
import { type DropTarget, laneOf, type LaneKind } from './drop-targets.js';

export interface Lane {
  readonly id: string;
  readonly name: string;
}

/** What stands on a lane, and in how many rows. */
export interface LaneBlocks {
  readonly blocks: readonly ReactNode[];
  readonly rows: number;
}

interface StripProps {
  readonly strip: DayStrip;
  readonly lanes: readonly Lane[];
  readonly kind: LaneKind;
  readonly nowMs: number;
  readonly format: Format;
  /** Where what is in hand may be put down. */
  readonly targets: readonly DropTarget[];
  readonly target: DropTarget | null;
  readonly onDrop: (target: DropTarget) => void;
  readonly onAim: (target: DropTarget | null) => void;
  readonly blocksOn: (lane: Lane) => LaneBlocks;
  /** How the hours go on a lane for the chosen car; undefined: nothing is chosen, or it does not go there at all. */
  readonly bandOn: (lane: Lane) => Band | undefined;
  readonly isTall: boolean;
}

/** One day: its hours, its light, a lane for each place or pair of hands. */
export function Strip(props: StripProps) {
  const { strip, lanes, format, nowMs, isTall } = props;
  const isToday = nowMs >= strip.fromMs && nowMs < strip.toMs;
  return (
    <section className={shared.strip} data-tall={isTall || undefined} aria-label={format.day(strip.fromMs)}>
      <StripHead strip={strip} format={format} />
      {lanes.map((lane) => (
        <LaneRow key={lane.id} {...props} lane={lane} />
      ))}
      {isToday && (
        <div className={classes.nowHolder} aria-hidden="true">
          <div className={classes.now} style={{ left: `${shareOf(strip, nowMs) * 100}%` }} />
        </div>
      )}
    </section>
  );
}

/** Day and hours; they stay as they are while something is dragged over the board. */
const StripHead = memo(function StripHead({ strip, format }: Pick<StripProps, 'strip' | 'format'>) {
  return (
    <header className={classes.stripHead}>
      <h3>
        <Link to={`/plan?day=${strip.key}`}>{format.dayShort(strip.fromMs)}</Link>
      </h3>
      <div className={`${classes.axis} figure`} aria-hidden="true">
        {strip.hoursMs.map((atMs) => (
          <span key={atMs} style={{ left: `${shareOf(strip, atMs) * 100}%` }}>
            {format.hourOfDay(atMs)}
          </span>
        ))}
      </div>
    </header>
  );
});

/** How the hours go, under a lane: faint near the limit, full far from it. */
const Margins = memo(function Margins({ strip, band }: { readonly strip: DayStrip; readonly band: Band }) {
  return marginsOn(strip, band).map(({ startMs, endMs, verdict, comfort }) => (
    <div
      key={startMs}
      className={margins.margin}
      data-verdict={verdict}
      style={{
        left: `${shareOf(strip, startMs) * 100}%`,
        width: `${(shareOf(strip, endMs) - shareOf(strip, startMs)) * 100}%`,
        ['--comfort' as string]: comfort,
      }}
    />
  ));
});

function LaneRow({
  strip,
  lane,
  kind,
  targets,
  target,
  format,
  onDrop,
  onAim,
  blocksOn,
  bandOn,
}: StripProps & { readonly lane: Lane }) {
  // Worked out once for what is in hand, so that aiming redraws little.
  const here = useMemo(
    () =>
      targets
        .filter(
          (candidate) =>
            laneOf(kind, candidate) === lane.id &&
            candidate.startMs >= strip.fromMs &&
            candidate.startMs < strip.toMs,
        )
        .map((candidate) => ({
          candidate,
          grade: targetGrade(candidate.costMinor, targets),
          style: {
            left: `${shareOf(strip, candidate.startMs) * 100}%`,
            width: `${(shareOf(strip, candidate.endMs) - shareOf(strip, candidate.startMs)) * 100}%`,
          },
          label: `Put it here: ${format.dayTime(candidate.startMs)}, ${moveCostText(candidate.costMinor, format)}`,
        })),
    [targets, kind, lane.id, strip, format],
  );
  const { blocks, rows } = blocksOn(lane);
  const band = bandOn(lane);
  const night = [
    { from: 0, to: strip.sunriseMs === null ? 0 : shareOf(strip, strip.sunriseMs) },
    { from: strip.sunsetMs === null ? 1 : shareOf(strip, strip.sunsetMs), to: 1 },
  ];
  return (
    <div className={classes.lane}>
      <div className={classes.laneName}>{lane.name}</div>
      <div
        className={shared.track}
        data-lane={lane.id}
        data-used={blocks.length > 0 || undefined}
        data-from={strip.fromMs}
        data-to={strip.toMs}
        style={{ ['--hours' as string]: strip.hoursMs.length, ['--rows' as string]: rows }}
      >
        {night.map(({ from, to }) => (
          <div
            key={from}
            className={classes.night}
            style={{ left: `${from * 100}%`, width: `${(to - from) * 100}%` }}
          />
        ))}
        {band && <Margins strip={strip} band={band} />}
        {here.map(({ candidate, grade, style, label }) => (
          <button
            key={candidate.key}
            type="button"
            tabIndex={-1}
            className={classes.target}
            data-grade={grade}
            data-aimed={candidate.key === target?.key || undefined}
            style={style}
            aria-label={label}
            onClick={() => onDrop(candidate)}
            onPointerEnter={() => onAim(candidate)}
          />
        ))}
        {blocks}
      </div>
    </div>
  );
}
