import {
  ageMinutes,
  LONGEST_WATCH_MINUTES,
  type EdgeMoment,
  type PanelId,
  panelsOf,
  type RunDeed,
  type RunMoment,
  type RunPack,
  type RunState,
  sunSide,
} from '@keen/core';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { PANEL_NAMES } from '../../words/car-names.js';
import { clockText } from '../../parts/clock-text.js';
import shared from './live.module.css';
import { EDGE_WARNING_SECONDS } from './live-view.js';
import car from './edge-car.module.css';
import panels from './edge-panel.module.css';
import classes from './edge-plan.module.css';

const isUrgent = (leftSeconds: number | null | undefined): boolean =>
  typeof leftSeconds === 'number' && leftSeconds <= EDGE_WARNING_SECONDS;

interface EdgePlanProps {
  readonly pack: RunPack;
  readonly state: RunState;
  readonly moment: RunMoment;
  readonly nowMs: number;
  /** In this step panels are wetted one by one. */
  readonly mayWet: boolean;
  /** Water is being taken off. */
  readonly isDrying: boolean;
  readonly act: (...deeds: readonly RunDeed[]) => void;
}

const WHEELS = ['left-ahead', 'left-behind', 'right-ahead', 'right-behind'] as const;

const ENDS = { dries: 'dries', freezes: 'freezes', lasts: 'stays wet' } as const;

const leftText = ({ leftSeconds, ends }: EdgeMoment): string => {
  if (leftSeconds === null) return ENDS.lasts;
  return leftSeconds > 0
    ? `${ENDS[ends]} in ${clockText(leftSeconds)}`
    : ends === 'freezes'
      ? 'may be frozen'
      : 'has dried';
};

/** "measured 6 min ago". */
const measuredText = (minutes: number, format: Format): string =>
  minutes < 1 ? 'just measured' : `measured ${format.minutes(minutes)} ago`;

/** The car from above: each wet panel as a shrinking bar, the next one to wipe, and the side of the sun. */
export function EdgePlan({ pack, state, moment, nowMs, mayWet, isDrying, act }: EdgePlanProps) {
  const format = useFormat();
  const { edges } = moment;
  const first = edges.find(({ leftSeconds }) => leftSeconds !== null);
  if (edges.length === 0 && !mayWet) return null;
  const sun = sunSide(pack, nowMs);
  const press = (panel: PanelId): void =>
    act({ kind: edges.some((edge) => edge.panel === panel) ? 'wiped' : 'wet', panel });
  return (
    <section className={shared.plan} aria-label="Time before each panel dries or freezes">
      {first ? (
        <p className={classes.wipeNext} data-ends={first.ends}>
          {isDrying ? 'Wipe the ' : 'First: '}
          <strong>{PANEL_NAMES[first.panel]}</strong>
          <span className="figure">{clockText(first.leftSeconds ?? 0)}</span>
        </p>
      ) : (
        <p className={shared.kicker}>
          {edges.length > 0
            ? `What is wet stays so for more than ${format.minutes(LONGEST_WATCH_MINUTES)}`
            : 'Nothing is wet; tap a panel when you wet it'}
        </p>
      )}
      <div className={car.car} data-body={pack.vehicle.bodyClass} data-sun={sun ?? undefined}>
        {WHEELS.map((wheel) => (
          <span key={wheel} className={car.wheel} data-wheel={wheel} aria-hidden />
        ))}
        {panelsOf(pack.vehicle.bodyClass).map(({ id }) => {
          const edge = edges.find(({ panel }) => panel === id);
          const isWiped = state.wiped.has(id);
          return (
            <button
              key={id}
              type="button"
              className={panels.panel}
              style={{ gridArea: id }}
              data-panel={id}
              data-state={edge ? 'wet' : isWiped ? 'wiped' : 'dry'}
              data-ends={edge?.ends}
              data-first={first?.panel === id || undefined}
              data-urgent={isUrgent(edge?.leftSeconds) || undefined}
              onClick={() => press(id)}
              aria-label={`${PANEL_NAMES[id]}: ${edge ? `${leftText(edge)}; tap when wiped` : `${isWiped ? 'wiped' : 'dry'}; tap when wetted`}`}
            >
              <span className={panels.level} style={{ height: `${(edge?.share ?? 0) * 100}%` }} aria-hidden />
              <span>{PANEL_NAMES[id]}</span>
              <span className="figure">
                {edge
                  ? edge.leftSeconds === null
                    ? 'wet'
                    : clockText(edge.leftSeconds)
                  : isWiped
                    ? '✓'
                    : ''}
              </span>
            </button>
          );
        })}
        {sun && <span className={car.sun}>sun</span>}
      </div>
      <p className="muted">
        {state.readings.length === 0
          ? 'Estimated from the forecast; a reading under More moves it.'
          : state.readings
              .map(
                ({ of, tempC, atMs }) =>
                  `${of === 'air' ? 'Air' : PANEL_NAMES[of]} ${format.temp(tempC)}, ${measuredText(ageMinutes(atMs, nowMs), format)}`,
              )
              .join('; ')}
      </p>
    </section>
  );
}
