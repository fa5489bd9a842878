/** Signs by which a product, a panel or a towel tells what it does, and what to do then. */
export const SIGN_IDS = [
  'purple',
  'white-haze',
  'reaction-stopped',
  'beads',
  'flat',
  'foam-drying',
  'towel-grey',
  'towel-smears',
  'drips-later',
  'fizz-on-salt',
] as const;
export type SignId = (typeof SIGN_IDS)[number];
