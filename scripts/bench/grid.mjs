import {
  CLEAN,
  COLD_LAKE_PORT,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  everyHour,
  METHODS,
  NightAir,
  placeSites,
  RoadAhead,
  roadHours,
  shelfOf,
  simulateWeather,
  verdictGrid,
} from '@keen/core';
import { add, median, timed } from './shared.mjs';

/** @returns median ms of the whole grid, over some vehicles */
async function measureGrid(vehicles, { places, shelf, control, members, roads, nowMs }, withMembers) {
  const night = new NightAir(null, control);
  const runs = [];
  for (const vehicle of vehicles) {
    const roadAhead = new RoadAhead(control.fromMs, roads);
    const forecast = { control, members: withMembers ? members : [], roadAhead };
    const question = {
      vehicle,
      limits: DEFAULT_LIMITS,
      house: DEFAULT_HOUSE,
      shelf,
      soil: CLEAN,
      night,
      startsMs: everyHour(nowMs, 168),
      withMembers,
    };
    runs.push(await timed(() => verdictGrid({ ...question, sites: placeSites(places, forecast) })));
  }
  return median(runs);
}

async function demoShop() {
  const { DEMO_GEAR, DEMO_PRODUCTS } = await import('../../apps/server/dist/demo/kit.js');
  const shelf = shelfOf({ products: DEMO_PRODUCTS, gear: DEMO_GEAR });
  return { ...(await import('../../apps/server/dist/demo/scenario.js')), shelf };
}

/** The whole grid of one vehicle on one core, its places worked out again each time. */
export async function grid() {
  const { DEMO_PLACES, DEMO_VEHICLES, shelf } = await demoShop();
  const nowMs = Date.UTC(2026, 0, 14, 11);
  const fromMs = nowMs - 36 * 3_600_000;
  const course = (index) => ({
    fromMs,
    hours: simulateWeather({
      climate: COLD_LAKE_PORT,
      seed: 3,
      fromMs,
      hourCount: 276,
      member: { issuedMs: nowMs, index },
    }),
  });
  const control = course(0);
  const members = Array.from({ length: 20 }, (_, i) => course(i + 1));
  const places = DEMO_PLACES.map((place) => ({
    ...place,
    methods: METHODS.filter(({ placeKinds }) => placeKinds.includes(place.kind)).map(({ id }) => ({
      methodId: id,
      priceMinor: 0,
    })),
  }));
  const roads = roadHours(control.hours, { roadClass: 'main', at: places[0], treatments: [] });
  const around = { places, shelf, control, members, roads, nowMs };
  const measure = (with20) => measureGrid(DEMO_VEHICLES.slice(0, 5), around, with20);
  const plain = await measure(false);
  add(`grid: 7 days × 5 places × ${METHODS.length} methods, cold, one core`, {
    measured: `${plain.toFixed(0)} ms`,
    asked: '≤ 2000 ms',
    ok: plain <= 2000,
  });
  const asked = await measure(true);
  add('the same, every start asked of 20 members', {
    measured: `${asked.toFixed(0)} ms`,
    asked: '≤ 2000 ms',
    ok: asked <= 2000,
  });
}
