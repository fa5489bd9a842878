import { Injectable } from '@nestjs/common';
import {
  coatsLaid,
  givenBack,
  type Kit,
  type LaidCoat,
  mixesFor,
  MS_PER_DAY,
  NOTHING_TAKEN,
  type Settings,
  takenFrom,
  type WashFound,
  type WashRecord,
  washUse,
  type WashUse,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import type { Write } from '../db/database.js';
import { KitRepository } from '../records/kit.repository.js';
import { PlacesRepository } from '../records/places.repository.js';
import { SettingsService } from '../settings/settings.service.js';
import { stockAfter, type StockChange } from '../settings/stock-after.js';
import { MethodsReader } from '../shop/methods.reader.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';

/** Warm enough for any label: what is used does not go by the air. */
const MILD_C = 20;

/** A wash that is put into the log later than this completes the log, and leaves the kit as it has been counted since (judgement). */
const KIT_KNOWS_MS = 14 * MS_PER_DAY;

type Taken = NonNullable<WashFound['taken']>;

/** The change of what is counted by washes, where this one counts. */
const taking = (methodId: string, { isCounted }: Taken, sign: 1 | -1): StockChange[] =>
  isCounted ? [{ methodId, sign }] : [];

/** What done washes take out of the kit, and give back when they were not done after all. */
@Injectable()
export class KitUseService {
  constructor(
    private readonly kit: KitRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly places: PlacesRepository,
    private readonly settings: SettingsService,
    private readonly methods: MethodsReader,
    private readonly clock: ClockService,
  ) {}

  private isOld({ startMs }: Pick<WashRecord, 'startMs'>): boolean {
    return this.clock.now() - startMs > KIT_KNOWS_MS;
  }

  /** What a wash uses and puts on by the method as the shop does it, where nobody counted. */
  async usual({
    vehicleId,
    placeId,
    methodId,
    predicted,
  }: Pick<WashRecord, 'vehicleId' | 'placeId' | 'methodId'> &
    Partial<Pick<WashRecord, 'predicted'>>): Promise<{
    readonly used: WashUse;
    readonly laid: readonly LaidCoat[];
  }> {
    const [vehicle, place, methodFor, kit] = await Promise.all([
      this.vehicles.read(vehicleId),
      this.places.read(placeId),
      this.methods.read(),
      this.kit.all(),
    ]);
    // In the way that was accepted: its litres and its product are those of the plan.
    const method = methodFor(methodId, {
      vehicle,
      place,
      placeC: predicted?.placeC,
      choices: predicted ?? undefined,
      wayId: predicted?.wayId,
    });
    const mixes = mixesFor(method.steps, { vehicle, kit, placeC: MILD_C });
    return { used: washUse(method, mixes, place), laid: coatsLaid(method.steps) };
  }

  /**
   * It was done: what there is of product, cloths and filter is taken, and one wash of what is counted by method.
   *
   * @returns what is taken, to be kept with the wash, and the writes that take it
   */
  async take(
    wash: Pick<WashRecord, 'methodId' | 'startMs'>,
    used: WashUse | undefined,
  ): Promise<{ taken: Taken; writes: Write[] }> {
    if (this.isOld(wash)) return { taken: { ...NOTHING_TAKEN, isCounted: false }, writes: [] };
    const { methodId } = wash;
    const [kit, { stock }] = await Promise.all([this.kit.all(), this.settings.read()]);
    const taken = this.takenBy({ methodId, used }, kit, stock);
    return {
      taken,
      writes: [
        ...this.kit.changes(taken, 1),
        ...(await this.settings.stockChanges(taking(methodId, taken, 1))),
      ],
    };
  }

  /**
   * What it used is known better now: all that was taken comes back, and what is so now is taken from the whole kit.
   *
   * @returns what is taken now, and the writes of both, to be done at once
   */
  async takeAgain(
    before: Pick<WashRecord, 'methodId' | 'startMs' | 'found'>,
    now: { readonly methodId: string; readonly used: WashUse | undefined },
  ): Promise<{ taken: Taken; writes: Write[] }> {
    if (before.found?.taken && this.isOld(before)) return { taken: before.found.taken, writes: [] };
    const [kit, { stock }, given] = await Promise.all([
      this.kit.all(),
      this.settings.read(),
      this.takenFor(before),
    ]);
    const back = taking(before.methodId, given, -1);
    const taken = this.takenBy(now, givenBack(kit, given), back.reduce(stockAfter, stock));
    return {
      taken,
      writes: [
        ...this.kit.changes(given, -1),
        ...this.kit.changes(taken, 1),
        ...(await this.settings.stockChanges([...back, ...taking(now.methodId, taken, 1)])),
      ],
    };
  }

  /** What there is of what a wash wants. */
  private takenBy(
    { methodId, used }: { readonly methodId: string; readonly used: WashUse | undefined },
    kit: Kit,
    stock: Settings['stock'],
  ): Taken {
    const counted = Object.entries(stock).find(([id]) => id === methodId)?.[1];
    return {
      ...(used ? takenFrom(kit, used) : NOTHING_TAKEN),
      isCounted: counted !== undefined && counted > 0,
    };
  }

  /** It was not done after all: writes that give back what was taken, and no more. */
  async giveBack(wash: Pick<WashRecord, 'methodId' | 'found'>): Promise<Write[]> {
    const taken = await this.takenFor(wash);
    const stockWrites = await this.settings.stockChanges(taking(wash.methodId, taken, -1));
    return [...this.kit.changes(taken, -1), ...stockWrites];
  }

  private takenFor({ found }: Pick<WashRecord, 'found'>): Promise<Taken> {
    return found?.taken ? Promise.resolve(found.taken) : this.takenBefore(found?.used);
  }

  /** Of a record from before it was kept: what it wanted of bottles and filters is all that is known. */
  private async takenBefore(used: WashUse | undefined): Promise<Taken> {
    if (!used) return { ...NOTHING_TAKEN, isCounted: true };
    const { filters } = takenFrom(await this.kit.all(), used);
    return { products: used.products, cloths: [], filters, isCounted: true };
  }
}
