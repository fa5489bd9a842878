import { type PlaceRecord, sunHours } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import card from '../../parts/drawn-card.module.css';
import classes from './place-card.module.css';
import { hillsOf, MIDDLE, planText, pointAt, SUN_RADIUS, WALL_RADIUS, wallsOf } from './place-plan-view.js';

/** A place seen from above: its walls and openings, how the car stands, and the sun round it today. */
export function PlacePlan({ place, nowMs }: { readonly place: PlaceRecord; readonly nowMs: number }) {
  const format = useFormat();
  const { shelter, carHeadingDeg } = place;
  const sun = sunHours(place, nowMs);
  const hills = shelter.kind === 'open' ? hillsOf(shelter.horizon) : [];
  return (
    <svg viewBox="0 0 120 120" className={card.drawing} role="img" aria-label={planText(place, sun, format)}>
      {shelter.kind === 'open' ? (
        <circle className={classes.sky} cx={MIDDLE} cy={MIDDLE} r={WALL_RADIUS} />
      ) : (
        <circle className={classes.floor} cx={MIDDLE} cy={MIDDLE} r={WALL_RADIUS} />
      )}
      {wallsOf(shelter).map((path) => (
        <path key={path} className={classes.wall} d={path} />
      ))}
      {hills.map(({ azimuthDeg, depth }) => {
        const { x, y } = pointAt(azimuthDeg, SUN_RADIUS - depth / 2);
        return <circle key={azimuthDeg} className={classes.hill} cx={x} cy={y} r={Math.max(2, depth / 2)} />;
      })}
      <g transform={`rotate(${carHeadingDeg} ${MIDDLE} ${MIDDLE})`}>
        <rect className={classes.body} x={MIDDLE - 8} y={MIDDLE - 17} width={16} height={34} rx={5} />
        <path className={classes.glass} d={`M${MIDDLE - 6} ${MIDDLE - 8}h12l-1.5 5h-9z`} />
      </g>
      {sun.map(({ atMs, azimuthDeg, isLit }) => {
        const { x, y } = pointAt(azimuthDeg, SUN_RADIUS);
        return (
          <circle
            key={atMs}
            className={isLit ? classes.lit : classes.hidden}
            cx={x}
            cy={y}
            r={isLit ? 3.6 : 1.8}
          />
        );
      })}
      <text className={classes.north} x={MIDDLE} y={9} textAnchor="middle">
        N
      </text>
    </svg>
  );
}
