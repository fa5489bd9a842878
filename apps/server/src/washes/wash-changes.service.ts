import { Injectable } from '@nestjs/common';
import { shopSeasonJobs, type WashRecord, isAhead, type ChangedWashes } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { conflict, notFound } from '../errors/api-error.js';
import { PlacesRepository } from '../records/places.repository.js';
import { SettingsService } from '../settings/settings.service.js';
import { MethodsReader } from '../shop/methods.reader.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { visitOfBoth } from '../answers/accepted.js';
import { AnswersService } from '../answers/answers.service.js';
import type { MoveWashDto, PlanWashDto } from './wash.dto.js';
import { movedWash, newWash, type Shop, type Wanted } from './place-wash.js';
import { WashesRepository } from '../records/washes.repository.js';
import { inVisit, paired } from './visits.js';
import { type Meant, type Changed, placeAll } from './place-all.js';

/** Changes to the plan that are made together or not at all. */
export interface WashChanges {
  readonly add?: readonly PlanWashDto[];
  readonly move?: readonly (MoveWashDto & { readonly id: string })[];
  readonly remove?: readonly string[];
  readonly restore?: readonly string[];
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
    const isOver = removed.flatMap(({ visit }) => visit?.withId ?? []);
    const pairs = await paired(wanted, (id) => this.stillPlanned(id));
    const alone = await Promise.all(isOver.map((id) => this.stillPlanned(id)));
    const worked = await Promise.all(
      pairs.wanted.map(async (want) => ({ ...want, ...(await this.work(want, shop)) })),
    );
    const meant = {
      removed,
      before,
      lost,
      left: [...pairs.left, ...alone].filter((wash) => wash !== null),
      ...(await this.withVisits(worked, pairs.partners)),
    };
    // Checked against what stands there when it is written, and not when it was asked for.
    return this.washes.inTurn(() => this.write(changes, meant, shop));
  }

  private async write(changes: WashChanges, meant: Meant, shop: Shop): Promise<ChangedWashes> {
    const { removed, before, partners } = meant;
    const left = meant.left.filter(({ id }) => ![...removed, ...before].some((one) => one.id === id));
    const touched = [...removed, ...before, ...partners.map((pair) => pair.before), ...left];
    await this.requireSame(touched);
    const gone = new Set(touched.map(({ id }) => id));
    const others = (await this.washes.list({ status: 'planned' })).filter(
      (wash) => isAhead(wash, shop.nowMs) && !gone.has(wash.id),
    );
    const { restored, rejoins, released, records } = placeAll({ ...meant, left }, others, shop);
    const added = records.slice(0, changes.add?.length ?? 0);
    const after = records.slice(added.length);
    const back = restored.filter(({ visit }, i) => visit !== meant.lost[i]?.visit);
    await this.washes.change({
      insert: added,
      update: [...after, ...[...partners, ...released].map((pair) => pair.after), ...rejoins, ...back],
      setRemoved: [
        ...removed.map(({ id }) => ({ id, removedMs: shop.nowMs })),
        ...(changes.restore ?? []).map((id) => ({ id, removedMs: null })),
      ],
    });
    // One whose visit ends since the other is removed comes back to it with that other one.
    const byMove = released.filter(
      ({ before: { visit } }) => !removed.some(({ id }) => id === visit?.withId),
    );
    const moves = after.flatMap((record, i) => (before[i] ? [{ before: before[i], after: record }] : []));
    return { added, moved: [...partners, ...byMove, ...moves], removed, restored };
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

  private async stillPlanned(id: string): Promise<WashRecord | null> {
    const record = await this.washes.find(id);
    return record?.status === 'planned' ? record : null;
  }

  /** Each pair worked through as one visit. @throws 409 where it is none */
  private async withVisits(
    worked: readonly Wanted[],
    partners: readonly WashRecord[],
  ): Promise<Pick<Meant, 'worked' | 'partners'>> {
    const done = [...worked];
    const joined: Changed[] = [];
    for (const [i, want] of worked.entries()) {
      if (want.partnerId === undefined) continue;
      const at = done.findIndex(({ record }) => record.id === want.partnerId);
      const first = done[at]?.record ?? partners.find(({ id }) => id === want.partnerId);
      if (!first) continue;
      const second = { ...want.record, predicted: want.worked?.predicted ?? want.record.predicted };
      const [a, b] = inVisit([first, second], await visitOfBoth(this.verdicts, [first, second]), want.field);
      done[i] = { ...want, record: { ...want.record, visit: b.visit } };
      const base = done[at];
      if (base) done[at] = { ...base, record: { ...base.record, isLocked: true, visit: a.visit } };
      else joined.push({ before: first, after: a });
    }
    return { worked: done, partners: joined };
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
