import { useMediaQuery } from '@mantine/hooks';
import type { BodyClass, CarZone } from '@keen/core';
import type { KeyboardEvent } from 'react';
import { ZONE_NAMES } from '../words/car-names.js';
import { NOSE_UP, unfoldedShape } from './unfolded-car-shape.js';
import classes from './unfolded-car.module.css';

export interface ZoneLayer {
  /** What stands in the zone; short. */
  readonly text: string;
  /** 0 nothing … 1 as much as the scale goes. */
  readonly strength: number;
  /** What it means, for those who hear it; the text if absent. */
  readonly spoken?: string;
  /** Somebody looked: drawn with a ring round its figure. */
  readonly isMeasured?: boolean;
}

export type Layer = Readonly<Partial<Record<CarZone, ZoneLayer>>>;

interface UnfoldedCarProps {
  readonly bodyClass: BodyClass;
  readonly layer: Layer;
  /** What the drawing shows, for those who hear it. */
  readonly label: string;
  /** Salt is brown dots, the closer the more of it; soil brown all over; what is good is brine; where something is done, slate. */
  readonly tone?: 'salt' | 'soil' | 'brine' | 'ink';
  readonly chosen?: CarZone | null;
  readonly onChoose?: (zone: CarZone) => void;
  /** Small, in a list: always the same shape, and without the names of its sides. */
  readonly isThumbnail?: boolean;
}

const PAD = 4;

/** Dots of salt: how far apart and how large, from little to much. */
const DOTS = [
  { apart: 11, radius: 1 },
  { apart: 8, radius: 1.15 },
  { apart: 6, radius: 1.25 },
  { apart: 4.6, radius: 1.4 },
] as const;
/** Dots are too fine for a small drawing. */
const THUMBNAIL_TONE = 'soil';
/** Less than this is drawn as nothing. */
const LEAST = 0.03;

/** What a zone is filled with, and how strongly. */
function fillOf(
  tone: NonNullable<UnfoldedCarProps['tone']>,
  strength: number,
): { fill: string; opacity: number } {
  if (tone === 'brine') return { fill: 'var(--kr-brine-fill)', opacity: 0.8 * strength };
  if (tone === 'ink') return { fill: 'var(--kr-slate)', opacity: 0.8 * strength };
  if (tone === 'soil') return { fill: 'var(--kr-salt)', opacity: 0.65 * strength };
  const density = Math.min(DOTS.length - 1, Math.floor(strength * DOTS.length));
  return { fill: `url(#salt-dots-${density})`, opacity: strength < LEAST ? 0 : 1 };
}

const spokenOf = (zone: CarZone, layer: Layer): string =>
  `${ZONE_NAMES[zone]} ${layer[zone]?.spoken ?? layer[zone]?.text ?? 'not known'}`;

function SaltDots() {
  return (
    <defs>
      {DOTS.map(({ apart, radius }, density) => (
        <pattern
          key={apart}
          id={`salt-dots-${density}`}
          width={apart}
          height={apart}
          patternUnits="userSpaceOnUse"
        >
          <circle cx={apart / 4} cy={apart / 4} r={radius} fill="var(--kr-salt)" />
          <circle cx={(3 * apart) / 4} cy={(3 * apart) / 4} r={0.8 * radius} fill="var(--kr-salt)" />
        </pattern>
      ))}
    </defs>
  );
}

/** The vehicle's zones laid flat, nose up and seen from above, each filled as far as its value goes and carrying its figure; zones can be chosen. */
export function UnfoldedCar({
  bodyClass,
  layer,
  label,
  tone = 'salt',
  chosen,
  onChoose,
  isThumbnail = false,
}: UnfoldedCarProps) {
  const isNarrow = useMediaQuery('(max-width: 48em)', false, { getInitialValueInEffect: false });
  const filling = isThumbnail && tone === 'salt' ? THUMBNAIL_TONE : tone;
  const shape = unfoldedShape(bodyClass, isNarrow && !isThumbnail ? 'behind' : 'beside');
  const zoneProps = (zone: CarZone) =>
    onChoose
      ? {
          role: 'button',
          tabIndex: 0,
          'aria-label': spokenOf(zone, layer),
          'aria-pressed': chosen === zone,
          className: classes.zone,
          onClick: () => onChoose(zone),
          onKeyDown: (event: KeyboardEvent) => {
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            onChoose(zone);
          },
        }
      : {};
  return (
    <svg
      viewBox={`${shape.left - PAD} ${shape.top - PAD} ${shape.width + 2 * PAD} ${shape.height + 2 * PAD}`}
      width="100%"
      role={onChoose ? 'group' : 'img'}
      aria-label={
        onChoose ? label : `${label}: ${shape.areas.map(({ zone }) => spokenOf(zone, layer)).join(', ')}`
      }
      className={classes.car}
    >
      {filling === 'salt' && <SaltDots />}
      {shape.areas.map(({ zone, path, labelX, labelY }) => {
        const value = layer[zone];
        const strength = Math.min(1, Math.max(0, value?.strength ?? 0));
        const small = zone.startsWith('wheels') || zone.startsWith('arches') || zone === 'trim';
        return (
          <g key={zone} {...zoneProps(zone)}>
            <path
              d={path}
              transform={NOSE_UP}
              fill="var(--kr-raised)"
              stroke="var(--kr-ink)"
              strokeWidth={1.1}
            />
            <path d={path} transform={NOSE_UP} {...fillOf(filling, strength)} />
            {chosen === zone && (
              <path
                d={path}
                transform={NOSE_UP}
                fill="none"
                stroke="var(--kr-ink)"
                strokeWidth={3.2}
                strokeLinejoin="round"
              />
            )}
            {value && value.text !== '' && (
              <text
                x={labelX}
                y={labelY}
                textAnchor="middle"
                dominantBaseline="central"
                fill="var(--kr-ink)"
                fontSize={small ? 7.6 : 10}
                fontWeight={700}
                stroke="var(--kr-panel)"
                strokeWidth={2.6}
                paintOrder="stroke"
                textDecoration={value.isMeasured ? 'underline' : undefined}
              >
                {value.text}
              </text>
            )}
          </g>
        );
      })}
      {shape.marks.map((path) => (
        <path
          key={path}
          d={path}
          transform={NOSE_UP}
          fill="none"
          stroke="var(--kr-ink)"
          strokeWidth={0.9}
          opacity={0.5}
          pointerEvents="none"
        />
      ))}
      {(isThumbnail ? [] : shape.bearings).map(({ text, x, y, turnDeg }) => (
        <text
          key={text}
          transform={`translate(${x} ${y}) rotate(${turnDeg})`}
          className={classes.bearing}
          textAnchor="middle"
          dominantBaseline="central"
        >
          {text}
        </text>
      ))}
    </svg>
  );
}
