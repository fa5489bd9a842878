import type { PanelId, PartId, StepKind, WashPanel } from '@keen/core';
import { PANEL_NAMES } from '../words/car-names.js';

export type StripState = 'soaped' | 'wet' | 'wiped';

/** One panel of the strip. */
export interface StripRow {
  readonly key: string;
  /** The panel, and which half of it where its halves were not done together. */
  readonly name: string;
  readonly stretches: readonly {
    readonly state: StripState;
    readonly fromMinute: number;
    readonly toMinute: number;
  }[];
  /** When what lies there would freeze or dry if nothing came; too soon: it does so before anything comes. */
  readonly ends: readonly {
    readonly kind: 'ice' | 'dry';
    readonly minute: number;
    readonly isTooSoon: boolean;
  }[];
}

type Halves = Readonly<Partial<Record<PartId, string>>>;
const SIDES: Halves = { 'left-side': 'left half', 'right-side': 'right half' };
const ENDS: Halves = {
  'left-ahead': 'front half',
  'right-ahead': 'front half',
  'left-behind': 'rear half',
  'right-behind': 'rear half',
};
const isFlank = (panel: PanelId): boolean => panel === 'left' || panel === 'right';

/** What of the panel went with these parts; null: they had all of it. */
function halfOf(panel: PanelId, parts: readonly (PartId | null)[]): string | null {
  const halves = isFlank(panel) ? ENDS : SIDES;
  return parts.flatMap((part) => (part && halves[part]) ?? []).at(0) ?? null;
}

/** Longer than this after a hand has come nobody asks when it would have frozen. */
const BEYOND_MINUTES = 8;

/**
 * What is drawn for each panel.
 *
 * @param of what is known of the step with an index, and the part of the car that it is done on, null for all of it
 */
export function stripOf(
  panels: readonly WashPanel[],
  of: {
    readonly kindOf: (step: number) => StepKind | null;
    readonly partOf: (step: number) => PartId | null;
  },
): StripRow[] {
  return panels.map(({ panel, input, steps, spans, waits }, row): StripRow => {
    const stretches = input.events.flatMap((event, i) => {
      const span = spans[i];
      const kind = of.kindOf(steps[i] ?? -1);
      if (!span) return [];
      const next = input.events[i + 1]?.atMinute;
      const dry = span.dryMinute ?? Infinity;
      const toMinute = Math.min(next ?? event.atMinute + 2, dry);
      if (toMinute <= event.atMinute) return [];
      const state: StripState = event.kind !== 'wet' ? 'wiped' : kind?.wets?.isProduct ? 'soaped' : 'wet';
      return [{ state, fromMinute: event.atMinute, toMinute }];
    });
    const ends = waits.flatMap(({ untilMinute, iceMinute, dryMinute }) => {
      const kind =
        iceMinute !== null && iceMinute <= (dryMinute ?? Infinity) ? ('ice' as const) : ('dry' as const);
      const minute = kind === 'ice' ? iceMinute : dryMinute;
      if (minute === null) return [];
      const isTooSoon = untilMinute !== null && minute < untilMinute;
      return isTooSoon || minute <= (untilMinute ?? Infinity) + BEYOND_MINUTES
        ? [{ kind, minute, isTooSoon }]
        : [];
    });
    const half = halfOf(panel, steps.map(of.partOf));
    const name = half === null ? PANEL_NAMES[panel] : `${PANEL_NAMES[panel]}, ${half}`;
    return { key: `${panel} ${row}`, name, stretches, ends };
  });
}
