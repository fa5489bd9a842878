import type { Role } from '@keen/core';

/** Anybody, signed in or not. */
export const ANYBODY: ReadonlySet<string> = new Set([
  'AccessController_authority',
  'AccessController_session',
  'AccessController_signIn',
  'AccessController_pair',
  // Its secret address lets in.
  'CalendarController_feed',
  'HealthController_read',
]);

/** Everybody who is signed in, whatever the role. */
const ALL: readonly Role[] = ['helper', 'bookkeeper'];
const READS: readonly Role[] = ['bookkeeper'];
const WASHES: readonly Role[] = ['helper'];

/** What others than the owner may do; what does not stand here is the owner's alone. */
const BESIDES_OWNER: Readonly<Record<string, readonly Role[]>> = {
  AccessController_signOut: ALL,
  AnswersController_windows: READS,
  AnswersController_cell: READS,
  AnswersController_wash: READS,
  AnswersController_trial: READS,
  AnswersController_ways: READS,
  AnswersController_flips: READS,
  AnswersController_balance: READS,
  AnswersController_cadence: READS,
  AnswersController_salt: READS,
  AnswersController_condition: READS,
  AnswersController_coats: READS,
  AnswersController_progress: READS,
  BookingsController_list: READS,
  BookingsController_quote: READS,
  CalcController_list: ALL,
  CalcController_run: ALL,
  ClockController_read: ALL,
  CustomersController_list: READS,
  // Of a helper's own washes of the day alone.
  CustomersController_today: ALL,
  DrivesController_list: READS,
  KitController_all: ALL,
  KitController_warnings: ALL,
  MessagesController_list: READS,
  MessagesController_unsent: READS,
  PlacesController_list: ALL,
  PlacesController_read: ALL,
  PlanController_view: READS,
  PlanController_morning: READS,
  PlanController_soFar: READS,
  PlanController_moves: READS,
  PlanController_reliefs: READS,
  PlanController_news: READS,
  RoadsController_bulletins: READS,
  // A helper's own runs alone: the guard looks at the wash.
  RunsController_read: ALL,
  RunsController_news: ALL,
  RunsController_take: WASHES,
  RunsController_keepPhoto: WASHES,
  RunsController_photo: ALL,
  RunsController_hands: READS,
  SettingsController_read: ALL,
  SpotPhotosController_read: ALL,
  SpotsController_list: ALL,
  SwabsController_list: READS,
  VehiclesController_list: ALL,
  VehiclesController_read: ALL,
  WashesController_list: ALL,
  WashesController_read: ALL,
  WeatherController_read: ALL,
  WeatherController_sources: READS,
  WeatherController_sights: READS,
};

/** @param operation as the API's description names it */
export const mayDo = (role: Role, operation: string): boolean =>
  role === 'owner' || (BESIDES_OWNER[operation]?.includes(role) ?? false);

/** Every operation that somebody besides the owner may do. */
export const NAMED_OPERATIONS: readonly string[] = [...ANYBODY, ...Object.keys(BESIDES_OWNER)];
