import type { BodyClass } from './panels.js';

export const TRAPS = [
  'mirrors',
  'sill-plates',
  'handles',
  'lamps',
  'badges',
  'fuel-flap',
  'boot-gutter',
  'tailgate-gutter',
  'spoiler',
  'roof-rails',
  'side-steps',
  'bed-caps',
  'sliding-rail',
  'rear-hinges',
] as const;
/** Where water stays behind and runs out over what is dry. */
export type Trap = (typeof TRAPS)[number];

const ANY: readonly Trap[] = ['mirrors', 'handles', 'lamps', 'badges', 'fuel-flap', 'sill-plates'];

/** Traps of each body, from the top down (practice notes; judgement). */
const OF_BODY: Readonly<Record<BodyClass, readonly Trap[]>> = {
  saloon: ['boot-gutter'],
  estate: ['roof-rails', 'tailgate-gutter'],
  hatch: ['spoiler', 'tailgate-gutter'],
  suv: ['roof-rails', 'spoiler', 'tailgate-gutter', 'side-steps'],
  pickup: ['bed-caps', 'tailgate-gutter', 'side-steps'],
  van: ['rear-hinges', 'sliding-rail'],
};

/** Where water hides on this body. */
export const trapsOf = (bodyClass: BodyClass): readonly Trap[] => [...OF_BODY[bodyClass], ...ANY];
