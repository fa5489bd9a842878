import {
  ABSORPTANCE_FRACTION,
  behaviourOn,
  floodFilmGramsPerM2,
  type Panel,
  type PanelId,
  panelsOf,
  type Vehicle,
} from '../vehicle/index.js';
import { filmLife, type FilmInput, heatCapacityOf } from '../film/index.js';
import type { Method } from '../method/index.js';
import type { Place, PlaceAir } from '../place/index.js';
import type { FilmOutcome } from '../rules/index.js';
import { type Irradiance, panelIrradianceWm2, type SunPosition } from '../sun/index.js';

/** How far ahead a film is watched for a verdict. */
export const FILM_HORIZON_MINUTES = 60;

const WATER_HEAT_J_PER_LITRE_K = 4186;

/** Light and air at a place during an hour. */
export interface SiteHour {
  readonly air: PlaceAir;
  readonly sun: SunPosition;
  /** What the shelter lets through. */
  readonly light: Irradiance;
  readonly albedoFraction: number;
  /** Of what a panel looks up to: sky, roof or both. */
  readonly overheadTempC: number;
  /** Sun on the panels asked for so far, W/m², by how they lie: the same for every car that stands here. */
  readonly panelSunWm2: Map<number, number>;
}

export interface WashCase {
  readonly vehicle: Vehicle;
  readonly place: Place;
  readonly method: Method;
}

/** Panel and film after the rinse: the panel at the place's air, warmed or cooled by the water that ran over it. */
function startTempC(method: Method, place: Place, around: { airTempC: number; heatJPerM2K: number }): number {
  const waterC = method.bucketC ?? place.washWater.tempC;
  const waterJPerM2K = method.warmingLitresPerM2 * WATER_HEAT_J_PER_LITRE_K;
  return (around.heatJPerM2K * around.airTempC + waterJPerM2K * waterC) / (around.heatJPerM2K + waterJPerM2K);
}

/** Sun on a panel of a car in a place, worked out once an hour. */
function panelSunWm2(place: Place, panel: Panel, site: SiteHour): number {
  const key = panel.tiltDeg * 1000 + panel.facesDeg;
  const known = site.panelSunWm2.get(key);
  if (known !== undefined) return known;
  const aspect = { tiltDeg: panel.tiltDeg, panelAzimuthDeg: place.carHeadingDeg + panel.facesDeg };
  const made = panelIrradianceWm2(site.light, { panel: aspect, ...site });
  site.panelSunWm2.set(key, made);
  return made;
}

/** The film sum for one panel of a wash, as the verdict asks it; the film lab opens from the same input. */
export function filmInputFor({ vehicle, place, method }: WashCase, panel: Panel, site: SiteHour): FilmInput {
  const material = panel.material === 'body' ? vehicle.bodyMaterial : panel.material;
  const { airTempC } = site.air;
  const flood = method.filmGramsPerM2 ?? floodFilmGramsPerM2(behaviourOn(vehicle, panel.id), panel.tiltDeg);
  return {
    material,
    tiltDeg: panel.tiltDeg,
    absorptanceFraction: panel.material === 'glass' ? 0.2 : ABSORPTANCE_FRACTION[vehicle.paintTone],
    solarWm2: panelSunWm2(place, panel, site),
    airTempC,
    relHumidityFraction: site.air.relHumidityFraction,
    airSpeedMetresPerSecond: site.air.airSpeedMetresPerSecond,
    skyTempC: site.overheadTempC,
    filmGramsPerM2: flood * (method.drying.kind === 'left' ? method.drying.filmShare : 1),
    startTempC: startTempC(method, place, { airTempC, heatJPerM2K: heatCapacityOf(material) }),
    horizonMinutes: FILM_HORIZON_MINUTES,
  };
}

/** What wets the car: methods that wet it alike share their films. */
export const wettingKey = ({ filmGramsPerM2, warmingLitresPerM2, bucketC, drying }: Method): string =>
  [filmGramsPerM2, warmingLitresPerM2, bucketC, drying.kind === 'left' ? drying.filmShare : 1].join(' ');

const sooner = (a: number | null, b: number | null): boolean => a !== null && (b === null || a < b);

/** The worse of two outcomes, part by part. */
export function worseOutcome(a: FilmOutcome, b: FilmOutcome): FilmOutcome {
  const drier = sooner(b.dry.minutes, a.dry.minutes) ? b : a;
  return {
    ice: sooner(b.ice.minutes, a.ice.minutes) ? b.ice : a.ice,
    dry: drier.dry,
    filmGramsPerM2: drier.filmGramsPerM2,
    warmestC: drier.warmestC,
    coldest: b.coldest.tempC < a.coldest.tempC ? b.coldest : a.coldest,
    product: sooner(b.product.minutes, a.product.minutes) ? b.product : a.product,
    sun: {
      panel: b.sun.brightestWm2 > a.sun.brightestWm2 ? b.sun.panel : a.sun.panel,
      brightestWm2: Math.max(a.sun.brightestWm2, b.sun.brightestWm2),
      dimmestWm2: Math.min(a.sun.dimmestWm2, b.sun.dimmestWm2),
    },
  };
}

function panelOutcome(
  washCase: WashCase,
  panel: Panel,
  look: { site: SiteHour; horizonMinutes: number },
): FilmOutcome {
  const input = filmInputFor(washCase, panel, look.site);
  const life = filmLife({ ...input, horizonMinutes: look.horizonMinutes }, { until: 'wet-edge' });
  return {
    ice: { panel: panel.id, minutes: life.firstIceMinutes },
    dry: { panel: panel.id, minutes: life.dryMinutes },
    filmGramsPerM2: input.filmGramsPerM2,
    coldest: { panel: panel.id, tempC: life.lowestTempC },
    warmestC: life.highestTempC,
    product: { panel: panel.id, minutes: null },
    sun: { panel: panel.id, brightestWm2: input.solarWm2, dimmestWm2: input.solarWm2 },
  };
}

/** Nothing dwells longer on a panel. */
const PRODUCT_HORIZON_MINUTES = 15;

/** What is sprayed on before the rinse, on a panel at the air's temperature. */
function productOutcome(
  washCase: WashCase,
  panel: Panel,
  look: { site: SiteHour; gramsPerM2: number },
): FilmOutcome['product'] {
  const input = filmInputFor(washCase, panel, look.site);
  const { dryMinutes } = filmLife({
    ...input,
    filmGramsPerM2: look.gramsPerM2,
    startTempC: input.airTempC,
    horizonMinutes: PRODUCT_HORIZON_MINUTES,
  });
  return { panel: panel.id, minutes: dryMinutes };
}

/** Narrows the look at the film where less will do. */
export interface FilmLook {
  /** Panels to look at; all of the body class if absent. */
  readonly only?: ReadonlySet<PanelId>;
  /** How far ahead; an hour if absent. */
  readonly horizonMinutes?: number;
  /** Product on the brightest panel, g/m²; not looked at if absent. */
  readonly productGramsPerM2?: number;
}

/** What the water does on the car in this hour at this place: the worst panel for ice, for drying and for cold. */
export function filmOutcome(washCase: WashCase, site: SiteHour, look: FilmLook = {}): FilmOutcome {
  const { only, horizonMinutes = FILM_HORIZON_MINUTES, productGramsPerM2 } = look;
  const panels = panelsOf(washCase.vehicle.bodyClass).filter((panel) => !only || only.has(panel.id));
  const outcome = panels
    .map((panel) => panelOutcome(washCase, panel, { site, horizonMinutes }))
    .reduce(worseOutcome);
  const brightest = panels.find(({ id }) => id === outcome.sun.panel);
  if (productGramsPerM2 === undefined || !brightest) return outcome;
  return {
    ...outcome,
    product: productOutcome(washCase, brightest, { site, gramsPerM2: productGramsPerM2 }),
  };
}
