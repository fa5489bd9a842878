import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { Injectable } from '@nestjs/common';
import {
  NOTHING_TAKEN,
  WASH_COLUMNS,
  type WashesMade,
  type WashLine,
  type WashListFacts,
  type WashListReport,
  type WashRecord,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { workerFile } from '../engine/worker-file.js';
import { conflict } from '../errors/api-error.js';
import { FileReader, type Reading } from '../imports/file-reader.js';
import { keeps } from '../imports/import-report.js';
import { requireColumns } from '../imports/read-list.js';
import { PlacesRepository } from '../records/places.repository.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { WashesRepository } from '../records/washes.repository.js';
import { SettingsService } from '../settings/settings.service.js';
import { ALONE } from './finished-wash.js';
import type { WashListDto } from './wash-list.dto.js';
import type run from './washes.worker.js';

const READING: Reading<typeof run> = {
  file: workerFile('washes', import.meta.url),
  tooMuch: 'This list takes too long to read.',
};

/** What a list takes out of the kit. */
const NOTHING = { ...NOTHING_TAKEN, isCounted: false };

/** A wash of long ago: it takes nothing out of the kit, and nobody told of a coat that it laid. */
const recordOf = ({
  vehicleId,
  placeId,
  methodId,
  startMs,
  minutes,
  costMinor,
  note,
}: WashLine): WashRecord => ({
  ...ALONE,
  id: randomUUID(),
  vehicleId,
  placeId,
  methodId,
  status: 'done',
  startMs,
  minutes,
  extras: [],
  costMinor,
  predicted: null,
  found: {
    icePanels: [],
    spots: 'none',
    leftovers: '',
    note,
    laid: [],
    taken: NOTHING,
  },
});

/** Done, alone and out of nothing: deleting it gives nothing back. */
const isAsListed = ({ status, visit, found }: WashRecord): boolean =>
  status === 'done' && !visit && isDeepStrictEqual(found?.taken, NOTHING);

/** Old washes from a spreadsheet. */
@Injectable()
export class WashListService {
  constructor(
    private readonly washes: WashesRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly places: PlacesRepository,
    private readonly settings: SettingsService,
    private readonly clock: ClockService,
    private readonly reader: FileReader,
  ) {}

  /** @throws 400 where the text is no table, has too many lines, or a column is named by a heading that is not there */
  async read({ text, mode, columns }: WashListDto): Promise<WashListReport> {
    if (columns) requireColumns(columns, WASH_COLUMNS, 'washes');
    const found = await this.reader.read(READING, {
      text,
      asked: columns ?? null,
      facts: await this.facts(),
    });
    const kept = keeps(mode, found);
    if (!kept) return { ...found, kept, made: null };
    const records = found.good.map(recordOf);
    await this.washes.inTurn(() => this.washes.change({ insert: records }));
    return { ...found, kept, made: { washIds: records.map(({ id }) => id) } };
  }

  private async facts(): Promise<WashListFacts> {
    const [vehicles, places, known, { timeZone }] = await Promise.all([
      this.vehicles.list(),
      this.places.list(),
      this.washes.list(),
      this.settings.read(),
    ]);
    return {
      vehicles: vehicles.map(({ id, name }) => ({ id, name })),
      places: places.map(({ id, name, methods }) => ({
        id,
        name,
        methodIds: methods.map(({ methodId }) => methodId),
      })),
      known: known.map(({ vehicleId, startMs }) => ({ vehicleId, startMs })),
      timeZone,
      nowMs: this.clock.now(),
    };
  }

  /**
   * Takes out what came with a list, all or none; what has been deleted meanwhile is left as it is.
   *
   * @throws 409 where one of them is not done, belongs to a visit or has taken something out of the kit: no list brings such
   */
  async undo({ washIds }: WashesMade): Promise<void> {
    const removedMs = this.clock.now();
    await this.washes.inTurn(async () => {
      const asked = new Set(washIds);
      const there = (await this.washes.list()).filter(({ id }) => asked.has(id));
      if (!there.every(isAsListed))
        throw conflict(
          'washIds',
          'One of these washes is not as a list brings it. Delete in the log those that you do not want.',
        );
      await this.washes.change({ setRemoved: there.map(({ id }) => ({ id, removedMs })) });
    });
  }
}
