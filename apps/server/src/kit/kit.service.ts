import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { type Gear, type Kit, kitWarnings, type KitWarnings, type Product } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField } from '../errors/api-error.js';
import { requireUnchanged } from '../errors/unchanged.js';
import { WeatherService } from '../weather/weather.service.js';
import type { CreateGearDto, CreateProductDto, UpdateGearDto, UpdateProductDto } from './kit.dto.js';
import { KitRepository } from '../records/kit.repository.js';

/** Older readings tell of an older way of working. */
const MOST_LEVELS = 24;
/** From an evening to the next morning. */
const NIGHT_HOURS = 18;

@Injectable()
export class KitService {
  constructor(
    private readonly kit: KitRepository,
    private readonly weather: WeatherService,
    private readonly clock: ClockService,
  ) {}

  all(): Promise<Kit> {
    return this.kit.all();
  }

  /** What is to be seen to before tomorrow; the van is taken to be as cold as the air outdoors. */
  async warnings(): Promise<KitWarnings> {
    const [kit, { control }] = await Promise.all([this.kit.all(), this.weather.bundle()]);
    const temps = control.slice(0, NIGHT_HOURS).flatMap((hour) => hour?.airTempC ?? []);
    return kitWarnings(kit, temps.length > 0 ? Math.min(...temps) : null);
  }

  async createProduct(dto: CreateProductDto): Promise<Product> {
    const record: Product = {
      ...dto,
      id: randomUUID(),
      capMl: dto.capMl ?? null,
      carMl: dto.carMl ?? null,
      dwell: dto.dwell ?? null,
      lowestWorkC: dto.lowestWorkC ?? null,
      lowestStoreC: dto.lowestStoreC ?? null,
      notes: dto.notes ?? '',
      levels: [{ atMs: this.clock.now(), readMl: dto.leftMl, expectedMl: dto.leftMl }],
    };
    requireLabel(record);
    await this.kit.products.insert(record);
    return record;
  }

  async updateProduct(id: string, { was, ...dto }: UpdateProductDto): Promise<Product> {
    const before = await this.kit.products.read(id);
    requireUnchanged(before, was);
    const change: Partial<Product> = { ...dto, ...this.levelRead(before, dto.leftMl) };
    const after: Product = { ...before, ...change };
    requireLabel(after);
    await this.kit.products.update(id, change);
    return after;
  }

  /** A level that is typed was read off the bottle: kept beside what was expected, so that the shop's own use can be learned. */
  private levelRead({ leftMl, levels }: Product, readMl: number | undefined): Pick<Product, 'levels'> {
    if (readMl === undefined) return {};
    const read = { atMs: this.clock.now(), readMl, expectedMl: leftMl };
    return { levels: [...(levels ?? []), read].slice(-MOST_LEVELS) };
  }

  async removeProduct(id: string): Promise<void> {
    await this.kit.products.read(id);
    await this.kit.products.setRemoved(id, this.clock.now());
  }

  restoreProduct(id: string): Promise<Product> {
    return this.kit.products.restore(id);
  }

  async createGear(dto: CreateGearDto): Promise<Gear> {
    const record: Gear = {
      ...dto,
      id: randomUUID(),
      volumeMl: dto.volumeMl ?? null,
      outputLitresPerBottle: dto.outputLitresPerBottle ?? null,
      lifeLitres: dto.lifeLitres ?? null,
      litresUsed: dto.litresUsed ?? 0,
      notes: dto.notes ?? '',
    };
    requireGear(record);
    await this.kit.gear.insert(record);
    return record;
  }

  async updateGear(id: string, { was, ...dto }: UpdateGearDto): Promise<Gear> {
    const before = await this.kit.gear.read(id);
    requireUnchanged(before, was);
    const after: Gear = { ...before, ...dto };
    requireGear(after);
    await this.kit.gear.update(id, dto);
    return after;
  }

  async removeGear(id: string): Promise<void> {
    await this.kit.gear.read(id);
    await this.kit.gear.setRemoved(id, this.clock.now());
  }

  restoreGear(id: string): Promise<Gear> {
    return this.kit.gear.restore(id);
  }
}

/** Strengths and dwell in order, and no mix with more product than water but neat. @throws 400 naming the field */
function requireLabel({ fewestParts, usualParts, mostParts, dwell }: Product): void {
  for (const [field, parts] of Object.entries({ fewestParts, usualParts, mostParts }))
    if (parts > 0 && parts < 1)
      throw badField(
        field,
        `${field}: 1:${parts} is more product than water; give parts of water to one of product (0 is neat).`,
      );
  if (usualParts < fewestParts || usualParts > mostParts)
    throw badField('usualParts', `usualParts is outside the label: 1:${fewestParts} to 1:${mostParts}.`);
  if (dwell && dwell.maxMinutes < dwell.minMinutes)
    throw badField('dwell.maxMinutes', 'dwell.maxMinutes: the longest dwell is shorter than the shortest.');
}

/** No more clean than there are. @throws 400 naming the field */
function requireGear({ count, cleanCount, volumeMl, outputLitresPerBottle }: Gear): void {
  if (cleanCount > count) throw badField('cleanCount', `cleanCount: there are ${count} in all.`);
  if (outputLitresPerBottle !== null && volumeMl !== null && outputLitresPerBottle * 1000 < volumeMl)
    throw badField('outputLitresPerBottle', 'outputLitresPerBottle: less leaves than the bottle holds.');
}
