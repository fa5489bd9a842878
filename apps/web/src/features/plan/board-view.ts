import { type Block, type DayStrip, isOn, stackOf } from './plan-view.js';

/** A line of the board: a day on which something is, or days on which nothing is, folded to one. */
export type BoardRow =
  | { readonly kind: 'day'; readonly strip: DayStrip }
  | { readonly kind: 'free'; readonly strips: readonly DayStrip[] };

/** Days with nothing on them that follow each other are one line, except where all are to be seen. */
export function boardRows(
  strips: readonly DayStrip[],
  blocks: readonly Block[],
  isUnfolded: boolean,
): BoardRow[] {
  const rows: BoardRow[] = [];
  for (const strip of strips) {
    const last = rows.at(-1);
    if (isUnfolded || blocks.some((block) => isOn(strip, block))) rows.push({ kind: 'day', strip });
    else if (last?.kind === 'free') rows.splice(-1, 1, { ...last, strips: [...last.strips, strip] });
    else rows.push({ kind: 'free', strips: [strip] });
  }
  return rows;
}

/** A block as it is drawn: wide enough for its name, and within its day. */
export interface Drawn {
  readonly block: Block;
  readonly startMs: number;
  readonly endMs: number;
  readonly row: number;
  /** The wash itself within what is drawn, as shares of it. */
  readonly washFrom: number;
  readonly washTo: number;
}

/** Glyphs and padding of a block, and a letter of its name, in pixels at the size that they are drawn in. */
const ROUND_NAME_PX = 44;
const LETTER_PX = 7.4;

/**
 * Lays the blocks of one lane out.
 * @param trackPx width of the day; 0 where it is not known yet
 * @returns what is drawn, and in how many rows, so that no name lies over another
 */
export function drawnOn(
  strip: DayStrip,
  blocks: readonly Block[],
  { trackPx, nameOf }: { readonly trackPx: number; readonly nameOf: (block: Block) => string },
): { readonly drawn: readonly Drawn[]; readonly rows: number } {
  const dayMs = strip.toMs - strip.fromMs;
  const spans = blocks.map((block) => {
    const px = ROUND_NAME_PX + LETTER_PX * nameOf(block).length;
    const leastMs = trackPx > 0 ? Math.min(dayMs, (px / trackPx) * dayMs) : 0;
    const fromMs = Math.max(strip.fromMs, block.startMs);
    const toMs = Math.min(strip.toMs, block.endMs);
    const startMs = Math.max(strip.fromMs, Math.min(fromMs, strip.toMs - leastMs));
    const endMs = Math.max(toMs, startMs + leastMs);
    const share = (atMs: number): number => (endMs > startMs ? (atMs - startMs) / (endMs - startMs) : 0);
    return { key: block.key, block, startMs, endMs, washFrom: share(fromMs), washTo: share(toMs) };
  });
  const { rowOf, rows } = stackOf(spans);
  return { drawn: spans.map(({ key, ...span }) => ({ ...span, row: rowOf.get(key) ?? 0 })), rows };
}
