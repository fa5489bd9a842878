import type { TargetState } from '../plan/index.js';
import {
  coatHistory,
  type CoatSpan,
  type ProtectionState,
  protectionOn,
  protectionState,
} from '../protection/index.js';
import { shopStands } from '../rules/index.js';
import type { SeasonDue } from '../season/index.js';
import type { ZoneSoil } from '../soil/index.js';
import { CAR_ZONE_IDS, type CarZone, type ZoneProtection, zoneOf } from '../vehicle/index.js';
import { carStateOf, type OfCar, saltDaysOn } from '../shop/index.js';
import type { Tools } from './tools.js';
import { seasonStandings } from './season.js';

/** What is left of the protection of one zone. */
export type ZoneProtectionState = ProtectionState &
  Pick<ZoneProtection, 'zone' | 'appliedMs' | 'claimedLifeDays'> & { readonly productName: string | null };

export interface ConditionAnswer {
  readonly soil: readonly ZoneSoil[];
  /** The same without what somebody saw. */
  readonly estimated: readonly ZoneSoil[];
  readonly protections: readonly ZoneProtectionState[];
  /** What lay on it and lies there, the newest first. */
  readonly coats: readonly CoatSpan[];
  /** Work of the season, and what its target has used up. */
  readonly season: readonly SeasonDue[];
  readonly target: TargetState;
}

const undated = (zone: CarZone, kind: ZoneProtection['kind']): ZoneProtection => ({
  zone,
  kind,
  appliedMs: null,
  claimedLifeDays: null,
  observed: null,
});

/** How dirty is each zone and with what, and what is left of its protection? */
export function conditionAnswer(job: OfCar, { keep }: Pick<Tools, 'keep'>): ConditionAnswer {
  const state = carStateOf(job, keep);
  const { vehicle, washes } = state;
  const stands = shopStands(job.limits);
  return {
    soil: state.soil,
    estimated: state.estimated,
    season: seasonStandings({ ...job, washes }),
    target: state.target,
    coats: coatHistory(job.car.vehicle, state.coatEvents),
    protections: CAR_ZONE_IDS.map((zone) => {
      const row =
        vehicle.protections.find((entry) => entry.zone === zone) ??
        undated(zone, protectionOn(vehicle, zone));
      const { group } = zoneOf(zone);
      const worn = washes.flatMap(({ atMs, phOn, stripped }) =>
        phOn === null ? [] : [{ atMs, soapPh: phOn[group], strips: stripped.includes(group) }],
      );
      const history = { nowMs: job.nowMs, washes: worn, saltDaysSince: saltDaysOn(state, zone), stands };
      const { appliedMs, claimedLifeDays, productName = null } = row;
      return { zone, appliedMs, claimedLifeDays, productName, ...protectionState(row, history) };
    }),
  };
}
