import type {
  DailyDriving,
  OpenSpan,
  Place,
  PlaceClimate,
  Predicted,
  Shelter,
  WashFound,
  Water,
  WeatherHour,
} from '@keen/core';
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Set when a row was taken away; it can be brought back. */
const removedMs = integer('removed_ms');

export const vehicles = sqliteTable('vehicle', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  colourName: text('colour_name').notNull(),
  keeper: text('keeper').notNull(),
  notes: text('notes').notNull(),
  bodyClass: text('body_class', { enum: ['saloon', 'estate', 'hatch', 'suv', 'pickup', 'van'] }).notNull(),
  paintTone: text('paint_tone', { enum: ['white', 'silver', 'mid', 'black'] }).notNull(),
  bodyMaterial: text('body_material', { enum: ['steel', 'aluminium'] }).notNull(),
  protection: text('protection', { enum: ['bare', 'wax', 'sealant', 'coating'] }).notNull(),
  waterBehaviour: text('water_behaviour', { enum: ['flat', 'sheeting', 'beading'] }).notNull(),
  driving: text('driving', { mode: 'json' }).$type<DailyDriving>().notNull(),
  standsAtPlaceId: text('stands_at_place_id').references(() => places.id),
  cadenceDays: real('cadence_days').notNull(),
  knownSinceMs: integer('known_since_ms').notNull(),
  removedMs,
});

export const places = sqliteTable('place', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  notes: text('notes').notNull(),
  kind: text('kind', {
    enum: ['garage', 'heated-unit', 'self-serve-bay', 'automatic-bay', 'drive'],
  }).notNull(),
  latitudeDeg: real('latitude_deg').notNull(),
  longitudeDeg: real('longitude_deg').notNull(),
  timeZone: text('time_zone').notNull(),
  climate: text('climate', { mode: 'json' }).$type<PlaceClimate>().notNull(),
  shelter: text('shelter', { mode: 'json' }).$type<Shelter>().notNull(),
  carHeadingDeg: real('car_heading_deg').notNull(),
  hasDrain: integer('has_drain', { mode: 'boolean' }).notNull(),
  hasLight: integer('has_light', { mode: 'boolean' }).notNull(),
  tap: text('tap', { enum: ['none', 'frost-shut', 'always'] }).notNull(),
  openHours: text('open_hours', { mode: 'json' }).$type<readonly (OpenSpan | null)[]>().notNull(),
  washWater: text('wash_water', { mode: 'json' }).$type<Water>().notNull(),
  finalRinse: text('final_rinse', { mode: 'json' }).$type<Water | null>(),
  methods: text('methods', { mode: 'json' }).$type<Place['methods']>().notNull(),
  travelMinutes: real('travel_minutes').notNull(),
  removedMs,
});

export const washes = sqliteTable(
  'wash',
  {
    id: text('id').primaryKey(),
    vehicleId: text('vehicle_id')
      .notNull()
      .references(() => vehicles.id),
    placeId: text('place_id')
      .notNull()
      .references(() => places.id),
    methodId: text('method_id').notNull(),
    status: text('status', { enum: ['planned', 'done'] }).notNull(),
    startMs: integer('start_ms').notNull(),
    minutes: real('minutes').notNull(),
    costMinor: integer('cost_minor'),
    predicted: text('predicted', { mode: 'json' }).$type<Predicted | null>(),
    found: text('found', { mode: 'json' }).$type<WashFound | null>(),
    removedMs,
  },
  (table) => [
    index('wash_by_vehicle').on(table.vehicleId, table.startMs),
    index('wash_by_start').on(table.startMs),
  ],
);

export const weatherHours = sqliteTable('weather_hour', {
  atMs: integer('at_ms').primaryKey(),
  source: text('source').notNull(),
  hour: text('hour', { mode: 'json' }).$type<WeatherHour>().notNull(),
});

export const forecastRuns = sqliteTable('forecast_run', {
  issuedMs: integer('issued_ms').primaryKey(),
  source: text('source').notNull(),
  /** Control first, then the members. */
  members: text('members', { mode: 'json' }).$type<readonly (readonly WeatherHour[])[]>().notNull(),
});

export const settings = sqliteTable('setting', {
  key: text('key').primaryKey(),
  value: text('value', { mode: 'json' }).$type<unknown>().notNull(),
});
