import { type HorizonPoint, type Opening, type Shelter, type SunHour } from '@keen/core';
import type { Format } from '../../format/format.js';

/** The middle of the drawing, and where walls and sun stand round it. */
export const MIDDLE = 60;
export const WALL_RADIUS = 36;
export const SUN_RADIUS = 51;
const DEGREES = 360;
/** A hill of so many degrees is drawn as wide as the ring of the sun. */
const HIGH_DEG = 45;

const radians = (deg: number): number => (deg * Math.PI) / 180;

/** A point towards an azimuth, north up. */
export const pointAt = (azimuthDeg: number, radius: number): { readonly x: number; readonly y: number } => ({
  x: MIDDLE + radius * Math.sin(radians(azimuthDeg)),
  y: MIDDLE - radius * Math.cos(radians(azimuthDeg)),
});

const text = (azimuthDeg: number, radius: number): string => {
  const { x, y } = pointAt(azimuthDeg, radius);
  return `${x.toFixed(2)} ${y.toFixed(2)}`;
};

const arc = (fromDeg: number, toDeg: number): string => {
  const span = (((toDeg - fromDeg) % DEGREES) + DEGREES) % DEGREES || DEGREES;
  const isLarge = span > DEGREES / 2 ? 1 : 0;
  // A whole ring has no two ends to draw between.
  const end = span === DEGREES ? fromDeg + DEGREES - 0.01 : toDeg;
  return `M${text(fromDeg, WALL_RADIUS)} A${WALL_RADIUS} ${WALL_RADIUS} 0 ${span === DEGREES ? 1 : isLarge} 1 ${text(end, WALL_RADIUS)}`;
};

/** Walls between the openings, in the order of the compass. */
function wallsBetween(openings: readonly Opening[]): string[] {
  const sorted = openings.toSorted((a, b) => a.fromDeg - b.fromDeg);
  return sorted.map((opening, i) => {
    const next = sorted[(i + 1) % sorted.length] ?? opening;
    return arc(opening.toDeg, next.fromDeg);
  });
}

/** Walls of a place as paths: a whole ring indoors, none in the open. */
export function wallsOf(shelter: Shelter): string[] {
  switch (shelter.kind) {
    case 'indoors':
      return [arc(0, DEGREES)];
    case 'roofed':
      return shelter.openings.length === 0 ? [arc(0, DEGREES)] : wallsBetween(shelter.openings);
    case 'open':
      return [];
  }
}

/** What hides the low sun of an open place, as a shape outside the ring: the higher, the further in it comes. */
export const hillsOf = (
  horizon: readonly HorizonPoint[],
): { readonly azimuthDeg: number; readonly depth: number }[] =>
  horizon
    .filter(({ elevationDeg }) => elevationDeg > 0)
    .map(({ azimuthDeg, elevationDeg }) => ({
      azimuthDeg,
      depth: Math.min(1, elevationDeg / HIGH_DEG) * (SUN_RADIUS - WALL_RADIUS),
    }));

const SHELTER_TEXT: Readonly<Record<Shelter['kind'], string>> = {
  indoors: 'indoors',
  roofed: 'under a roof',
  open: 'in the open',
};

/** The drawing in words: "Seen from above, north up: under a roof; the sun reaches the car 09:00 to 12:00." */
export function planText(
  { shelter }: { readonly shelter: Shelter },
  sun: readonly SunHour[],
  format: Pick<Format, 'time'>,
): string {
  const lit = sun.filter(({ isLit }) => isLit);
  const [first] = lit;
  const last = lit.at(-1);
  const when =
    first && last
      ? `the sun reaches the car ${format.time(first.atMs)} to ${format.time(last.atMs)}`
      : 'no sun reaches the car today';
  return `Seen from above, north up: ${SHELTER_TEXT[shelter.kind]}; ${when}.`;
}
