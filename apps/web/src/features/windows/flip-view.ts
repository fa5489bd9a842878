import type { Flip, FlipInput } from '@keen/core';
import type { Format } from '../../format/format.js';

/** A value of an input in the user's units. */
export function flipValue(input: FlipInput, value: number, format: Format): string {
  switch (input) {
    case 'air':
      return format.temp(value);
    case 'wind':
      return format.wind(value);
    case 'humidity':
    case 'cloud':
      return format.share(value);
    case 'solids':
      return `${value.toFixed(0)} mg/L`;
    case 'hand-speed':
      return format.minutes(value);
    case 'start':
      return format.dayTime(value);
  }
}

/** How far away a change is, as a share of the way to the end of its range; not at all: furthest. */
export const flipDistance = ({ at, now, low, high }: Flip): number => {
  if (at === null) return Infinity;
  const reach = at < now ? now - low : high - now;
  return reach > 0 ? Math.abs(at - now) / reach : 0;
};

/** Nearest change first. */
export const sortFlips = (flips: readonly Flip[]): Flip[] =>
  [...flips].sort((a, b) => flipDistance(a) - flipDistance(b));
