import { type FilmInput, filmLife } from '../film/index.js';
import type { Limits } from '../rules/index.js';
import type { Panel, PanelId } from '../vehicle/index.js';
import { filmInputFor, type SiteHour, type WashCase } from '../verdict/index.js';
import type { WetEdge } from './run-step.js';

/** A car wet at a place in an hour. */
export interface WetCase extends WashCase {
  readonly limits: Pick<Limits, 'productGramsPerM2'>;
  readonly site: SiteHour;
  /** How much warmer the panels were found than they are worked out to be, K. */
  readonly panelK?: number;
}

const inputOf = (of: WetCase, panel: Panel): FilmInput => {
  const input = filmInputFor(of, panel, of.site);
  return { ...input, startTempC: Math.min(80, Math.max(-60, input.startTempC + (of.panelK ?? 0))) };
};

const asEdge = (panel: PanelId, dryMinutes: number | null, iceMinutes: number | null): WetEdge => {
  const ice = iceMinutes ?? Infinity;
  const dry = dryMinutes ?? Infinity;
  if (ice === Infinity && dry === Infinity) return { panel, minutes: null, ends: 'lasts' };
  return ice < dry ? { panel, minutes: ice, ends: 'freezes' } : { panel, minutes: dry, ends: 'dries' };
};

const bySoonest = (a: WetEdge, b: WetEdge): number => (a.minutes ?? Infinity) - (b.minutes ?? Infinity);

/** Wet edge of every panel, of the film that a rinse leaves. */
export const rinseEdges = (of: WetCase, panels: readonly Panel[]): WetEdge[] =>
  panels
    .map((panel) => {
      const life = filmLife(inputOf(of, panel), { until: 'wet-edge' });
      return asEdge(panel.id, life.dryMinutes, life.firstIceMinutes);
    })
    .sort(bySoonest);

/** How long a product may lie: until it dries on, as the verdict has it, or water freezes on that panel; whichever comes first. */
export function productEdges(of: WetCase, panels: readonly Panel[], rinsed: readonly WetEdge[]): WetEdge[] {
  return panels.map((panel) => {
    const input = inputOf(of, panel);
    const { dryMinutes } = filmLife({
      ...input,
      filmGramsPerM2: of.limits.productGramsPerM2,
      startTempC: Math.max(-60, input.airTempC + (of.panelK ?? 0)),
    });
    const own = asEdge(panel.id, dryMinutes, null);
    const rinse = rinsed.find((edge) => edge.panel === panel.id);
    return rinse && bySoonest(rinse, own) < 0 ? rinse : own;
  });
}
