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
  type WeatherHour,
} from '@keen/core';
import { readConfig, StartError } from '../config/config.js';
import { actingFor } from '../db/acting.js';
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

type Db = Awaited<ReturnType<typeof openDatabase>>['db'];

/** What the demo's owner has noted of the cars, without the looks, which need the weather. */
interface DemoNotes {
  readonly washes: ReturnType<typeof demoHistory>;
  readonly drives: ReturnType<typeof demoDrives>;
  readonly swabs: ReturnType<typeof demoSwabs>;
}

const inParts = <T>(rows: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(rows.length / ROWS_PER_INSERT) }, (_, i) =>
    rows.slice(i * ROWS_PER_INSERT, (i + 1) * ROWS_PER_INSERT),
  );

const demoCars = (startMs: number): VehicleRecord[] =>
  DEMO_VEHICLES.map((vehicle) => ({
    ...vehicle,
    customerId: demoCustomerOf(vehicle),
    knownSinceMs: startMs,
    washedBefore: null,
  }));

async function writeShop(db: Db, { startMs, nowMs }: { startMs: number; nowMs: number }): Promise<void> {
  await db.insert(places).values([...DEMO_PLACES]);
  await db.insert(customers).values(demoCustomers(startMs));
  await db.insert(vehicles).values(demoCars(startMs));
  await db.insert(bookings).values(demoBookings(nowMs));
  await db.insert(products).values([...DEMO_PRODUCTS]);
  await db.insert(gear).values([...DEMO_GEAR]);
  await db.insert(settings).values([
    { key: 'timeZone', value: DEMO_ZONE },
    { key: 'workers', value: DEMO_WORKERS },
    { key: 'priceList', value: DEMO_PRICE_LIST },
  ]);
}

async function writeNotes(db: Db, notes: DemoNotes, nowMs: number): Promise<void> {
  await db.insert(washes).values([...notes.washes, ...demoPlans(nowMs)]);
  await db.insert(swabs).values([...notes.swabs]);
  await db.insert(drives).values([...notes.drives]);
}

async function writeWeather(db: Db, source: string, hours: readonly WeatherHour[]): Promise<void> {
  for (const part of inParts(hours.map((hour) => ({ atMs: hour.atMs, source, hour }))))
    await db.insert(weatherHours).values(part);
}

async function writeBulletins(db: Db, source: string, bulletins: ShopFacts['treatments']): Promise<void> {
  const rows = bulletins.map((treatment, n) => ({ ...treatment, id: `bulletin-${n}`, source }));
  for (const part of inParts(rows)) await db.insert(treatments).values(part).onConflictDoNothing();
}

/** The shop as it was known the evening before, from which the looks of that evening are estimated. */
const eveningFacts = (
  eveningMs: number,
  known: {
    readonly seasonMs: number;
    readonly hours: readonly WeatherHour[];
    readonly control: readonly WeatherHour[];
    readonly treatments: ShopFacts['treatments'];
  },
): ShopFacts => ({
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
    seasonMs: known.seasonMs,
    fromMs: eveningMs,
    observed: known.hours.filter(({ atMs }) => atMs < eveningMs),
    control: known.control.filter(({ atMs }) => atMs >= eveningMs),
    members: [],
    roadSights: [],
  },
  treatments: known.treatments.filter(({ atMs }) => atMs < eveningMs),
  nowMs: eveningMs,
});

/** What somebody saw on each car that evening, a little off what the program would have estimated. */
function looksOf(evening: ShopFacts, notes: DemoNotes): ReturnType<typeof demoLooks> {
  const tools = { keep: KEEP_NOTHING, report: () => undefined, clockMs: () => 0 };
  const cars = demoCars(evening.weather.seasonMs);
  return demoLooks(evening.nowMs, (vehicleId) => {
    const record = cars.find(({ id }) => id === vehicleId);
    if (!record) return [];
    const car = carFacts(record, { ...notes, looks: [], customers: [] }, evening.nowMs);
    return answerTo<'condition'>({ ...evening, kind: 'condition', car }, tools).estimated;
  });
}

async function fill(db: Db, nowMs: number): Promise<string> {
  const startMs = seasonStartMs(nowMs);
  const station = new SimulatedStation(WINTER_SEED, startMs);
  const hours = await station.observed(startMs, nowMs - (nowMs % MS_PER_HOUR));
  const authority = new SimulatedAuthority(WINTER_SEED, startMs, station);
  const bulletins = await authority.bulletins(startMs, nowMs);
  const notes = { washes: demoHistory(hours, nowMs), drives: demoDrives(), swabs: demoSwabs() };
  const eveningMs = startOfHourMs(nowMs) - LOOKED_HOURS_AGO * MS_PER_HOUR;
  const [control = []] = (await station.newestForecast(eveningMs)).members;
  const evening = eveningFacts(eveningMs, { seasonMs: startMs, hours, control, treatments: bulletins });
  await writeShop(db, { startMs, nowMs });
  await writeNotes(db, notes, nowMs);
  await writeWeather(db, station.name, hours);
  await writeBulletins(db, authority.name, bulletins);
  await db.insert(soilLooks).values(looksOf(evening, notes));
  return `${DEMO_VEHICLES.length} vehicles, ${DEMO_PLACES.length} places, ${hours.length} hours of weather`;
}

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
  const written = await actingFor({ who: null, device: null, atMs: nowMs }, () => fill(db, nowMs));
  await close();
  renameSync(part, file);
  console.log(`Demo data written: ${written}.`);
}

seed().catch((error: unknown) => {
  console.error(error instanceof StartError ? error.message : error);
  process.exitCode = 1;
});
