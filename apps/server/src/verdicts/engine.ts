import { createHash } from 'node:crypto';
import {
  balance,
  type BalanceRow,
  type Band,
  type CadenceOutcome,
  cellDetail,
  type CellDetail,
  type CellRequest,
  type FilmInput,
  everyHour,
  filmInputFor,
  type Flip,
  flipsOf,
  goodSchedule,
  type GridRequest,
  likelyTreatments,
  localTime,
  memberAsker,
  moveOptions,
  MS_PER_HOUR,
  NightAir,
  type Panel,
  panelsOf,
  PlaceCalendar,
  type PlaceSite,
  placeSites,
  planAnswer,
  type PlanAnswer,
  planCase,
  type PlanCase,
  type PlanOption,
  type PlanRequest,
  PlaceWeather,
  RoadAhead,
  ROAD_CLASSES,
  type RoadClass,
  type RoadHour,
  roadHours,
  type PackHour,
  type RoadState,
  type RunPack,
  startOfHourMs,
  type Schedule,
  type ScheduleProblem,
  runSheet,
  seasonCadence,
  type SeasonJobId,
  type SeasonJobRow,
  shopSeasonJobs,
  shopMethod,
  type Surroundings,
  surroundings,
  type VehicleMorning,
  vehicleMorning,
  verdictGrid,
  type WeatherHour,
  type WeatherSpan,
  windChill,
  type WorthOfRelief,
  worthOfReliefs,
} from '@keen/core';
import { carState, type CarState } from './car-state.js';
import { conditionAnswer, type ConditionAnswer } from './condition-answer.js';
import type {
  BalanceJob,
  CadenceJob,
  CellJob,
  EngineProgress,
  EngineSetting,
  EngineVehicle,
  FlipsJob,
  GridJob,
  MovesJob,
  PlanJob,
  PlanTellJob,
  ReliefsJob,
  RunPackJob,
  SaltJob,
} from './engine-job.js';
import { seasonStandings } from './season-answer.js';
import { saltAnswer, type SaltAnswer } from './salt-answer.js';

/** A week of starts; the forecast reaches beyond it so that long washes and nights are covered. */
export const GRID_HOURS = 168;
/** History that an unheated garage and a frozen tap look back on. */
const LOOK_BACK_HOURS = 36;
const MS_PER_MINUTE = 60_000;
/** Hours of weather that go with a run, for one that begins late or takes long. */
const PACK_HOURS = 8;
const KEPT_BANDS = 250;
const KEPT_CARS = 16;
/** What a plan looks ahead. */
export const PLAN_HOURS = 240;
const KEPT_MORNINGS = 80;
/** A good plan is wanted within a second; proving it is another's work. */
const GOOD_PLAN_MS = 750;

type Report = (progress: EngineProgress) => void;
type OfCar = EngineSetting & { readonly car: EngineVehicle };

/** The main road and the salt clock of a car, hour by hour, for the ribbon. */
export interface RibbonHour {
  /** null: not known. */
  readonly road: RoadState | null;
  /** Active hours that an hour counts on a caked underbody, in the street where it stands. */
  readonly pace: number;
}

export interface GridAnswer {
  readonly bands: readonly Band[];
  readonly hours: readonly RibbonHour[];
}

/** One start laid open, with the film of each panel, from which the lab begins. */
export interface CellAnswer extends CellDetail {
  readonly films: readonly { readonly panel: Panel['id']; readonly input: FilmInput }[];
  /** Coldest air where the car stands in the night after, °C; null: not known. */
  readonly overnightC: number | null;
}

/** One plan for all vehicles as first found. */
export interface MadePlan {
  readonly problem: ScheduleProblem;
  readonly schedule: Schedule;
  readonly horizonMs: number;
  /** What each vehicle needs; without its windows, which are many. */
  readonly mornings: readonly VehicleMorning[];
  readonly answer: PlanAnswer;
}

/** What is made from a key once and kept, the oldest given up first. */
class Kept<V> {
  private readonly values = new Map<string, V>();

  constructor(private readonly most: number) {}

  get(key: string): V | undefined {
    return this.values.get(key);
  }

  set(key: string, value: V): void {
    this.values.delete(key);
    this.values.set(key, value);
    const [oldest] = this.values.keys();
    if (this.values.size > this.most && oldest !== undefined) this.values.delete(oldest);
  }

  clear(): void {
    this.values.clear();
  }

  once(key: string, make: () => V): V {
    const known = this.values.get(key);
    if (known !== undefined) return known;
    const made = make();
    this.set(key, made);
    return made;
  }
}

const hash = (...parts: readonly unknown[]): string =>
  createHash('sha256').update(JSON.stringify(parts)).digest('base64');

/** The computation behind the verdicts: lives in the worker and keeps what it has made. */
/** A run's pack before it has a name. */
export type PackDraft = Omit<RunPack, 'id' | 'washId' | 'madeMs' | 'source' | 'issuedMs'>;

export class Engine {
  private readonly bands = new Kept<Band>(KEPT_BANDS);
  private readonly cars = new Kept<CarState>(KEPT_CARS);
  private readonly sites = new Kept<PlaceSite>(10);
  private readonly arounds = new Kept<Surroundings>(1);
  private readonly mornings = new Kept<VehicleMorning>(KEPT_MORNINGS);
  private morningsUnder = '';

  /** A week for one car, every start asked of every member. */
  grid(job: Pick<GridJob, keyof OfCar>, onProgress?: (share: number) => void): GridAnswer {
    const request = this.request(job, true);
    const state = this.stateOf(job);
    const bands = this.bandsOf(job, request, onProgress);
    const around = this.around(job);
    const from = job.weather.observed.length;
    const hours = Array.from({ length: GRID_HOURS }, (_, i): RibbonHour => ({
      road: around.roads[from + i]?.main?.state ?? null,
      pace: Math.max(...(state.ahead[i]?.pace ?? [0])),
    }));
    return { bands, hours };
  }

  private bandsOf(job: OfCar, request: GridRequest, onProgress?: (share: number) => void): Band[] {
    const { stamp } = job.weather;
    return verdictGrid(request, {
      onProgress,
      known: (key) => this.bands.get(hash(stamp, key)),
      keep: (key, band) => this.bands.set(hash(stamp, key), band),
    });
  }

  private stateOf(job: OfCar): CarState {
    const { car, house, drivesOn, places, weather, timeZone } = job;
    const standsAt = places.find(({ id }) => id === car.vehicle.standsAtPlaceId) ?? null;
    const hour = Math.floor(job.nowMs / MS_PER_HOUR);
    const key = hash(car, house, drivesOn, standsAt?.climate, weather.stamp, timeZone, hour);
    return this.cars.once(key, () => carState(car, job, this.around(job)));
  }

  private request(job: OfCar, withMembers: boolean): GridRequest {
    const { car, limits, house, weather, places } = job;
    const control = spanOf(weather, weather.control);
    const standsAt = places.find(({ id }) => id === car.vehicle.standsAtPlaceId) ?? null;
    return {
      vehicle: car.vehicle,
      limits,
      house,
      soil: this.stateOf(job).soilByGroup,
      night: new NightAir(standsAt, control),
      sites: this.sitesOf(job),
      startsMs: everyHour(weather.fromMs, GRID_HOURS),
      withMembers,
    };
  }

  /** Places under the forecast, once for all cars; a place that was not touched is kept. */
  private sitesOf(job: EngineSetting): PlaceSite[] {
    const { places, weather } = job;
    return places.map((place) =>
      this.sites.once(hash(place, weather.stamp), () => {
        const control = spanOf(weather, weather.control);
        const members = weather.members.map((member) => spanOf(weather, member));
        const [site] = placeSites([place], { control, members, roadAhead: this.roadAhead(job) });
        if (!site) throw new Error('a place without a site');
        return site;
      }),
    );
  }

  private roadAhead(job: EngineSetting): RoadAhead {
    const from = job.weather.observed.length;
    const roads = this.around(job).roads.slice(from);
    return new RoadAhead(
      job.weather.fromMs,
      roads.map(({ main }) => main ?? null),
    );
  }

  /** What one vehicle needs, and every start of the coming days that goes for it, with what the members say. */
  private morningOf(
    job: OfCar & Pick<PlanJob, 'facts'>,
    onProgress: (share: number) => void,
  ): VehicleMorning {
    const { car, house, limits, prices, places, weather } = job;
    const hour = Math.floor(job.nowMs / MS_PER_HOUR);
    const startsMs = workingHours(job);
    const { timeZone, drivesOn } = job;
    const { season } = job;
    const setting = hash(
      house,
      limits,
      prices,
      places,
      weather.stamp,
      timeZone,
      drivesOn,
      season,
      hour,
      startsMs,
    );
    // What was made under another setting will hardly be asked for again, and it is large.
    if (setting !== this.morningsUnder) this.mornings.clear();
    this.morningsUnder = setting;
    const key = hash(car, fixedExtras(job), agreedExtras(job));
    return this.mornings.once(key, () => {
      const request = { ...this.request(job, false), startsMs };
      const bands = verdictGrid(request, { onProgress });
      const state = this.stateOf(job);
      const morning = vehicleMorning({
        ...job,
        vehicle: car.vehicle,
        bands,
        soil: state.soilByGroup,
        ledger: state.ledger,
        ahead: state.ahead,
        askMembers: weather.members.length > 0 ? memberAsker(request) : undefined,
        windChillC: weather.control.map((ahead) => ahead && outdoorWindChillC(ahead)),
        target: state.target,
        season: {
          due: dueSeasonJobs(job),
          at: (placeId) => request.sites.find(({ place }) => place.id === placeId)?.control,
        },
        history: {
          lastWashMs: state.lastWashMs,
          lastContactMs: state.lastContactMs,
          knownSinceMs: car.knownSinceMs,
        },
      });
      return { ...morning, windows: morning.windows.filter(({ isWash }) => isWash) };
    });
  }

  private planRequest(job: EngineSetting & Pick<PlanJob, 'cars' | 'facts'>, report: Report): PlanRequest {
    const total = job.cars.length;
    const cars = job.cars.map((car, i) => {
      const label = car.vehicle.id;
      const told = (share: number): void => report({ label, share: (i + share) / total });
      const morning = this.morningOf({ ...job, car }, told);
      told(1);
      const { everyDays } = morning.due.target;
      return { ...morning, cadenceDays: everyDays, availability: car.availability };
    });
    return {
      ...job.facts,
      cars,
      places: job.places,
      prices: job.prices,
      restMinutes: job.house.numbers.restMinutes,
      tolerableShare: job.limits.tolerableBlockedShare,
      timeZone: job.timeZone,
      nowMs: job.nowMs,
      horizonMs: horizonOf(job),
    };
  }

  /** One good plan for all vehicles, with the problem behind it, so that it can be proven elsewhere. */
  plan(job: PlanJob, report: Report): MadePlan {
    const request = this.planRequest(job, report);
    const made = planCase(request);
    const schedule = goodPlan(made.problem);
    return {
      problem: made.problem,
      schedule,
      horizonMs: request.horizonMs,
      mornings: request.cars.map(({ windows: _windows, ...morning }) => ({ windows: [], ...morning })),
      answer: planAnswer(request, made, schedule.chosen),
    };
  }

  /** The plan that some options of the same problem make. */
  tell(job: PlanTellJob, report: Report): PlanAnswer {
    const request = this.planRequest(job, report);
    return planAnswer(request, planCase(request), job.chosen);
  }

  /** What a little more of each limit would be worth to the plan. */
  reliefs(job: ReliefsJob, report: Report): WorthOfRelief[] {
    const request = this.planRequest(job, () => undefined);
    const valueOf = ({ problem }: PlanCase): number => goodPlan(problem).value;
    return worthOfReliefs(request, valueOf, (share) => report({ label: 'plan', share }));
  }

  /** Where else the wash of one vehicle could stand, all others left where they are. */
  moves(job: MovesJob, onProgress: (share: number) => void): PlanOption[] {
    const request = this.planRequest({ ...job, cars: [job.car] }, ({ share }) => onProgress(share));
    return moveOptions(request, job.car.vehicle.id);
  }

  salt(job: SaltJob): SaltAnswer {
    return saltAnswer(job, this.stateOf(job), this.around(job));
  }

  condition(job: OfCar): ConditionAnswer {
    return conditionAnswer(job, this.stateOf(job));
  }

  private cellRequest(job: OfCar & Pick<CellJob, 'start'>): CellRequest {
    const { sites: _sites, ...around } = this.request(job, false);
    const place = job.places.find(({ id }) => id === job.start.placeId);
    if (!place) throw new Error(`no place ${job.start.placeId}`);
    const control = spanOf(job.weather, job.weather.control);
    return { ...around, place, methodId: job.start.methodId, control, roadAhead: this.roadAhead(job) };
  }

  /** Everything about one start. */
  cell(job: CellJob): CellAnswer {
    const request = this.cellRequest(job);
    const { startMs, methodId } = job.start;
    const site = new PlaceWeather(new PlaceCalendar(request.place), request.control).siteHour(startMs);
    const method = shopMethod(methodId, job.house, job.car.vehicle);
    const washCase = { vehicle: job.car.vehicle, place: request.place, method };
    const films = site
      ? panelsOf(job.car.vehicle.bodyClass).map((panel) => ({
          panel: panel.id,
          input: filmInputFor(washCase, panel, site),
        }))
      : [];
    const overnightC = request.night.coldestAfterC(startMs + method.minutes * MS_PER_MINUTE);
    return { ...cellDetail(request, startMs), films, overnightC };
  }

  /** All that it takes to do one wash there then; null where nobody knows that hour's weather. */
  runPack(job: RunPackJob): PackDraft | null {
    const { place, control, night } = this.cellRequest(job);
    const { startMs, methodId } = job.start;
    const calendar = new PlaceCalendar(place);
    const weather = new PlaceWeather(calendar, control);
    const hours = Array.from({ length: PACK_HOURS }, (_hour, i): PackHour | null => {
      const atMs = startOfHourMs(startMs) + i * MS_PER_HOUR;
      const site = weather.siteHour(atMs);
      const outdoors = control.hours[Math.floor((atMs - control.fromMs) / MS_PER_HOUR)];
      if (!site || !outdoors) return null;
      const { panelSunWm2: _, ...light } = site;
      return { site: light, outdoors };
    });
    const [first] = hours;
    if (!first) return null;
    const { vehicle } = job.car;
    const method = shopMethod(methodId, job.house, vehicle);
    const endMs = startMs + method.minutes * MS_PER_MINUTE;
    const { lightAtStart, lightLeftMinutes } = calendar.light(startMs, endMs);
    const isDark = !lightAtStart || (lightLeftMinutes ?? 0) < 0;
    const overnightC = night.coldestAfterC(endMs);
    const soil = this.stateOf(job).soilByGroup;
    const of = { vehicle, place, method, limits: job.limits, isDark, overnightC };
    const site = { ...first.site, panelSunWm2: new Map<number, number>() };
    const needsLight = !place.hasLight && lightAtStart && lightLeftMinutes !== null;
    return {
      ...of,
      startMs,
      fromMs: startOfHourMs(startMs),
      hours,
      sheet: runSheet({ ...of, site, outdoors: first.outdoors, soil, kit: job.kit, house: job.house }),
      sunsetMs: needsLight ? endMs + lightLeftMinutes * MS_PER_MINUTE : null,
      soilBefore: soil,
    };
  }

  /** What would change the answer to one start. */
  flips(job: FlipsJob): Flip[] {
    return flipsOf(this.cellRequest(job), job.start.startMs);
  }

  /** All ways to wash in one hour, side by side. */
  balance(job: BalanceJob, onProgress: (share: number) => void): BalanceRow[] {
    const { bands } = this.grid(job, onProgress);
    const state = this.stateOf(job);
    return balance({
      ...job,
      vehicle: job.car.vehicle,
      bands,
      soil: state.soilByGroup,
      ledger: state.ledger,
      ahead: state.ahead,
    });
  }

  /** What cadences would have cost and saved this season so far; the first is what was logged. */
  cadence(job: CadenceJob): CadenceOutcome[] {
    const state = this.stateOf(job);
    return job.plans.map((parts) =>
      seasonCadence(parts, {
        life: state.past,
        methods: state.methods,
        places: job.places,
        prices: job.prices,
      }),
    );
  }

  /** Roads and clock over the season and the forecast, once for all cars. */
  private around({ weather, places, timeZone, treatments }: EngineSetting): Surroundings {
    const [at] = places;
    const key = hash(weather.stamp, timeZone, at?.latitudeDeg, at?.longitudeDeg);
    return this.arounds.once(key, () => {
      const hours = [...weather.observed, ...weather.control];
      const point = at ?? { latitudeDeg: 46.5, longitudeDeg: -84.3 };
      const road = (roadClass: RoadClass): (RoadHour | null)[] => {
        const told = treatments.filter((treatment) => treatment.roadClass === roadClass);
        const likely = likelyTreatments(hours, roadClass);
        // Bulletins speak for the past, the estimate for what is to come; without bulletins it speaks for both.
        const spread =
          told.length > 0 ? [...told, ...likely.filter(({ atMs }) => atMs >= weather.fromMs)] : likely;
        return roadHours(hours, { roadClass, at: point, treatments: spread, seen: weather.roadSights });
      };
      const roads = Object.fromEntries(
        ROAD_CLASSES.map((roadClass) => [roadClass, road(roadClass)]),
      ) as Record<RoadClass, (RoadHour | null)[]>;
      return surroundings({ fromMs: weather.seasonMs, hours }, roads, timeZone);
    });
  }
}

function goodPlan(problem: ScheduleProblem): Schedule {
  const began = performance.now();
  return goodSchedule(problem, () => (performance.now() - began) / GOOD_PLAN_MS);
}

/** Work of the season that goes with washes of this car that stand fixed. */
const fixedExtras = ({ car, facts }: OfCar & Pick<PlanJob, 'facts'>): readonly SeasonJobId[] =>
  facts.fixed.filter(({ vehicleId }) => vehicleId === car.vehicle.id).flatMap(({ extras }) => extras);

/** Work of the season that a customer agreed on. */
const agreedExtras = ({ car, facts }: OfCar & Pick<PlanJob, 'facts'>): readonly SeasonJobId[] =>
  facts.bookings.filter(({ vehicleId }) => vehicleId === car.vehicle.id).flatMap(({ extras }) => extras);

/** Work of the season that is due for a car, or agreed on, and stands in no fixed wash of it. */
function dueSeasonJobs(job: OfCar & Pick<PlanJob, 'facts'>): SeasonJobRow[] {
  const planned = new Set(fixedExtras(job));
  const due = new Set(
    seasonStandings(job)
      .filter(({ state }) => state === 'due')
      .map(({ jobId }) => jobId),
  );
  for (const jobId of agreedExtras(job)) due.add(jobId);
  return shopSeasonJobs(job.season).filter(({ id }) => due.has(id) && !planned.has(id));
}

/** Hours of the coming days in which somebody works; no other start can be planned. */
function workingHours({ facts, weather, timeZone }: EngineSetting & Pick<PlanJob, 'facts'>): number[] {
  return everyHour(weather.fromMs, planHours(weather)).filter((atMs) => {
    const { weekday, minuteOfDay } = localTime(atMs, timeZone);
    return facts.hands.some(({ hours }) => {
      const span = hours[weekday];
      return span && minuteOfDay + 60 > span.openMinute && minuteOfDay < span.closeMinute;
    });
  });
}

/** Ten days, or as far as the forecast reaches. */
const planHours = ({ control }: EngineSetting['weather']): number => Math.min(PLAN_HOURS, control.length);

const horizonOf = ({ weather }: EngineSetting): number => weather.fromMs + planHours(weather) * MS_PER_HOUR;

/** The recent past and one course of the future as one span. */
export function spanOf(
  { fromMs, observed }: Pick<EngineSetting['weather'], 'fromMs' | 'observed'>,
  ahead: readonly (WeatherHour | null)[],
): WeatherSpan {
  const past = observed.slice(-LOOK_BACK_HOURS);
  return { fromMs: fromMs - past.length * MS_PER_HOUR, hours: [...past, ...ahead] };
}

const outdoorWindChillC = (hour: WeatherHour): number | null =>
  windChill({ airTempC: hour.airTempC, windKmh: hour.windMetresPerSecond * 3.6 }).windChillC;
