import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  CAR_COLUMNS,
  type CarLine,
  type CarListReport,
  type CarsMade,
  type Customer,
  MS_PER_DAY,
  seasonStartMs,
  type VehicleRecord,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { requireColumns } from '../imports/read-list.js';
import { workerFile } from '../engine/worker-file.js';
import { FileReader, type Reading } from '../imports/file-reader.js';
import { keeps } from '../imports/import-report.js';
import { CustomersRepository } from '../records/customers.repository.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import type { CarListDto } from './car-list.dto.js';
import { BLANK } from './vehicles.service.js';
import type run from './vehicles.worker.js';

const READING: Reading<typeof run> = {
  file: workerFile('vehicles', import.meta.url),
  tooMuch: 'This list takes too long to read.',
};

/** Cars and their customers from a spreadsheet. */
@Injectable()
export class CarListService {
  constructor(
    private readonly vehicles: VehiclesRepository,
    private readonly customers: CustomersRepository,
    private readonly clock: ClockService,
    private readonly reader: FileReader,
  ) {}

  /** @throws 400 where the text is no table, has too many lines, or a column is named by a heading that is not there */
  async read({ text, mode, columns: asked }: CarListDto): Promise<CarListReport> {
    if (asked) requireColumns(asked, CAR_COLUMNS, 'cars');
    const taken = (await this.vehicles.list()).map(({ name }) => name);
    const job = { text, asked: asked ?? null, taken, nowMs: this.clock.now() };
    const found = await this.reader.read(READING, job);
    const kept = keeps(mode, found);
    const made = kept ? await this.keep(found.good) : null;
    return { ...found, kept, made };
  }

  private async keep(lines: readonly CarLine[]): Promise<CarsMade> {
    const there = new Map((await this.customers.list()).map((one) => [one.name.toLowerCase(), one.id]));
    const people: Customer[] = [];
    const customerOf = ({ customer, contact }: CarLine): string | null => {
      if (customer === null) return null;
      const known = there.get(customer.toLowerCase());
      if (known !== undefined) return known;
      const id = randomUUID();
      const unasked = { notes: '', photoConsent: 'none', consentMs: null, availability: null } as const;
      people.push({ ...unasked, id, name: customer, contact });
      there.set(customer.toLowerCase(), id);
      return id;
    };
    const cars = lines.map((line) => this.recordOf(line, customerOf(line)));
    await this.vehicles.addList(people, cars);
    return { vehicleIds: cars.map(({ id }) => id), customerIds: people.map(({ id }) => id) };
  }

  private recordOf(line: CarLine, customerId: string | null): VehicleRecord {
    const { name, bodyClass, paintTone, protection, cadenceDays, kmADay, lastWashMs, notes } = line;
    const nowMs = this.clock.now();
    return {
      ...BLANK,
      id: randomUUID(),
      name,
      notes,
      bodyClass,
      paintTone,
      protection,
      cadenceDays,
      customerId,
      bodyMaterial: 'steel',
      waterBehaviour: protection === 'bare' ? 'flat' : 'beading',
      // Mostly on roads that are salted first (judgement).
      driving: { mainRoadKm: 0.7 * kmADay, townKm: 0.3 * kmADay, bridgeKm: 0 },
      knownSinceMs: seasonStartMs(nowMs),
      washedBefore:
        lastWashMs === null
          ? { atMs: nowMs - (cadenceDays / 2) * MS_PER_DAY, isKnown: false }
          : { atMs: lastWashMs, isKnown: true },
    };
  }

  async undo(made: CarsMade): Promise<void> {
    await this.vehicles.removeList(made, this.clock.now());
  }
}
