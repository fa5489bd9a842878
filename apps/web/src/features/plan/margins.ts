import { type Band, type VerdictKind, MS_PER_HOUR } from '@keen/core';
import type { DropTarget } from './drop-targets.js';
import type { DayStrip } from './plan-view.js';

/** A stretch of hours that go alike, on a strip. */
export interface Margin {
  readonly startMs: number;
  readonly endMs: number;
  readonly verdict: VerdictKind;
  /** How far from the limit, 0–1, in quarters; 0 where it does not go. */
  readonly comfort: number;
}

/** By place: how a car fares there, by the method wanted where the place offers it, and otherwise by the one that goes most often. */
export function bandsBehind(bands: readonly Band[], methodId: string): ReadonlyMap<string, Band> {
  const goes = ({ cells }: Band): number => cells.filter(({ verdict }) => verdict === 'go').length;
  const behind = new Map<string, Band>();
  for (const band of bands.filter(({ refusal }) => refusal === null)) {
    const other = behind.get(band.placeId);
    if (other?.methodId === methodId) continue;
    if (!other || band.methodId === methodId || goes(band) > goes(other)) behind.set(band.placeId, band);
  }
  return behind;
}

/** How the hours of a strip go, as few stretches as there are. */
export function marginsOn({ fromMs, toMs }: Pick<DayStrip, 'fromMs' | 'toMs'>, band: Band): Margin[] {
  const margins: Margin[] = [];
  for (const { startMs, verdict, limiting } of band.cells) {
    if (startMs < fromMs || startMs >= toMs) continue;
    const isOpen = verdict === 'go' || verdict === 'go-if';
    const comfort = isOpen ? Math.round(4 * Math.min(1, Math.max(0, limiting.comfort))) / 4 : 0;
    const last = margins.at(-1);
    const endMs = startMs + MS_PER_HOUR;
    if (last?.verdict === verdict && last.comfort === comfort && last.endMs === startMs)
      margins[margins.length - 1] = { ...last, endMs };
    else margins.push({ startMs, endMs, verdict, comfort });
  }
  return margins;
}

/** How dear a drop is, for its shade: the best third of what may be had, the middle, the rest. */
export function targetGrade(
  costMinor: number | null,
  targets: readonly DropTarget[],
): 'good' | 'fair' | 'poor' {
  const worths = targets.map(({ option }) => option.worthMinor);
  const most = Math.max(...worths);
  const least = Math.min(...worths);
  if (costMinor === null || most - least < 1) return 'good';
  const known = targets.find((target) => target.costMinor === costMinor);
  const share = (most - (known?.option.worthMinor ?? most)) / (most - least);
  if (share < 1 / 3) return 'good';
  return share < 2 / 3 ? 'fair' : 'poor';
}
