interface Hand {
  /** Fingers rather than a pointer. */
  readonly isTouched: boolean;
  /** The shorter side of its screen, CSS pixels. */
  readonly shortSide: number;
}

const PHONE_BELOW = 600;

/** What this phone or computer may be called where nobody says. */
export const likelyDeviceName = ({ isTouched, shortSide }: Hand = thisHand()): string => {
  if (!isTouched) return 'Computer';
  return shortSide < PHONE_BELOW ? 'Phone' : 'Tablet';
};

const thisHand = (): Hand => ({
  isTouched: matchMedia('(pointer: coarse)').matches,
  shortSide: Math.min(screen.width, screen.height),
});
