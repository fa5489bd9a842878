import type { Mix, MixFault } from '../kit/index.js';
import type { StageFault, WashStepId } from '../method/index.js';
import type { SiteRule } from '../place/index.js';
import type { PanelId, ZoneGroup } from '../vehicle/index.js';

/** How long a panel stays wet before it dries or freezes, whichever comes first. */
export interface WetEdge {
  readonly panel: PanelId;
  /** null: not within the hours that were followed. */
  readonly minutes: number | null;
  readonly ends: 'dries' | 'freezes' | 'lasts';
}

/** What could go wrong at a step. */
export type StepFault =
  | MixFault
  | StageFault
  | { readonly kind: 'acid-over-alkali'; readonly alkali: WashStepId }
  | { readonly kind: 'alkali-over-acid'; readonly acid: WashStepId }
  /** No step behind it rinses the product off these. */
  | { readonly kind: 'not-rinsed'; readonly groups: readonly ZoneGroup[] }
  /** It wants dry paint, and what this step left there still stands. */
  | { readonly kind: 'wet-paint'; readonly wet: WashStepId }
  | { readonly kind: 'hot-on-frozen-glass'; readonly glassC: number; readonly waterC: number }
  | { readonly kind: 'forbidden'; readonly rule: SiteRule }
  | { readonly kind: 'no-drain'; readonly litres: number };

/** What the steps of a wash are made of besides the method. */
export interface StepsAround {
  /** How long what each step puts on lasts on its panels, by index of the step. */
  readonly edges: ReadonlyMap<number, readonly WetEdge[]>;
  /** The same of what lies on wheels and low down. */
  readonly lowEdges: readonly WetEdge[];
  /** Between which paid runs the meter is stopped: the index of the run before; null: there is no meter. */
  readonly stopAfter: readonly number[] | null;
  readonly isGroundFreezing: boolean;
  /** Under a roof: a floor that is mopped up, not ground that is gritted. */
  readonly isRoofed: boolean;
  /** What stays in gaps freezes while the wash is done or in the night after. */
  readonly gapsFreeze: boolean;
  readonly mixes: readonly Mix[];
  /** What the place forbids of what a step needs. */
  readonly forbids: readonly SiteRule[];
  /** A floor without a drain, under a roof. */
  readonly hasNoDrain: boolean;
  /** The buckets have no guard, as somebody says who knows. */
  readonly hasNoGuard: boolean;
  /** Cars are lifted there; in a bay one reaches under from beside. */
  readonly lifts: boolean;
  /** Glass before it is wetted, and the water that meets it first, °C. */
  readonly glassC: number;
  readonly waterC: number;
}
