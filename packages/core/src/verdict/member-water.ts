import { heatCapacityOf, WATER_HEAT_J_PER_KG_K } from '../film/index.js';
import type { Place } from '../place/index.js';
import {
  airsOf,
  isSafeFilm,
  panelAir,
  PanelWash,
  type Track,
  type Waited,
  type WaitOutcome,
  type WashHours,
  type WaterLimits,
  type WaterOutcome,
} from '../wash/index.js';
import type { PlaceWeather } from './place-weather.js';

/** A wait that ice or drying may end too soon. */
export interface InDanger {
  readonly what: 'ice' | 'dry' | 'dryGlass' | 'product';
  readonly track: Track;
  readonly waited: Waited;
  readonly needed: number;
}

type Piece = { readonly track: Track; readonly waited: readonly Waited[] };

const slack = (minutes: number | null, needed: number): number =>
  minutes === null ? Infinity : minutes / Math.max(needed, 1e-9);

/** The wait of each kind that another course of the weather is asked about: the nearest to its end, else the longest. */
export function inDanger(pieces: readonly Piece[]): InDanger[] {
  const best = new Map<InDanger['what'], InDanger & { readonly slack: number }>();
  const offer = (one: InDanger, minutes: number | null): void => {
    const known = best.get(one.what);
    const mine = slack(minutes, one.needed);
    const isWorse =
      !known ||
      mine < known.slack ||
      (mine === known.slack && (one.needed > known.needed || one.waited.lowestC < known.waited.lowestC));
    if (isWorse) best.set(one.what, { ...one, slack: mine });
  };
  for (const { track, waited } of pieces)
    for (const one of waited) {
      const { wait, iceMinutes, dryMinutes } = one;
      const toTouch = wait.toTouch ?? 0;
      if (wait.toTouch !== null || wait.isLast)
        offer({ what: 'ice', track, waited: one, needed: toTouch }, iceMinutes);
      if (wait.toOff !== null) offer({ what: 'product', track, waited: one, needed: wait.toOff }, dryMinutes);
      if (wait.isLast) {
        const what = track.panel.material === 'glass' ? 'dryGlass' : 'dry';
        offer({ what, track, waited: one, needed: toTouch }, dryMinutes);
      }
    }
  return [...best.values()];
}

interface MemberCase {
  readonly place: Place;
  readonly limits: WaterLimits;
  readonly control: PlaceWeather;
  readonly member: PlaceWeather;
  /** Light and air from a minute of the wash on, counted from it. */
  readonly hoursFrom: (weather: PlaceWeather, minute: number) => WashHours | null;
}

/** A little beyond the wait with time in hand: whether it fails is asked, not by how much. */
const BEYOND_MINUTES = 0.1;

type MemberFilm = Pick<PanelWash, 'firstIceMinute' | 'dryMinute' | 'lowestTempC' | 'highestTempC'>;

/** The film of one wait under a member: its panel is as much warmer or colder as it would be dry, less what water ran over it. */
function memberFilm({ track, waited, needed }: InDanger, of: MemberCase): MemberFilm | null {
  const { wait } = waited;
  const event = track.events[wait.event];
  const atMinute = event?.atMinute ?? 0;
  const hours = of.hoursFrom(of.member, atMinute);
  const control = of.hoursFrom(of.control, atMinute);
  if (!hours || !control || !event) return null;
  const airs = airsOf(of.place, track, hours);
  const byK = airs[0].air.dryC - panelAir(of.place, track.surface, control[0].site).dryC;
  const panelJ = heatCapacityOf(track.material);
  const passesJ = event.deed.kind === 'wet' ? event.deed.passesKg * WATER_HEAT_J_PER_KG_K : 0;
  const startC = waited.startC + (byK * panelJ) / (panelJ + passesJ);
  const isLeft = wait.isLast && wait.toTouch === null;
  const watch =
    needed > 0 && !isLeft ? needed * (1 + of.limits.inHandFraction) + BEYOND_MINUTES : wait.watchMinutes;
  const filmKg = waited.filmGramsPerM2 / 1000;
  if (airs.every(({ air }) => isSafeFilm({ tempC: startC, waterKg: filmKg }, watch, air)))
    return {
      firstIceMinute: null,
      dryMinute: null,
      lowestTempC: startC,
      highestTempC: startC,
    };
  const panel = new PanelWash(track.material, airs, { startC });
  panel.do({ kind: 'wet', filmKg, passesKg: filmKg, waterTempC: Math.max(0, startC) });
  // In a second place ice may melt again before a hand comes to it.
  const mayMelt = hours.length > 1 && needed > 0 && !isLeft;
  panel.advance(mayMelt ? needed : watch, isLeft || mayMelt ? 'end' : 'edge');
  if (!mayMelt || panel.hasIce) return panel;
  const { dryMinute, lowestTempC, highestTempC } = panel;
  return { firstIceMinute: null, dryMinute, lowestTempC, highestTempC };
}

/**
 * What the water does in another course of the weather, asked of the waits that are in most danger.
 *
 * @param water as the control forecast has it; what no member changes is taken from it
 * Model: a member begins each wait from the control's panel, shifted by what the dry panel differs (judgement): only the share of members
 * that fail rests on it
 */
export function memberOutcome(
  danger: readonly InDanger[],
  water: WaterOutcome,
  of: MemberCase,
): WaterOutcome | null {
  const changed: { -readonly [K in keyof WaterOutcome]: WaterOutcome[K] } = { ...water };
  for (const one of danger) {
    const film = memberFilm(one, of);
    if (!film) return null;
    const panel = one.track.panel.id;
    const wait: WaitOutcome = { panel, minutes: null, needed: one.needed, step: null };
    if (one.what === 'ice') {
      changed.ice = { ...wait, minutes: film.firstIceMinute };
      changed.coldest = { panel, tempC: film.lowestTempC };
    } else if (one.what === 'product') changed.product = { ...wait, minutes: film.dryMinute };
    else
      changed[one.what] = {
        ...wait,
        minutes: film.dryMinute,
        filmGramsPerM2: one.waited.filmGramsPerM2,
        warmestC: film.highestTempC,
      };
  }
  return changed;
}
