import type { BodyClass, SaltZone } from '@keen/core';
import { ZONE_NAMES } from '../words/names.js';
import { unfoldedShape } from './unfolded-car-shape.js';

export interface ZoneLayer {
  /** What stands in the zone. */
  readonly text: string;
  /** 0 nothing … 1 as much as the scale goes. */
  readonly strength: number;
}

interface UnfoldedCarProps {
  readonly bodyClass: BodyClass;
  readonly layer: Readonly<Record<SaltZone, ZoneLayer>>;
  /** What the drawing shows, for those who hear it. */
  readonly label: string;
}

const PAD = 4;

/** The vehicle's zones laid flat, each filled as far as its value goes and carrying its figure. */
export function UnfoldedCar({ bodyClass, layer, label }: UnfoldedCarProps) {
  const shape = unfoldedShape(bodyClass);
  const spoken = shape.areas.map(({ zone }) => `${ZONE_NAMES[zone]} ${layer[zone].text}`).join(', ');
  return (
    <svg
      viewBox={`${-PAD} ${-PAD} ${shape.width + 2 * PAD} ${shape.height + 2 * PAD}`}
      width="100%"
      role="img"
      aria-label={`${label}: ${spoken}`}
      style={{ maxHeight: '19rem' }}
    >
      <defs>
        <pattern id="salt-grains" width="6" height="6" patternUnits="userSpaceOnUse">
          <circle cx="1.6" cy="1.6" r="1" fill="var(--kr-ink)" opacity="0.5" />
          <circle cx="4.6" cy="4.6" r="0.8" fill="var(--kr-ink)" opacity="0.5" />
        </pattern>
      </defs>
      {shape.areas.map(({ zone, path }) => (
        <g key={zone}>
          <path d={path} fill="var(--kr-raised)" stroke="var(--kr-ink)" strokeWidth={1.4} />
          <path d={path} fill="var(--kr-lamp-fill)" opacity={0.75 * Math.min(1, layer[zone].strength)} />
          {layer[zone].strength > 0.5 && <path d={path} fill="url(#salt-grains)" />}
        </g>
      ))}
      {shape.marks.map((path) => (
        <path key={path} d={path} fill="none" stroke="var(--kr-ink)" strokeWidth={0.9} opacity={0.55} />
      ))}
      {shape.areas.map(({ zone, labelX, labelY }) => (
        <text
          key={zone}
          x={labelX}
          y={labelY}
          textAnchor="middle"
          dominantBaseline="middle"
          fill="var(--kr-ink)"
          fontSize={11}
          fontWeight={700}
          stroke="var(--kr-panel)"
          strokeWidth={3}
          paintOrder="stroke"
        >
          {layer[zone].text}
        </text>
      ))}
    </svg>
  );
}
