import { type FreezeCare, freezeCare } from '../freeze-care/index.js';
import type { HouseRules } from '../house/index.js';
import { cleanOf, type Kit, type Mix, mixesFor } from '../kit/index.js';
import type { Method, Section } from '../method/index.js';
import type { Place } from '../place/index.js';
import { washCost } from '../plan/index.js';
import { type Limits, shopStands } from '../rules/index.js';
import { type ByGroup, type PanelId, panelsOf, type Vehicle } from '../vehicle/index.js';
import type { SiteHour } from '../verdict/index.js';
import type { WeatherHour } from '../weather/index.js';
import { clothsFor } from './cloths.js';
import { dryingPlan, type DryingPlan } from './drying.js';
import { preparation, type Preparation } from './preparation.js';
import { type RunStep, runSteps, type StepsAround, type WetEdge } from './run-step.js';
import { productEdges, rinseEdges } from './wet-edges.js';

export interface RunSheet {
  readonly steps: readonly RunStep[];
  /** Arrival to leaving. */
  readonly minutes: number;
  /** After the last rinse, the first to dry or freeze first. */
  readonly edges: readonly WetEdge[];
  /** The largest part to wet at once that can be wiped in time, a share in hand; null: none, or nothing is wiped. */
  readonly section: Section | null;
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
  /** As the shop does it. */
  readonly method: Method;
  readonly limits: Limits;
  /** Air and light at the place in that hour, and the weather outdoors. */
  readonly site: SiteHour;
  readonly outdoors: WeatherHour;
  readonly isDark: boolean;
  readonly overnightC: number | null;
  /** Soil of the car then, 0–5. */
  readonly soil: ByGroup;
  /** What the shop owns. */
  readonly kit: Kit;
  readonly house: Pick<HouseRules, 'numbers'>;
}

function largestSection({ drying }: Method, edges: readonly WetEdge[], inHandShare: number): Section | null {
  if (drying.kind === 'left') return null;
  const worstMinutes = edges[0]?.minutes ?? Infinity;
  return drying.sections.find(({ minutes }) => minutes * (1 + inHandShare) <= worstMinutes) ?? null;
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

/** What of the place and the kit the steps go by. */
export function stepsAround(
  { place, method, site }: Pick<RunSheetCase, 'place' | 'method' | 'site'>,
  mixes: readonly Mix[],
): Omit<StepsAround, 'edges' | 'panels' | 'stopAfter'> {
  const { airTempC } = site.air;
  const isRoofed = place.kind === 'garage' || place.kind === 'heated-unit';
  return {
    isGroundFreezing: place.climate.kind !== 'heated' && airTempC < 0,
    mixes,
    forbids: place.forbids,
    hasNoDrain: isRoofed && !place.hasDrain,
    glassC: airTempC,
    waterC: method.bucketC ?? place.washWater.tempC,
  };
}

/**
 * How is this car washed there in that hour: what to bring, in which order, how long each, how much at once, and what to see to after?
 *
 * @returns steps with their dwell cut to what the panels allow; the order in which panels dry or freeze after the last
 * rinse; what to prepare; the night's freeze care
 * Model: the film of each panel as the verdict has it; dwell and places in the order are practice (judgement), data sheets go before them
 */
export function runSheet(of: RunSheetCase): RunSheet {
  const { vehicle, place, method, limits, site, outdoors } = of;
  const panels = panelsOf(vehicle.bodyClass);
  const edges = rinseEdges(of, panels);
  const cost = washCost(place, method);
  const drying = dryingPlan(vehicle, method, of);
  const mixes = mixesFor(method.steps, {
    vehicle,
    kit: of.kit,
    placeC: site.air.airTempC,
    stands: shopStands(limits),
  });
  return {
    steps: runSteps(method, {
      edges: productEdges(of, panels, edges),
      panels,
      stopAfter: cost.meter?.stopAfter ?? null,
      ...stepsAround(of, mixes),
    }),
    minutes: method.minutes,
    edges,
    section: largestSection(method, edges, limits.inHandShare),
    firstFlank: firstFlank(edges),
    preparation: preparation(
      {
        place,
        method,
        cost,
        mixes,
        cloths: clothsFor({ vehicle, method, soil: of.soil, drying }),
        clean: {
          foldedTowels: cleanOf(of.kit, 'folded-towel'),
          dryingTowels: cleanOf(of.kit, 'drying-towel'),
          mitts: cleanOf(of.kit, 'mitt'),
        },
      },
      {
        outdoorsC: outdoors.airTempC,
        placeC: site.air.airTempC,
        windMetresPerSecond:
          place.climate.kind === 'outdoors' ? outdoors.windMetresPerSecond : site.air.airSpeedMetresPerSecond,
        isDark: of.isDark,
      },
    ),
    drying,
    freezeCare: of.overnightC !== null && of.overnightC >= 0 ? [] : freezeCare(of.overnightC),
    overnightC: of.overnightC,
  };
}
