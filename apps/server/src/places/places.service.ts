import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { PlaceRecord } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField } from '../errors/api-error.js';
import { requireUnchanged } from '../errors/unchanged.js';
import type { CreatePlaceDto, UpdatePlaceDto } from './place.dto.js';
import { newPlaceFields, placeFields } from './place-fields.js';
import { PlacesRepository } from '../records/places.repository.js';

@Injectable()
export class PlacesService {
  constructor(
    private readonly places: PlacesRepository,
    private readonly clock: ClockService,
  ) {}

  list(): Promise<PlaceRecord[]> {
    return this.places.list();
  }

  read(id: string): Promise<PlaceRecord> {
    return this.places.read(id);
  }

  async create(dto: CreatePlaceDto): Promise<PlaceRecord> {
    const record: PlaceRecord = { ...newPlaceFields(dto), id: randomUUID() };
    await this.requireSecond(record);
    await this.places.insert(record);
    return record;
  }

  async update(id: string, { was, ...dto }: UpdatePlaceDto): Promise<PlaceRecord> {
    const before = await this.read(id);
    requireUnchanged(before, was);
    const change = placeFields(dto);
    await this.requireSecond({ ...before, ...change });
    await this.places.update(id, change);
    return { ...before, ...change };
  }

  /** A wash ends at another of the shop's places, and not on a meter. */
  private async requireSecond({ id, finishAt }: PlaceRecord): Promise<void> {
    if (!finishAt) return;
    const field = 'finishAt.placeId';
    if (finishAt.placeId === id)
      throw badField(
        field,
        `${field}: it is the place itself; a wash that ends where it began needs no second place.`,
      );
    const second = (await this.list()).find((place) => place.id === finishAt.placeId);
    if (!second) throw badField(field, `${field}: there is no such place.`);
    if (second.tariff)
      throw badField(field, `${field}: ${second.name} has a meter; a wash is ended where none runs.`);
  }

  async remove(id: string): Promise<void> {
    await this.read(id);
    await this.places.setRemoved(id, this.clock.now());
  }

  restore(id: string): Promise<PlaceRecord> {
    return this.places.restore(id);
  }
}
