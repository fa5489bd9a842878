import { cosDeg, requireInRange, sinDeg, MS_PER_DAY } from '../quantity/index.js';
import type { SunPosition } from './sun-position.js';

/** What the sky sends to level ground and straight along the beam, W/m². */
export interface Irradiance {
  readonly globalWm2: number;
  readonly beamNormalWm2: number;
  readonly diffuseWm2: number;
}

const SOLAR_CONSTANT_WM2 = 1361;

const DARK: Irradiance = { globalWm2: 0, beamNormalWm2: 0, diffuseWm2: 0 };

/** Diffuse share of global radiation by clearness index. Erbs, Klein & Duffie 1982, eq. 1. */
function erbsDiffuseFraction(clearness: number): number {
  if (clearness <= 0.22) return 1 - 0.09 * clearness;
  if (clearness > 0.8) return 0.165;
  return (
    0.9511 - 0.1604 * clearness + 4.388 * clearness ** 2 - 16.638 * clearness ** 3 + 12.336 * clearness ** 4
  );
}

/** Radiation outside the air on a level plane, W/m²; the distance term follows the day of the year. */
function extraterrestrialWm2(atMs: number, cosZenith: number): number {
  const date = new Date(atMs);
  const dayOfYear = (atMs - Date.UTC(date.getUTCFullYear(), 0, 1)) / MS_PER_DAY + 1;
  return SOLAR_CONSTANT_WM2 * (1 + 0.033 * cosDeg((360 * dayOfYear) / 365)) * cosZenith;
}

/**
 * How much sun reaches level ground under this much cloud, and how much of it is a beam?
 *
 * @param sun elevationDeg −90…90
 * @param sky cloudFraction 0…1, atMs UTC instant (for the distance to the sun)
 * Model: Haurwitz 1945 clear sky; Kasten & Czeplak 1980 cloud; Erbs 1982 diffuse share. Zero below the horizon.
 * @throws FieldError naming the field out of range
 */
export function irradiance(
  sun: SunPosition,
  sky: { readonly cloudFraction: number; readonly atMs: number },
): Irradiance {
  requireInRange('irradiance', { cloudFraction: sky.cloudFraction }, { min: 0, max: 1, unit: '(fraction)' });
  const cosZenith = sinDeg(sun.elevationDeg);
  if (cosZenith <= 0) return DARK;
  const clearWm2 = 1098 * cosZenith * Math.exp(-0.059 / cosZenith);
  const globalWm2 = clearWm2 * (1 - 0.75 * sky.cloudFraction ** 3.4);
  const diffuseWm2 = globalWm2 * erbsDiffuseFraction(globalWm2 / extraterrestrialWm2(sky.atMs, cosZenith));
  return { globalWm2, diffuseWm2, beamNormalWm2: (globalWm2 - diffuseWm2) / cosZenith };
}

/** How a panel lies: tilt 0 level and facing up, 90 upright; azimuth the way it faces, clockwise from north. */
export interface PanelAspect {
  readonly tiltDeg: number;
  readonly panelAzimuthDeg: number;
}

/**
 * Angle between the beam and the panel's outward normal, degrees (over 90: the sun is behind it).
 * Duffie & Beckman, Solar Engineering of Thermal Processes, eq. 1.6.3.
 */
export function incidenceDeg(sun: SunPosition, panel: PanelAspect): number {
  const cosine =
    sinDeg(sun.elevationDeg) * cosDeg(panel.tiltDeg) +
    cosDeg(sun.elevationDeg) * sinDeg(panel.tiltDeg) * cosDeg(sun.azimuthDeg - panel.panelAzimuthDeg);
  return (Math.acos(Math.max(-1, Math.min(1, cosine))) * 180) / Math.PI;
}

/** Share of the sky dome that an unobstructed panel sees. */
export const skyViewFraction = (tiltDeg: number): number => (1 + cosDeg(tiltDeg)) / 2;

/**
 * Sun on an unobstructed panel, W/m²: beam by incidence, isotropic sky, light from the ground.
 *
 * @param light on level ground
 * @param scene the sun, the panel and the ground's albedo 0…1
 */
export function panelIrradianceWm2(
  light: Irradiance,
  scene: { readonly sun: SunPosition; readonly panel: PanelAspect; readonly albedoFraction: number },
): number {
  const beam = light.beamNormalWm2 * Math.max(0, cosDeg(incidenceDeg(scene.sun, scene.panel)));
  const skyView = skyViewFraction(scene.panel.tiltDeg);
  return beam + light.diffuseWm2 * skyView + scene.albedoFraction * light.globalWm2 * (1 - skyView);
}
