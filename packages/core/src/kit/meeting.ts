import type { WashStep } from '../method/index.js';
import {
  compatibility,
  type Compatibility,
  type ProductRole,
  protectionOn,
  type Stands,
} from '../protection/index.js';
import { CAR_ZONES, type CarZone, type Vehicle } from '../vehicle/index.js';

/** The worst that a product meets on the zones it goes over. */
export interface Meeting {
  readonly zone: CarZone;
  readonly finding: Exclude<Compatibility, { kind: 'fine' }>;
}

/** What a product goes over. */
export interface MeetingCase {
  readonly vehicle: Pick<Vehicle, 'protection' | 'protections' | 'delicateWheels'>;
  /** Protection is to come off: that it does is no fault. */
  readonly isToStrip: boolean;
  /** What each protection stands in this shop; absent: as shipped. */
  readonly stands?: Stands;
}

export const HARM: Readonly<Record<Compatibility['kind'], number>> = {
  fine: 0,
  warn: 1,
  're-protect': 2,
  block: 3,
};

/** What is taken off anyway is neither worn nor in the way. */
const isOffByThen = ({ kind, reason }: Meeting['finding']): boolean =>
  kind === 're-protect' || reason === 'will-not-bond';

/** The worst that a product meets on the zones of a step; null: it is fine on all. */
export function worstMeeting(
  { role, inUsePh }: { readonly role: ProductRole; readonly inUsePh: number },
  groups: WashStep['groups'],
  { vehicle, isToStrip, stands }: MeetingCase,
): Meeting | null {
  let worst: Meeting | null = null;
  for (const { zone, group, surface } of CAR_ZONES) {
    if (!groups.includes(group)) continue;
    const finding = compatibility({
      role,
      inUsePh,
      protection: protectionOn(vehicle, zone),
      isDelicateMetal: surface === 'wheel' && vehicle.delicateWheels,
      stands,
    });
    if (finding.kind === 'fine' || (isToStrip && isOffByThen(finding))) continue;
    if (!worst || HARM[finding.kind] > HARM[worst.finding.kind]) worst = { zone, finding };
  }
  return worst;
}
