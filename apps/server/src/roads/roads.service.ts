import { Inject, Injectable } from '@nestjs/common';
import {
  MS_PER_HOUR,
  requireTreatment,
  startOfHourMs,
  type Treatment,
  treatmentKey,
  type TreatmentSpan,
  seasonStartMs,
  type Bulletins,
  type ImportReport,
  type KeptBulletin,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { inPassing } from '../db/in-passing.js';
import { conflict, notFound } from '../errors/api-error.js';
import type { ImportDto } from '../imports/import.dto.js';
import { keeps } from '../imports/import-report.js';
import { workerFile } from '../engine/worker-file.js';
import { FileReader, type Reading } from '../imports/file-reader.js';
import type run from './roads.worker.js';
import { ROAD_AUTHORITY, type RoadAuthority } from './road-authority.js';
import { TreatmentsRepository } from '../records/treatments.repository.js';

/** Nobody announces further ahead. */
const AHEAD_MS = 72 * MS_PER_HOUR;

const READING: Reading<typeof run> = {
  file: workerFile('roads', import.meta.url),
  tooMuch: 'This table takes too long to read.',
};

@Injectable()
export class RoadsService {
  private fetching: Promise<void> = Promise.resolve();

  constructor(
    private readonly repository: TreatmentsRepository,
    private readonly clock: ClockService,
    @Inject(ROAD_AUTHORITY) private readonly authority: RoadAuthority,
    private readonly reader: FileReader,
  ) {}

  /** Every bulletin of the season, the authority's newest fetched first. */
  async bulletins(): Promise<Bulletins> {
    const nowMs = startOfHourMs(this.clock.now());
    this.fetching = this.fetching.catch(() => undefined).then(() => this.fetch(nowMs));
    await this.fetching;
    const treatments = await this.repository.since(seasonStartMs(nowMs));
    return { authority: this.authority.name, treatments };
  }

  private async fetch(nowMs: number): Promise<void> {
    const newest = await this.repository.newestMs(this.authority.name);
    const fromMs = newest === null ? seasonStartMs(nowMs) : newest + 1;
    if (fromMs >= nowMs) return;
    const bulletins = await this.authority.bulletins(fromMs, nowMs);
    await inPassing(() => this.repository.insertAll(this.authority.name, bulletins, true));
  }

  private span(): TreatmentSpan {
    const nowMs = this.clock.now();
    return { fromMs: seasonStartMs(nowMs), toMs: nowMs + AHEAD_MS };
  }

  /** Keeps a bulletin that somebody entered. @throws 400 naming the field, 409 if it is there already */
  async add(given: Treatment): Promise<KeptBulletin> {
    requireTreatment(given, this.span());
    const treatment = { ...given, atMs: startOfHourMs(given.atMs) };
    const { treatments } = await this.bulletins();
    const twin = treatments.find((other) => treatmentKey(other) === treatmentKey(treatment));
    if (twin) {
      throw conflict(
        'atMs',
        `atMs: this hour, road and agent is kept already (${twin.gramsPerM2} g/m² by ${twin.source}).`,
      );
    }
    const [record] = await this.repository.insertAll('entered', [treatment], false);
    if (!record) throw new Error('a bulletin was not kept');
    return { ...record, isLate: treatment.atMs < startOfHourMs(this.clock.now()) };
  }

  /** Reads a table of bulletins line by line. */
  async importTable({ text, mode }: ImportDto): Promise<ImportReport<Treatment>> {
    const { treatments } = await this.bulletins();
    const keys = new Set(treatments.map(treatmentKey));
    const found = await this.reader.read(READING, { text, keys, span: this.span() });
    const kept = keeps(mode, found);
    if (kept) await this.repository.insertAll('imported', found.good, false);
    return { ...found, kept };
  }

  async remove(id: string): Promise<void> {
    if (!(await this.repository.setRemoved(id, this.clock.now()))) throw notFound('bulletin', id);
  }

  async restore(id: string): Promise<void> {
    if (!(await this.repository.setRemoved(id, null))) throw notFound('bulletin', id);
  }
}
