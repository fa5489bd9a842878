import type { Visit } from '@keen/core';

/** How the hands go between the two cars. */
export function holdText({ hold, against }: Pick<Visit, 'hold' | 'against'>): string {
  if (against.some((found) => found.length > 0))
    return 'No order of both goes at that hour: wash them one after the other, each as its own sheet says.';
  switch (hold) {
    case 'meter':
      return 'While a product works on one, go on with the other; a running meter is not left.';
    case 'wet':
      return 'Once a car is wet, stay with it until it is wiped: it would freeze or dry while you are at the other.';
    case 'all':
      return 'One after the other: in this air neither can wait for the other.';
  }
}

/** One bucket or two, and why. */
export function bucketText(bucket: Visit['bucket'], names: readonly string[]): string {
  switch (bucket.kind) {
    case 'none':
      return 'No bucket is shared.';
    case 'one':
      return `One bucket does for both: what is left before the hand comes is grade ${bucket.grade.toFixed(1)} at most; keep each car’s own mitt for below.`;
    case 'two':
      return bucket.because === 'grade'
        ? `A bucket each: ${names[bucket.car]} still has grade ${bucket.grade.toFixed(1)} on it when the hand comes (2 is the most to share).`
        : `A bucket each: ${names[bucket.car]} has no mitt of its own for below.`;
  }
}
