import type { BodyClass, SaltZone } from '@keen/core';

/** Lengths along the car in the drawing's own units, nose to tail, by body class. */
interface Proportions {
  readonly bonnet: number;
  readonly screen: number;
  readonly roof: number;
  readonly tail: number;
  readonly height: number;
}

const PROPORTIONS: Readonly<Record<BodyClass, Proportions>> = {
  saloon: { bonnet: 62, screen: 26, roof: 74, tail: 52, height: 40 },
  estate: { bonnet: 60, screen: 24, roof: 112, tail: 22, height: 42 },
  hatch: { bonnet: 48, screen: 26, roof: 84, tail: 28, height: 42 },
  suv: { bonnet: 56, screen: 22, roof: 104, tail: 26, height: 50 },
  pickup: { bonnet: 60, screen: 22, roof: 52, tail: 88, height: 48 },
  van: { bonnet: 30, screen: 26, roof: 148, tail: 16, height: 62 },
};

export const CAR_WIDTH = 84;
const GAP = 10;

export interface Area {
  readonly zone: SaltZone;
  readonly path: string;
  readonly labelX: number;
  readonly labelY: number;
}

export interface UnfoldedShape {
  readonly width: number;
  readonly height: number;
  readonly areas: readonly Area[];
  /** Lines that only help to read the drawing: glass and shut lines. */
  readonly marks: readonly string[];
}

const box = (x: number, y: number, w: number, h: number): string => `M${x} ${y}h${w}v${h}h${-w}z`;

interface FlankPlace {
  readonly y: number;
  readonly length: number;
  readonly height: number;
  /** The sill lies away from the middle: below (right flank) or above (left flank). */
  readonly sillBelow: boolean;
}

/** A flank folded out: the upper half beside the roof, the lower half with two arch cuts outside. */
function flank({ y, length, height, sillBelow }: FlankPlace): { lower: string; arches: string } {
  const half = height / 2;
  const lowerY = sillBelow ? y + half : y;
  const archR = half * 0.72;
  const sillY = sillBelow ? y + height : y;
  const sweep = sillBelow ? 1 : 0;
  const arch = (x: number): string =>
    `M${x - archR} ${sillY}A${archR} ${archR} 0 0 ${sweep} ${x + archR} ${sillY}z`;
  return { lower: box(0, lowerY, length, half), arches: arch(length * 0.2) + arch(length * 0.8) };
}

/** The car laid flat: left flank, top and right flank, with tail and underbody beside them. */
export function unfoldedShape(bodyClass: BodyClass): UnfoldedShape {
  const { bonnet, screen, roof, tail, height } = PROPORTIONS[bodyClass];
  const length = bonnet + screen + roof + tail;
  const topY = height + GAP / 2;
  const rightY = topY + CAR_WIDTH + GAP / 2;
  const left = flank({ y: 0, length, height, sillBelow: false });
  const right = flank({ y: rightY, length, height, sillBelow: true });
  const rearX = length + GAP;
  const rearWidth = height * 0.8;
  const underX = rearX + rearWidth + GAP * 2;
  const upper =
    box(0, topY, length, CAR_WIDTH) +
    box(0, height / 2, length, height / 2) +
    box(0, rightY, length, height / 2);
  return {
    width: underX + length,
    height: rightY + height,
    areas: [
      { zone: 'upper', path: upper, labelX: bonnet + screen + roof / 2, labelY: topY + CAR_WIDTH / 2 },
      { zone: 'lower-left', path: left.lower, labelX: length / 2, labelY: height / 4 },
      { zone: 'lower-right', path: right.lower, labelX: length / 2, labelY: rightY + height * 0.75 },
      {
        zone: 'arches',
        path: left.arches + right.arches,
        labelX: length * 0.2,
        labelY: rightY + height * 0.86,
      },
      {
        zone: 'rear',
        path: box(rearX, topY, rearWidth, CAR_WIDTH),
        labelX: rearX + rearWidth / 2,
        labelY: topY + CAR_WIDTH / 2,
      },
      {
        zone: 'underbody',
        path: box(underX, topY - 6, length, CAR_WIDTH + 12),
        labelX: underX + length / 2,
        labelY: topY + CAR_WIDTH / 2,
      },
    ],
    marks: [
      box(bonnet, topY + 6, screen, CAR_WIDTH - 12),
      `M${bonnet + screen + roof} ${topY + 6}v${CAR_WIDTH - 12}`,
      `M${underX + length * 0.2} ${topY + 8}v${CAR_WIDTH - 16}M${underX + length * 0.8} ${topY + 8}v${CAR_WIDTH - 16}M${underX + length * 0.2} ${topY + CAR_WIDTH / 2}h${length * 0.6}`,
    ],
  };
}
