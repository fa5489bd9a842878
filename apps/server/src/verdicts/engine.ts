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
  type Judgement,
  likelyTreatments,
  localTime,
  memberAsker,
  minutesOpen,
  moveOptions,
  MS_PER_HOUR,
  NightAir,
  type Panel,
  panelsOf,
  type Place,
  PlaceCalendar,
  type PlaceSite,
  placeSites,
  PLAN_SLOT_MINUTES,
  planAnswer,
  type PlanAnswer,
  planCase,
  type PlanCase,
  type PlanOption,
  type PlanRequest,
  PlaceWeather,
  RoadAhead,
  ROAD_CLASSES,
  roadTreatments,
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
import { Kept, keyOf } from './kept.js';
import { seasonStandings } from './season-answer.js';
import { saltAnswer, type SaltAnswer } from './salt-answer.js';

/** A week of starts; the forecast reaches beyond it so that long washes and nights are covered. */
export const GRID_HOURS = 168;
/** History that an unheated garage and a frozen tap look back on. */
const LOOK_BACK_HOURS = 36;
const MS_PER_MINUTE = 60_000;
const SLOT_MS = PLAN_SLOT_MINUTES * MS_PER_MINUTE;
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

/** A run's pack before it has a name. */
export type PackDraft = Omit<RunPack, 'id' | 'washId' | 'madeMs' | 'source' | 'issuedMs'>;

/** What roads and clock are worked out from. */
type RoadInputs = Pick<EngineSetting, 'weather' | 'treatments' | 'timeZone'> & {
  /** Where the sun stands on the roads; null: there is no place yet. */
  readonly point: Pick<Place, 'latitudeDeg' | 'longitudeDeg'> | null;
};

function roadInputs({ weather, treatments, timeZone, places }: EngineSetting): RoadInputs {
  const [at] = places;
  const point = at ? { latitudeDeg: at.latitudeDeg, longitudeDeg: at.longitudeDeg } : null;
  return { weather, treatments, timeZone, point };
}

/** Where a car stands at night; null: in the street. */
const standsAtOf = ({ car, places }: OfCar): Place | null =>
  places.find(({ id }) => id === car.vehicle.standsAtPlaceId) ?? null;

/** The computation behind the verdicts: lives in the worker and keeps what it has made. */
export class Engine {
  private readonly bands = new Kept<Band>(KEPT_BANDS);
  private readonly cars = new Kept<CarState>(KEPT_CARS);
  private readonly sites = new Kept<PlaceSite>(10);
  private readonly arounds = new Kept<Surroundings>(1);
  private readonly mornings = new Kept<VehicleMorning>(KEPT_MORNINGS);
  /** What all mornings that are kept have in common. */
  private morningsUnder = '';

  /** A week for one car, every start asked of every member. */
  grid(job: Pick<GridJob, keyof OfCar>, onProgress?: (share: number) => void): GridAnswer {
    const request = this.request(job, true);
    const state = this.stateOf(job);
    const bands = this.bandsOf(job, request, onProgress);
    const around = this.around(roadInputs(job));
    const from = job.weather.observed.length;
    const hours = Array.from({ length: GRID_HOURS }, (_, i): RibbonHour => ({
      road: around.roads[from + i]?.main?.state ?? null,
      pace: Math.max(...(state.ahead[i]?.pace ?? [0])),
    }));
    return { bands, hours };
  }

  private bandsOf(job: OfCar, request: GridRequest, onProgress?: (share: number) => void): Band[] {
    const under = keyOf([roadInputs(job), standsAtOf(job)]);
    return verdictGrid(request, {
      onProgress,
      known: (key) => this.bands.get(keyOf([under, key])),
      keep: (key, band) => this.bands.set(keyOf([under, key]), band),
    });
  }

  /** By the hour: what happened since it began counts, and time moves on with the next. */
  private stateOf(job: OfCar): CarState {
    const { car, house, drivesOn } = job;
    const inputs = {
      car,
      house,
      drivesOn,
      standsAt: standsAtOf(job),
      nowMs: startOfHourMs(job.nowMs),
      ...roadInputs(job),
    };
    return this.cars.of(inputs, (known) => carState(known, this.around(known)));
  }

  private request(job: OfCar, withMembers: boolean): GridRequest {
    const { limits, house, weather } = job;
    const control = spanOf(weather, weather.control);
    const { vehicle, soilByGroup } = this.stateOf(job);
    return {
      vehicle,
      limits,
      house,
      soil: soilByGroup,
      night: new NightAir(standsAtOf(job), control),
      sites: this.sitesOf(job),
      startsMs: everyHour(weather.fromMs, GRID_HOURS),
      withMembers,
    };
  }

  /** Places under the forecast, once for all cars; a place that was not touched is kept. */
  private sitesOf(job: EngineSetting): PlaceSite[] {
    return job.places.map((place) =>
      this.sites.of({ place, ...roadInputs(job) }, ({ place: one, ...roads }) => {
        const { weather } = roads;
        const control = spanOf(weather, weather.control);
        const members = weather.members.map((member) => spanOf(weather, member));
        const [site] = placeSites([one], { control, members, roadAhead: this.roadAhead(roads) });
        if (!site) throw new Error('a place without a site');
        return site;
      }),
    );
  }

  private roadAhead(inputs: RoadInputs): RoadAhead {
    const from = inputs.weather.observed.length;
    const roads = this.around(inputs).roads.slice(from);
    return new RoadAhead(
      inputs.weather.fromMs,
      roads.map(({ main }) => main ?? null),
    );
  }

  /**
   * What one vehicle needs, and every start of the coming days that goes for it, with what the members say. By the hour; starts of that
   * hour that are over are for the plan to leave out.
   */
  private morningOf(
    job: OfCar & Pick<PlanJob, 'facts'>,
    onProgress: (share: number) => void,
  ): VehicleMorning {
    const {
      car,
      facts,
      kind: _kind,
      cars: _cars,
      chosen: _chosen,
      ...setting
    } = job as typeof job & Partial<PlanTellJob>;
    const shared = { ...setting, nowMs: startOfHourMs(job.nowMs), startsMs: workingHours(job) };
    // What was made under another setting will hardly be asked for again, and it is large.
    const under = keyOf(shared);
    if (under !== this.morningsUnder) this.mornings.clear();
    this.morningsUnder = under;
    const own = { car, fixedExtras: fixedExtras({ car, facts }), agreedExtras: agreedExtras({ car, facts }) };
    return this.mornings.of({ ...shared, ...own }, (inputs) => this.makeMorning(inputs, onProgress));
  }

  private makeMorning(inputs: MorningInputs, onProgress: (share: number) => void): VehicleMorning {
    const { car, weather, startsMs } = inputs;
    const request = { ...this.request(inputs, false), startsMs };
    const bands = verdictGrid(request, { onProgress });
    const state = this.stateOf(inputs);
    const morning = vehicleMorning({
      ...inputs,
      vehicle: state.vehicle,
      bands,
      soil: state.soilByGroup,
      ledger: state.ledger,
      ahead: state.ahead,
      askMembers: weather.members.length > 0 ? memberAsker(request) : undefined,
      windChillC: weather.control.map((ahead) => ahead && outdoorWindChillC(ahead)),
      target: state.target,
      season: {
        ...seasonWork(inputs, state),
        at: (placeId) => request.sites.find(({ place }) => place.id === placeId)?.control,
      },
      history: {
        lastWashMs: state.lastWashMs,
        lastContactMs: state.lastContactMs,
        knownSinceMs: car.knownSinceMs,
      },
    });
    return { ...morning, windows: morning.windows.filter(({ isWash }) => isWash) };
  }

  private planRequest(job: EngineSetting & Pick<PlanJob, 'cars' | 'facts'>, report: Report): PlanRequest {
    const total = job.cars.length;
    const cars = job.cars.map((car, i) => {
      const label = car.vehicle.id;
      const told = (share: number): void => report({ label, share: (i + share) / total });
      const morning = this.morningOf({ ...job, car }, told);
      told(1);
      return { ...morning, cadenceDays: morning.due.everyDays, availability: car.availability };
    });
    return {
      ...job.facts,
      cars,
      places: job.places,
      prices: job.prices,
      seasonJobs: shopSeasonJobs(job.season),
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
    return saltAnswer(job, this.stateOf(job), this.around(roadInputs(job)));
  }

  condition(job: OfCar): ConditionAnswer {
    return conditionAnswer(job, this.stateOf(job));
  }

  private cellRequest(job: OfCar & Pick<CellJob, 'start'>): CellRequest {
    const { sites: _sites, ...around } = this.request(job, false);
    const place = job.places.find(({ id }) => id === job.start.placeId);
    if (!place) throw new Error(`no place ${job.start.placeId}`);
    const control = spanOf(job.weather, job.weather.control);
    return {
      ...around,
      place,
      methodId: job.start.methodId,
      control,
      roadAhead: this.roadAhead(roadInputs(job)),
    };
  }

  /** Everything about one start. */
  cell(job: CellJob): CellAnswer {
    const request = this.cellRequest(job);
    const { startMs, methodId } = job.start;
    const site = new PlaceWeather(new PlaceCalendar(request.place), request.control).siteHour(startMs);
    const { vehicle } = request;
    const method = shopMethod(methodId, job.house, vehicle);
    const washCase = { vehicle, place: request.place, method };
    const films = site
      ? panelsOf(vehicle.bodyClass).map((panel) => ({
          panel: panel.id,
          input: filmInputFor(washCase, panel, site),
        }))
      : [];
    const overnightC = request.night.coldestAfterC(startMs + method.minutes * MS_PER_MINUTE);
    const detail = cellDetail(request, startMs);
    return { ...detail, judgement: this.withForecast(job, detail.judgement), films, overnightC };
  }

  /** The judgement as the forecast's members have it too, where there are any: what is accepted is what the ribbon shows. */
  private withForecast(job: CellJob, judgement: Judgement): Judgement {
    if (job.weather.members.length === 0) return judgement;
    const asked = memberAsker(this.request(job, false))(job.start);
    if (!asked) return judgement;
    const { standing, limiting, findings } = asked;
    return { standing, limiting, findings };
  }

  /** All that it takes to do one wash there then; null where nobody knows that hour's weather. */
  runPack(job: RunPackJob): PackDraft | null {
    const { vehicle, place, control, night } = this.cellRequest(job);
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
      vehicle: state.vehicle,
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
  private around({ weather, treatments, timeZone, point }: RoadInputs): Surroundings {
    return this.arounds.of({ weather, treatments, timeZone, point }, shopSurroundings);
  }
}

function shopSurroundings({ weather, treatments, timeZone, point }: RoadInputs): Surroundings {
  const hours = [...weather.observed, ...weather.control];
  const road = (roadClass: RoadClass): (RoadHour | null)[] => {
    // Without a place nobody knows how the sun stands on the roads, nor which roads they are.
    if (!point) return hours.map(() => null);
    const spread = roadTreatments(treatments, likelyTreatments(hours, roadClass), roadClass);
    return roadHours(hours, { roadClass, at: point, treatments: spread, seen: weather.roadSights });
  };
  const roads = Object.fromEntries(ROAD_CLASSES.map((roadClass) => [roadClass, road(roadClass)])) as Record<
    RoadClass,
    (RoadHour | null)[]
  >;
  return surroundings({ fromMs: weather.seasonMs, hours }, roads, timeZone);
}

function goodPlan(problem: ScheduleProblem): Schedule {
  const began = performance.now();
  return goodSchedule(problem, () => (performance.now() - began) / GOOD_PLAN_MS);
}

type CarFacts = Pick<OfCar, 'car'> & Pick<PlanJob, 'facts'>;

/** Work of the season that goes with washes of this car that stand fixed. */
const fixedExtras = ({ car, facts }: CarFacts): readonly SeasonJobId[] =>
  facts.fixed.filter(({ vehicleId }) => vehicleId === car.vehicle.id).flatMap(({ extras }) => extras);

/** Work of the season that a customer agreed on. */
const agreedExtras = ({ car, facts }: CarFacts): readonly SeasonJobId[] =>
  facts.bookings.filter(({ vehicleId }) => vehicleId === car.vehicle.id).flatMap(({ extras }) => extras);

/** All that a morning is made from. */
type MorningInputs = OfCar & {
  readonly startsMs: readonly number[];
  readonly fixedExtras: readonly SeasonJobId[];
  readonly agreedExtras: readonly SeasonJobId[];
};

/** Work of the season that is due for a car, and what was agreed on; what stands in a fixed wash of it is seen to. */
function seasonWork(inputs: MorningInputs, { washes }: CarState): Record<'due' | 'agreed', SeasonJobRow[]> {
  const due = new Set(
    seasonStandings({ ...inputs, washes })
      .filter(({ state }) => state === 'due')
      .map(({ jobId }) => jobId),
  );
  const jobs = shopSeasonJobs(inputs.season).filter(({ id }) => !inputs.fixedExtras.includes(id));
  return {
    due: jobs.filter(({ id }) => due.has(id)),
    agreed: jobs.filter(({ id }) => inputs.agreedExtras.includes(id)),
  };
}

/** Hours of the coming days in which somebody works; no other start can be planned. */
function workingHours({ facts, weather, timeZone }: EngineSetting & Pick<PlanJob, 'facts'>): number[] {
  return everyHour(weather.fromMs, planHours(weather)).filter((atMs) => {
    const starts = Array.from({ length: MS_PER_HOUR / SLOT_MS }, (_, i) =>
      localTime(atMs + i * SLOT_MS, timeZone),
    );
    return facts.hands.some(({ hours }) => starts.some((at) => minutesOpen(hours, at) > 0));
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
