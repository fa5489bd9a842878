const RAD_PER_DEG = Math.PI / 180;

export const sinDeg = (angleDeg: number): number => Math.sin(angleDeg * RAD_PER_DEG);
export const cosDeg = (angleDeg: number): number => Math.cos(angleDeg * RAD_PER_DEG);

/** Folds an angle into 0 (inclusive) to 360 (exclusive) degrees. */
export const wrapDeg = (angleDeg: number): number => ((angleDeg % 360) + 360) % 360;

/** True where an azimuth lies on the clockwise arc from `fromDeg` to `toDeg`; the arc may pass north. */
export function isWithinArc(
  azimuthDeg: number,
  arc: { readonly fromDeg: number; readonly toDeg: number },
): boolean {
  const widthDeg = wrapDeg(arc.toDeg - arc.fromDeg);
  return wrapDeg(azimuthDeg - arc.fromDeg) <= widthDeg;
}
