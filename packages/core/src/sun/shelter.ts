import { interpolateLinear, isWithinArc, sinDeg, wrapDeg, ZERO_C_IN_K } from '../quantity/index.js';
import { type Irradiance, type PanelAspect, panelIrradianceWm2 } from './irradiance.js';
import type { SunPosition } from './sun-position.js';

/** Hill, house or hedge: the sun is hidden below this elevation in this direction. */
export interface HorizonPoint {
  readonly azimuthDeg: number;
  readonly elevationDeg: number;
}

/** An open end or door of a roofed place: the arc it looks to and how high it opens, seen from the car. */
export interface Opening {
  readonly fromDeg: number;
  readonly toDeg: number;
  readonly topElevationDeg: number;
}

/** What stands between a parked car and the sky. */
export type Shelter =
  | { readonly kind: 'open'; readonly horizon: readonly HorizonPoint[] }
  | { readonly kind: 'roofed'; readonly openings: readonly Opening[] }
  | { readonly kind: 'indoors' };

/** Elevation below which the sun is hidden towards an azimuth; straight lines between the profile's points. */
export function horizonElevationDeg(horizon: readonly HorizonPoint[], azimuthDeg: number): number {
  const first = horizon[0];
  if (!first) return 0;
  const sorted = [...horizon].sort((a, b) => a.azimuthDeg - b.azimuthDeg);
  const lowest = sorted[0] ?? first;
  const highest = sorted.at(-1) ?? first;
  const ring = [
    { x: highest.azimuthDeg - 360, y: highest.elevationDeg },
    ...sorted.map((point) => ({ x: point.azimuthDeg, y: point.elevationDeg })),
    { x: lowest.azimuthDeg + 360, y: lowest.elevationDeg },
  ];
  return interpolateLinear(ring, wrapDeg(azimuthDeg));
}

/** Does the beam reach the car? */
export function sunReaches(shelter: Shelter, sun: SunPosition): boolean {
  if (sun.elevationDeg <= 0) return false;
  switch (shelter.kind) {
    case 'open':
      return sun.elevationDeg > horizonElevationDeg(shelter.horizon, sun.azimuthDeg);
    case 'roofed':
      return shelter.openings.some(
        (opening) => isWithinArc(sun.azimuthDeg, opening) && sun.elevationDeg < opening.topElevationDeg,
      );
    case 'indoors':
      return false;
  }
}

/** Share of the sky dome that is open above and around the car, 0…1 (mean over the horizon, sine of the height). */
export function openSkyFraction(shelter: Shelter): number {
  switch (shelter.kind) {
    case 'open':
      return 1;
    case 'roofed':
      return Math.min(
        1,
        shelter.openings.reduce(
          (sum, opening) =>
            sum + (wrapDeg(opening.toDeg - opening.fromDeg) / 360) * sinDeg(opening.topElevationDeg),
          0,
        ),
      );
    case 'indoors':
      return 0;
  }
}

/** What a shelter lets through while the sun stands where it stands. */
export interface Cover {
  readonly beamReaches: boolean;
  readonly openSkyFraction: number;
}

export const coverOf = (shelter: Shelter, sun: SunPosition): Cover => ({
  beamReaches: sunReaches(shelter, sun),
  openSkyFraction: openSkyFraction(shelter),
});

/**
 * The light at a car standing in a place: a roof lets the beam in through its openings only and thins the sky's and the
 * ground's light by the share of the dome that is open.
 */
export const shelteredLight = (light: Irradiance, cover: Cover): Irradiance => ({
  globalWm2: light.globalWm2 * cover.openSkyFraction,
  diffuseWm2: light.diffuseWm2 * cover.openSkyFraction,
  beamNormalWm2: cover.beamReaches ? light.beamNormalWm2 : 0,
});

export interface ShelteredScene {
  readonly sun: SunPosition;
  readonly panel: PanelAspect;
  readonly albedoFraction: number;
  readonly shelter: Shelter;
}

/** Sun on a panel of a car standing in a place, W/m². */
export const shelteredIrradianceWm2 = (light: Irradiance, scene: ShelteredScene): number =>
  panelIrradianceWm2(shelteredLight(light, coverOf(scene.shelter, scene.sun)), scene);

/**
 * Temperature of what a panel looks up to, °C: open sky, and roof or walls at their own temperature, mixed by the
 * fourth power over the share that is open.
 *
 * @param open share of the dome, 0–1
 */
export function overheadTempC(
  open: number,
  temps: { readonly skyTempC: number; readonly roofTempC: number },
): number {
  const fourth = (tempC: number): number => (tempC + ZERO_C_IN_K) ** 4;
  return (open * fourth(temps.skyTempC) + (1 - open) * fourth(temps.roofTempC)) ** 0.25 - ZERO_C_IN_K;
}
