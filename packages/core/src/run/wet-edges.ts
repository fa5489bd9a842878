import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import type { Panel, PanelId, Vehicle } from '../vehicle/index.js';
import {
  LONGEST_WATCH_MINUTES,
  materialOf,
  panelAir,
  PanelWash,
  surfaceOf,
  tracksOf,
  type Waited,
  type WashHours,
  type WaterLimits,
  waitsThrough,
} from '../wash/index.js';
import type { WetEdge } from './steps-around.js';

/** A car washed at a place in some hours. */
export interface WetCase {
  readonly vehicle: Vehicle;
  readonly place: Place;
  /** In one of its ways. */
  readonly method: Method;
  readonly limits: WaterLimits;
  readonly hours: WashHours;
  /** How much warmer the panels were found than they are worked out to be, K. */
  readonly panelK?: number;
}

const asEdge = (panel: PanelId, dryMinutes: number | null, iceMinutes: number | null): WetEdge => {
  const ice = iceMinutes ?? Infinity;
  const dry = dryMinutes ?? Infinity;
  if (ice === Infinity && dry === Infinity) return { panel, minutes: null, ends: 'lasts' };
  return ice < dry ? { panel, minutes: ice, ends: 'freezes' } : { panel, minutes: dry, ends: 'dries' };
};

const bySoonest = (a: WetEdge, b: WetEdge): number => (a.minutes ?? Infinity) - (b.minutes ?? Infinity);

/** The soonest of each panel, soonest first. */
function soonest(edges: readonly WetEdge[]): WetEdge[] {
  const byPanel = new Map<PanelId, WetEdge>();
  for (const edge of edges) {
    const known = byPanel.get(edge.panel);
    if (!known || bySoonest(edge, known) < 0) byPanel.set(edge.panel, edge);
  }
  return [...byPanel.values()].sort(bySoonest);
}

/** How long what each step puts on lasts, panel by panel. */
export interface WetEdges {
  /** Of the last water. */
  readonly rinse: readonly WetEdge[];
  /** By index of the step that puts it on. */
  readonly byStep: ReadonlyMap<number, readonly WetEdge[]>;
}

const edgeOf = (panel: PanelId, { dryMinutes, iceMinutes }: Waited): WetEdge =>
  asEdge(panel, dryMinutes, iceMinutes);

/**
 * How long do water and products last on each panel of this wash?
 *
 * Model: the wash as it is judged: every piece of the car through its events
 */
export function wetEdges(of: WetCase): WetEdges {
  const { place, hours, panelK } = of;
  const rinse: WetEdge[] = [];
  const byStep = new Map<number, WetEdge[]>();
  for (const track of tracksOf(of, of.limits))
    for (const waited of waitsThrough(
      track,
      { place, hours },
      { panelK, watchMinutes: LONGEST_WATCH_MINUTES },
    )) {
      const edge = edgeOf(track.panel.id, waited);
      const step = track.events[waited.wait.event]?.step;
      if (step !== undefined) byStep.set(step, [...(byStep.get(step) ?? []), edge]);
      if (waited.wait.isLast) rinse.push(edge);
    }
  return {
    rinse: soonest(rinse),
    byStep: new Map([...byStep].map(([step, edges]) => [step, soonest(edges)])),
  };
}

const UPRIGHT_DEG = 80;
const LONGEST_DWELL_MINUTES = 20;

/** What wheels and what lies low carry stays wet as the flanks do. */
export function lowEdges(of: WetCase, panels: readonly Panel[]): WetEdge[] {
  const { vehicle, place, hours, limits, panelK = 0 } = of;
  const edges = panels
    .filter(({ tiltDeg }) => tiltDeg >= UPRIGHT_DEG)
    .map((panel) => {
      const { climate, dryC } = panelAir(place, surfaceOf(panel, vehicle), hours[0].site);
      const startC = dryC + panelK;
      const film = new PanelWash(materialOf(panel, vehicle), [{ fromMinute: 0, climate }], { startC });
      const filmKg = limits.productGramsPerM2 / 1000;
      film.do({ kind: 'wet', filmKg, passesKg: filmKg, waterTempC: place.washWater.tempC });
      film.advance(LONGEST_DWELL_MINUTES, 'edge');
      return asEdge(panel.id, film.dryMinute, film.firstIceMinute);
    });
  return soonest(edges);
}
