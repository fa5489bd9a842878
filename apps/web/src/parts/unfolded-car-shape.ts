import type { BodyClass, CarZone } from '@keen/core';

/** Lengths along the car in the drawing's own units, nose to tail, by body class. */
interface Proportions {
  readonly bonnet: number;
  readonly screen: number;
  readonly roof: number;
  /** Rear glass, where it lies in the top. */
  readonly rearGlass: number;
  readonly tail: number;
  readonly height: number;
}

const PROPORTIONS: Readonly<Record<BodyClass, Proportions>> = {
  saloon: { bonnet: 62, screen: 24, roof: 62, rearGlass: 18, tail: 48, height: 52 },
  estate: { bonnet: 60, screen: 24, roof: 100, rearGlass: 12, tail: 18, height: 54 },
  hatch: { bonnet: 48, screen: 26, roof: 76, rearGlass: 16, tail: 22, height: 54 },
  suv: { bonnet: 56, screen: 22, roof: 94, rearGlass: 12, tail: 24, height: 62 },
  pickup: { bonnet: 58, screen: 22, roof: 46, rearGlass: 8, tail: 80, height: 58 },
  van: { bonnet: 30, screen: 26, roof: 144, rearGlass: 0, tail: 16, height: 74 },
};

const WIDTH = 78;
const GAP = 7;
const BUMPER = 22;
const WHEEL_FRACTION = 0.23;
const ARCH_FRACTION = 0.37;
const TRIM_FRACTION = 0.1;
const UPPER_FRACTION = 0.5;

export interface Area {
  readonly zone: CarZone;
  readonly path: string;
  readonly labelX: number;
  readonly labelY: number;
}

/** A word on the drawing that says which way round it is. */
export interface Bearing {
  readonly text: 'FRONT' | 'LEFT' | 'RIGHT';
  readonly x: number;
  readonly y: number;
  readonly turnDeg: number;
}

export interface UnfoldedShape {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly areas: readonly Area[];
  readonly bearings: readonly Bearing[];
  /** Lines that only help to read the drawing: shut lines, axles, side windows. */
  readonly marks: readonly string[];
}

const box = (x: number, y: number, w: number, h: number): string => `M${x} ${y}h${w}v${h}h${-w}z`;
const disc = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;

/** A bumper seen from above: its outer corners rounded off. */
const bumper = (x: number, y: number, outwards: 1 | -1): string => {
  const w = BUMPER * outwards;
  const r = 10;
  const turn = outwards === 1 ? 1 : 0;
  return `M${x} ${y}h${w - r * outwards}a${r} ${r} 0 0 ${turn} ${r * outwards} ${r}v${WIDTH - 2 * r}a${r} ${r} 0 0 ${turn} ${-r * outwards} ${r}h${-(w - r * outwards)}z`;
};

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
  return box(0, y, length, height * (to - from));
}

/** Half a ring over a wheel: the arch. */
function arch({ joinY, away, height }: Flank, x: number): string {
  const sill = joinY + away * height;
  const outer = height * ARCH_FRACTION;
  const inner = height * WHEEL_FRACTION + 1.5;
  const over = away === 1 ? 1 : 0;
  return `M${x - outer} ${sill}A${outer} ${outer} 0 0 ${over} ${x + outer} ${sill}H${x + inner}A${inner} ${inner} 0 0 ${1 - over} ${x - inner} ${sill}z`;
}

function flankAreas(flank: Flank): { areas: Area[]; trim: string; glass: string } {
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

/**
 * Paths are written along the car, nose first, and across it from its left to its right; drawn through this they stand nose up, with
 * the left of the car on the left, as it is seen from above.
 */
export const NOSE_UP = 'matrix(0 1 1 0 0 0)';

/** Room for the words round the drawing. */
const WORD_ROOM = 14;

/**
 * The car laid flat, nose up and seen from above: left flank on the left, top in the middle, right flank on the right; the underbody
 * beside them, or behind the tail.
 *
 * @returns paths along and across the car, to be drawn through `NOSE_UP`; places of words as they are drawn
 */
export function unfoldedShape(
  bodyClass: BodyClass,
  underbody: 'beside' | 'behind' = 'beside',
): UnfoldedShape {
  const { bonnet, screen, roof, rearGlass, tail, height } = PROPORTIONS[bodyClass];
  const length = bonnet + screen + roof + rearGlass + tail;
  const leftEdge = height + GAP;
  const topY = leftEdge;
  const rightEdge = topY + WIDTH + GAP;
  const left = flankAreas({ side: 'left', joinY: height, away: -1, length, height });
  const right = flankAreas({ side: 'right', joinY: rightEdge, away: 1, length, height });
  const inset = 5;
  const middleY = topY + WIDTH / 2;
  const wheel = height * WHEEL_FRACTION;
  const frontX = -GAP;
  const rearX = length + GAP;
  const isBehind = underbody === 'behind';
  const underX = isBehind ? length + BUMPER + 4 * GAP : length * 0.1;
  const flanksEnd = rightEdge + height + wheel;
  const underY = isBehind ? topY - 8 : flanksEnd + WORD_ROOM + GAP;
  const underMiddleY = underY + WIDTH / 2 + 8;
  const glass =
    box(bonnet, topY + inset, screen, WIDTH - 2 * inset) +
    (rearGlass > 0 ? box(bonnet + screen + roof, topY + inset, rearGlass, WIDTH - 2 * inset) : '') +
    left.glass +
    right.glass;
  const areas: Area[] = [
    ...left.areas,
    ...right.areas,
    { zone: 'bonnet', path: box(0, topY, bonnet, WIDTH), labelX: bonnet / 2, labelY: middleY },
    {
      zone: 'roof',
      path: box(bonnet + screen, topY, roof, WIDTH),
      labelX: bonnet + screen + roof / 2,
      labelY: middleY,
    },
    {
      zone: 'boot',
      path: box(length - tail, topY, tail, WIDTH),
      labelX: length - tail / 2,
      labelY: middleY,
    },
    { zone: 'glass', path: glass, labelX: bonnet + screen / 2, labelY: middleY },
    { zone: 'trim', path: left.trim + right.trim, labelX: length * 0.62, labelY: height * 0.45 },
    { zone: 'front', path: bumper(frontX, topY, -1), labelX: frontX - BUMPER / 2, labelY: middleY },
    { zone: 'rear', path: bumper(rearX, topY, 1), labelX: rearX + BUMPER / 2, labelY: middleY },
    {
      zone: 'underbody',
      path: box(underX, underY, length * 0.8, WIDTH + 16),
      labelX: underX + length * 0.4,
      labelY: underMiddleY,
    },
  ];
  const axleY = [underY + 12, underY + WIDTH + 4] as const;
  const noseY = frontX - BUMPER;
  return {
    left: -wheel - WORD_ROOM,
    top: noseY - WORD_ROOM,
    width: WORD_ROOM + wheel + (isBehind ? flanksEnd + WORD_ROOM : underY + WIDTH + 16),
    height: WORD_ROOM + (isBehind ? underX + length * 0.8 + BUMPER + GAP : length + 2 * (BUMPER + GAP)),
    areas: areas.map(({ labelX, labelY, ...area }) => ({ ...area, labelX: labelY, labelY: labelX })),
    bearings: [
      { text: 'FRONT', x: middleY, y: noseY - WORD_ROOM / 2, turnDeg: 0 },
      { text: 'LEFT', x: -wheel - WORD_ROOM / 2, y: length / 2, turnDeg: -90 },
      { text: 'RIGHT', x: flanksEnd + WORD_ROOM / 2, y: length / 2, turnDeg: 90 },
    ],
    marks: [
      `M${underX + length * 0.16} ${axleY[0]}V${axleY[1]}M${underX + length * 0.64} ${axleY[0]}V${axleY[1]}M${underX + length * 0.16} ${underMiddleY + 14}h${length * 0.48}`,
    ],
  };
}
