/** What the cache is divided into: the first word of each query. */
export const VIEWS = [
  'clock',
  'settings',
  'vehicles',
  'places',
  'washes',
  'weather',
  'plan',
  'verdicts',
  'bulletins',
  'drives',
  'swabs',
  'spots',
  'backups',
  'access',
  'customers',
  'bookings',
  'messages',
  'kit',
  'calendar',
  'audit',
] as const;
export type View = (typeof VIEWS)[number];

/** The plan (with the morning, run sheets and moves in it) and the verdicts are worked out from nearly everything. */
const WORKED_OUT = ['plan', 'verdicts'] as const satisfies readonly View[];

/** Every change of these records is noted. */
const NOTED = ['audit'] as const satisfies readonly View[];

/**
 * Which views depend on which kind of record: the one table that every change on the server goes by. A view is there if any figure or
 * word of it can change with the record.
 */
export const DEPENDENT_VIEWS = {
  /** Done washes take product and what is counted; planned ones are what customers are informed of. */
  washes: ['washes', ...WORKED_OUT, 'settings', 'kit', 'messages', 'calendar', 'bookings', ...NOTED],
  /** The start, the close and its undo move the wash and all that follows from it. */
  runs: [
    'washes',
    ...WORKED_OUT,
    'settings',
    'kit',
    'messages',
    'calendar',
    'bookings',
    'vehicles',
    ...NOTED,
  ],
  vehicles: ['vehicles', ...WORKED_OUT, 'bookings', 'messages', 'customers', 'calendar', 'kit', ...NOTED],
  places: ['places', ...WORKED_OUT, 'bookings', 'messages', 'calendar', 'kit', ...NOTED],
  settings: ['settings', ...WORKED_OUT, 'bookings', 'messages', 'calendar', 'kit', ...NOTED],
  customers: ['customers', 'vehicles', ...WORKED_OUT, 'bookings', 'messages', 'calendar', ...NOTED],
  /** A customer for good, with the washes and spots of their cars. */
  erased: [
    'customers',
    'vehicles',
    'washes',
    'spots',
    ...WORKED_OUT,
    'bookings',
    'messages',
    'calendar',
    'drives',
    'swabs',
    ...NOTED,
  ],
  bookings: ['bookings', ...WORKED_OUT, 'messages', ...NOTED],
  kit: ['kit', ...WORKED_OUT, ...NOTED],
  messages: ['messages', ...NOTED],
  calendar: ['calendar', ...WORKED_OUT],
  weather: ['weather', ...WORKED_OUT, 'kit', 'messages', ...NOTED],
  bulletins: ['bulletins', ...WORKED_OUT],
  drives: ['drives', ...WORKED_OUT, ...NOTED],
  swabs: ['swabs', ...WORKED_OUT, ...NOTED],
  spots: ['spots', ...NOTED],
  backups: ['backups'],
  access: ['access', ...NOTED],
  looks: ['verdicts', 'plan', ...NOTED],
  clock: ['clock', 'weather', ...WORKED_OUT, 'bookings', 'messages', 'calendar', 'kit', 'bulletins'],
} as const satisfies Readonly<Record<string, readonly View[]>>;

/** A kind of record that can be changed. */
export type RecordKind = keyof typeof DEPENDENT_VIEWS;
