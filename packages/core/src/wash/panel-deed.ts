import type { PanelClimate } from '../film/index.js';

/** What surrounds the panel from a minute of the wash on. */
export interface ClimateFrom {
  readonly fromMinute: number;
  readonly climate: PanelClimate;
}

/** What is done to the panel; grams as kg/m² so that nothing is converted on the way. */
export type PanelDeed =
  | {
      readonly kind: 'wet';
      readonly filmKg: number;
      /** All that runs over it, the film that stays among it. */
      readonly passesKg: number;
      readonly waterTempC: number;
    }
  | { readonly kind: 'blow'; readonly leavesFraction: number }
  | { readonly kind: 'wipe'; readonly leavesKg: number };

/** The panel from one deed to the next. */
export interface PanelSpan {
  readonly atMinute: number;
  /** Just after the deed. */
  readonly startTempC: number;
  /** From the same zero as `atMinute`; null: not before the next deed. */
  readonly firstIceMinute: number | null;
  readonly dryMinute: number | null;
  /** Coldest from the deed to the next, °C. */
  readonly lowestTempC: number;
  readonly endTempC: number;
  readonly endWaterGramsPerM2: number;
  readonly endIceGramsPerM2: number;
}
