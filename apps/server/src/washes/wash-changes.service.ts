import { Injectable } from '@nestjs/common';
import { shopSeasonJobs, type WashRecord, isAhead, type ChangedWashes } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { conflict, notFound } from '../errors/api-error.js';
import { PlacesRepository } from '../records/places.repository.js';
import { SettingsService } from '../settings/settings.service.js';
import { MethodsReader } from '../shop/methods.reader.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { AnswersService } from '../answers/answers.service.js';
import type { MoveWashDto, PlanWashDto } from './wash.dto.js';
import { movedWash, newWash, place, type Shop, type Wanted } from './place-wash.js';
import { WashesRepository } from '../records/washes.repository.js';

/** Changes to the plan that are made together or not at all. */
export interface WashChanges {
  readonly add?: readonly PlanWashDto[];
  readonly move?: readonly (MoveWashDto & { readonly id: string })[];
  readonly remove?: readonly string[];
  readonly restore?: readonly string[];
}

/** What a change rests on, as it was read. */
interface Meant {
  readonly removed: readonly WashRecord[];
  readonly before: readonly WashRecord[];
  readonly lost: readonly WashRecord[];
  readonly worked: readonly Wanted[];
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
    const worked = await Promise.all(
      wanted.map(async (want) => ({ ...want, ...(await this.work(want, shop)) })),
    );
    const meant = { removed, before, lost, worked };
    // Checked against what stands there when it is written, and not when it was asked for.
    return this.washes.inTurn(() => this.write(changes, meant, shop));
  }

  private async write(changes: WashChanges, meant: Meant, shop: Shop): Promise<ChangedWashes> {
    const { removed, before, lost, worked } = meant;
    await this.requireSame([...removed, ...before]);
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

  /** @throws 409 where one of these was changed since it was read */
  private async requireSame(read: readonly WashRecord[]): Promise<void> {
    for (const wash of read) {
      const now = await this.washes.find(wash.id);
      if (JSON.stringify(now) !== JSON.stringify(wash))
        throw conflict('id', 'This wash was changed meanwhile; look at it again.');
    }
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
    const [places, vehicles, { workers, house, season }, methodFor] = await Promise.all([
      this.places.list(),
      this.vehicles.list(),
      this.settings.read(),
      this.methods.read(),
    ]);
    const jobs = shopSeasonJobs(season);
    const minutesOf: Shop['minutesOf'] = ({ methodId, placeId, extras }, vehicle, workedMinutes) => {
      const place = places.find(({ id }) => id === placeId);
      if (!place) throw notFound('place', placeId);
      const work = jobs.filter(({ id }) => extras.includes(id));
      return workedMinutes ?? methodFor(methodId, { vehicle, place, work }).minutes;
    };
    const { restMinutes } = house.numbers;
    return { places, vehicles, workers, minutesOf, restMinutes, nowMs: this.clock.now() };
  }

  /** Works a start through, where the shop has what it names; nothing beyond the forecast. */
  private async work({ record, wayId, choices }: Wanted, shop: Shop): Promise<Pick<Wanted, 'worked'>> {
    const { vehicleId, placeId, methodId, startMs, extras } = record;
    const isKnown =
      shop.vehicles.some(({ id }) => id === vehicleId) && shop.places.some(({ id }) => id === placeId);
    const detail =
      isKnown &&
      (await this.verdicts.cellIfForecast({
        vehicleId,
        placeId,
        methodId,
        startMs,
        wayId,
        ...choices,
        extras,
      }));
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
      ...choices,
    };
    return { worked: { predicted, minutes: wash.minutes } };
  }
}
