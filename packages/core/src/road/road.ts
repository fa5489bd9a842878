import { brineOf, type SaltAgent } from '../brine/index.js';
import { saturationOverWaterPa, skyTempC, vapourDensityKgPerM3 } from '../air/index.js';
import { irradiance, sunPosition, type EarthPoint } from '../sun/index.js';
import { startOfHourMs, type WeatherHour } from '../weather/index.js';
import type { RoadClass, Treatment } from './treatment.js';

export type RoadState = 'dry' | 'damp' | 'wet' | 'slush' | 'snow' | 'ice';

/** One hour of one road. */
export interface RoadHour {
  readonly atMs: number;
  readonly state: RoadState;
  readonly surfaceTempC: number;
  readonly waterMm: number;
  readonly snowMm: number;
  readonly saltGramsPerM2: Readonly<Record<SaltAgent, number>>;
}

export const NO_SALT: Readonly<Record<SaltAgent, number>> = Object.freeze({ NaCl: 0, MgCl2: 0, CaCl2: 0 });
const AGENTS: readonly SaltAgent[] = ['NaCl', 'MgCl2', 'CaCl2'];

/** Constants of the road's water and salt (judgement). */
const ROAD = {
  drainsToMm: 1.2,
  ploughedPerHour: 0.35,
  meltMmPerHourPerK: 0.25,
  saltMeltMmPerGram: 0.04,
  trafficDriesMmPerHour: 0.03,
  lossPerHourDry: 0.03,
  lossPerHourWet: 0.13,
  lossPerHourPloughed: 0.16,
  washOffPerMm: 0.22,
  sunK: 0.012,
  skyFraction: 0.12,
} as const;

/** Surface of a road, °C: air, warmed by sun and cooled towards the sky (judgement shares). */
function surfaceTempC(hour: WeatherHour, point: EarthPoint): number {
  const sun = sunPosition(point, hour.atMs + 1_800_000);
  const { globalWm2 } = irradiance(sun, { cloudFraction: hour.cloudFraction, atMs: hour.atMs });
  return hour.airTempC + ROAD.sunK * globalWm2 - ROAD.skyFraction * (hour.airTempC - skyTempC(hour));
}

/** Freezing point of the road's water with the salt that lies in it, °C: the agent that is most present decides. */
function roadFreezingC(waterMm: number, salt: Readonly<Record<SaltAgent, number>>): number {
  const agent = AGENTS.reduce((most, next) => (salt[next] > salt[most] ? next : most));
  const grams = salt[agent];
  if (grams <= 0 || waterMm <= 0) return 0;
  return brineOf(agent).freezingPointC((100 * grams) / (grams + waterMm * 1000));
}

function dryingMm(hour: WeatherHour, surfaceC: number): number {
  const surface = vapourDensityKgPerM3(saturationOverWaterPa(surfaceC), surfaceC);
  const air = vapourDensityKgPerM3(saturationOverWaterPa(hour.dewPointC), hour.airTempC);
  const metresPerSecond = (2.8 + 1.5 * hour.windMetresPerSecond) / (1.3 * 1005 * 0.904);
  return Math.max(0, metresPerSecond * (surface - air) * 3600) + ROAD.trafficDriesMmPerHour;
}

function stateOf(road: { waterMm: number; snowMm: number; frozen: boolean }, humid: boolean): RoadState {
  if (road.snowMm > 0.8) return road.frozen ? 'snow' : 'slush';
  if (road.snowMm > 0.15 && !road.frozen) return 'slush';
  if (road.waterMm > 0.05) return road.frozen ? 'ice' : 'wet';
  return road.waterMm > 0.01 || humid ? 'damp' : 'dry';
}

function nextHour(
  before: RoadHour,
  hour: WeatherHour,
  around: { surfaceC: number; spread: readonly Treatment[] },
): RoadHour {
  const salt = { ...before.saltGramsPerM2 };
  for (const treatment of around.spread) salt[treatment.agent] += treatment.gramsPerM2;
  const grams = AGENTS.reduce((sum, agent) => sum + salt[agent], 0);
  const falling = hour.precipKind === 'snow' ? 0 : hour.precipMm;
  let snowMm =
    (before.snowMm + (hour.precipKind === 'snow' ? hour.precipMm : 0)) * (1 - ROAD.ploughedPerHour);
  const freezingC = roadFreezingC(before.waterMm + snowMm, salt);
  const melts =
    around.surfaceC > freezingC
      ? Math.min(
          snowMm,
          ROAD.meltMmPerHourPerK * (around.surfaceC - freezingC) + ROAD.saltMeltMmPerGram * grams,
        )
      : 0;
  snowMm -= melts;
  const waterMm = Math.min(
    ROAD.drainsToMm,
    Math.max(0, before.waterMm + falling + melts - dryingMm(hour, around.surfaceC)),
  );
  const byTraffic = waterMm > 0.05 ? ROAD.lossPerHourWet : ROAD.lossPerHourDry;
  const byPlough = snowMm > 0.3 ? ROAD.lossPerHourPloughed : 0;
  const keep = Math.exp(-byTraffic - byPlough - ROAD.washOffPerMm * falling);
  for (const agent of AGENTS) salt[agent] *= keep;
  const frozen = around.surfaceC < roadFreezingC(waterMm + snowMm, salt);
  const humid = hour.airTempC - hour.dewPointC < 2.2;
  const state = stateOf({ waterMm, snowMm, frozen }, humid);
  return { atMs: hour.atMs, state, surfaceTempC: around.surfaceC, waterMm, snowMm, saltGramsPerM2: salt };
}

/** What somebody saw of a road. */
export interface RoadSight {
  readonly atMs: number;
  readonly roadClass: RoadClass;
  readonly state: RoadState;
}

/** Water and snow that a state stands for where only the state was seen, mm (judgement: the middle of each state). */
const SEEN_MM: Readonly<Record<RoadState, { waterMm: number; snowMm: number }>> = {
  dry: { waterMm: 0, snowMm: 0 },
  damp: { waterMm: 0.03, snowMm: 0 },
  wet: { waterMm: 0.3, snowMm: 0 },
  slush: { waterMm: 0.3, snowMm: 1 },
  snow: { waterMm: 0, snowMm: 2 },
  ice: { waterMm: 0.3, snowMm: 0 },
};

/** The road is as it was seen, not as estimated; its salt stays as estimated. */
const asSeen = (hour: RoadHour, { state }: RoadSight): RoadHour => ({ ...hour, state, ...SEEN_MM[state] });

function byHourOf<T extends { readonly atMs: number }>(entries: readonly T[]): Map<number, T[]> {
  const byHour = new Map<number, T[]>();
  for (const entry of entries) {
    const hourMs = startOfHourMs(entry.atMs);
    const known = byHour.get(hourMs);
    if (known) known.push(entry);
    else byHour.set(hourMs, [entry]);
  }
  return byHour;
}

/**
 * What has lain on this road, hour by hour?
 *
 * @param hours consecutive weather hours; null where not known
 * @param road its class, where it is, and what was spread on it and seen of it (any order; other classes are passed over)
 * @returns one entry an hour: state, water and snow (mm water equivalent), salt left by agent (g/m²); null where the weather is not
 * known: what lay there before is taken up again behind the gap. In the hour of a sight the state is what was seen, and the next
 * hours follow from it.
 * Model: water balance with drainage, melt, drying and ploughing; salt lost to traffic, spray and rain. Judgement.
 */
export function roadHours<H extends WeatherHour | null>(
  hours: readonly H[],
  road: {
    readonly roadClass: RoadClass;
    readonly at: EarthPoint;
    readonly treatments: readonly Treatment[];
    readonly seen?: readonly RoadSight[];
  },
): (H extends null ? null : RoadHour)[] {
  const spread = byHourOf(road.treatments.filter(({ roadClass }) => roadClass === road.roadClass));
  const seen = byHourOf((road.seen ?? []).filter(({ roadClass }) => roadClass === road.roadClass));
  const roads: (RoadHour | null)[] = [];
  let before: RoadHour = {
    atMs: 0,
    state: 'dry',
    surfaceTempC: 0,
    waterMm: 0,
    snowMm: 0,
    saltGramsPerM2: NO_SALT,
  };
  for (const hour of hours) {
    if (hour) {
      const surfaceC = surfaceTempC(hour, road.at);
      before = nextHour(before, hour, { surfaceC, spread: spread.get(hour.atMs) ?? [] });
      const sight = seen.get(hour.atMs)?.at(-1);
      if (sight) before = asSeen(before, sight);
    }
    roads.push(hour && before);
  }
  return roads as (H extends null ? null : RoadHour)[];
}
