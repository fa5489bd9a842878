import { type ProtectionState, protectionOn, protectionState, undated } from '../protection/index.js';
import { shopStands } from '../rules/index.js';
import { type CarState, type ShopFacts, saltDaysOn } from '../shop/index.js';
import { CAR_ZONE_IDS, type ZoneProtection, zoneOf } from '../vehicle/index.js';

/** What is left of the protection of one zone. */
export type ZoneProtectionState = ProtectionState &
  Pick<ZoneProtection, 'zone' | 'appliedMs' | 'claimedLifeDays'> & { readonly productName: string | null };

/** What lies on each zone and what is left of it, after the washes since. */
export function zoneProtections(
  state: Pick<CarState, 'vehicle' | 'washes' | 'days'>,
  { nowMs, limits }: Pick<ShopFacts, 'nowMs' | 'limits'>,
): ZoneProtectionState[] {
  const { vehicle, washes } = state;
  const stands = shopStands(limits);
  return CAR_ZONE_IDS.map((zone) => {
    const row =
      vehicle.protections.find((entry) => entry.zone === zone) ?? undated(zone, protectionOn(vehicle, zone));
    const { group } = zoneOf(zone);
    const worn = washes.flatMap(({ atMs, phOn, stripped }) =>
      phOn === null ? [] : [{ atMs, soapPh: phOn[group], strips: stripped.includes(group) }],
    );
    const history = { nowMs, washes: worn, saltDaysSince: saltDaysOn(state, zone), stands };
    const { appliedMs, claimedLifeDays, productName = null } = row;
    return { zone, appliedMs, claimedLifeDays, productName, ...protectionState(row, history) };
  });
}
