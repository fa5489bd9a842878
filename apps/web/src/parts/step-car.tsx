import { type BodyClass, CAR_ZONES, type CarZone, type PartId, type ZoneGroup } from '@keen/core';
import classes from './step-car.module.css';
import { type Layer, UnfoldedCar } from './unfolded-car.js';

const LEFT = ['upper-left', 'lower-left'] as const;
const RIGHT = ['upper-right', 'lower-right'] as const;
const ACROSS = ['roof', 'bonnet', 'boot', 'glass', 'front', 'rear'] as const;

/** Zones of what is worked on at once; a half of a flank is drawn as the flank. */
const PART_ZONES: Readonly<Record<PartId, readonly CarZone[]>> = {
  'whole-car': CAR_ZONES.map(({ zone }) => zone),
  'left-side': [...LEFT, ...ACROSS],
  'right-side': [...RIGHT, ...ACROSS],
  top: ['roof', 'glass'],
  'left-flank': LEFT,
  'right-flank': RIGHT,
  nose: ['bonnet', 'front'],
  tail: ['boot', 'rear'],
  roof: ['roof'],
  windscreen: ['glass'],
  'left-ahead': LEFT,
  'left-behind': LEFT,
  'right-ahead': RIGHT,
  'right-behind': RIGHT,
  bonnet: ['bonnet'],
  front: ['front'],
  boot: ['boot'],
  rear: ['rear'],
};

/** The zones that a step is done on: of its groups, those that lie in the part at hand. */
export const zonesOfStep = (groups: readonly ZoneGroup[], part: PartId | null): readonly CarZone[] =>
  CAR_ZONES.filter(
    ({ zone, group }) => groups.includes(group) && PART_ZONES[part ?? 'whole-car'].includes(zone),
  ).map(({ zone }) => zone);

interface StepCarProps {
  readonly bodyClass: BodyClass;
  readonly groups: readonly ZoneGroup[];
  /** null: all of the car at once. */
  readonly part: PartId | null;
}

/** Where on the car a step is done; nothing for what is done beside it. The words beside it say the same. */
export function StepCar({ bodyClass, groups, part }: StepCarProps) {
  const zones = zonesOfStep(groups, part);
  if (zones.length === 0) return null;
  const layer: Layer = Object.fromEntries(zones.map((zone) => [zone, { text: '', strength: 1 }]));
  return (
    <span className={classes.car} aria-hidden="true" data-zones={zones.join(' ')}>
      <UnfoldedCar bodyClass={bodyClass} layer={layer} label="Where" tone="ink" isThumbnail />
    </span>
  );
}
