import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { type RunRecord, type WashFound, type WashRecord } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { conflict, notFound } from '../errors/api-error.js';
import { PlacesRepository } from '../records/places.repository.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { requireDoable } from './doable.js';
import { KitUseService } from './kit-use.service.js';
import { WashChangesService } from './wash-changes.service.js';
import { firstOf } from './first-of.js';
import type { LogWashDto, MoveWashDto, PlanWashDto } from './wash.dto.js';
import { type WashFilter, WashesRepository } from '../records/washes.repository.js';
import { ALONE, type FinishedWash } from './finished-wash.js';

@Injectable()
export class WashesService {
  constructor(
    private readonly washes: WashesRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly places: PlacesRepository,
    private readonly changes: WashChangesService,
    private readonly use: KitUseService,
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
    const { added } = await this.changes.apply({ add: [dto] });
    return firstOf(added);
  }

  /** Moves a planned wash to another time, place or method, locks it or marks it as begun. */
  async move(id: string, dto: MoveWashDto): Promise<WashRecord> {
    const before = await this.read(id);
    const { isLocked = before.isLocked, startedMs = before.startedMs, ...slot } = dto;
    if (Object.keys(slot).length > 0) {
      const { moved } = await this.changes.apply({ move: [{ id, ...dto }] });
      return firstOf(moved.map(({ after }) => after));
    }
    if (before.status !== 'planned') throw conflict('status', 'This wash is done; open it again first.');
    await this.washes.update(id, { isLocked, startedMs });
    return { ...before, isLocked, startedMs };
  }

  /** Marks a planned wash as done, with what was found; it keeps how it was planned. */
  finish(id: string, dto: FinishedWash): Promise<WashRecord> {
    return this.washes.inTurn(() => this.finishNow(id, dto));
  }

  private async finishNow(id: string, dto: FinishedWash): Promise<WashRecord> {
    const before = await this.read(id);
    if (before.status === 'done') throw conflict('status', 'This wash is marked done already.');
    requireDoable(dto, this.clock.now());
    const { startMs, minutes, methodId, extras } = before;
    const found = await this.withUse({ ...before, methodId: dto.methodId }, dto.found);
    const { taken, writes } = await this.use.take(dto, found.used);
    const after: WashRecord = {
      ...before,
      ...dto,
      extras: dto.extras ?? extras,
      status: 'done',
      found: { ...found, taken, planned: { startMs, minutes, methodId, extras } },
    };
    await this.washes.change({ update: [after] }, writes);
    return after;
  }

  /** What it used and put on, by the method where nobody counted. */
  private async withUse(
    wash: Pick<WashRecord, 'vehicleId' | 'placeId' | 'methodId'> & Partial<Pick<WashRecord, 'predicted'>>,
    found: WashFound,
  ): Promise<WashFound> {
    return found.used ? found : { ...(await this.use.usual(wash)), ...found };
  }

  /** A wash that was marked done from the desk keeps what was typed there, and gets the record of its run. */
  addRun(id: string, run: RunRecord): Promise<void> {
    return this.washes.inTurn(async () => {
      const { found } = await this.read(id);
      if (found) await this.washes.update(id, { found: { ...found, run } });
    });
  }

  /** Deeds of its run arrived after it was closed: the record follows, and the kit gives back and takes what has changed. */
  amend(id: string, dto: FinishedWash): Promise<void> {
    return this.washes.inTurn(() => this.amendNow(id, dto));
  }

  private async amendNow(id: string, dto: FinishedWash): Promise<void> {
    const before = await this.read(id);
    if (before.status !== 'done' || !before.found) return;
    const { taken, writes } = await this.use.takeAgain(before, {
      methodId: dto.methodId,
      used: dto.found.used,
    });
    const found: WashFound = { ...dto.found, taken, planned: before.found.planned };
    await this.washes.change(
      { update: [{ ...before, ...dto, extras: dto.extras ?? before.extras, found }] },
      writes,
    );
  }

  /** Logs a wash that was not planned. */
  log(dto: LogWashDto): Promise<WashRecord> {
    return this.washes.inTurn(() => this.logNow(dto));
  }

  private async logNow(dto: LogWashDto): Promise<WashRecord> {
    await this.places.read(dto.placeId);
    await this.vehicles.read(dto.vehicleId);
    requireDoable(dto, this.clock.now());
    const found = await this.withUse(dto, dto.found);
    const { taken, writes } = await this.use.take(dto, found.used);
    const record: WashRecord = {
      ...dto,
      extras: dto.extras ?? [],
      id: randomUUID(),
      status: 'done',
      predicted: null,
      found: { ...found, taken },
      ...ALONE,
    };
    await this.washes.change({ insert: [record] }, writes);
    return record;
  }

  /** Back to planned as it was; what was found is forgotten, and the kit gets back what was taken. */
  reopen(id: string): Promise<WashRecord> {
    return this.washes.inTurn(() => this.reopenNow(id));
  }

  private async reopenNow(id: string): Promise<WashRecord> {
    const before = await this.read(id);
    const after: WashRecord = {
      ...before,
      ...before.found?.planned,
      status: 'planned',
      found: null,
      costMinor: null,
    };
    await this.washes.change(
      { update: [after] },
      before.status === 'done' ? await this.use.giveBack(before) : [],
    );
    return after;
  }

  /** The same from the desk. @throws 409 where its run closed it: the run would close it again, so it is opened there */
  async reopenAtDesk(id: string): Promise<WashRecord> {
    const { found } = await this.read(id);
    if (found?.run)
      throw conflict(
        'status',
        'This wash was closed by its run; open the run and take the close back there.',
      );
    return this.reopen(id);
  }

  remove(id: string): Promise<void> {
    return this.washes.inTurn(async () => {
      const record = await this.read(id);
      const partner = record.visit ? await this.washes.find(record.visit.withId) : null;
      await this.washes.change(
        {
          setRemoved: [{ id, removedMs: this.clock.now() }],
          update: partner?.status === 'planned' ? [{ ...partner, visit: null }] : [],
        },
        record.status === 'done' ? await this.use.giveBack(record) : [],
      );
    });
  }

  /** Brings a wash back. @throws 409 where another is planned in its place since */
  async restore(id: string): Promise<WashRecord> {
    const record = await this.washes.findRemoved(id);
    if (!record) throw notFound('wash', id);
    if (record.status === 'planned') return firstOf((await this.changes.apply({ restore: [id] })).restored);
    return this.washes.inTurn(() => this.bringBackNow(id));
  }

  private async bringBackNow(id: string): Promise<WashRecord> {
    const record = await this.washes.findRemoved(id);
    if (!record) throw notFound('wash', id);
    const { taken, writes } = await this.use.take(record, record.found?.used);
    const back: WashRecord = { ...record, found: record.found && { ...record.found, taken } };
    await this.washes.change({ update: [back], setRemoved: [{ id, removedMs: null }] }, writes);
    return back;
  }
}
