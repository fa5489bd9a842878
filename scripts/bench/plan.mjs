import {
  answerTo,
  carFacts,
  COLD_LAKE_PORT,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  shopPlaces,
  PLAN_HOURS,
  shelfOf,
  simulateWeather,
} from '@keen/core';
import { measureSchedules } from './schedules.mjs';
import { add, median, timed } from './shared.mjs';

const NOW_MS = Date.UTC(2026, 0, 14, 12);
const SEASON_MS = NOW_MS - 60 * 86_400_000;
const CLIMATE = { climate: COLD_LAKE_PORT, seed: 3 };
const courseOf = (index) =>
  simulateWeather({
    ...CLIMATE,
    fromMs: NOW_MS,
    hourCount: PLAN_HOURS,
    member: { issuedMs: NOW_MS, index },
  });

/** Sixty cars like the demo's, each washed some days ago. */
function sixtyCars(vehicles) {
  return Array.from({ length: 60 }, (_, i) => {
    const vehicle = vehicles[i % vehicles.length];
    const id = `${vehicle.id}-${i}`;
    const startMs = NOW_MS - (2 + ((i * 7) % 20)) * 86_400_000;
    const wash = { id: `w-${i}`, vehicleId: id, methodId: 'bay-contact', status: 'done', startMs };
    return carFacts(
      { ...vehicle, id, knownSinceMs: SEASON_MS },
      {
        washes: [{ ...wash, minutes: 50, found: null, extras: [] }],
        drives: [],
        swabs: [],
        looks: [],
        customers: [],
      },
      NOW_MS,
    );
  });
}

/** The demo's shop with four of its places, in weather of the bench's own. */
function shopOf({ places, products, gear }) {
  return {
    places: shopPlaces(places.slice(0, 4)),
    limits: DEFAULT_LIMITS,
    prices: DEFAULT_PRICES,
    house: DEFAULT_HOUSE,
    shelf: shelfOf({ products, gear }),
    drivesOn: 'right',
    season: DEFAULT_SEASON,
    timeZone: 'America/Toronto',
    weather: {
      stamp: 'bench',
      seasonMs: SEASON_MS,
      fromMs: NOW_MS,
      roadSights: [],
      observed: simulateWeather({ ...CLIMATE, fromMs: SEASON_MS, hourCount: 60 * 24 }),
      control: courseOf(0),
      members: Array.from({ length: 20 }, (_, i) => courseOf(i + 1)),
    },
    treatments: [],
    nowMs: NOW_MS,
  };
}

/** A plan of 60 cars, and the same again with one wash locked. */
export async function replan() {
  const { KeptInMemory } = await import('../../apps/server/dist/engine/kept.js');
  const { DEMO_GEAR, DEMO_PRODUCTS } = await import('../../apps/server/dist/demo/kit.js');
  const { DEMO_WORKERS, DEMO_PLACES, DEMO_VEHICLES } =
    await import('../../apps/server/dist/demo/scenario.js');
  const cars = sixtyCars(DEMO_VEHICLES);
  const setting = shopOf({ places: DEMO_PLACES, products: DEMO_PRODUCTS, gear: DEMO_GEAR });
  const tools = { keep: new KeptInMemory(), report: () => undefined, clockMs: () => performance.now() };
  const plan = (facts) => answerTo({ ...setting, kind: 'plan', cars, facts }, tools);
  const facts = { workers: DEMO_WORKERS, fixed: [], movable: [], busy: [], bookings: [], stock: {} };
  let made;
  const cold = await timed(() => (made = plan(facts)));
  add('plan of 60 cars, 10 days, 4 places, 20 members, cold', {
    measured: `${(cold / 1000).toFixed(1)} s`,
    asked: 'no figure asked',
    ok: true,
  });
  const times = [];
  for (let run = 0; run < 5; run += 1) {
    const { vehicleId, window, workerId } = made.answer.choices[run];
    const fixed = [{ vehicleId, workerId, ...window, extras: window.extras?.jobIds ?? [] }];
    times.push(await timed(() => plan({ ...facts, fixed })));
  }
  add('the same again, one wash locked, warm', {
    measured: `${median(times).toFixed(0)} ms`,
    asked: '≤ 2000 ms',
    ok: median(times) <= 2000,
  });
  await measureSchedules(made.problem, add);
}
