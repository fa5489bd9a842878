import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  type Drive,
  requireDrive,
  startOfHourMs,
  type VehicleRecord,
  type DriveRecord,
  type ImportReport,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField, conflict, notFound } from '../errors/api-error.js';
import type { ImportTrackDto } from '../imports/import.dto.js';
import { workerFile } from '../engine/worker-file.js';
import { FileReader, type Reading } from '../imports/file-reader.js';
import { keeps, reported } from '../imports/import-report.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { DrivesRepository } from '../records/drives.repository.js';
import type run from './drives.worker.js';

const keyOf = ({ hourMs, roadClass }: Pick<Drive, 'hourMs' | 'roadClass'>): string =>
  `${hourMs} ${roadClass}`;

const READING: Reading<typeof run> = {
  file: workerFile('drives', import.meta.url),
  tooMuch: 'This track takes too long to read.',
};

@Injectable()
export class DrivesService {
  constructor(
    private readonly drives: DrivesRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly clock: ClockService,
    private readonly reader: FileReader,
  ) {}

  async list(vehicleId: string): Promise<DriveRecord[]> {
    await this.vehicles.read(vehicleId);
    return this.drives.list(vehicleId);
  }

  /** Keeps a drive that somebody entered. @throws 400 naming the field, 409 if that hour and road is kept already */
  async add(vehicleId: string, given: Drive): Promise<DriveRecord> {
    const vehicle = await this.vehicles.read(vehicleId);
    const drive = { ...given, hourMs: startOfHourMs(given.hourMs) };
    requireDrive(drive);
    const fault = this.hourFault(drive.hourMs, vehicle);
    if (fault) throw badField('hourMs', `hourMs ${fault}.`);
    const known = await this.drives.list(vehicleId);
    if (known.some((other) => keyOf(other) === keyOf(drive)))
      throw conflict(
        'hourMs',
        'hourMs: a drive on that road in that hour is kept already; take it away first.',
      );
    const record: DriveRecord = { ...drive, id: randomUUID(), vehicleId, origin: 'entered' };
    await this.drives.insert([record]);
    return record;
  }

  private hourFault(hourMs: number, vehicle: VehicleRecord): string | null {
    if (hourMs > this.clock.now()) return 'is in the future; only what was driven counts';
    return hourMs < startOfHourMs(vehicle.knownSinceMs) ? "is before this vehicle's record begins" : null;
  }

  /** Reads a recorded way (GPX) point by point; what it drove is kept as the mode says. */
  async importTrack(vehicleId: string, dto: ImportTrackDto): Promise<ImportReport<Drive>> {
    const vehicle = await this.vehicles.read(vehicleId);
    const { drives, faults } = await this.reader.read(READING, {
      text: dto.text,
      roadClass: dto.roadClass ?? null,
    });
    const known = new Set((await this.drives.list(vehicleId)).map(keyOf));
    const found = drives.map(({ drive, line }) => ({
      drive,
      line,
      fault: this.trackFault(drive, { vehicle, known }),
    }));
    const good = found.filter(({ fault }) => fault === null).map(({ drive }) => drive);
    const turnedDown = found.flatMap(({ line, fault }) =>
      fault === null ? [] : [{ line, field: 'time', message: fault }],
    );
    const lineFaults = reported([...faults, ...turnedDown]);
    const kept = keeps(dto.mode, { good, faults: lineFaults });
    if (kept)
      await this.drives.insert(
        good.map((drive) => ({ ...drive, id: randomUUID(), vehicleId, origin: 'track' })),
      );
    return { good, faults: lineFaults, kept };
  }

  private trackFault(
    drive: Drive,
    { vehicle, known }: { vehicle: VehicleRecord; known: ReadonlySet<string> },
  ): string | null {
    const fault = this.hourFault(drive.hourMs, vehicle);
    if (fault) return `the hour from here ${fault}`;
    return known.has(keyOf(drive)) ? 'a drive on that road in that hour is kept already' : null;
  }

  async setRemoved(of: { vehicleId: string; id: string }, isRemoved: boolean): Promise<void> {
    if (!(await this.drives.setRemoved(of, isRemoved ? this.clock.now() : null)))
      throw notFound('drive', of.id);
  }
}
