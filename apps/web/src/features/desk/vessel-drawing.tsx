import { useId } from 'react';
import classes from './vessel.module.css';
import type { Vessel } from './vessel-view.js';

/** Of the drawing, in its own units: what can be filled, from below. */
const INSIDE = { top: 40, bottom: 214 } as const;
const WIDTH = 150;
const HEIGHT = 222;
const OUTLINES: Readonly<Record<Vessel['shape'], string>> = {
  bottle: 'M60 4h30v20q30 8 30 34v150q0 8 -8 8h-74q-8 0 -8 -8v-150q0 -26 30 -34z',
  bucket: 'M10 30h130l-14 178q-1 8 -9 8h-84q-8 0 -9 -8z',
};
const STEPS = 200;

interface VesselDrawingProps {
  readonly vessel: Vessel;
  /** null: nothing can be pulled. */
  readonly onPull: ((share: number) => void) | null;
}

/** A bottle or bucket with what is in it; the top of the lowest layer can be pulled, or moved by keys. */
export function VesselDrawing({ vessel: { shape, layers, handle }, onPull }: VesselDrawingProps) {
  const clip = useId();
  const height = INSIDE.bottom - INSIDE.top;
  const drawn = layers.map((layer, i) => {
    const from = layers.slice(0, i).reduce((sum, { share }) => sum + share, 0);
    return { ...layer, from, to: from + layer.share };
  });
  return (
    <figure className={classes.vessel} aria-label={layers.map(({ text }) => text).join(', ')}>
      <div className={classes.drawing}>
        <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden focusable="false">
          <clipPath id={clip}>
            <path d={OUTLINES[shape]} />
          </clipPath>
          <g clipPath={`url(#${clip})`}>
            {drawn.map(({ kind, from, to, text }) => (
              <rect
                key={text}
                className={classes.layer}
                data-kind={kind}
                x={0}
                width={WIDTH}
                y={INSIDE.bottom - to * height}
                height={(to - from) * height + (from === 0 ? HEIGHT - INSIDE.bottom : 0)}
              />
            ))}
          </g>
          <path className={classes.outline} d={OUTLINES[shape]} />
        </svg>
        {handle && onPull && (
          <input
            type="range"
            aria-label={handle.label}
            aria-valuetext={layers[0]?.text}
            min={0}
            max={STEPS}
            step={1}
            value={Math.round(handle.share * STEPS)}
            onChange={(event) => onPull(Number(event.currentTarget.value) / STEPS)}
          />
        )}
      </div>
      <ol className={classes.texts} reversed>
        {drawn.toReversed().map(({ kind, text }) => (
          <li key={text}>
            <span className={classes.swatch} data-kind={kind} aria-hidden="true" />
            {text}
          </li>
        ))}
      </ol>
    </figure>
  );
}
