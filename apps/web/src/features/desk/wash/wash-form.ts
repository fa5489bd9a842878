import type { DisplaySettings, WashEvent, WashSumInput } from '@keen/core';
import { shownUnit, typed } from '../../../format/shown-unit.js';

/** One row of the table of events, as it is typed. */
export interface EventRow {
  readonly kind: WashEvent['kind'];
  readonly at: string;
  readonly film: string;
  readonly passes: string;
  readonly waterC: string;
  readonly leaves: string;
}

/** The panel and its air, as they are typed, in the user's units. */
export interface PanelFields {
  readonly material: WashSumInput['material'];
  readonly tilt: string;
  readonly absorptance: string;
  readonly solar: string;
  readonly airC: string;
  readonly humidity: string;
  readonly wind: string;
  readonly skyC: string;
}

/** A warm rinse of a flank in frost, a last rinse, the blower and the towel. */
const WASH_PANEL: PanelFields = {
  material: 'steel',
  tilt: '90',
  absorptance: '0.7',
  solar: '0',
  airC: '-5',
  humidity: '0.7',
  wind: '1',
  skyC: '-12',
};

const EMPTY: Omit<EventRow, 'kind' | 'at'> = { film: '60', passes: '1000', waterC: '34', leaves: '0.1' };
const WASH_EVENTS: readonly EventRow[] = [
  { kind: 'wet', at: '0', ...EMPTY, passes: '2600' },
  { kind: 'wet', at: '6', ...EMPTY, passes: '900' },
  { kind: 'blow', at: '8', ...EMPTY },
  { kind: 'wipe', at: '10', ...EMPTY, leaves: '3' },
];

/** A row to go on from: two minutes after the last one. */
export const nextEvent = (rows: readonly EventRow[]): EventRow => ({
  kind: 'wet',
  ...EMPTY,
  at: String(Number(rows.at(-1)?.at ?? '-2') + 2),
});

/** The example in the user's units. */
export function shownExample(display: DisplaySettings): { panel: PanelFields; events: readonly EventRow[] } {
  const show = (unit: string, text: string): string => typed(shownUnit(unit, display).toShown(Number(text)));
  return {
    panel: {
      ...WASH_PANEL,
      airC: show('°C', WASH_PANEL.airC),
      skyC: show('°C', WASH_PANEL.skyC),
      wind: show('m/s at the panel', WASH_PANEL.wind),
    },
    events: WASH_EVENTS.map((row) => ({ ...row, waterC: show('°C', row.waterC) })),
  };
}

const numberOf = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));

function eventOf({ kind, at, film, passes, waterC, leaves }: EventRow, display: DisplaySettings): WashEvent {
  const atMinute = numberOf(at);
  switch (kind) {
    case 'wet':
      return {
        kind,
        atMinute,
        filmGramsPerM2: numberOf(film),
        ...(passes.trim() === '' ? {} : { passesGramsPerM2: numberOf(passes) }),
        waterTempC: shownUnit('°C', display).fromShown(numberOf(waterC)),
      };
    case 'blow':
      return { kind, atMinute, leavesFraction: numberOf(leaves) };
    case 'wipe':
      return { kind, atMinute, leavesGramsPerM2: numberOf(leaves) };
  }
}

/** What was typed, as the sum takes it. */
export function washInput(
  panel: PanelFields,
  rows: readonly EventRow[],
  display: DisplaySettings,
): WashSumInput {
  const tempOf = (text: string): number => shownUnit('°C', display).fromShown(numberOf(text));
  return {
    material: panel.material,
    tiltDeg: numberOf(panel.tilt),
    absorptanceFraction: numberOf(panel.absorptance),
    climate: [
      {
        fromMinute: 0,
        solarWm2: numberOf(panel.solar),
        airTempC: tempOf(panel.airC),
        relHumidityFraction: numberOf(panel.humidity),
        airSpeedMetresPerSecond: shownUnit('m/s at the panel', display).fromShown(numberOf(panel.wind)),
        skyTempC: tempOf(panel.skyC),
      },
    ],
    events: rows.map((row) => eventOf(row, display)),
    afterMinutes: 20,
  };
}
