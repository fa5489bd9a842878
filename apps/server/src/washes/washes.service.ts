import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { type PlaceRecord, type Predicted, shopMethod, type WashRecord } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField, conflict, notFound } from '../errors/api-error.js';
import { PlacesService } from '../places/places.service.js';
import { SettingsService } from '../settings/settings.service.js';
import { VehiclesService } from '../vehicles/vehicles.service.js';
import { VerdictsService } from '../verdicts/verdicts.service.js';
import type { DoneWashDto, LogWashDto, MoveWashDto, PlanWashDto } from './wash.dto.js';
import { type WashFilter, WashesRepository } from './washes.repository.js';

const MS_PER_MINUTE = 60_000;

/** Which wash, where and when: what a plan is made of. */
type Slot = Pick<WashRecord, 'vehicleId' | 'placeId' | 'methodId' | 'startMs'>;

@Injectable()
export class WashesService {
  constructor(
    private readonly washes: WashesRepository,
    private readonly vehicles: VehiclesService,
    private readonly places: PlacesService,
    private readonly verdicts: VerdictsService,
    private readonly settings: SettingsService,
    private readonly clock: ClockService,
  ) {}

  list(filter: WashFilter): Promise<WashRecord[]> {
    return this.washes.list(filter);
  }

  async read(id: string): Promise<WashRecord> {
    const record = await this.washes.find(id);
    if (!record) throw notFound('wash', id);
    return record;
  }

  /** Plans a wash and keeps what the program said of it. */
  async plan(dto: PlanWashDto): Promise<WashRecord> {
    await this.vehicles.read(dto.vehicleId);
    const slot = await this.checkedSlot(dto, null);
    const record: WashRecord = { ...slot, id: randomUUID(), status: 'planned', costMinor: null, found: null };
    await this.washes.insert(record);
    return record;
  }

  /** Moves a planned wash to another time, place or method. */
  async move(id: string, dto: MoveWashDto): Promise<WashRecord> {
    const before = await this.read(id);
    if (before.status !== 'planned')
      throw conflict('status', 'This wash is done; open it again before moving it.');
    const slot = await this.checkedSlot({ ...before, ...dto }, id);
    await this.washes.update(id, slot);
    return { ...before, ...slot };
  }

  /** Marks a planned wash as done, with what was found. */
  async finish(id: string, dto: DoneWashDto): Promise<WashRecord> {
    const before = await this.read(id);
    if (before.status === 'done') throw conflict('status', 'This wash is marked done already.');
    this.requireDoable(dto, await this.vehicles.read(before.vehicleId));
    const change = { ...dto, status: 'done' as const };
    await this.washes.update(id, change);
    return { ...before, ...change };
  }

  /** Logs a wash that was not planned. */
  async log(dto: LogWashDto): Promise<WashRecord> {
    await this.places.read(dto.placeId);
    this.requireDoable(dto, await this.vehicles.read(dto.vehicleId));
    const record: WashRecord = { ...dto, id: randomUUID(), status: 'done', predicted: null };
    await this.washes.insert(record);
    return record;
  }

  /** Back to planned; what was found is forgotten. */
  async reopen(id: string): Promise<WashRecord> {
    const before = await this.read(id);
    const change = { status: 'planned' as const, found: null, costMinor: null };
    await this.washes.update(id, change);
    return { ...before, ...change };
  }

  async remove(id: string): Promise<void> {
    await this.read(id);
    await this.washes.setRemoved(id, this.clock.now());
  }

  async restore(id: string): Promise<WashRecord> {
    if (!(await this.washes.setRemoved(id, null))) throw notFound('wash', id);
    return this.read(id);
  }

  private async checkedSlot(
    slot: Slot,
    ownId: string | null,
  ): Promise<Slot & Pick<WashRecord, 'minutes' | 'predicted'>> {
    const place = await this.places.read(slot.placeId);
    requireOffered(place, slot.methodId);
    const { house } = await this.settings.read();
    const { minutes } = shopMethod(slot.methodId, house, await this.vehicles.read(slot.vehicleId));
    if (slot.startMs + minutes * MS_PER_MINUTE < this.clock.now()) {
      throw badField('startMs', 'startMs is in the past; log a wash that was done instead of planning it.');
    }
    await this.requireFree(slot, minutes, ownId);
    const { vehicleId, placeId, methodId, startMs } = slot;
    return { vehicleId, placeId, methodId, startMs, minutes, predicted: await this.predict(slot) };
  }

  private async requireFree(slot: Slot, minutes: number, ownId: string | null): Promise<void> {
    const endMs = slot.startMs + minutes * MS_PER_MINUTE;
    const planned = await this.washes.list({ vehicleId: slot.vehicleId, status: 'planned' });
    const clash = planned.find(
      (other) =>
        other.id !== ownId &&
        slot.startMs < other.startMs + other.minutes * MS_PER_MINUTE &&
        other.startMs < endMs,
    );
    if (clash) throw conflict('startMs', 'This vehicle has another wash planned at that time.');
  }

  /** What the program says of this start; null beyond the forecast. */
  private async predict(slot: Slot): Promise<Predicted | null> {
    const detail = await this.verdicts.cellIfForecast(slot);
    if (!detail) return null;
    const { judgement, issuedMs } = detail;
    return { verdict: judgement.standing, limiting: judgement.limiting, forecastIssuedMs: issuedMs };
  }

  private requireDoable(dto: DoneWashDto, vehicle: { knownSinceMs: number }): void {
    if (dto.startMs > this.clock.now())
      throw badField('startMs', 'startMs is in the future; a wash that is done has begun.');
    if (dto.startMs < vehicle.knownSinceMs) {
      throw badField('startMs', "startMs is before this vehicle's record begins.");
    }
  }
}

function requireOffered(place: PlaceRecord, methodId: string): void {
  if (!place.methods.some((offer) => offer.methodId === methodId)) {
    throw badField('methodId', `methodId: ${methodId} cannot be done at ${place.name}.`);
  }
}
