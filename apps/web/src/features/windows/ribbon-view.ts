import {
  type Band,
  type Cell,
  type RoadState,
  type RuleGlyph,
  ruleOf,
  type ForecastHour,
  type WindowsView,
} from '@keen/core';

/** Width of an hour, px: the whole week at a glance, or its days in detail. */
export const CELL_WIDTHS = { week: 6, days: 20 } as const;
export type Zoom = keyof typeof CELL_WIDTHS;

export const BAND_GAP = 5;
export const SKY_HEIGHT = 104;
export const DAY_HEIGHT = 22;
/** The main road and the salt clock, under the air. */
export const ROAD_HEIGHT = 20;
export const CLOCK_HEIGHT = 24;

/** The place's name over its bands. */
export const HEAD_HEIGHT = 17;

const ROOMY_BANDS = 6;

export interface BandLayout {
  /** Bands grow thin where there are many, so that a week of all of them fits a screen. */
  readonly thick: number;
  /** Top of each band under the top of the first place's name. */
  readonly tops: readonly number[];
  /** Whether a place begins at this band. */
  readonly heads: readonly boolean[];
  readonly height: number;
}

/** Where the bands lie: place by place, its name over them. */
export function bandLayout(bands: readonly Pick<Band, 'placeId'>[]): BandLayout {
  const thick = bands.length > ROOMY_BANDS ? 22 : 34;
  const heads = bands.map(({ placeId }, i) => bands[i - 1]?.placeId !== placeId);
  let y = 0;
  const tops = heads.map((isHead) => {
    y += isHead ? HEAD_HEIGHT : 0;
    const top = y;
    y += thick + BAND_GAP;
    return top;
  });
  return { thick, tops, heads, height: y };
}

/** Bands that can ever go, and those that are refused for good although the place offers them. */
export const openBands = (view: WindowsView): Band[] => view.bands.filter((band) => band.refusal === null);

/** How solid a cell is drawn: faint at its limit, full at a comfortable distance. */
export function cellOpacity(cell: Cell): number {
  if (cell.verdict === 'no' || cell.verdict === 'wait' || cell.verdict === 'unknown') return 1;
  return 0.5 + 0.5 * Math.min(1, Math.max(0, cell.limiting.comfort));
}

/** Members disagree: some go and some do not. */
export const isInDoubt = ({ verdict, blockedFraction }: Cell): boolean =>
  (verdict === 'go' || verdict === 'go-if') &&
  blockedFraction !== null &&
  blockedFraction > 0 &&
  blockedFraction < 1;

export interface Run {
  readonly from: number;
  readonly length: number;
  readonly glyph: RuleGlyph;
}

/** Stretches of a band with the same verdict and reason, so that each is marked once. */
export function runsOf(cells: readonly Cell[]): Run[] {
  const runs: Run[] = [];
  let from = 0;
  cells.forEach((cell, i) => {
    const next = cells[i + 1];
    const same = next?.verdict === cell.verdict && next.limiting.ruleId === cell.limiting.ruleId;
    if (same) return;
    runs.push({ from, length: i + 1 - from, glyph: ruleOf(cell.limiting.ruleId).glyph });
    from = i + 1;
  });
  return runs;
}

export interface TempScale {
  readonly lowC: number;
  readonly highC: number;
  readonly y: (tempC: number) => number;
}

/** Scale of the temperature line: whole fives around the spread, 0 °C always inside. */
export function tempScale(hours: readonly ForecastHour[]): TempScale {
  const lows = hours.map(({ lowTempC, airTempC }) => Math.min(lowTempC, airTempC));
  const highs = hours.map(({ highTempC, airTempC }) => Math.max(highTempC, airTempC));
  const lowC = Math.floor(Math.min(-1, ...lows) / 5) * 5;
  const highC = Math.ceil(Math.max(1, ...highs) / 5) * 5;
  const usable = SKY_HEIGHT - 16;
  return { lowC, highC, y: (tempC) => 8 + ((highC - tempC) / (highC - lowC)) * usable };
}

export interface RoadRun {
  readonly from: number;
  readonly length: number;
  /** null: not known. */
  readonly state: RoadState | null;
}

/** Stretches in which the main road stays as it is. */
export function roadRuns(hours: WindowsView['hours']): RoadRun[] {
  const runs: RoadRun[] = [];
  hours.forEach(({ road }, i) => {
    const last = runs.at(-1);
    if (last?.state === road) runs[runs.length - 1] = { ...last, length: last.length + 1 };
    else runs.push({ from: i, length: 1, state: road });
  });
  return runs;
}

/** Bands that go at an hour: go before go if, then the one furthest from its limit. */
export function goingAt(bands: readonly Band[], hourIndex: number): number[] {
  const rank = (bandIndex: number): number => (bands[bandIndex]?.cells[hourIndex]?.verdict === 'go' ? 0 : 1);
  const comfort = (bandIndex: number): number => bands[bandIndex]?.cells[hourIndex]?.limiting.comfort ?? 0;
  return bands
    .map((_, bandIndex) => bandIndex)
    .filter((bandIndex) => {
      const verdict = bands[bandIndex]?.cells[hourIndex]?.verdict;
      return verdict === 'go' || verdict === 'go-if';
    })
    .sort((a, b) => rank(a) - rank(b) || comfort(b) - comfort(a));
}
