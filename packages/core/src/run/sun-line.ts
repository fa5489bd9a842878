import type { Place } from '../place/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import { coverOf, incidenceDeg, irradiance, shelteredLight, sunPosition } from '../sun/index.js';
import { type PanelId, panelsOf } from '../vehicle/index.js';
import type { WetEdge } from './steps-around.js';

export const CAR_SIDES = ['left', 'right', 'front', 'rear'] as const satisfies readonly PanelId[];
export type CarSide = (typeof CAR_SIDES)[number];

/** A side of the car in the sun. */
export interface SunSpan {
  readonly side: CarSide;
  readonly fromMs: number;
  /** null: still in the sun where the look ends. */
  readonly toMs: number | null;
}

/** Which side the sun stands on while a wash is done, and when that changes. */
export interface SunLine {
  /** By their beginning; only what begins before the wash ends. */
  readonly spans: readonly SunSpan[];
  /** The flank that is in the sun while the other is not, for most of the wash; null: none. */
  readonly litFlank: 'left' | 'right' | null;
  /** Water dries on that flank while the wash goes on, so that the order of work matters. */
  readonly driesThere: boolean;
}

/** Less beam than this on a panel does not dry it sooner in a way that anybody notices, W/m² (judgement). */
const NOTICED_WM2 = 60;
const LOOK_EVERY_MS = 5 * MS_PER_MINUTE;

/** Where and when a wash is done, and the cloud of each hour. */
export interface SunLineCase {
  readonly place: Pick<Place, 'latitudeDeg' | 'longitudeDeg' | 'carHeadingDeg' | 'shelter'>;
  readonly startMs: number;
  readonly endMs: number;
  /** Sun is followed so far, to tell when it leaves a side. */
  readonly lookUntilMs: number;
  /** Of the hour of an instant, 0–1; null: not known. */
  readonly cloudAt: (atMs: number) => number | null;
  /** How long the last water lasts on each panel. */
  readonly edges: readonly WetEdge[];
}

/** The sides that a beam falls on at an instant. */
function litSides({ place, cloudAt }: SunLineCase, atMs: number): ReadonlySet<CarSide> {
  const cloudFraction = cloudAt(atMs);
  const sun = sunPosition(place, atMs);
  if (cloudFraction === null || sun.elevationDeg <= 0) return new Set();
  const light = shelteredLight(irradiance(sun, { cloudFraction, atMs }), coverOf(place.shelter, sun));
  const panels = panelsOf('saloon');
  const isLit = (side: CarSide): boolean => {
    const panel = panels.find(({ id }) => id === side);
    if (!panel) return false;
    const panelAzimuthDeg = place.carHeadingDeg + panel.facesDeg;
    const incidence = incidenceDeg(sun, { tiltDeg: panel.tiltDeg, panelAzimuthDeg });
    return light.beamNormalWm2 * Math.cos((incidence * Math.PI) / 180) > NOTICED_WM2;
  };
  return new Set(CAR_SIDES.filter(isLit));
}

function spansOf(looks: readonly { atMs: number; lit: ReadonlySet<CarSide> }[], endMs: number): SunSpan[] {
  return CAR_SIDES.flatMap((side) => {
    const spans: SunSpan[] = [];
    let fromMs: number | null = null;
    for (const { atMs, lit } of looks) {
      if (lit.has(side)) fromMs ??= atMs;
      else if (fromMs !== null) {
        spans.push({ side, fromMs, toMs: atMs });
        fromMs = null;
      }
    }
    if (fromMs !== null) spans.push({ side, fromMs, toMs: null });
    return spans;
  })
    .filter(({ fromMs }) => fromMs < endMs)
    .sort((a, b) => a.fromMs - b.fromMs);
}

/**
 * Which side of the car is in the sun during this wash, and when does that change?
 *
 * @returns spans looked at every five minutes, under the cloud of each hour and what the shelter lets through; null where no beam falls on
 * any side of the car
 * Model: sun position and Erbs' beam as in `irradiance`; a side counts as lit from 60 W/m² of beam on it (judgement)
 */
export function sunLine(of: SunLineCase): SunLine | null {
  const { startMs, endMs, lookUntilMs, edges } = of;
  const count = Math.max(1, Math.ceil((Math.max(endMs, lookUntilMs) - startMs) / LOOK_EVERY_MS));
  const looks = Array.from({ length: count }, (_, i) => {
    const atMs = startMs + i * LOOK_EVERY_MS;
    return { atMs, lit: litSides(of, atMs) };
  });
  const spans = spansOf(looks, endMs);
  if (spans.length === 0) return null;
  const during = looks.filter(({ atMs }) => atMs < endMs);
  const aloneOn = (side: 'left' | 'right', other: 'left' | 'right'): number =>
    during.filter(({ lit }) => lit.has(side) && !lit.has(other)).length;
  const [left, right] = [aloneOn('left', 'right'), aloneOn('right', 'left')];
  const most = Math.max(left, right);
  const litFlank = most * 2 > during.length ? (left >= right ? 'left' : 'right') : null;
  const minutes = (endMs - startMs) / MS_PER_MINUTE;
  const driesThere = edges.some(
    ({ panel, ends, minutes: lasts }) =>
      panel === litFlank && ends === 'dries' && (lasts ?? Infinity) < minutes,
  );
  return { spans, litFlank, driesThere };
}

/** The spans in which an instant lies. */
export const litAt = ({ spans }: SunLine, atMs: number): readonly SunSpan[] =>
  spans.filter(({ fromMs, toMs }) => fromMs <= atMs && atMs < (toMs ?? Infinity));
