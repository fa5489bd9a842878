import { CarBook } from './car-book.js';
import { seasonStandings } from './season.js';
import { gridRequest } from './week.js';
import { windChill } from '../air/index.js';

import { localTime, minutesOpen } from '../place/index.js';
import {
  type AgreedWash,
  type AskMembers,
  PLAN_SLOT_MINUTES,
  type VehicleMorning,
  vehicleMorning,
} from '../plan/index.js';
import { everyHour, MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { type SeasonJobRow, shopSeasonJobs } from '../season/index.js';
import {
  type CarState,
  type Keeper,
  type OfCar,
  type PlanNotes,
  type ShopFacts,
  carStateOf,
} from '../shop/index.js';
import type { SeasonJobId } from '../vehicle/index.js';
import { BandJudges, memberAsker, upperAlone, verdictGrid } from '../verdict/index.js';
import { type WeatherHour, startOfHourMs } from '../weather/index.js';

/** What a plan looks ahead. */
export const PLAN_HOURS = 240;
const SLOT_MS = PLAN_SLOT_MINUTES * MS_PER_MINUTE;

type OfNotes = ShopFacts & { readonly facts: PlanNotes };
type OfCarNotes = OfCar & { readonly facts: PlanNotes };

/** Ten days, or as far as the forecast reaches. */
export const planHours = ({ control }: ShopFacts['weather']): number => Math.min(PLAN_HOURS, control.length);

/** Hours of the coming days in which somebody works; no other start can be planned. */
function workingHours({ facts, weather, timeZone }: OfNotes): number[] {
  return everyHour(weather.fromMs, planHours(weather)).filter((atMs) => {
    const starts = Array.from({ length: MS_PER_HOUR / SLOT_MS }, (_, i) =>
      localTime(atMs + i * SLOT_MS, timeZone),
    );
    return facts.workers.some(({ hours }) => starts.some((at) => minutesOpen(hours, at) > 0));
  });
}

/** Work of the season that goes with washes of this car that stand fixed. */
const fixedExtras = ({ car, facts }: OfCarNotes): readonly SeasonJobId[] =>
  facts.fixed.filter(({ vehicleId }) => vehicleId === car.vehicle.id).flatMap(({ extras }) => extras);

const bookingsOf = ({ car, facts }: OfCarNotes): PlanNotes['bookings'] =>
  facts.bookings.filter(({ vehicleId }) => vehicleId === car.vehicle.id);

/** Work of the season that a customer agreed on. */
const agreedExtras = (of: OfCarNotes): readonly SeasonJobId[] =>
  bookingsOf(of).flatMap(({ extras }) => extras);

/** Washes that a customer agreed on by their method. */
const agreedWashes = (of: OfCarNotes): readonly AgreedWash[] =>
  bookingsOf(of).flatMap(({ methodId, fromMs, readyByMs }) =>
    methodId === null ? [] : { methodId, fromMs, readyByMs },
  );

/** All that a morning is made from. */
type MorningInputs = OfCar & {
  readonly agreedWashes: readonly AgreedWash[];
  readonly startsMs: readonly number[];
  readonly fixedExtras: readonly SeasonJobId[];
  readonly agreedExtras: readonly SeasonJobId[];
};

/** Work of the season that is due for a car, and what was agreed on; what stands in a fixed wash of it is seen to. */
function seasonWork(
  inputs: MorningInputs,
  state: CarState,
  keep: Keeper,
): Record<'due' | 'agreed', SeasonJobRow[]> {
  const due = new Set(
    seasonStandings(inputs, state, keep)
      .filter(({ state }) => state === 'due')
      .map(({ jobId }) => jobId),
  );
  const jobs = shopSeasonJobs(inputs.season).filter(({ id }) => !inputs.fixedExtras.includes(id));
  return {
    due: jobs.filter(({ id }) => due.has(id)),
    agreed: jobs.filter(({ id }) => inputs.agreedExtras.includes(id)),
  };
}

/** The shop alone, by the hour: what all cars of a plan share. */
function sharedOf(question: OfNotes): ShopFacts & { readonly startsMs: readonly number[] } {
  const { places, limits, prices, house, shelf, drivesOn, season, timeZone, weather, treatments, nowMs } =
    question;
  const shop = { places, limits, prices, house, shelf, drivesOn, season, timeZone, weather, treatments };
  return { ...shop, nowMs: startOfHourMs(nowMs), startsMs: workingHours(question) };
}

/**
 * What does one car need, and which starts of the coming days go for it? By the hour; starts of that hour that are over are for the plan
 * to leave out.
 */
export function morningOf(
  question: OfCarNotes,
  keep: Keeper,
  onProgress: (share: number) => void,
): VehicleMorning {
  const shared = sharedOf(question);
  // What was made under another setting will hardly be asked for again, and it is large.
  keep.only('morning', shared);
  const own = {
    car: question.car,
    fixedExtras: fixedExtras(question),
    agreedExtras: agreedExtras(question),
    agreedWashes: agreedWashes(question),
  };
  return keep.of('morning', { ...shared, ...own }, (inputs) => makeMorning(inputs, keep, onProgress));
}

const outdoorWindChillC = (hour: WeatherHour): number | null =>
  windChill({ airTempC: hour.airTempC, windKmh: hour.windMetresPerSecond * 3.6 }).windChillC;

/** Asks of a start with the work of the season that its window names. */
const withWork =
  (ask: ReturnType<typeof memberAsker>, rows: readonly SeasonJobRow[]): AskMembers =>
  ({ extras, ...start }) =>
    ask({ ...start, work: rows.filter(({ id }) => extras?.jobIds.includes(id)) });

function makeMorning(
  inputs: MorningInputs,
  keep: Keeper,
  onProgress: (share: number) => void,
): VehicleMorning {
  const { car, weather, startsMs } = inputs;
  const request = gridRequest(inputs, keep, { startsMs, withMembers: false });
  const book = keep.keeps ? new CarBook(inputs, keep) : null;
  const judges = new BandJudges(request, book);
  const bands = verdictGrid(request, onProgress, judges);
  const state = carStateOf(inputs, keep);
  const { lastWashMs, lastContactMs, isLastWashKnown } = state;
  const rows = shopSeasonJobs(inputs.season);
  const morning = vehicleMorning({
    ...inputs,
    vehicle: state.vehicle,
    bands,
    methodsWith: judges.methodsWith,
    soil: state.soilByGroup,
    ledger: state.ledger,
    ahead: state.ahead,
    askMembers: withWork(memberAsker(request, judges), rows),
    windChillC: weather.control.map((ahead) => ahead && outdoorWindChillC(ahead)),
    target: state.target,
    season: {
      ...seasonWork(inputs, state, keep),
      at: (placeId) => request.sites.find(({ place }) => place.id === placeId)?.control,
    },
    halfAt: (band) => upperAlone(band, { judges, sites: request.sites, startsMs, nowMs: inputs.nowMs }),
    history: { lastWashMs, lastContactMs, isLastWashKnown, knownSinceMs: car.knownSinceMs },
  });
  book?.keepPages();
  return { ...morning, windows: morning.windows.filter(({ isWash }) => isWash) };
}
