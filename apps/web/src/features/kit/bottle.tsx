import classes from './bottle.module.css';

/** Of the drawing, in its own units. */
const WIDTH = 44;
const HEIGHT = 84;
const NECK = { x: 15, width: 14, height: 12 } as const;
const BODY = { top: 22, bottom: 80, left: 5, right: 39 } as const;
const OUTLINE = `M${NECK.x} 4h${NECK.width}v${NECK.height}q10 2 10 12v${BODY.bottom - 28 - 4}q0 4 -4 4h-26q-4 0 -4 -4v-${BODY.bottom - 28 - 4}q0 -10 10 -12z`;

/** How high the liquid stands in the drawing for a share of the bottle, 0–1; more than one bottle is a full one. */
export const levelY = (share: number): number =>
  BODY.bottom - Math.min(1, Math.max(0, share)) * (BODY.bottom - BODY.top);

interface BottleProps {
  readonly leftMl: number;
  readonly bottleMl: number;
  /** From here on it is to be bought. */
  readonly lowMl: number;
}

/** A bottle with its level, and a tick where it has to be bought; what it says stands in words beside it. */
export function Bottle({ leftMl, bottleMl, lowMl }: BottleProps) {
  const isLow = leftMl <= lowMl;
  const top = levelY(leftMl / bottleMl);
  const low = levelY(lowMl / bottleMl);
  return (
    <svg className={classes.bottle} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden focusable="false">
      <path className={classes.glass} d={OUTLINE} />
      <rect
        className={classes.liquid}
        data-low={isLow || undefined}
        x={BODY.left + 2}
        width={BODY.right - BODY.left - 4}
        y={top}
        height={BODY.bottom - top}
        rx={2}
      />
      <path className={classes.outline} d={OUTLINE} />
      <path className={classes.tick} d={`M${BODY.right - 9} ${low}h9`} />
    </svg>
  );
}
