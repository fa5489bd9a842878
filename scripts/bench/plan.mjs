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

/** A plan of 60 cars, and the same again with one wash locked. */
export async function replan() {
  const { KeptInMemory } = await import('../../apps/server/dist/engine/kept.js');
  const { DEMO_GEAR, DEMO_PRODUCTS } = await import('../../apps/server/dist/demo/kit.js');
  const { DEMO_WORKERS, DEMO_PLACES, DEMO_VEHICLES } =
    await import('../../apps/server/dist/demo/scenario.js');
  const nowMs = Date.UTC(2026, 0, 14, 12);
  const seasonMs = nowMs - 60 * 86_400_000;
  const climate = { climate: COLD_LAKE_PORT, seed: 3 };
  const observed = simulateWeather({ ...climate, fromMs: seasonMs, hourCount: 60 * 24 });
  const course = (index) =>
    simulateWeather({ ...climate, fromMs: nowMs, hourCount: PLAN_HOURS, member: { issuedMs: nowMs, index } });
  const cars = Array.from({ length: 60 }, (_, i) => {
    const vehicle = DEMO_VEHICLES[i % DEMO_VEHICLES.length];
    const id = `${vehicle.id}-${i}`;
    const washedMs = nowMs - (2 + ((i * 7) % 20)) * 86_400_000;
    const washes = [
      {
        id: `w-${i}`,
        vehicleId: id,
        methodId: 'bay-contact',
        status: 'done',
        startMs: washedMs,
        minutes: 50,
        found: null,
        extras: [],
      },
    ];
    return carFacts(
      { ...vehicle, id, knownSinceMs: seasonMs },
      { washes, drives: [], swabs: [], looks: [], customers: [] },
      nowMs,
    );
  });
  const setting = {
    places: shopPlaces(DEMO_PLACES.slice(0, 4)),
    limits: DEFAULT_LIMITS,
    prices: DEFAULT_PRICES,
    house: DEFAULT_HOUSE,
    shelf: shelfOf({ products: DEMO_PRODUCTS, gear: DEMO_GEAR }),
    drivesOn: 'right',
    season: DEFAULT_SEASON,
    timeZone: 'America/Toronto',
    weather: {
      stamp: 'bench',
      seasonMs,
      fromMs: nowMs,
      roadSights: [],
      observed,
      control: course(0),
      members: Array.from({ length: 20 }, (_, i) => course(i + 1)),
    },
    treatments: [],
    nowMs,
  };
  const tools = { keep: new KeptInMemory(), report: () => undefined, clockMs: () => performance.now() };
  const plan = (facts) => answerTo({ ...setting, kind: 'plan', cars, facts }, tools);
  const facts = { workers: DEMO_WORKERS, fixed: [], movable: [], busy: [], bookings: [], stock: {} };
  let made;
  const cold = await timed(() => (made = plan(facts)));
  add(
    'plan of 60 cars, 10 days, 4 places, 20 members, cold',
    `${(cold / 1000).toFixed(1)} s`,
    'no figure asked',
    true,
  );
  const times = [];
  for (let run = 0; run < 5; run += 1) {
    const { vehicleId, window, workerId } = made.answer.choices[run];
    const fixed = [{ vehicleId, workerId, ...window, extras: window.extras?.jobIds ?? [] }];
    times.push(await timed(() => plan({ ...facts, fixed })));
  }
  add(
    'the same again, one wash locked, warm',
    `${median(times).toFixed(0)} ms`,
    '≤ 2000 ms',
    median(times) <= 2000,
  );
  await measureSchedules(made.problem, add);
}
