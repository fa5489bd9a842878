import { longestMinutes, type WashStep, type WashStepId } from '../method/index.js';
import type { Place } from '../place/index.js';
import type { PanelId } from '../vehicle/index.js';
import { panelAir } from './panel-air.js';
import type { Track, WashCase } from './tracks.js';
import { type Waited, waitsThrough, type WashHours } from './waits-through.js';

/** A wait of what lies on a panel, and what ends it sooner. */
export interface WaitOutcome {
  readonly panel: PanelId;
  /** Until it freezes or dries; null: not while it was watched. */
  readonly minutes: number | null;
  /** Until a hand, a towel or water comes to it; 0: none does. */
  readonly needed: number;
  /** The step that put it there. */
  readonly step: WashStepId | null;
}

/** What dries on a panel, and how warm that gets under it. */
export interface DryOutcome extends WaitOutcome {
  readonly filmGramsPerM2: number;
  readonly warmestC: number;
}

/** What the water does on the car through a wash: of each kind of wait the one that is in most danger. */
export interface WaterOutcome {
  readonly ice: WaitOutcome;
  /** Of the last water: on paint and plastic, and on glass, which shows spots sooner; null: there is none. */
  readonly dry: DryOutcome;
  readonly dryGlass: DryOutcome | null;
  readonly coldest: { readonly panel: PanelId; readonly tempC: number };
  /** What dries on before it is rinsed. */
  readonly product: WaitOutcome;
  /** What stays on longest against its label: `minutes` is what the label allows, `needed` how long it lies there; null: no label says. */
  readonly label: WaitOutcome | null;
  /** Sun on the brightest and on the dimmest upright panel. */
  readonly sun: { readonly panel: PanelId; readonly brightestWm2: number; readonly dimmestWm2: number };
}

/** How near a wait came to its end: what is left of it over what it needs; never: the more the longer it was watched. */
const slack = (minutes: number | null, needed: number): number => {
  if (needed === 0) return minutes ?? Infinity;
  return minutes === null ? Infinity : minutes / needed;
};

/** Is this wait in more danger than the one that was worst so far? */
const isWorse = (worst: WaitOutcome | null, minutes: number | null, needed: number): boolean =>
  !worst || slack(minutes, needed) < slack(worst.minutes, worst.needed);

interface Worst {
  ice: WaitOutcome | null;
  dry: DryOutcome | null;
  dryGlass: DryOutcome | null;
  product: WaitOutcome | null;
  label: WaitOutcome | null;
  coldest: { panel: PanelId; tempC: number } | null;
}

/** One wetting of a piece, and what became of it. */
interface OnPiece {
  readonly track: Track;
  readonly waited: Waited;
}

const stepIdOf = ({ track, waited }: OnPiece, steps: readonly WashStep[]): WashStepId | null =>
  steps[track.events[waited.wait.event]?.step ?? -1]?.id ?? null;

function take(worst: Worst, one: OnPiece, steps: readonly WashStep[]): void {
  const { track, waited } = one;
  const { wait, iceMinutes, dryMinutes, lowestC } = waited;
  const panel = track.panel.id;
  const needed = wait.toTouch ?? 0;
  if (wait.toTouch !== null || wait.isLast) {
    if (isWorse(worst.ice, iceMinutes, needed))
      worst.ice = { panel, minutes: iceMinutes, needed, step: stepIdOf(one, steps) };
    if (!worst.coldest || lowestC < worst.coldest.tempC) worst.coldest = { panel, tempC: lowestC };
  }
  if (wait.toOff !== null && isWorse(worst.product, dryMinutes, wait.toOff))
    worst.product = { panel, minutes: dryMinutes, needed: wait.toOff, step: stepIdOf(one, steps) };
  takeLabel(worst, one, steps);
  if (!wait.isLast) return;
  const kind = track.panel.material === 'glass' ? 'dryGlass' : 'dry';
  const { filmGramsPerM2, highestC } = waited;
  // What is left dries everywhere in the end: the most water leaves the most behind.
  const isHeavier = filmGramsPerM2 > (worst[kind]?.filmGramsPerM2 ?? -1);
  if (needed === 0 ? !isHeavier : !isWorse(worst[kind], dryMinutes, needed)) return;
  worst[kind] = {
    panel,
    minutes: dryMinutes,
    needed,
    step: stepIdOf(one, steps),
    filmGramsPerM2,
    warmestC: highestC,
  };
}

function takeLabel(
  worst: Worst,
  { track: { panel, events }, waited: { wait } }: OnPiece,
  steps: readonly WashStep[],
): void {
  const step = steps[events[wait.event]?.step ?? -1];
  if (wait.toOff === null || !step) return;
  const longest = longestMinutes(step);
  if (longest !== null && isWorse(worst.label, longest, wait.toOff))
    worst.label = { panel: panel.id, minutes: longest, needed: wait.toOff, step: step.id };
}

const NOTHING: WaitOutcome = { panel: 'roof', minutes: null, needed: 0, step: null };

function sunOn(
  pieces: readonly { readonly track: Track }[],
  place: Place,
  hours: WashHours,
): WaterOutcome['sun'] {
  let panel: PanelId = 'roof';
  let brightestWm2 = 0;
  let dimmestWm2 = Infinity;
  for (const {
    track: { panel: one, surface },
  } of pieces)
    for (const { site } of hours) {
      if (site.isDriven) continue;
      const { solarWm2 } = panelAir(place, surface, site);
      if (solarWm2 > brightestWm2) {
        brightestWm2 = solarWm2;
        panel = one.id;
      }
      if (solarWm2 < dimmestWm2) dimmestWm2 = solarWm2;
    }
  return { panel, brightestWm2, dimmestWm2: Math.min(dimmestWm2, brightestWm2) };
}

/** The outcome of the pieces, each wetting of each weighed against the others. */
export function outcomeOf(
  pieces: readonly { readonly track: Track; readonly waited: readonly Waited[] }[],
  { place, method }: Pick<WashCase, 'place' | 'method'>,
  hours: WashHours,
): WaterOutcome {
  const worst: Worst = { ice: null, dry: null, dryGlass: null, product: null, label: null, coldest: null };
  for (const { track, waited } of pieces)
    for (const one of waited) take(worst, { track, waited: one }, method.steps);
  return {
    ice: worst.ice ?? NOTHING,
    dry: worst.dry ?? { ...NOTHING, filmGramsPerM2: 0, warmestC: -Infinity },
    dryGlass: worst.dryGlass,
    product: worst.product ?? NOTHING,
    label: worst.label,
    coldest: worst.coldest ?? { panel: 'roof', tempC: hours[0].site.air.airTempC },
    sun: sunOn(pieces, place, hours),
  };
}

/**
 * What does the water do on this car, washed so in these hours?
 *
 * @param tracks of the method in its way
 * @returns of each kind of wait the one in most danger: ice before something rubs the panel, the last water before it is wiped, a
 * product before it is rinsed off
 * Model: `PanelWash` for every piece of the car
 */
export const waterOutcome = (
  tracks: readonly Track[],
  of: Pick<WashCase, 'place' | 'method'>,
  hours: WashHours,
): WaterOutcome =>
  outcomeOf(
    tracks.map((track) => ({ track, waited: waitsThrough(track, { place: of.place, hours }) })),
    of,
    hours,
  );
