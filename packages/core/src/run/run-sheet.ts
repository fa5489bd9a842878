import { type FreezeCare, freezeCare } from '../freeze-care/index.js';
import type { HouseRules } from '../house-rules/index.js';
import { cleanOf, firstOfKind, type Kit, type Mix, mixesFor } from '../kit/index.js';
import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import { washCost, type WashCost } from '../plan/index.js';
import { type Limits, shopStands } from '../rules/index.js';
import {
  type ByGroup,
  isGlass,
  type PanelId,
  panelsOf,
  type SectionId,
  type Vehicle,
} from '../vehicle/index.js';
import { panelAir, type PlaceHour, surfaceOf, type WashHours } from '../wash/index.js';
import type { WeatherHour } from '../weather/index.js';
import { clothsFor } from './cloths.js';
import { dryingPlan, type DryingPlan } from './drying.js';
import { preparation, type Preparation, type WarmWater } from './preparation.js';
import { type RunStep, runSteps } from './run-step.js';
import type { StepsAround, WetEdge } from './steps-around.js';
import { lowEdges, wetEdges } from './wet-edges.js';

export interface RunSheet {
  readonly steps: readonly RunStep[];
  /** Arrival to leaving. */
  readonly minutes: number;
  /** After the last rinse, the first to dry or freeze first. */
  readonly edges: readonly WetEdge[];
  /** How much of the car is worked on at once. */
  readonly section: SectionId;
  /** The flank to finish first: its wet edge is the shorter; null: both alike. */
  readonly firstFlank: 'left' | 'right' | null;
  readonly preparation: Preparation;
  /** Water left by the last rinse, and the towels that take it; null: nothing is wiped. */
  readonly drying: DryingPlan | null;
  readonly freezeCare: readonly FreezeCare[];
  /** Coldest air where the car stands in the night after, °C; null: not known. */
  readonly overnightC: number | null;
}

export interface RunSheetCase {
  readonly vehicle: Vehicle;
  readonly place: Place;
  /** As the shop does it, in the way that goes. */
  readonly method: Method;
  readonly limits: Limits;
  /** Air and light at the place from the start on, and the weather outdoors at first. */
  readonly hours: WashHours;
  readonly outdoors: WeatherHour;
  readonly isDark: boolean;
  readonly overnightC: number | null;
  /** Soil of the car then, 0–5. */
  readonly soil: ByGroup;
  /** What the shop owns. */
  readonly kit: Kit;
  readonly house: Pick<HouseRules, 'numbers'>;
}

/** Flanks nearer than this are alike, minutes. */
const ALIKE_MINUTES = 0.5;

function firstFlank(edges: readonly WetEdge[]): RunSheet['firstFlank'] {
  const minutesOf = (panel: PanelId): number =>
    edges.find((edge) => edge.panel === panel)?.minutes ?? Infinity;
  const left = minutesOf('left');
  const right = minutesOf('right');
  if (left === right || Math.abs(left - right) < ALIKE_MINUTES) return null;
  return left < right ? 'left' : 'right';
}

/** The warmest paint as it stands before water meets it, °C. */
const warmestPanelC = (vehicle: Vehicle, place: Place, site: PlaceHour): number =>
  Math.max(
    ...panelsOf(vehicle.bodyClass)
      .filter(({ id }) => !isGlass(id))
      .map((panel) => panelAir(place, surfaceOf(panel, vehicle), site).dryC),
  );

/** The pane as it stands before water meets it, °C: baked or cooled, not at the air. */
function glassC(vehicle: Vehicle, place: Place, site: PlaceHour): number {
  const glass = panelsOf(vehicle.bodyClass).filter(({ id }) => isGlass(id));
  return Math.min(
    site.air.airTempC,
    ...glass.map((panel) => panelAir(place, surfaceOf(panel, vehicle), site).dryC),
  );
}

/** What of the place and the kit the steps go by. */
export function stepsAround(
  {
    vehicle,
    place,
    method,
    site,
    overnightC,
  }: Pick<RunSheetCase, 'vehicle' | 'place' | 'method' | 'overnightC'> & { site: PlaceHour },
  mixes: readonly Mix[],
): Omit<StepsAround, 'edges' | 'lowEdges' | 'stopAfter' | 'hasNoGuard'> {
  const { airTempC } = site.air;
  const isRoofed = place.kind === 'garage' || place.kind === 'heated-unit';
  return {
    isGroundFreezing: place.climate.kind !== 'heated' && airTempC < 0,
    mixes,
    forbids: place.forbids,
    isRoofed,
    // A night that nobody knows is taken for a frosty one.
    gapsFreeze: airTempC < 0 || overnightC === null || overnightC < 0,
    hasNoDrain: isRoofed && !place.hasDrain,
    lifts: place.kind !== 'self-serve-bay' && place.kind !== 'automatic-bay',
    glassC: glassC(vehicle, place, site),
    waterC: method.bucketC ?? place.washWater.tempC,
  };
}

function bucketsOf(kit: Kit): WarmWater['buckets'] {
  const bucket = firstOfKind(kit, 'bucket');
  return bucket?.volumeMl ? { count: bucket.count, volumeMl: bucket.volumeMl } : undefined;
}

/** What is to be brought and done before the first water. */
function prepared(
  { kit, place, method, vehicle, soil, outdoors, hours: [{ site }], isDark }: RunSheetCase,
  made: { readonly cost: WashCost; readonly mixes: readonly Mix[]; readonly drying: DryingPlan | null },
): Preparation {
  const clean = {
    foldedTowels: cleanOf(kit, 'folded-towel'),
    dryingTowels: cleanOf(kit, 'drying-towel'),
    mitts: cleanOf(kit, 'mitt'),
  };
  const cloths = clothsFor({ vehicle, method, soil, drying: made.drying });
  return preparation(
    { place, method, cost: made.cost, mixes: made.mixes, cloths, clean, buckets: bucketsOf(kit) },
    {
      outdoorsC: outdoors.airTempC,
      placeC: site.air.airTempC,
      windMetresPerSecond:
        place.climate.kind === 'outdoors' ? outdoors.windMetresPerSecond : site.air.airSpeedMetresPerSecond,
      isDark,
    },
  );
}

/**
 * How is this car washed there in that hour: what to bring, in which order, how long each, how much at once, and what to see to after?
 *
 * @returns steps with their dwell cut to what the panels allow; the order in which panels dry or freeze after the last
 * rinse; what to prepare; the night's freeze care
 * Model: the film of each panel as the verdict has it; dwell and places in the order are practice (judgement), data sheets go before them
 */
export function runSheet(of: RunSheetCase): RunSheet {
  const { vehicle, place, method, limits } = of;
  const { site } = of.hours[0];
  const panels = panelsOf(vehicle.bodyClass);
  const wet = wetEdges(of);
  const edges = wet.rinse;
  const cost = washCost(place, method);
  const drying = dryingPlan(vehicle, method, of);
  const mixes = mixesFor(method.steps, {
    vehicle,
    kit: of.kit,
    placeC: site.air.airTempC,
    panelC: warmestPanelC(vehicle, place, site),
    stands: shopStands(limits),
  });
  return {
    steps: runSteps(method, {
      edges: wet.byStep,
      lowEdges: lowEdges(of, panels),
      stopAfter: cost.meter?.stopAfter ?? null,
      hasNoGuard: firstOfKind(of.kit, 'bucket')?.hasGuard === false,
      ...stepsAround({ ...of, site }, mixes),
    }),
    minutes: method.minutes,
    edges,
    section: method.section ?? 'whole-car',
    firstFlank: firstFlank(edges),
    preparation: prepared(of, { cost, mixes, drying }),
    drying,
    freezeCare: of.overnightC !== null && of.overnightC >= 0 ? [] : freezeCare(of.overnightC),
    overnightC: of.overnightC,
  };
}
