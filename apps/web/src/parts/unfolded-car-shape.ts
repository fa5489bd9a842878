import type { BodyClass, CarZone } from '@keen/core';
import { WIDTH, GAP, WHEEL_FRACTION, type Area, box, flankAreas } from './unfolded-flank.js';

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

const BUMPER = 22;

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

/** A bumper seen from above: its outer corners rounded off. */
const bumper = (x: number, y: number, outwards: 1 | -1): string => {
  const w = BUMPER * outwards;
  const r = 10;
  const turn = outwards === 1 ? 1 : 0;
  return `M${x} ${y}h${w - r * outwards}a${r} ${r} 0 0 ${turn} ${r * outwards} ${r}v${WIDTH - 2 * r}a${r} ${r} 0 0 ${turn} ${-r * outwards} ${r}h${-(w - r * outwards)}z`;
};

/**
 * Paths are written along the car, nose first, and across it from its left to its right; drawn through this they stand nose up, with
 * the left of the car on the left, as it is seen from above.
 */
export const NOSE_UP = 'matrix(0 1 1 0 0 0)';

/** Room for the words round the drawing. */
const WORD_ROOM = 14;

/** Where the parts of the drawing lie, along (x) and across (y) the car. */
interface Layout extends Proportions {
  readonly length: number;
  /** Edges of the top towards the left flank, and of the right flank towards the top. */
  readonly topY: number;
  readonly rightEdge: number;
  readonly middleY: number;
  readonly wheel: number;
  readonly flanksEnd: number;
  readonly isBehind: boolean;
  readonly underX: number;
  readonly underY: number;
  readonly underMiddleY: number;
}

function layoutOf(bodyClass: BodyClass, underbody: 'beside' | 'behind'): Layout {
  const sizes = PROPORTIONS[bodyClass];
  const { bonnet, screen, roof, rearGlass, tail, height } = sizes;
  const length = bonnet + screen + roof + rearGlass + tail;
  const topY = height + GAP;
  const rightEdge = topY + WIDTH + GAP;
  const wheel = height * WHEEL_FRACTION;
  const isBehind = underbody === 'behind';
  const flanksEnd = rightEdge + height + wheel;
  const underY = isBehind ? topY - 8 : flanksEnd + WORD_ROOM + GAP;
  return {
    ...sizes,
    length,
    topY,
    rightEdge,
    middleY: topY + WIDTH / 2,
    wheel,
    flanksEnd,
    isBehind,
    underX: isBehind ? length + BUMPER + 4 * GAP : length * 0.1,
    underY,
    underMiddleY: underY + WIDTH / 2 + 8,
  };
}

const FRONT_X = -GAP;

const GLASS_INSET = 5;

/** Areas of the top, nose to tail, and the underbody; glass and trim take in what the flanks have of them. */
function topAreas(layout: Layout, flanks: { readonly glass: string; readonly trim: string }): Area[] {
  const { bonnet, screen, roof, rearGlass, tail, height, length, topY, middleY } = layout;
  const { underX, underY, underMiddleY } = layout;
  const rearX = length + GAP;
  const pane = (x: number, w: number): string =>
    w > 0 ? box({ x, y: topY + GLASS_INSET, w, h: WIDTH - 2 * GLASS_INSET }) : '';
  const onTop = (zone: CarZone, x: number, w: number): Area => ({
    zone,
    path: box({ x, y: topY, w, h: WIDTH }),
    labelX: x + w / 2,
    labelY: middleY,
  });
  const glass = pane(bonnet, screen) + pane(bonnet + screen + roof, rearGlass) + flanks.glass;
  return [
    onTop('bonnet', 0, bonnet),
    onTop('roof', bonnet + screen, roof),
    onTop('boot', length - tail, tail),
    { zone: 'glass', path: glass, labelX: bonnet + screen / 2, labelY: middleY },
    { zone: 'trim', path: flanks.trim, labelX: length * 0.62, labelY: height * 0.45 },
    { zone: 'front', path: bumper(FRONT_X, topY, -1), labelX: FRONT_X - BUMPER / 2, labelY: middleY },
    { zone: 'rear', path: bumper(rearX, topY, 1), labelX: rearX + BUMPER / 2, labelY: middleY },
    {
      zone: 'underbody',
      path: box({ x: underX, y: underY, w: length * 0.8, h: WIDTH + 16 }),
      labelX: underX + length * 0.4,
      labelY: underMiddleY,
    },
  ];
}

/** Axles and exhaust, so that the underbody reads as one. */
function underbodyMarks({ length, underX, underY, underMiddleY }: Layout): string {
  const across = `${underY + 12}V${underY + WIDTH + 4}`;
  const [front, rear] = [underX + length * 0.16, underX + length * 0.64];
  return `M${front} ${across}M${rear} ${across}M${front} ${underMiddleY + 14}h${length * 0.48}`;
}

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
  const layout = layoutOf(bodyClass, underbody);
  const { height, length, rightEdge, middleY, wheel, flanksEnd, isBehind, underX, underY } = layout;
  const left = flankAreas({ side: 'left', joinY: height, away: -1, length, height });
  const right = flankAreas({ side: 'right', joinY: rightEdge, away: 1, length, height });
  const top = topAreas(layout, { glass: left.glass + right.glass, trim: left.trim + right.trim });
  const noseY = FRONT_X - BUMPER;
  return {
    left: -wheel - WORD_ROOM,
    top: noseY - WORD_ROOM,
    width: WORD_ROOM + wheel + (isBehind ? flanksEnd + WORD_ROOM : underY + WIDTH + 16),
    height: WORD_ROOM + (isBehind ? underX + length * 0.8 + BUMPER + GAP : length + 2 * (BUMPER + GAP)),
    areas: [...left.areas, ...right.areas, ...top].map(({ labelX, labelY, ...area }) => ({
      ...area,
      labelX: labelY,
      labelY: labelX,
    })),
    bearings: [
      { text: 'FRONT', x: middleY, y: noseY - WORD_ROOM / 2, turnDeg: 0 },
      { text: 'LEFT', x: -wheel - WORD_ROOM / 2, y: length / 2, turnDeg: -90 },
      { text: 'RIGHT', x: flanksEnd + WORD_ROOM / 2, y: length / 2, turnDeg: 90 },
    ],
    marks: [underbodyMarks(layout)],
  };
}
