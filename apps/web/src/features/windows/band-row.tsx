import type { Band } from '@keen/core';
import { memo } from 'react';
import { Glyph } from '../../parts/glyph.js';
import { verdictFill } from '../../parts/verdict-patterns.js';
import { cellOpacity, isInDoubt, runsOf } from './ribbon-view.js';
import classes from './ribbon.module.css';

interface BandRowProps {
  readonly band: Band;
  readonly y: number;
  readonly height: number;
  readonly cellWidth: number;
  readonly onChoose: (hourIndex: number) => void;
}

const GLYPH_SIZE = 16;

/** One place and method over the week. */
export const BandRow = memo(function BandRow({ band, y, height, cellWidth, onChoose }: BandRowProps) {
  return (
    <g transform={`translate(0 ${y})`}>
      {band.cells.map((cell, i) => (
        <g key={cell.startMs} className={classes.cell} onClick={() => onChoose(i)}>
          <rect
            x={i * cellWidth}
            width={cellWidth}
            height={height}
            fill={verdictFill(cell.verdict)}
            opacity={cellOpacity(cell)}
          />
          {isInDoubt(cell) && (
            <rect
              x={i * cellWidth}
              width={cellWidth}
              height={height}
              fill="url(#members-disagree)"
              opacity={0.35 + 0.65 * (cell.blockedFraction ?? 0)}
            />
          )}
        </g>
      ))}
      {runsOf(band.cells).map(({ from, length, glyph }) => {
        const middle = (from + length / 2) * cellWidth;
        return (
          <g key={from} pointerEvents="none" color="var(--kr-ink)">
            <line
              x1={from * cellWidth}
              x2={from * cellWidth}
              y1={0}
              y2={height}
              stroke="var(--kr-panel)"
              strokeWidth={2}
            />
            {length * cellWidth >= 30 && (
              <>
                <rect
                  x={middle - 12}
                  y={height / 2 - 10}
                  width={24}
                  height={20}
                  rx={5}
                  fill="var(--kr-panel)"
                  opacity={0.92}
                />
                <Glyph
                  glyph={glyph}
                  size={GLYPH_SIZE}
                  at={{ x: middle - GLYPH_SIZE / 2, y: (height - GLYPH_SIZE) / 2 }}
                />
              </>
            )}
          </g>
        );
      })}
    </g>
  );
});
