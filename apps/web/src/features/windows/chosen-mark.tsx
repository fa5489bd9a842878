interface ChosenMarkProps {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A frame that is seen on every colour. */
export function ChosenMark({ x, y, width, height }: ChosenMarkProps) {
  return (
    <>
      <rect
        x={x - 1}
        y={y - 2}
        width={width + 2}
        height={height + 4}
        fill="none"
        stroke="var(--kr-panel)"
        strokeWidth={4}
        pointerEvents="none"
      />
      <rect
        x={x - 3}
        y={y - 4}
        width={width + 6}
        height={height + 8}
        fill="none"
        stroke="var(--kr-ink)"
        strokeWidth={3}
        pointerEvents="none"
      />
    </>
  );
}
