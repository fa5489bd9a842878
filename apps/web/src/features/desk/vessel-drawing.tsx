import { useId } from 'react';
import classes from './vessel.module.css';
import type { Vessel } from './vessel-view.js';

/** Of the drawing, in its own units: what can be filled, from below. */
const INSIDE = { top: 40, bottom: 214 } as const;
const WIDTH = 150;
const HEIGHT = 222;
/** Room for the lance over the bottle and its spray to the left. */
const LANCE = { left: 96, above: 64 } as const;
/** The strongest that is sprayed at a car, %; the spray is drawn full at that (drawing only). */
const FULL_SPRAY_PERCENT = 10;
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

const percentOf = (part: number, whole: number): string => `${(100 * part) / whole}%`;

/** The lance that draws from the bottle under it, and its spray: the fuller, the stronger it arrives. */
function Lance({ panelPercent }: { readonly panelPercent: number }) {
  const strength = Math.min(1, Math.max(0.12, panelPercent / FULL_SPRAY_PERCENT));
  return (
    <>
      <path className={classes.spray} opacity={strength} d="M-12 -34 L-94 -62 L-94 22 Z" />
      <path
        className={classes.outline}
        d="M-12 -44h26v20h-26z M14 -40h86v12h-86z M100 -44h24l14 44h-16l-12 -32h-10z"
      />
      <path className={classes.outline} d="M66 -28v32 M84 -28v32" />
    </>
  );
}

/** A bottle or bucket with what is in it; the top of the lowest layer can be pulled, or moved by keys. */
export function VesselDrawing({ vessel: { shape, layers, handle, lance }, onPull }: VesselDrawingProps) {
  const clip = useId();
  const left = lance ? LANCE.left : 0;
  const above = lance ? LANCE.above : 0;
  const whole = { width: WIDTH + left, height: HEIGHT + above };
  const height = INSIDE.bottom - INSIDE.top;
  const drawn = layers.map((layer, i) => {
    const from = layers.slice(0, i).reduce((sum, { share }) => sum + share, 0);
    return { ...layer, from, to: from + layer.share };
  });
  return (
    <figure
      className={classes.vessel}
      aria-label={[...layers, ...(lance ? [lance] : [])].map(({ text }) => text).join(', ')}
    >
      <div className={classes.drawing} style={{ width: `${(8.4 * whole.width) / WIDTH}rem` }}>
        <svg viewBox={`${-left} ${-above} ${whole.width} ${whole.height}`} aria-hidden focusable="false">
          {lance && <Lance panelPercent={lance.panelPercent} />}
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
            style={{
              top: percentOf(above + INSIDE.top, whole.height),
              bottom: percentOf(HEIGHT - INSIDE.bottom, whole.height),
              left: percentOf(left, whole.width),
              width: percentOf(WIDTH, whole.width),
            }}
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
        {lance && (
          <li>
            <span className={classes.swatch} data-kind="spray" aria-hidden="true" />
            {lance.text}
          </li>
        )}
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
