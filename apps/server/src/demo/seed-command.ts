import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import {
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  MS_PER_HOUR,
  startOfHourMs,
  type VehicleRecord,
  seasonStartMs,
  answerTo,
  KEEP_NOTHING,
  shopPlaces,
  carFacts,
  shelfOf,
  type ShopFacts,
} from '@keen/core';
import { readConfig, StartError } from '../config/config.js';
import { openDatabase } from '../db/database.js';
import {
  bookings,
  customers,
  drives,
  gear,
  places,
  products,
  settings,
  soilLooks,
  swabs,
  treatments,
  vehicles,
  washes,
  weatherHours,
} from '../db/schema.js';
import { SimulatedAuthority } from '../roads/simulated-authority.js';
import { SimulatedStation, WINTER_SEED } from '../weather/simulated-station.js';
import { DEMO_PRICE_LIST, demoBookings, demoCustomerOf, demoCustomers } from './customers.js';
import { DEMO_GEAR, DEMO_PRODUCTS } from './kit.js';
import { demoHistory, demoPlans } from './history.js';
import { demoDrives, demoLooks, demoSwabs } from './notes.js';
import { DEMO_CLOCK, DEMO_WORKERS, DEMO_PLACES, DEMO_VEHICLES, DEMO_ZONE } from './scenario.js';

const ROWS_PER_INSERT = 400;
/** The cars were looked at when they came home the evening before. */
const LOOKED_HOURS_AGO = 13;

/** Fills a new database beside its final name and moves it there when it is whole. */
async function seed(): Promise<void> {
  const config = readConfig();
  const file = join(config.dataFolder, 'keen-rinse.db');
  if (existsSync(file)) return;
  const part = `${file}.part`;
  mkdirSync(config.dataFolder, { recursive: true });
  for (const leftOver of [part, `${part}-wal`, `${part}-shm`]) rmSync(leftOver, { force: true });
  const { db, close } = await openDatabase({ ...config, databaseUrl: `file:${part}` });
  const nowMs = config.clockStartMs ?? Date.parse(DEMO_CLOCK);
  const startMs = seasonStartMs(nowMs);
  const station = new SimulatedStation(WINTER_SEED, startMs);
  const hours = await station.observed(startMs, nowMs - (nowMs % MS_PER_HOUR));
  const cars: VehicleRecord[] = DEMO_VEHICLES.map((vehicle) => ({
    ...vehicle,
    customerId: demoCustomerOf(vehicle),
    knownSinceMs: startMs,
  }));
  await db.insert(places).values([...DEMO_PLACES]);
  await db.insert(customers).values(demoCustomers(startMs));
  await db.insert(vehicles).values(cars);
  await db.insert(bookings).values(demoBookings(nowMs));
  await db.insert(products).values([...DEMO_PRODUCTS]);
  await db.insert(gear).values([...DEMO_GEAR]);
  const notes = {
    washes: demoHistory(hours, nowMs),
    drives: demoDrives(),
    swabs: demoSwabs(),
    looks: [],
    customers: [],
  };
  await db.insert(washes).values([...notes.washes, ...demoPlans(nowMs)]);
  for (let i = 0; i < hours.length; i += ROWS_PER_INSERT) {
    const rows = hours
      .slice(i, i + ROWS_PER_INSERT)
      .map((hour) => ({ atMs: hour.atMs, source: station.name, hour }));
    await db.insert(weatherHours).values(rows);
  }
  const authority = new SimulatedAuthority(WINTER_SEED, startMs, station);
  const bulletins = await authority.bulletins(startMs, nowMs);
  for (let i = 0; i < bulletins.length; i += ROWS_PER_INSERT) {
    const rows = bulletins
      .slice(i, i + ROWS_PER_INSERT)
      .map((treatment, n) => ({ ...treatment, id: `bulletin-${i + n}`, source: authority.name }));
    await db.insert(treatments).values(rows).onConflictDoNothing();
  }
  await db.insert(swabs).values([...notes.swabs]);
  await db.insert(drives).values([...notes.drives]);
  const eveningMs = startOfHourMs(nowMs) - LOOKED_HOURS_AGO * MS_PER_HOUR;
  const [control = []] = (await station.newestForecast(eveningMs)).members;
  const evening: ShopFacts = {
    places: shopPlaces(DEMO_PLACES),
    limits: DEFAULT_LIMITS,
    prices: DEFAULT_PRICES,
    house: DEFAULT_HOUSE,
    shelf: shelfOf({ products: DEMO_PRODUCTS, gear: DEMO_GEAR }),
    drivesOn: 'right',
    season: DEFAULT_SEASON,
    timeZone: DEMO_ZONE,
    weather: {
      stamp: 'evening',
      seasonMs: startMs,
      fromMs: eveningMs,
      observed: hours.filter(({ atMs }) => atMs < eveningMs),
      control: control.filter(({ atMs }) => atMs >= eveningMs),
      members: [],
      roadSights: [],
    },
    treatments: bulletins.filter(({ atMs }) => atMs < eveningMs),
    nowMs: eveningMs,
  };
  const tools = { keep: KEEP_NOTHING, report: () => undefined, clockMs: () => 0 };
  const looks = demoLooks(eveningMs, (vehicleId) => {
    const record = cars.find(({ id }) => id === vehicleId);
    return record
      ? answerTo<'condition'>(
          { ...evening, kind: 'condition', car: carFacts(record, notes, eveningMs) },
          tools,
        ).estimated
      : [];
  });
  await db.insert(soilLooks).values(looks);
  await db.insert(settings).values([
    { key: 'timeZone', value: DEMO_ZONE },
    { key: 'workers', value: DEMO_WORKERS },
    { key: 'priceList', value: DEMO_PRICE_LIST },
  ]);
  await close();
  renameSync(part, file);
  console.log(
    `Demo data written: ${cars.length} vehicles, ${DEMO_PLACES.length} places, ${hours.length} hours of weather.`,
  );
}

seed().catch((error: unknown) => {
  console.error(error instanceof StartError ? error.message : error);
  process.exitCode = 1;
});
