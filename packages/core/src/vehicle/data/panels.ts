import type { PanelMaterial } from '../../film/index.js';
import type { CarZone } from './zones.js';

export const BODY_CLASSES = ['saloon', 'estate', 'hatch', 'suv', 'pickup', 'van'] as const;
export type BodyClass = (typeof BODY_CLASSES)[number];

export type PanelId = 'roof' | 'bonnet' | 'boot' | 'windscreen' | 'left' | 'right' | 'front' | 'rear';

export interface Panel {
  readonly id: PanelId;
  /** 0 level and facing up, 90 upright. */
  readonly tiltDeg: number;
  /** The way it faces, clockwise from the car's nose. */
  readonly facesDeg: number;
  /** `body` takes the vehicle's own sheet metal. */
  readonly material: PanelMaterial | 'body';
}

/** Panels by which a wash is judged; slopes are typical of the body class (judgement). */
const COMMON: readonly Panel[] = [
  { id: 'roof', tiltDeg: 3, facesDeg: 180, material: 'body' },
  { id: 'bonnet', tiltDeg: 8, facesDeg: 0, material: 'body' },
  { id: 'windscreen', tiltDeg: 60, facesDeg: 0, material: 'glass' },
  { id: 'left', tiltDeg: 90, facesDeg: 270, material: 'body' },
  { id: 'right', tiltDeg: 90, facesDeg: 90, material: 'body' },
  { id: 'front', tiltDeg: 80, facesDeg: 0, material: 'plastic' },
  { id: 'rear', tiltDeg: 85, facesDeg: 180, material: 'plastic' },
];

const BOOT_TILT_DEG: Readonly<Record<BodyClass, number>> = {
  saloon: 8,
  pickup: 90,
  estate: 75,
  hatch: 65,
  suv: 78,
  van: 88,
};

/** The panels of a body class. */
export const panelsOf = (bodyClass: BodyClass): readonly Panel[] => [
  ...COMMON,
  { id: 'boot', tiltDeg: BOOT_TILT_DEG[bodyClass], facesDeg: 180, material: 'body' },
];

/** Panes that spots are looked for on; every body has the same. */
export const isGlass = (panel: PanelId): boolean =>
  COMMON.some(({ id, material }) => id === panel && material === 'glass');

/** The zone of the unfolded car that a panel stands for: where its protection and its water behaviour are kept. */
export const ZONE_OF_PANEL: Readonly<Record<PanelId, CarZone>> = {
  roof: 'roof',
  bonnet: 'bonnet',
  boot: 'boot',
  windscreen: 'glass',
  left: 'upper-left',
  right: 'upper-right',
  front: 'front',
  rear: 'rear',
};

/** Surface of each panel of a saloon, m²; windows are counted with the windscreen and the flanks (judgement). */
const SALOON_M2: Readonly<Record<PanelId, number>> = {
  roof: 1.9,
  bonnet: 1.5,
  boot: 0.8,
  windscreen: 1.6,
  left: 3.2,
  right: 3.2,
  front: 1.1,
  rear: 1.1,
};
/** How much surface other bodies have, of a saloon's (judgement). */
export const BODY_SIZE: Readonly<Record<BodyClass, number>> = {
  saloon: 1,
  estate: 1.08,
  hatch: 0.9,
  suv: 1.2,
  pickup: 1.15,
  van: 1.6,
};

/** Surface of a panel, m² (judgement). */
export const panelM2 = (bodyClass: BodyClass, panel: PanelId): number =>
  SALOON_M2[panel] * BODY_SIZE[bodyClass];
