import {
  activeHoursSaved,
  type Band,
  carLife,
  type CompiledHour,
  compileLife,
  hoursOfDay,
  likelyTreatments,
  methodOf,
  METHODS,
  MS_PER_HOUR,
  type Place,
  type PlaceSite,
  placeSites,
  ROAD_CLASSES,
  type RoadClass,
  type RoadHour,
  roadHours,
  runLedger,
  type SaltWash,
  type Surroundings,
  type VehicleMorning,
  vehicleMorning,
  verdictGrid,
  type WeatherHour,
  type WeatherSpan,
  type Window,
  windChill,
  type ZoneSalt,
} from '@keen/core';
import type { EngineProgress, EngineVehicle, GridJob, MorningJob, SaltJob } from './engine-job.js';

/** A week of starts; the forecast reaches beyond it so that long washes and nights are covered. */
export const GRID_HOURS = 168;
/** History that an unheated garage and a frozen tap look back on. */
const LOOK_BACK_HOURS = 36;
const KEPT_GRIDS = 24;
/** Enough starts of each vehicle to find one that is free; more only cost memory. */
const MOST_WINDOWS = 80;

type Report = (progress: EngineProgress) => void;
type Weather = GridJob['weather'];

/** One day of the season on one car. */
export interface SaltDay {
  readonly atMs: number;
  readonly activeHours: number;
  readonly zones: readonly ZoneSalt[];
}

export interface SaltAnswer {
  readonly days: readonly SaltDay[];
  readonly now: { readonly activeHours: number; readonly zones: readonly ZoneSalt[] };
  /** What a wash now would save over the forecast, by method. */
  readonly savedNow: readonly { readonly methodId: string; readonly activeHours: number }[];
  /** What the last wash has saved so far; null where there was none. */
  readonly savedByLast: { readonly atMs: number; readonly activeHours: number } | null;
  readonly forecastHours: number;
  /** Active hours over the forecast where it stands now, in the street, and in a heated place at 14 °C. */
  readonly parked: { readonly here: number; readonly street: number; readonly heated: number };
}

const HEATED_EXAMPLE = { climate: { kind: 'heated', setpointC: 14 } } as const;

/** The computation behind the verdicts: lives in the worker and keeps the grids that it has made. */
export class Engine {
  private readonly grids = new Map<string, Band[]>();
  private sites: { readonly key: string; readonly value: PlaceSite[] } | null = null;
  private surroundings: { readonly key: string; readonly value: Surroundings } | null = null;

  grid(
    job: Pick<GridJob, 'vehicle' | 'places' | 'limits' | 'weather'>,
    onProgress?: (share: number) => void,
  ): Band[] {
    const { vehicle, places, limits, weather } = job;
    const key = JSON.stringify([vehicle, places, limits, weather.stamp]);
    const known = this.grids.get(key);
    if (known) return known;
    const fromMs = weather.control[0]?.atMs ?? 0;
    const bands = verdictGrid(
      { vehicle, limits, sites: this.sitesOf(job), fromMs, hourCount: GRID_HOURS },
      onProgress,
    );
    this.keep(key, bands);
    return bands;
  }

  /** Places under the forecast, once for all cars. */
  private sitesOf({ places, weather }: Pick<GridJob, 'places' | 'weather'>): PlaceSite[] {
    const key = JSON.stringify([places, weather.stamp]);
    if (this.sites?.key === key) return this.sites.value;
    const control = spanOf(weather, weather.control);
    const members = weather.members.map((member) => spanOf(weather, member));
    const value = placeSites(places, { control, members });
    this.sites = { key, value };
    return value;
  }

  private keep(key: string, bands: Band[]): void {
    this.grids.set(key, bands);
    const [oldest] = this.grids.keys();
    if (this.grids.size > KEPT_GRIDS && oldest !== undefined) this.grids.delete(oldest);
  }

  /** What each vehicle needs; reports vehicle by vehicle. */
  morning(job: MorningJob, report: Report): VehicleMorning[] {
    const around = this.around(job);
    const seasonHours = job.weather.observed.length;
    const windChillC = job.weather.control.map(outdoorWindChillC);
    return job.vehicles.map((entry, i) => {
      const total = job.vehicles.length;
      const bands = this.grid({ ...job, vehicle: entry.vehicle }, (share) => {
        report({ label: entry.vehicle.id, share: (i + share) / total });
      });
      const life = lifeOf(entry, job.places, around);
      const ledger = runLedger(life.slice(0, seasonHours), washesOf(entry));
      report({ label: entry.vehicle.id, share: (i + 1) / total });
      const morning = vehicleMorning({
        ...job,
        vehicle: entry.vehicle,
        bands,
        ledger,
        ahead: life.slice(seasonHours),
        windChillC,
        lastWashMs: lastWashMs(entry),
        knownSinceMs: entry.knownSinceMs,
      });
      return { ...morning, windows: fewest(morning.windows) };
    });
  }

  /** The season's salt on one car, what washing saves, and what parking warm costs. */
  salt(job: SaltJob): SaltAnswer {
    const around = this.around(job);
    const seasonHours = job.weather.observed.length;
    const life = lifeOf(job.vehicle, job.places, around);
    const past = life.slice(0, seasonHours);
    const ahead = life.slice(seasonHours);
    const days: SaltDay[] = [];
    const now = runLedger(past, washesOf(job.vehicle), (ledger, hour) => {
      if ((hour.atMs / MS_PER_HOUR) % 24 === 5)
        days.push({ atMs: hour.atMs, activeHours: ledger.activeHours, zones: ledger.zones() });
    });
    const parked = (standsAt: Pick<Place, 'climate'> | null): number => {
      const elsewhere = compileLife(
        carLife({ driving: job.vehicle.vehicle.driving, standsAt }, around),
      ).slice(seasonHours);
      return clockOver(now, elsewhere);
    };
    return {
      days,
      now: { activeHours: now.activeHours, zones: now.zones() },
      savedNow: METHODS.map(({ id, removes }) => ({
        methodId: id,
        activeHours: activeHoursSaved(now, ahead, removes)[0] ?? 0,
      })),
      savedByLast: savedByLast(job.vehicle, past, now.activeHours),
      forecastHours: ahead.length,
      parked: { here: clockOver(now, ahead), street: parked(null), heated: parked(HEATED_EXAMPLE) },
    };
  }

  /** Roads and clock over the season and the forecast, once for all cars. */
  private around({
    weather,
    places,
    timeZone,
  }: Pick<MorningJob, 'weather' | 'places' | 'timeZone'>): Surroundings {
    const [at] = places;
    const key = `${weather.stamp} ${timeZone} ${at?.latitudeDeg ?? 0} ${at?.longitudeDeg ?? 0}`;
    if (this.surroundings?.key === key) return this.surroundings.value;
    const hours = [...weather.observed, ...weather.control];
    const point = at ?? { latitudeDeg: 46.5, longitudeDeg: -84.3 };
    const road = (roadClass: RoadClass): RoadHour[] =>
      roadHours(hours, { roadClass, at: point, treatments: likelyTreatments(hours, roadClass) });
    const roads = Object.fromEntries(ROAD_CLASSES.map((roadClass) => [roadClass, road(roadClass)])) as Record<
      RoadClass,
      RoadHour[]
    >;
    const value = { hours, roads, hourOfDay: hoursOfDay(hours, timeZone) };
    this.surroundings = { key, value };
    return value;
  }
}

/** The worthiest starts, and the worthiest of every place and method. */
function fewest(windows: readonly Window[]): Window[] {
  const seen = new Set<string>();
  return windows.filter((window, i) => {
    const band = `${window.placeId} ${window.methodId}`;
    const isFirst = !seen.has(band);
    seen.add(band);
    return isFirst || i < MOST_WINDOWS;
  });
}

/** The recent past and one course of the future as one span; missing hours between are null. */
export function spanOf(weather: Pick<Weather, 'observed'>, ahead: readonly WeatherHour[]): WeatherSpan {
  const known = [...weather.observed.slice(-LOOK_BACK_HOURS), ...ahead];
  const fromMs = known[0]?.atMs ?? 0;
  const lastMs = known.at(-1)?.atMs ?? fromMs - MS_PER_HOUR;
  const byHour = new Map(known.map((hour) => [hour.atMs, hour]));
  const hours = Array.from(
    { length: (lastMs - fromMs) / MS_PER_HOUR + 1 },
    (_, i) => byHour.get(fromMs + i * MS_PER_HOUR) ?? null,
  );
  return { fromMs, hours };
}

const outdoorWindChillC = (hour: WeatherHour): number | null =>
  windChill({ airTempC: hour.airTempC, windKmh: hour.windMetresPerSecond * 3.6 }).windChillC;

const washesOf = ({ washes }: EngineVehicle): SaltWash[] =>
  washes.map(({ atMs, methodId }) => ({ atMs, removes: methodOf(methodId).removes }));

const lastWashMs = ({ washes }: EngineVehicle): number | null =>
  washes.length > 0 ? Math.max(...washes.map(({ atMs }) => atMs)) : null;

function lifeOf({ vehicle }: EngineVehicle, places: readonly Place[], around: Surroundings): CompiledHour[] {
  const standsAt = places.find(({ id }) => id === vehicle.standsAtPlaceId) ?? null;
  return compileLife(carLife({ driving: vehicle.driving, standsAt }, around));
}

/** Active hours that pass over the hours without a wash. */
function clockOver(now: ReturnType<typeof runLedger>, hours: readonly CompiledHour[]): number {
  const nothing = activeHoursSaved(now, hours, { upper: 1, lower: 1, under: 1 })[0] ?? 0;
  const washed = runLedger(hours, []).activeHours;
  return nothing + washed;
}

function savedByLast(
  entry: EngineVehicle,
  past: readonly CompiledHour[],
  activeHours: number,
): SaltAnswer['savedByLast'] {
  const atMs = lastWashMs(entry);
  if (atMs === null) return null;
  const without = runLedger(
    past,
    washesOf({ ...entry, washes: entry.washes.filter((wash) => wash.atMs !== atMs) }),
  );
  return { atMs, activeHours: without.activeHours - activeHours };
}
