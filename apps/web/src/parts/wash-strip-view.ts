import type { PanelId, StepKind, WashPanel } from '@keen/core';

export type StripState = 'soaped' | 'wet' | 'wiped';

/** One panel of the strip. */
export interface StripRow {
  readonly key: string;
  readonly panel: PanelId;
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

/** Longer than this after a hand has come nobody asks when it would have frozen. */
const BEYOND_MINUTES = 8;

/**
 * What is drawn for each panel.
 *
 * @param kindOf what is known of the step with that index
 */
export function stripOf(panels: readonly WashPanel[], kindOf: (step: number) => StepKind | null): StripRow[] {
  return panels.map(({ panel, input, steps, spans, waits }, row): StripRow => {
    const stretches = input.events.flatMap((event, i) => {
      const span = spans[i];
      const kind = kindOf(steps[i] ?? -1);
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
    return { key: `${panel} ${row}`, panel, stretches, ends };
  });
}
