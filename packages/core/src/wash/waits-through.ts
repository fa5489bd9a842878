import { saturationOverWaterPa } from '../air/index.js';
import type { Place } from '../place/index.js';
import { SECONDS_PER_MINUTE } from '../quantity/index.js';
import { type PanelAir, panelAir, type PlaceHour } from './panel-air.js';
import type { ClimateFrom } from './panel-deed.js';
import { PanelWash } from './panel-wash.js';
import type { Track } from './tracks.js';
import type { Wait } from './waits-of.js';

/** Light and air at the place from a minute of the wash on. */
export interface HourFrom {
  readonly fromMinute: number;
  readonly site: PlaceHour;
}
export type WashHours = readonly [HourFrom, ...HourFrom[]];

/** What became of one wetting. */
export interface Waited {
  readonly wait: Wait;
  readonly iceMinutes: number | null;
  readonly dryMinutes: number | null;
  readonly lowestC: number;
  readonly highestC: number;
  /** What lies there just after, g/m², and how warm it is, °C. */
  readonly filmGramsPerM2: number;
  readonly startC: number;
}

/** How a piece is looked at. */
export interface Look {
  /** How much warmer the panels were found, K. */
  readonly panelK?: number;
  /** Watches at least so long, minutes, for those who want to be told when and not only whether in time. */
  readonly watchMinutes?: number;
}

/** What surrounds a piece of the car from a minute of the wash on. */
export interface AirFrom extends ClimateFrom {
  readonly air: PanelAir;
}

export const airsOf = (
  place: Place,
  { surface }: Pick<Track, 'surface'>,
  hours: WashHours,
): readonly [AirFrom, ...AirFrom[]] => {
  const at = ({ fromMinute, site }: HourFrom): AirFrom => {
    const air = panelAir(place, surface, site);
    return { fromMinute, climate: air.climate, air };
  };
  const first = at(hours[0]);
  return hours.length === 1 ? [first] : [first, ...hours.slice(1).map(at)];
};

/** The most that leaves a panel no warmer than this in some minutes, kg/m². */
function mostLeaving(air: PanelAir, panelC: number, minutes: number): number {
  const tempC = Math.max(panelC, air.dryC);
  return air.climate.evaporation(saturationOverWaterPa(tempC), tempC) * minutes * SECONDS_PER_MINUTE;
}

/** Does nothing happen to this film in so many minutes, whatever comes: it cannot freeze there, nor dry so soon? */
export const isSafeFilm = (
  { tempC, waterKg }: Pick<PanelWash, 'tempC' | 'waterKg'>,
  minutes: number,
  air: PanelAir,
): boolean => tempC > 0 && air.keepsLiquid && mostLeaving(air, tempC, minutes) < waterKg;

function isSafe(panel: PanelWash, minutes: number, airs: readonly AirFrom[]): boolean {
  return panel.iceKg === 0 && airs.every(({ air }) => isSafeFilm(panel, minutes, air));
}

/** How the film fares if nothing comes to it: from where the panel stands now, up to its watch. */
function watched(
  panel: PanelWash,
  wait: Wait,
  {
    fromMinute,
    airs,
    watchMinutes,
    twin,
  }: {
    readonly fromMinute: number;
    readonly airs: readonly AirFrom[];
    readonly watchMinutes: number;
    /** Another of the same panel, to be followed on. */
    readonly twin: () => PanelWash;
  },
): PanelWash {
  // Water that more water comes to, and no hand before it, decides nothing.
  if (wait.toTouch === null && wait.toOff === null && !wait.isLast) return panel;
  // What is left to freeze thin is followed to its coldest.
  const isLeft = wait.isLast && wait.toTouch === null;
  const minutes = Math.max(wait.watchMinutes, watchMinutes);
  const isKnown = panel.firstIceMinute !== null || panel.dryMinute !== null;
  if ((isKnown && !isLeft) || (!isKnown && isSafe(panel, minutes, airs))) return panel;
  const other = twin();
  other.standAs(panel);
  other.advance(fromMinute + minutes, isLeft ? 'end' : 'edge');
  return other;
}

const since = (minute: number | null, fromMinute: number): number | null =>
  minute === null ? null : minute - fromMinute;

/**
 * One piece of the car through the wash, in the light and air of its hours.
 *
 * @returns for each wetting how long until ice and until dry, if nothing came to it within its watch
 */
export function waitsThrough(
  track: Track,
  { place, hours }: { readonly place: Place; readonly hours: WashHours },
  { panelK = 0, watchMinutes = 0 }: Look = {},
): Waited[] {
  const { events, waits, material } = track;
  const airs = airsOf(place, track, hours);
  const startC = airs[0].air.dryC + panelK;
  const panel = new PanelWash(material, airs, { startC });
  let other: PanelWash | null = null;
  const twin = (): PanelWash => (other ??= new PanelWash(material, airs, { startC }));
  const found: Waited[] = [];
  let wait: Wait | null = null;
  let fromMinute = 0;
  let filmGramsPerM2 = 0;
  let beganC = startC;
  const close = (): void => {
    if (!wait) return;
    const end = watched(panel, wait, { fromMinute, airs, watchMinutes, twin });
    // Ice that is gone again when a hand comes to it hurts nothing.
    const isMelted = wait.toTouch !== null && panel.firstIceMinute !== null && !panel.hasIce;
    found.push({
      wait,
      iceMinutes: isMelted ? null : since(end.firstIceMinute, fromMinute),
      dryMinutes: since(end.dryMinute, fromMinute),
      lowestC: end.lowestTempC,
      highestC: end.highestTempC,
      filmGramsPerM2,
      startC: beganC,
    });
    wait = null;
  };
  let next = 0;
  for (let i = 0; i < events.length; i += 1) {
    const event = events[i];
    // Behind the last wait nothing is asked any more.
    if (!event || (next >= waits.length && !wait)) break;
    panel.advance(event.atMinute);
    close();
    panel.do(event.deed);
    if (waits[next]?.event !== i) continue;
    wait = waits[next] ?? null;
    next += 1;
    fromMinute = event.atMinute;
    filmGramsPerM2 = panel.waterKg * 1000;
    beganC = panel.tempC;
  }
  close();
  return found;
}
