import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  busyOf,
  extrasOf,
  type Hands,
  handsMeet,
  type PlaceRecord,
  type Predicted,
  shopSeasonJobs,
  spansMeet,
  stayOf,
  type VehicleRecord,
  type WashRecord,
  type WayId,
  endOf,
  isAhead,
  slotOf,
  type ChangedWashes,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField, conflict, notFound } from '../errors/api-error.js';
import { PlacesRepository } from '../records/places.repository.js';
import { SettingsService } from '../settings/settings.service.js';
import { MethodsReader } from '../shop/methods.reader.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { AnswersService } from '../answers/answers.service.js';
import type { MoveWashDto, PlanWashDto } from './wash.dto.js';
import { WashesRepository } from '../records/washes.repository.js';

/** Changes to the plan that are made together or not at all. */
export interface WashChanges {
  readonly add?: readonly PlanWashDto[];
  readonly move?: readonly (MoveWashDto & { readonly id: string })[];
  readonly remove?: readonly string[];
  readonly restore?: readonly string[];
}

/** What a planned wash is checked against. */
interface Shop {
  readonly places: readonly PlaceRecord[];
  readonly vehicles: readonly VehicleRecord[];
  readonly hands: readonly Hands[];
  /** Of a wash as it is worked through; in its usual way where the forecast does not reach. */
  readonly minutesOf: (wash: WashRecord, vehicle: VehicleRecord, workedMinutes: number | null) => number;
  /** Wanted between two washes of the same hands. */
  readonly restMinutes: number;
  readonly nowMs: number;
}

interface Wanted {
  readonly field: string;
  readonly record: WashRecord;
  /** Hands were not named: any that are free will do. */
  readonly anyHands?: boolean;
  /** The way in which somebody wants it done; absent: the one that goes with the least bother. */
  readonly wayId?: WayId;
  /** It comes back as it was, with the minutes that were reckoned then. */
  readonly isBack?: boolean;
  /** As the program works it through; absent where the forecast does not reach. */
  readonly worked?: Worked;
}

/** What the program says of a start: verdict and way, and the minutes that it takes so. */
interface Worked {
  readonly predicted: Predicted;
  readonly minutes: number;
}

@Injectable()
export class WashChangesService {
  constructor(
    private readonly washes: WashesRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly places: PlacesRepository,
    private readonly verdicts: AnswersService,
    private readonly settings: SettingsService,
    private readonly methods: MethodsReader,
    private readonly clock: ClockService,
  ) {}

  /**
   * Adds, moves, takes away and brings back planned washes, all or none.
   *
   * @throws 400, 404 or 409 naming the change and its field; then nothing was changed
   */
  async apply(changes: WashChanges): Promise<ChangedWashes> {
    const shop = await this.shop();
    const removed = await Promise.all((changes.remove ?? []).map((id) => this.planned(id)));
    const before = await Promise.all((changes.move ?? []).map(({ id }) => this.planned(id)));
    const lost = await Promise.all((changes.restore ?? []).map((id) => this.removed(id)));
    const single = (changes.add?.length ?? 0) + before.length === 1;
    const wanted: Wanted[] = [
      ...(changes.add ?? []).map((dto, i) => newWash(dto, single ? '' : `add.${i}.`, shop)),
      ...(changes.move ?? []).flatMap((dto, i) => movedWash(dto, before[i], single ? '' : `move.${i}.`)),
    ];
    const gone = new Set([...removed, ...before].map(({ id }) => id));
    const others = (await this.washes.list({ status: 'planned' })).filter(
      (wash) => isAhead(wash, shop.nowMs) && !gone.has(wash.id),
    );
    const placed: WashRecord[] = [];
    // What is over stands in nobody's way, and comes back as it was.
    const restored = lost.map((record, i) => {
      if (!isAhead(record, shop.nowMs)) return record;
      const wash = place({ field: `restore.${i}.`, record, isBack: true }, [...others, ...placed], shop);
      placed.push(wash);
      return wash;
    });
    const back = placed.length;
    const worked = await Promise.all(
      wanted.map(async (want) => ({ ...want, ...(await this.work(want, shop)) })),
    );
    for (const want of worked) placed.push(place(want, [...others, ...placed], shop));
    const records = placed.slice(back);
    const added = records.slice(0, changes.add?.length ?? 0);
    const after = records.slice(added.length);
    await this.washes.change({
      insert: added,
      update: after,
      setRemoved: [
        ...removed.map(({ id }) => ({ id, removedMs: shop.nowMs })),
        ...(changes.restore ?? []).map((id) => ({ id, removedMs: null })),
      ],
    });
    return {
      added,
      moved: after.flatMap((record, i) => {
        const from = before[i];
        return from ? [{ before: from, after: record }] : [];
      }),
      removed,
      restored,
    };
  }

  private async removed(id: string): Promise<WashRecord> {
    const record = await this.washes.findRemoved(id);
    if (record?.status !== 'planned') throw notFound('wash', id);
    return record;
  }

  private async planned(id: string): Promise<WashRecord> {
    const record = await this.washes.find(id);
    if (!record) throw notFound('wash', id);
    if (record.status !== 'planned')
      throw conflict('status', 'This wash is done; open it again before moving it.');
    return record;
  }

  private async shop(): Promise<Shop> {
    const [places, vehicles, { hands, house, season }, methodFor] = await Promise.all([
      this.places.list(),
      this.vehicles.list(),
      this.settings.read(),
      this.methods.read(),
    ]);
    const jobs = shopSeasonJobs(season);
    const minutesOf: Shop['minutesOf'] = ({ methodId, extras }, vehicle, workedMinutes) =>
      (workedMinutes ?? methodFor(methodId, vehicle).minutes) + extrasOf(extras, jobs).minutes;
    const { restMinutes } = house.numbers;
    return { places, vehicles, hands, minutesOf, restMinutes, nowMs: this.clock.now() };
  }

  /** Works a start through, where the shop has what it names; nothing beyond the forecast. */
  private async work({ record, wayId }: Wanted, shop: Shop): Promise<Pick<Wanted, 'worked'>> {
    const { vehicleId, placeId, methodId, startMs } = record;
    const isKnown =
      shop.vehicles.some(({ id }) => id === vehicleId) && shop.places.some(({ id }) => id === placeId);
    const detail =
      isKnown && (await this.verdicts.cellIfForecast({ vehicleId, placeId, methodId, startMs, wayId }));
    if (!detail) return {};
    const { judgement, issuedMs, placeC, wash } = detail;
    const { standing, limiting } = judgement;
    const predicted = {
      verdict: standing,
      limiting,
      forecastIssuedMs: issuedMs,
      wayId: detail.wayId,
      placeC,
      ...(wayId ? { isOwnWay: true } : {}),
    };
    return { worked: { predicted, minutes: wash.minutes } };
  }
}

function newWash(dto: PlanWashDto, field: string, shop: Shop): Wanted {
  const record: WashRecord = {
    id: randomUUID(),
    vehicleId: dto.vehicleId,
    placeId: dto.placeId,
    methodId: dto.methodId,
    status: 'planned',
    startMs: dto.startMs,
    minutes: 0,
    handsId: dto.handsId ?? shop.hands[0]?.id ?? 'owner',
    isLocked: dto.isLocked ?? true,
    startedMs: null,
    extras: dto.extras ?? [],
    costMinor: null,
    predicted: null,
    found: null,
  };
  return { field, record, anyHands: dto.handsId === undefined };
}

function movedWash(
  { id: _, wayId, ...change }: MoveWashDto & { readonly id: string },
  before: WashRecord | undefined,
  field: string,
): Wanted[] {
  if (!before) return [];
  const record = { ...before, ...change };
  const isSame = (['placeId', 'methodId', 'startMs'] as const).every((key) => record[key] === before[key]);
  // What somebody chose holds until the wash is moved.
  const chosen = isSame && before.predicted?.isOwnWay ? before.predicted.wayId : undefined;
  return [{ field, record, wayId: wayId ?? chosen }];
}

/** Checks a wash against the shop and against all that stands beside it. @throws naming the field */
function place(
  { field, record, anyHands, isBack, worked }: Wanted,
  standing: readonly WashRecord[],
  shop: Shop,
): WashRecord {
  const vehicle = shop.vehicles.find(({ id }) => id === record.vehicleId);
  if (!vehicle) throw notFound('vehicle', record.vehicleId);
  const there = shop.places.find(({ id }) => id === record.placeId);
  if (!there) throw notFound('place', record.placeId);
  if (!there.methods.some(({ methodId }) => methodId === record.methodId))
    throw badField(`${field}methodId`, `methodId: ${record.methodId} cannot be done at ${there.name}.`);
  const wash = isBack
    ? record
    : {
        ...record,
        minutes: shop.minutesOf(record, vehicle, worked?.minutes ?? null),
        predicted: worked?.predicted ?? null,
      };
  if (endOf(wash) < shop.nowMs)
    throw badField(
      `${field}startMs`,
      'startMs is in the past; log a wash that was done instead of planning it.',
    );
  const others = standing.filter(({ id }) => id !== wash.id);
  // From coming to leaving, the queue waited through between.
  const stay = (other: WashRecord) => stayOf(slotOf(other, shop.nowMs), shop.places);
  const beside = others.filter((other) => spansMeet(stay(wash), stay(other)));
  if (beside.some(({ vehicleId }) => vehicleId === wash.vehicleId))
    throw conflict(`${field}startMs`, 'This vehicle has another wash planned at that time.');
  const full = beside.filter(({ placeId }) => placeId === wash.placeId);
  if (full.length >= there.carsAtOnce)
    throw conflict(`${field}startMs`, `${there.name} is taken at that time by another planned wash.`);
  const busyWith = (other: WashRecord) => busyOf(slotOf(other, shop.nowMs), shop.places);
  const busy = (handsId: string, restMinutes = shop.restMinutes): boolean =>
    others.some(
      (other) => other.handsId === handsId && handsMeet(busyWith(wash), busyWith(other), restMinutes),
    );
  const free = anyHands ? shop.hands.find(({ id }) => !busy(id)) : undefined;
  const handsId = free?.id ?? wash.handsId;
  const who = shop.hands.find(({ id }) => id === handsId);
  if (!who) throw badField(`${field}handsId`, `handsId: nobody here is called ${handsId}.`);
  if (busy(handsId)) {
    const why = busy(handsId, 0)
      ? 'has another wash then, queue and ways there and back included'
      : `would have less than the house’s ${shop.restMinutes} min of rest before or after another wash`;
    throw conflict(`${field}startMs`, `${who.name} ${why}. Choose another time or other hands.`);
  }
  return { ...wash, handsId };
}
