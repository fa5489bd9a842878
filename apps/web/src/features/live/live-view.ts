import {
  type DwellMoment,
  type LiveStep,
  meterStopsWith,
  type RunAction,
  type RunDeed,
  type RunMoment,
  type RunState,
  type SkipReason,
  standingActions,
  takesOff,
} from '@keen/core';

/** What the large button does. */
export type MainTap =
  | { readonly kind: 'start' }
  | {
      readonly kind: 'begin' | 'done';
      readonly step: LiveStep;
      /** The step that begins with the same tap; null: nothing does. */
      readonly then: LiveStep | null;
      readonly deeds: readonly RunDeed[];
      /** Products that this takes off before they have worked. */
      readonly tooSoon: readonly DwellMoment[];
    }
  | { readonly kind: 'close' }
  | { readonly kind: 'closed' };

const beginDeeds = (step: LiveStep, meterIsOn: boolean): RunDeed[] => [
  { kind: 'begin', step: step.key },
  ...(step.step.dwell ? [{ kind: 'product-on', step: step.key, part: '' } as const] : []),
  ...(step.step.onMeter && !meterIsOn ? [{ kind: 'meter-on' } as const] : []),
];

const unworked = (step: LiveStep, { dwells }: RunMoment): DwellMoment[] =>
  dwells.filter((dwell) => dwell.earliestInSeconds > 0 && takesOff(step.step, dwell.step.step));

/** Begins at once with the end of the one before it: nothing has to work first, and no money begins to run. */
const followsAtOnce = (next: LiveStep, moment: RunMoment): boolean =>
  unworked(next, moment).length === 0 && (!next.step.onMeter || moment.meter?.isOn === true);

/**
 * What is most likely to be done next, in one tap.
 *
 * @param staysHere the hands go on with this car; false: with another, so that nothing begins here with the end of a step
 */
export function mainTap(state: RunState, moment: RunMoment, staysHere = true): MainTap {
  if (state.phase === 'not-begun') return { kind: 'start' };
  if (state.phase === 'closed') return { kind: 'closed' };
  const { current, next, meter } = moment;
  const meterIsOn = meter?.isOn ?? false;
  if (current) {
    const stops = meterStopsWith(state, current.key);
    const follows = next && followsAtOnce(next, moment) && !(stops && next.step.onMeter);
    const then = staysHere && follows ? next : null;
    const deeds: RunDeed[] = [
      { kind: 'end', step: current.key },
      ...(stops ? [{ kind: 'meter-off' } as const] : []),
      ...(then ? beginDeeds(then, meterIsOn && !stops) : []),
    ];
    return { kind: 'done', step: current, then, deeds, tooSoon: unworked(current, moment) };
  }
  if (!next) return { kind: 'close' };
  return {
    kind: 'begin',
    step: next,
    then: null,
    deeds: beginDeeds(next, meterIsOn),
    tooSoon: unworked(next, moment),
  };
}

/** Skips a step, and stops the meter where nothing paid comes after it. */
export const skipDeeds = (state: RunState, step: LiveStep, reason: SkipReason): RunDeed[] => [
  { kind: 'skip', step: step.key, reason },
  ...(meterStopsWith(state, step.key) ? [{ kind: 'meter-off' } as const] : []),
];

/** Panels in reach of the thumb are wetted one by one in a step that goes section by section. */
const BY_SECTION: ReadonlySet<string> = new Set(['rinseless', 'spray-wipe', 'strip', 'seal']);
export const wetsBySection = (step: LiveStep | null): boolean =>
  step !== null && BY_SECTION.has(step.step.id);

/** Steps in which water is taken off. */
const DRIES: ReadonlySet<string> = new Set(['blow', 'towel', 'rinseless', 'spray-wipe']);
export const isDrying = (step: LiveStep | null): boolean => step !== null && DRIES.has(step.step.id);

export type Alarm = 'worked' | 'dries-soon' | 'over' | 'meter-low' | 'wipe-soon';

const DWELL_WARNING_SECONDS = 60;
const METER_WARNING_SECONDS = 20;
export const EDGE_WARNING_SECONDS = 60;

const passes = (before: number | null | undefined, now: number | null, limit: number): boolean =>
  before !== null && before !== undefined && now !== null && before > limit && now <= limit;

/** What became due between two looks at the same run. */
export function alarmsBetween(before: RunMoment | null, now: RunMoment): Alarm[] {
  if (!before) return [];
  const dwells = now.dwells.flatMap((dwell): Alarm[] => {
    const then = before.dwells.find(({ timer }) => timer.id === dwell.timer.id);
    if (!then || dwell.isComingOff) return [];
    return [
      ...(passes(then.earliestInSeconds, dwell.earliestInSeconds, 0) ? (['worked'] as const) : []),
      ...(passes(then.latestInSeconds, dwell.latestInSeconds, DWELL_WARNING_SECONDS)
        ? (['dries-soon'] as const)
        : []),
      ...(passes(then.latestInSeconds, dwell.latestInSeconds, 0) ? (['over'] as const) : []),
    ];
  });
  const edges = now.edges.flatMap(({ panel, leftSeconds }): Alarm[] => {
    const then = before.edges.find((one) => one.panel === panel);
    return passes(then?.leftSeconds, leftSeconds, EDGE_WARNING_SECONDS) ? ['wipe-soon'] : [];
  });
  const isLow =
    now.meter?.isOn &&
    before.meter?.isOn &&
    passes(before.meter.leftSeconds, now.meter.leftSeconds, METER_WARNING_SECONDS);
  return [...new Set([...dwells, ...(isLow ? (['meter-low'] as const) : []), ...edges])];
}

/** Whether the run is under way, as far as its actions tell. */
export function phaseOf(actions: readonly RunAction[]): RunState['phase'] {
  const standing = standingActions(actions);
  if (standing.some(({ deed }) => deed.kind === 'close')) return 'closed';
  return standing.some(({ deed }) => deed.kind === 'start') ? 'running' : 'not-begun';
}
