import type { Trap } from '@keen/core';

/** Where water hides, with what lets it out. */
export const TRAP_NAMES: Readonly<Record<Trap, string>> = {
  mirrors: 'mirrors (fold them)',
  'sill-plates': 'sill plates',
  handles: 'handles',
  lamps: 'lamps',
  badges: 'badges',
  'fuel-flap': 'the fuel or charge flap',
  'boot-gutter': 'the boot gutter (open it once)',
  'tailgate-gutter': 'the tailgate gutter (open it once)',
  spoiler: 'the spoiler',
  'roof-rails': 'roof rails',
  'side-steps': 'side steps',
  'bed-caps': 'bed caps',
  'sliding-rail': 'the sliding door’s rail',
  'rear-hinges': 'rear hinges',
};
