import type { CarZone } from '@keen/core';

export const WIDTH = 78;

export const GAP = 7;

export const WHEEL_FRACTION = 0.23;

const ARCH_FRACTION = 0.37;

const TRIM_FRACTION = 0.1;

const UPPER_FRACTION = 0.5;

export interface Area {
  readonly zone: CarZone;
  readonly path: string;
  readonly labelX: number;
  readonly labelY: number;
}

export const box = ({ x, y, w, h }: Record<'x' | 'y' | 'w' | 'h', number>): string =>
  `M${x} ${y}h${w}v${h}h${-w}z`;

const disc = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;

interface Flank {
  readonly side: 'left' | 'right';
  /** Where the side joins the top, and how it folds away from it: −1 upwards, 1 downwards. */
  readonly joinY: number;
  readonly away: 1 | -1;
  readonly length: number;
  readonly height: number;
}

/** A strip of a flank between two heights, 0 at the waist that joins the top, 1 at the sill. */
function strip({ joinY, away, length, height }: Flank, from: number, to: number): string {
  const y = joinY + away * height * (away === 1 ? from : to);
  return box({ x: 0, y, w: length, h: height * (to - from) });
}

/** Half a ring over a wheel: the arch. */
function arch({ joinY, away, height }: Flank, x: number): string {
  const sill = joinY + away * height;
  const outer = height * ARCH_FRACTION;
  const inner = height * WHEEL_FRACTION + 1.5;
  const over = away === 1 ? 1 : 0;
  return `M${x - outer} ${sill}A${outer} ${outer} 0 0 ${over} ${x + outer} ${sill}H${x + inner}A${inner} ${inner} 0 0 ${1 - over} ${x - inner} ${sill}z`;
}

export function flankAreas(flank: Flank): { areas: Area[]; trim: string; glass: string } {
  const { side, joinY, away, length, height } = flank;
  const at = (share: number): number => joinY + away * height * share;
  const axles = [length * 0.19, length * 0.8] as const;
  const sill = at(1);
  const waist = UPPER_FRACTION;
  const belt = waist + TRIM_FRACTION;
  const windows = strip({ ...flank, length: length * 0.46 }, 0.1, 0.38).replace('M0 ', `M${length * 0.27} `);
  const areas: Area[] = [
    { zone: `upper-${side}`, path: strip(flank, 0, waist), labelX: length * 0.16, labelY: at(waist / 2) },
    {
      zone: `lower-${side}`,
      path: strip(flank, belt, 1),
      labelX: length * 0.495,
      labelY: at((belt + 1) / 2),
    },
    {
      zone: `arches-${side}`,
      path: axles.map((x) => arch(flank, x)).join(''),
      // Ahead of the rear wheel, which would cover it.
      labelX: axles[1] - (height * (ARCH_FRACTION + WHEEL_FRACTION)) / 2,
      labelY: at(0.84),
    },
    {
      zone: `wheels-${side}`,
      path: axles.map((x) => disc(x, sill, height * WHEEL_FRACTION)).join(''),
      labelX: axles[0],
      labelY: sill,
    },
  ];
  return { areas, trim: strip(flank, waist, belt), glass: windows };
}
