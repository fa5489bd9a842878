import type { HouseRules } from '../house-rules/index.js';
import type { Before, Method, WashStepId } from '../method/index.js';
import type { WaterOutcome } from '../wash/index.js';
import type { Place, SiteRule } from '../place/index.js';
import type { ByGroup, CarZone, PanelId, SectionId, Vehicle } from '../vehicle/index.js';
import type { LimitId, Limits } from './data/limits.js';

/** The weather that the rules read, over the hours that a wash touches. */
export interface SiteWeather {
  readonly windChillC: number | null;
  /** Coldest air at the car during the wash. */
  readonly airTempC: number;
  readonly mostPrecipMm: number;
  readonly coldestNearbyC: number;
  readonly coldestNext12hC: number;
}

/** The clock, the light and the road that the rules read. */
export interface SiteTimes {
  readonly open: { readonly kind: 'open'; readonly minutesLeft: number } | { readonly kind: 'closed' };
  /** Light after the end; null where the sun does not set. */
  readonly lightLeftMinutes: number | null;
  readonly lightAtStart: boolean;
  /** Waiting before one's turn. */
  readonly queueMinutes: number;
  /** Hours after the end until main roads are wet, slushy or snowed; 0: they are; null: not known. */
  readonly dryRoadHours: number | null;
}

export interface SiteWindow extends SiteWeather, SiteTimes {}

export interface Situation {
  readonly vehicle: Vehicle;
  readonly place: Place;
  readonly method: Method;
  readonly limits: Limits;
  readonly house: Pick<HouseRules, 'choices'>;
  /** Grade of film and grit by group, 0–5. */
  readonly soil: ByGroup;
  /** Coldest air where the car stands in the night after; null: not known. */
  readonly overnightC: number | null;
  /** null: some hour of the wash has no weather. */
  readonly site: SiteWindow | null;
  /** What water and products do on it; null: not known, or not looked at. */
  readonly water: WaterOutcome | null;
  /** A wash in two places: what the rules of a place read in each; absent: it is done in one. */
  readonly stages?: readonly Situation[];
  /** Share of forecast members in which the start fails; absent: they were not asked. */
  readonly failedFraction?: number;
}

export type FindingLevel = 'clear' | 'condition' | 'block' | 'unknown';
export type MarginUnit =
  | 'min'
  | 'h'
  | 'K'
  | 'mg/m²'
  | 'mm/h'
  | 'pH'
  | 'L'
  | 'mL'
  | 'W/m²'
  | 'grade'
  | 'share'
  | 'none';
export type RemedyId =
  | 'smaller-section'
  | 'rinse-each-part'
  | 'soak-each-part'
  | 'lower-only'
  | 'upper-only'
  | 'finish-elsewhere'
  | 'wipe-gaps'
  | 'lined-gloves'
  | 'grit-run-off'
  | 'protect-after'
  | 'strip-on-purpose'
  | 'fit-forecast'
  | 'demin-rinse'
  | 'site-soap'
  | 'shield-neighbour'
  | 'rinse-grit-first'
  | 'hot-pre-soak'
  | 'shorter-dwell'
  | 'start-later';

/** What one rule found. Numbers only; words are made by the interface. */
export interface Finding {
  readonly ruleId: RuleId;
  readonly level: FindingLevel;
  /** Distance from the limit in its own unit; negative: beyond it; null: the rule is not one of degree. */
  readonly margin: number | null;
  readonly unit: MarginUnit;
  /** Margin over a scale on which 1 is comfortable; ranks findings against each other. Never beyond `BOUNDLESS` either way. */
  readonly comfort: number;
  readonly actual?: number | null;
  readonly limit?: number;
  readonly panel?: PanelId;
  readonly section?: SectionId;
  /** Warm water before each part of it is touched. */
  readonly before?: Before;
  readonly remedy?: RemedyId;
  readonly zone?: CarZone;
  readonly siteRule?: SiteRule;
  /** The step that it is about, and the one whose product lies under it. */
  readonly step?: WashStepId;
  readonly under?: WashStepId;
  /** It is about the second place, where the wash is ended. */
  readonly isElsewhere?: true;
  /** A second number that the words need, in a unit that the rule fixes. */
  readonly amount?: number;
}

export type RuleGlyph =
  | 'ice'
  | 'spot'
  | 'road'
  | 'clock'
  | 'dark'
  | 'cold-hands'
  | 'rule'
  | 'falling'
  | 'wear'
  | 'forecast'
  | 'soil'
  | 'scratch'
  | 'sun'
  | 'warmth';

export type RuleId =
  | 'method-offered'
  | 'floor-drain'
  | 'tap-frost'
  | 'open-hours'
  | 'ice-on-car'
  | 'spots'
  | 'daylight'
  | 'falling'
  | 'cold-hands'
  | 'ice-on-ground'
  | 'wear'
  | 'forecast-agrees'
  | 'soil-ceiling'
  | 'scratch'
  | 'seals-overnight'
  | 'dry-on'
  | 're-soiling'
  | 'site-rule'
  | 'direct-sun'
  | 'working-warmth'
  | 'label-time'
  | 'chemicals';

export interface Rule {
  readonly id: RuleId;
  /** The practitioner's question. */
  readonly question: string;
  readonly glyph: RuleGlyph;
  /** False where no later hour will change the answer. */
  readonly changesWithTime: boolean;
  readonly limits: readonly LimitId[];
  readonly reads: readonly string[];
  readonly judge: (situation: Situation) => Finding;
}
