import { dryPanelC, PanelClimate, type PanelMaterial } from '../film/index.js';
import type { Place, PlaceAir } from '../place/index.js';
import { type Irradiance, panelIrradianceWm2, type SunPosition } from '../sun/index.js';
import { ABSORPTANCE_FRACTION, type Panel, type Vehicle } from '../vehicle/index.js';
import type { WashClimate } from './wash-sum.js';

/** Light and air at a place during an hour. */
export interface PlaceHour {
  readonly air: PlaceAir;
  readonly sun: SunPosition;
  /** What the shelter lets through. */
  readonly light: Irradiance;
  readonly albedoFraction: number;
  /** Of what a panel looks up to: sky, roof or both. */
  readonly overheadTempC: number;
  /** Where the car's nose points in the second place of a wash; absent: as it stands in the first. */
  readonly carHeadingDeg?: number;
  /** On the road between the two. */
  readonly isDriven?: true;
}

/** What of a panel the light and the air meet: how it lies, and what of the sun it takes. */
export interface PanelSurface {
  readonly tiltDeg: number;
  readonly facesDeg: number;
  readonly absorptanceFraction: number;
}

/** Of sun on glass (judgement; most of it goes through). */
const GLASS_ABSORPTANCE_FRACTION = 0.2;

export const surfaceOf = (panel: Panel, { paintTone }: Pick<Vehicle, 'paintTone'>): PanelSurface => ({
  tiltDeg: panel.tiltDeg,
  facesDeg: panel.facesDeg,
  absorptanceFraction:
    panel.material === 'glass' ? GLASS_ABSORPTANCE_FRACTION : ABSORPTANCE_FRACTION[paintTone],
});

export const materialOf = (panel: Panel, { bodyMaterial }: Pick<Vehicle, 'bodyMaterial'>): PanelMaterial =>
  panel.material === 'body' ? bodyMaterial : panel.material;

/** One panel's surroundings in one hour, worked out once. */
export interface PanelAir {
  readonly solarWm2: number;
  readonly climate: PanelClimate;
  /** Where it settles dry, °C. */
  readonly dryC: number;
  /** A film on it that is warmer than ice stays so, however long it lasts. */
  readonly keepsLiquid: boolean;
}

interface HourCache {
  readonly suns: Map<number, number>;
  readonly airs: Map<number, PanelAir>;
}
/** Every member's hours with every kind of panel would fill the memory of a thread; the control's are asked for again and again. */
const MOST_KEPT = 30_000;
let caches = new WeakMap<PlaceHour, HourCache>();
let keptCount = 0;

/** Counts what is kept; beyond the most, all of it is given up and made again as it is asked for. */
function keptOneMore(): void {
  keptCount += 1;
  if (keptCount <= MOST_KEPT) return;
  keptCount = 0;
  caches = new WeakMap();
}

function cacheOf(site: PlaceHour): HourCache {
  const known = caches.get(site);
  if (known) return known;
  const made: HourCache = { suns: new Map(), airs: new Map() };
  caches.set(site, made);
  return made;
}

/** Sun on a panel of a car in a place, W/m². */
export function panelSunWm2(
  place: Pick<Place, 'carHeadingDeg'>,
  surface: PanelSurface,
  site: PlaceHour,
): number {
  const { suns } = cacheOf(site);
  const key = surface.tiltDeg * 1000 + surface.facesDeg;
  const known = suns.get(key);
  if (known !== undefined) return known;
  const panel = {
    tiltDeg: surface.tiltDeg,
    panelAzimuthDeg: (site.carHeadingDeg ?? place.carHeadingDeg) + surface.facesDeg,
  };
  const made = panelIrradianceWm2(site.light, { panel, ...site });
  suns.set(key, made);
  return made;
}

/** Light and air at a panel, as the sums take them. */
export const climateAt = (
  place: Pick<Place, 'carHeadingDeg'>,
  surface: PanelSurface,
  site: PlaceHour,
): Omit<WashClimate, 'fromMinute'> => ({
  solarWm2: panelSunWm2(place, surface, site),
  airTempC: site.air.airTempC,
  relHumidityFraction: site.air.relHumidityFraction,
  airSpeedMetresPerSecond: site.air.airSpeedMetresPerSecond,
  skyTempC: site.overheadTempC,
});

/** The coefficients of its balance, shared by every car that has such a panel. */
export function panelAir(
  place: Pick<Place, 'carHeadingDeg'>,
  surface: PanelSurface,
  site: PlaceHour,
): PanelAir {
  const { airs } = cacheOf(site);
  const key =
    (surface.tiltDeg * 1000 + surface.facesDeg) * 128 + Math.round(surface.absorptanceFraction * 100);
  const known = airs.get(key);
  if (known) return known;
  const { tiltDeg, absorptanceFraction } = surface;
  const around = climateAt(place, surface, site);
  const climate = new PanelClimate({ tiltDeg, absorptanceFraction, ...around });
  const made = {
    solarWm2: around.solarWm2,
    climate,
    dryC: dryPanelC(climate),
    keepsLiquid: climate.wetHeatWm2(0) > 0,
  };
  airs.set(key, made);
  keptOneMore();
  return made;
}
