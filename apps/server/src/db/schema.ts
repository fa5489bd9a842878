import {
  AUDIT_DEEDS,
  BODY_CLASSES,
  BODY_MATERIALS,
  type CadenceTarget,
  type CarZone,
  type DailyDriving,
  DRIVE_ORIGINS,
  CLOTH_DUTIES,
  GEAR_KINDS,
  KEPT_IN,
  MESSAGE_KINDS,
  PAINT_TONES,
  PHOTO_CONSENTS,
  PLACE_KINDS,
  PRODUCT_ROLE_IDS,
  PROTECTIONS,
  ROAD_CLASSES,
  ROLES,
  SEASON_JOB_IDS,
  type SeasonJobId,
  SOIL_KINDS,
  SPOT_AGES,
  SPOT_CAUSES,
  SPOT_MATERIALS,
  TAPS,
  SITE_SOAPS,
  BUCKET_WATERS,
  WASH_STATUSES,
  WATER_BEHAVIOURS,
  type BottleLevel,
  type FinishAt,
  type OpenSpan,
  type Place,
  type PlaceClimate,
  type PrecipKind,
  type Predicted,
  type Product,
  type Queue,
  type RoadState,
  type RunAction,
  type RunPack,
  type RungDone,
  type SaltAgent,
  type Shelter,
  type SiteRule,
  type Tariff,
  type WashFound,
  type WashVisit,
  type Water,
  type WeatherReading,
  type WashedBefore,
  type WeekShares,
  type ZoneProtection,
} from '@keen/core';
import { sql } from 'drizzle-orm';
import {
  blob,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';

/** Set when a row was taken away; it can be brought back. */
const removedMs = integer('removed_ms');

export const vehicles = sqliteTable('vehicle', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  colourName: text('colour_name').notNull(),
  keeper: text('keeper').notNull(),
  notes: text('notes').notNull(),
  bodyClass: text('body_class', { enum: BODY_CLASSES }).notNull(),
  paintTone: text('paint_tone', { enum: PAINT_TONES }).notNull(),
  bodyMaterial: text('body_material', { enum: BODY_MATERIALS }).notNull(),
  protection: text('protection', { enum: PROTECTIONS }).notNull(),
  waterBehaviour: text('water_behaviour', { enum: WATER_BEHAVIOURS }).notNull(),
  /** Zones that differ from the car, or whose dates are known. */
  protections: text('protections', { mode: 'json' }).$type<readonly ZoneProtection[]>().notNull().default([]),
  delicateWheels: integer('delicate_wheels', { mode: 'boolean' }).notNull().default(false),
  hasChargePort: integer('has_charge_port', { mode: 'boolean' }).notNull().default(false),
  driving: text('driving', { mode: 'json' }).$type<DailyDriving>().notNull(),
  weekShares: text('week_shares', { mode: 'json' })
    .$type<WeekShares>()
    .notNull()
    .default([1, 1, 1, 1, 1, 1, 1]),
  standsAtPlaceId: text('stands_at_place_id').references(() => places.id),
  cadenceDays: real('cadence_days').notNull(),
  target: text('target', { mode: 'json' }).$type<CadenceTarget>().notNull().default({ kind: 'days' }),
  seasonJobs: text('season_jobs', { mode: 'json' })
    .$type<readonly SeasonJobId[]>()
    .notNull()
    .default([...SEASON_JOB_IDS]),
  customerId: text('customer_id').references(() => customers.id),
  knownSinceMs: integer('known_since_ms').notNull(),
  washedBefore: text('washed_before', { mode: 'json' }).$type<WashedBefore>(),
  removedMs,
});

export const places = sqliteTable('place', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  notes: text('notes').notNull(),
  kind: text('kind', { enum: PLACE_KINDS }).notNull(),
  latitudeDeg: real('latitude_deg').notNull(),
  longitudeDeg: real('longitude_deg').notNull(),
  timeZone: text('time_zone').notNull(),
  climate: text('climate', { mode: 'json' }).$type<PlaceClimate>().notNull(),
  shelter: text('shelter', { mode: 'json' }).$type<Shelter>().notNull(),
  carHeadingDeg: real('car_heading_deg').notNull(),
  hasDrain: integer('has_drain', { mode: 'boolean' }).notNull(),
  hasLight: integer('has_light', { mode: 'boolean' }).notNull(),
  tap: text('tap', { enum: TAPS }).notNull(),
  openHours: text('open_hours', { mode: 'json' }).$type<readonly (OpenSpan | null)[]>().notNull(),
  washWater: text('wash_water', { mode: 'json' }).$type<Water>().notNull(),
  finalRinse: text('final_rinse', { mode: 'json' }).$type<Water | null>(),
  methods: text('methods', { mode: 'json' }).$type<Place['methods']>().notNull(),
  tariff: text('tariff', { mode: 'json' }).$type<Tariff | null>(),
  queue: text('queue', { mode: 'json' }).$type<Queue | null>(),
  forbids: text('forbids', { mode: 'json' }).$type<readonly SiteRule[]>().notNull().default([]),
  travelMinutes: real('travel_minutes').notNull(),
  carsAtOnce: integer('cars_at_once').notNull().default(1),
  finishAt: text('finish_at', { mode: 'json' }).$type<FinishAt | null>(),
  mostMinutes: real('most_minutes'),
  dryingSpot: text('drying_spot').notNull().default(''),
  siteSoap: text('site_soap', { enum: SITE_SOAPS }).notNull().default('ordinary'),
  bucketWater: text('bucket_water', { enum: BUCKET_WATERS }).notNull().default('brought'),
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
    status: text('status', { enum: WASH_STATUSES }).notNull(),
    startMs: integer('start_ms').notNull(),
    minutes: real('minutes').notNull(),
    workerId: text('worker_id').notNull().default('owner'),
    isLocked: integer('is_locked', { mode: 'boolean' }).notNull().default(false),
    startedMs: integer('started_ms'),
    /** Goes up whenever it is moved, so that other calendars follow. */
    revision: integer('revision').notNull().default(0),
    /** Work of the season in the same visit. */
    extras: text('extras', { mode: 'json' }).$type<readonly SeasonJobId[]>().notNull().default([]),
    costMinor: integer('cost_minor'),
    predicted: text('predicted', { mode: 'json' }).$type<Predicted | null>(),
    found: text('found', { mode: 'json' }).$type<WashFound | null>(),
    /** The other wash of the same visit, and what both take together. */
    visit: text('visit', { mode: 'json' }).$type<WashVisit | null>(),
    removedMs,
  },
  (table) => [
    index('wash_by_vehicle').on(table.vehicleId, table.startMs),
    index('wash_by_start').on(table.startMs),
  ],
);

/** What each source measured, hour by hour. */
export const weatherHours = sqliteTable(
  'weather_hour',
  {
    source: text('source').notNull(),
    atMs: integer('at_ms').notNull(),
    hour: text('hour', { mode: 'json' }).$type<WeatherReading>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.source, table.atMs] })],
);

export const forecastRuns = sqliteTable(
  'forecast_run',
  {
    source: text('source').notNull(),
    issuedMs: integer('issued_ms').notNull(),
    /** Control first, then the members. */
    members: text('members', { mode: 'json' }).$type<readonly (readonly WeatherReading[])[]>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.source, table.issuedMs] })],
);

/** What somebody saw of air, sky and road; null: not looked at. */
export const sights = sqliteTable('sight', {
  id: text('id').primaryKey(),
  atMs: integer('at_ms').notNull(),
  airTempC: real('air_temp_c'),
  windMetresPerSecond: real('wind_metres_per_second'),
  cloudFraction: real('cloud_fraction'),
  falling: text('falling').$type<PrecipKind>(),
  roadClass: text('road_class', { enum: ROAD_CLASSES }),
  roadState: text('road_state').$type<RoadState>(),
  removedMs,
});

/** What was spread on the roads, as told; one row for an hour, a class of road and an agent. */
export const treatments = sqliteTable(
  'treatment',
  {
    id: text('id').primaryKey(),
    atMs: integer('at_ms').notNull(),
    roadClass: text('road_class', { enum: ROAD_CLASSES }).notNull(),
    agent: text('agent').$type<SaltAgent>().notNull(),
    gramsPerM2: real('grams_per_m2').notNull(),
    source: text('source').notNull(),
    removedMs,
  },
  (table) => [
    uniqueIndex('treatment_once')
      .on(table.atMs, table.roadClass, table.agent)
      .where(sql`${table.removedMs} is null`),
  ],
);

const ofVehicle = {
  id: text('id').primaryKey(),
  vehicleId: text('vehicle_id')
    .notNull()
    .references(() => vehicles.id),
  removedMs,
};

export const drives = sqliteTable(
  'drive',
  {
    ...ofVehicle,
    hourMs: integer('hour_ms').notNull(),
    roadClass: text('road_class', { enum: ROAD_CLASSES }).notNull(),
    km: real('km').notNull(),
    meanKmh: real('mean_kmh'),
    origin: text('origin', { enum: DRIVE_ORIGINS }).notNull(),
  },
  (table) => [index('drive_by_vehicle').on(table.vehicleId, table.hourMs)],
);

export const swabs = sqliteTable(
  'swab',
  {
    ...ofVehicle,
    atMs: integer('at_ms').notNull(),
    zone: text('zone').$type<CarZone>().notNull(),
    deltaMicroSiemensPerCm: real('delta_micro_siemens_per_cm').notNull(),
    volumeMl: real('volume_ml').notNull(),
    areaMm2: real('area_mm2').notNull(),
    gramsPerM2: real('grams_per_m2').notNull(),
  },
  (table) => [index('swab_by_vehicle').on(table.vehicleId, table.atMs)],
);

export const spots = sqliteTable(
  'spot',
  {
    ...ofVehicle,
    atMs: integer('at_ms').notNull(),
    zone: text('zone').$type<CarZone>().notNull(),
    age: text('age', { enum: SPOT_AGES }).notNull(),
    material: text('material', { enum: SPOT_MATERIALS }).notNull(),
    cause: text('cause', { enum: SPOT_CAUSES }).notNull(),
    done: text('done', { mode: 'json' }).$type<readonly RungDone[]>().notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('spot_by_vehicle').on(table.vehicleId, table.atMs)],
);

export const spotPhotos = sqliteTable(
  'spot_photo',
  {
    ...ofVehicle,
    spotId: text('spot_id')
      .notNull()
      .references(() => spots.id),
    atMs: integer('at_ms').notNull(),
    mediaType: text('media_type').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  },
  (table) => [index('spot_photo_by_spot').on(table.spotId, table.atMs)],
);

export const soilLooks = sqliteTable(
  'soil_look',
  {
    ...ofVehicle,
    atMs: integer('at_ms').notNull(),
    zone: text('zone').$type<CarZone>().notNull(),
    kind: text('kind', { enum: SOIL_KINDS }).notNull(),
    grade: real('grade').notNull(),
    /** What the estimate said at that moment. */
    estimatedThen: real('estimated_then').notNull(),
  },
  (table) => [index('soil_look_by_vehicle').on(table.vehicleId, table.atMs)],
);

/** When workers are otherwise engaged, as another calendar says; one row for each occurrence. */
export const busyTimes = sqliteTable(
  'busy_time',
  {
    id: text('id').primaryKey(),
    /** The calendar that it came from; an import replaces what came from it before. */
    calendar: text('calendar').notNull(),
    /** null: everybody. */
    workerId: text('worker_id'),
    fromMs: integer('from_ms').notNull(),
    toMs: integer('to_ms').notNull(),
    summary: text('summary').notNull(),
  },
  (table) => [index('busy_by_calendar').on(table.calendar, table.fromMs)],
);

/** Secret addresses under which the plan can be followed as a calendar, one for each who follows it. */
export const feeds = sqliteTable('feed', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  secret: text('secret').notNull().unique(),
  /** Whose washes it gives; null: everybody's. */
  workerId: text('worker_id'),
  madeMs: integer('made_ms').notNull(),
  /** null: it was never followed. */
  lastReadMs: integer('last_read_ms'),
});

export const customers = sqliteTable('customer', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** How they are reached, as they said it. */
  contact: text('contact').notNull(),
  notes: text('notes').notNull(),
  /** What their photographs may be used for. */
  photoConsent: text('photo_consent', { enum: PHOTO_CONSENTS }).notNull(),
  /** When they said so; null: they have not been asked. */
  consentMs: integer('consent_ms'),
  /** When their cars can be had, Monday first; null: at any time. */
  availability: text('availability', { mode: 'json' }).$type<readonly (OpenSpan | null)[] | null>(),
  removedMs,
});

/** Washes that were promised. */
export const bookings = sqliteTable(
  'booking',
  {
    ...ofVehicle,
    fromMs: integer('from_ms').notNull(),
    readyByMs: integer('ready_by_ms').notNull(),
    /** null: any method that washes it. */
    methodId: text('method_id'),
    extras: text('extras', { mode: 'json' }).$type<readonly SeasonJobId[]>().notNull(),
    /** What was agreed on; null: not yet. */
    agreedMinor: integer('agreed_minor'),
    note: text('note').notNull(),
  },
  (table) => [index('booking_by_vehicle').on(table.vehicleId, table.readyByMs)],
);

/** The outbox: what customers are to be told. Nothing is sent anywhere. */
export const messages = sqliteTable(
  'message',
  {
    id: text('id').primaryKey(),
    customerId: text('customer_id')
      .notNull()
      .references(() => customers.id),
    vehicleId: text('vehicle_id')
      .notNull()
      .references(() => vehicles.id),
    washId: text('wash_id'),
    kind: text('kind', { enum: MESSAGE_KINDS }).notNull(),
    body: text('body').notNull(),
    createdMs: integer('created_ms').notNull(),
    /** Start and place that it tells of; null where it tells of none. */
    toldStartMs: integer('told_start_ms'),
    toldPlaceId: text('told_place_id'),
    /** When it was taken out of the outbox. */
    exportedMs: integer('exported_ms'),
    removedMs,
  },
  (table) => [index('message_by_wash').on(table.washId, table.createdMs)],
);

/** What each run was made of when it was opened; the run that was begun names its own. */
export const runPacks = sqliteTable(
  'run_pack',
  {
    id: text('id').primaryKey(),
    washId: text('wash_id')
      .notNull()
      .references(() => washes.id),
    pack: text('pack', { mode: 'json' }).$type<RunPack>().notNull(),
  },
  (table) => [index('run_pack_by_wash').on(table.washId)],
);

/** What was done in runs, as phones sent it; nothing here is ever changed. */
export const runActions = sqliteTable(
  'run_action',
  {
    /** In the order of arrival. */
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    washId: text('wash_id')
      .notNull()
      .references(() => washes.id),
    action: text('action', { mode: 'json' }).$type<RunAction>().notNull(),
    /** Whose session sent it, and from which phone, as the server knows them; null: nobody was signed in. */
    who: text('who'),
    device: text('device'),
  },
  (table) => [index('run_action_by_wash').on(table.washId, table.seq)],
);

export const runPhotos = sqliteTable(
  'run_photo',
  {
    id: text('id').primaryKey(),
    washId: text('wash_id')
      .notNull()
      .references(() => washes.id),
    mediaType: text('media_type').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  },
  (table) => [index('run_photo_by_wash').on(table.washId)],
);

/** Bottles, as their labels have them. */
export const products = sqliteTable('product', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  role: text('role', { enum: PRODUCT_ROLE_IDS }).notNull(),
  inUsePh: real('in_use_ph').notNull(),
  usualParts: real('usual_parts').notNull(),
  fewestParts: real('fewest_parts').notNull(),
  mostParts: real('most_parts').notNull(),
  capMl: real('cap_ml'),
  carMl: real('car_ml'),
  dwell: text('dwell', { mode: 'json' }).$type<Product['dwell']>(),
  lowestWorkC: real('lowest_work_c'),
  lowestStoreC: real('lowest_store_c'),
  keptIn: text('kept_in', { enum: KEPT_IN }).notNull(),
  bottleMl: real('bottle_ml').notNull(),
  leftMl: real('left_ml').notNull(),
  lowMl: real('low_ml').notNull(),
  priceMinor: integer('price_minor').notNull(),
  notes: text('notes').notNull(),
  levels: text('levels', { mode: 'json' }).$type<readonly BottleLevel[] | null>(),
  removedMs,
});

/** Cloths, sprayers, lances, machines, filters. */
export const gear = sqliteTable('gear', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  kind: text('kind', { enum: GEAR_KINDS }).notNull(),
  count: integer('count').notNull(),
  cleanCount: integer('clean_count').notNull(),
  volumeMl: real('volume_ml'),
  outputLitresPerBottle: real('output_litres_per_bottle'),
  lifeLitres: real('life_litres'),
  litresUsed: real('litres_used').notNull(),
  notes: text('notes').notNull(),
  duty: text('duty', { enum: CLOTH_DUTIES }).notNull().default('paint'),
  launderedTimes: real('laundered_times').notNull().default(0),
  hasGuard: integer('has_guard', { mode: 'boolean' }),
  holdsGrams: real('holds_grams'),
  removedMs,
});

export const settings = sqliteTable('setting', {
  key: text('key').primaryKey(),
  value: text('value', { mode: 'json' }).$type<unknown>().notNull(),
});

/** Who may work with the program. The names of the columns here and in the next three tables are those of the sign-in library. */
export const accessUsers = sqliteTable('access_user', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** The library wants one; made up from the name, and nothing is ever sent to it. */
  email: text('email').notNull().unique(),
  emailVerified: integer('email_verified', { mode: 'boolean' }).notNull(),
  image: text('image'),
  createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
  updatedAt: integer('updated_at', { mode: 'timestamp_ms' }).notNull(),
  username: text('username').notNull().unique(),
  displayUsername: text('display_username'),
  role: text('role', { enum: ROLES }).notNull(),
  /** Whose washes are this person's own. */
  workerId: text('worker_id'),
});

/** A phone or computer on which somebody is signed in. */
export const accessSessions = sqliteTable('access_session', {
  id: text('id').primaryKey(),
  userId: text('user_id')
    .notNull()
    .references(() => accessUsers.id, { onDelete: 'cascade' }),
  token: text('token').notNull().unique(),
  expiresAt: integer('expires_at', { mode: 'timestamp_ms' }).notNull(),
  createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
  updatedAt: integer('updated_at', { mode: 'timestamp_ms' }).notNull(),
  ipAddress: text('ip_address'),
  userAgent: text('user_agent'),
  device: text('device'),
  lastSeenMs: integer('last_seen_ms'),
});

/** What somebody signs in by: a password's argon2 hash. */
export const accessCredentials = sqliteTable('access_credential', {
  id: text('id').primaryKey(),
  userId: text('user_id')
    .notNull()
    .references(() => accessUsers.id, { onDelete: 'cascade' }),
  accountId: text('account_id').notNull(),
  providerId: text('provider_id').notNull(),
  accessToken: text('access_token'),
  refreshToken: text('refresh_token'),
  idToken: text('id_token'),
  accessTokenExpiresAt: integer('access_token_expires_at', { mode: 'timestamp_ms' }),
  refreshTokenExpiresAt: integer('refresh_token_expires_at', { mode: 'timestamp_ms' }),
  scope: text('scope'),
  password: text('password'),
  createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
  updatedAt: integer('updated_at', { mode: 'timestamp_ms' }).notNull(),
});

/** What is good once and for a short time: the codes by which a phone is let in. */
export const accessCodes = sqliteTable('access_code', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: integer('expires_at', { mode: 'timestamp_ms' }).notNull(),
  createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
  updatedAt: integer('updated_at', { mode: 'timestamp_ms' }).notNull(),
});

/** Who changed what, written by triggers in one transaction with the change (`db/audit-triggers`). */
export const audit = sqliteTable(
  'audit',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    atMs: integer('at_ms').notNull(),
    /** The account; null: nobody was signed in, or the program did it itself. */
    who: text('who'),
    /** The phone or computer by its name. */
    device: text('device'),
    /** The table. */
    record: text('record').notNull(),
    recordId: text('record_id').notNull(),
    deed: text('deed', { enum: AUDIT_DEEDS }).notNull(),
    /** The row as it stood, by its columns; null: there was none. */
    before: text('before', { mode: 'json' }).$type<Readonly<Record<string, unknown>> | null>(),
    after: text('after', { mode: 'json' }).$type<Readonly<Record<string, unknown>> | null>(),
  },
  (table) => [
    index('audit_by_record').on(table.record, table.recordId),
    index('audit_by_time').on(table.atMs),
  ],
);

/** For whom the present transaction writes: one row. */
export const auditActor = sqliteTable('audit_actor', {
  id: integer('id').primaryKey(),
  who: text('who'),
  device: text('device'),
  atMs: integer('at_ms').notNull(),
});
