import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  EVEN_WEEK,
  SEASON_JOB_IDS,
  MS_PER_DAY,
  type VehicleRecord,
  type WashedBefore,
  type ZoneProtection,
  seasonStartMs,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField } from '../errors/api-error.js';
import { requireUnchanged } from '../errors/unchanged.js';
import { CustomersRepository } from '../records/customers.repository.js';
import { PlacesRepository } from '../records/places.repository.js';
import type { CreateVehicleDto, UpdateVehicleDto } from './vehicle.dto.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';

/** What is left out of a new vehicle. */
export const BLANK = {
  colourName: '',
  keeper: '',
  notes: '',
  standsAtPlaceId: null,
  protections: [],
  delicateWheels: false,
  hasChargePort: false,
  weekShares: EVEN_WEEK,
  target: { kind: 'days' },
  seasonJobs: SEASON_JOB_IDS,
  customerId: null,
} as const;

@Injectable()
export class VehiclesService {
  constructor(
    private readonly vehicles: VehiclesRepository,
    private readonly places: PlacesRepository,
    private readonly customers: CustomersRepository,
    private readonly clock: ClockService,
  ) {}

  list(): Promise<VehicleRecord[]> {
    return this.vehicles.list();
  }

  read(id: string): Promise<VehicleRecord> {
    return this.vehicles.read(id);
  }

  /** The last wash as it was told; else half of what the car may bear is taken for gone, so that it is neither late nor clean (judgement). */
  private washedBefore({
    washedBefore,
    cadenceDays,
  }: Pick<VehicleRecord, 'cadenceDays'> & Pick<CreateVehicleDto, 'washedBefore'>): WashedBefore {
    if (!washedBefore) return { atMs: this.clock.now() - (cadenceDays / 2) * MS_PER_DAY, isKnown: false };
    if (washedBefore.atMs > this.clock.now())
      throw badField('washedBefore', 'washedBefore is in the future; a wash that was done is over.');
    return { atMs: washedBefore.atMs, isKnown: washedBefore.isKnown };
  }

  async create(dto: CreateVehicleDto): Promise<VehicleRecord> {
    await this.requirePlace(dto.standsAtPlaceId ?? null);
    await this.requireCustomer(dto.customerId ?? null);
    this.requireProtections(dto.protections ?? []);
    const record: VehicleRecord = {
      ...BLANK,
      ...dto,
      protections: this.noted(dto.protections ?? [], []),
      id: randomUUID(),
      knownSinceMs: seasonStartMs(this.clock.now()),
      washedBefore: this.washedBefore(dto),
    };
    await this.vehicles.insert(record);
    return record;
  }

  async update(id: string, { was, ...dto }: UpdateVehicleDto): Promise<VehicleRecord> {
    const before = await this.read(id);
    requireUnchanged(before, was);
    await this.requirePlace(dto.standsAtPlaceId ?? null);
    await this.requireCustomer(dto.customerId ?? null);
    this.requireProtections(dto.protections ?? []);
    const protections = dto.protections && this.noted(dto.protections, before.protections);
    const change = {
      ...dto,
      ...(protections ? { protections } : {}),
      ...(dto.washedBefore === undefined ? {} : { washedBefore: this.washedBefore({ ...before, ...dto }) }),
    };
    await this.vehicles.update(id, change);
    return { ...before, ...change };
  }

  async remove(id: string): Promise<void> {
    await this.read(id);
    await this.vehicles.setRemoved(id, this.clock.now());
  }

  restore(id: string): Promise<VehicleRecord> {
    return this.vehicles.restore(id);
  }

  /** What was entered for a zone holds from now on against the washes before; what was not touched keeps its own time. */
  private noted(rows: readonly ZoneProtection[], before: readonly ZoneProtection[]): ZoneProtection[] {
    return rows.map((row) => {
      const old = before.find(({ zone }) => zone === row.zone);
      const isSame =
        old?.kind === row.kind &&
        old.appliedMs === row.appliedMs &&
        (old.productName ?? null) === (row.productName ?? null) &&
        old.claimedLifeDays === row.claimedLifeDays;
      return { ...row, notedMs: isSame ? (old.notedMs ?? null) : this.clock.now() };
    });
  }

  /** Nothing is put on tomorrow, and each zone is listed once. @throws 400 naming the row's field */
  private requireProtections(rows: readonly ZoneProtection[]): void {
    const nowMs = this.clock.now();
    rows.forEach(({ zone, appliedMs, observed }, i) => {
      const field = `protections.${i}`;
      if (appliedMs !== null && appliedMs > nowMs)
        throw badField(
          `${field}.appliedMs`,
          `${field}.appliedMs is in the future; a protection is kept once it is on.`,
        );
      if (observed && observed.atMs > nowMs)
        throw badField(`${field}.observed.atMs`, `${field}.observed.atMs is in the future.`);
      if (rows.findIndex((other) => other.zone === zone) !== i)
        throw badField(`${field}.zone`, `${field}.zone: ${zone} is listed twice.`);
    });
  }

  private async requireCustomer(customerId: string | null): Promise<void> {
    if (customerId !== null && !(await this.customers.find(customerId))) {
      throw badField('customerId', `customerId: there is no customer ${customerId}.`);
    }
  }

  private async requirePlace(placeId: string | null): Promise<void> {
    if (placeId !== null && !(await this.places.find(placeId))) {
      throw badField('standsAtPlaceId', `standsAtPlaceId: there is no place ${placeId}.`);
    }
  }
}
