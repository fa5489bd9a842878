/**
 * Winds as they are seen on land, with the middle of each span at 10 m.
 * Source: WMO Manual on Codes (No. 306, Vol. I.1, code table 1100, Beaufort scale), forces 0, 2, 4, 6, 8 (published spans; middles derived).
 */
export const SEEN_WINDS = [
  { id: 'calm', sign: 'smoke rises straight', metresPerSecond: 0.1 },
  { id: 'light', sign: 'felt on the face, leaves rustle', metresPerSecond: 2.5 },
  { id: 'moderate', sign: 'loose snow and dust are raised', metresPerSecond: 6.7 },
  { id: 'strong', sign: 'large branches move, wires whistle', metresPerSecond: 12.3 },
  { id: 'gale', sign: 'walking against it is hard', metresPerSecond: 19 },
] as const;
