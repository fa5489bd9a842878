import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { RunRecord, WashFound, WashRecord } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField, conflict, notFound } from '../errors/api-error.js';
import { PlacesService } from '../places/places.service.js';
import { VehiclesService } from '../vehicles/vehicles.service.js';
import { KitUseService } from './kit-use.service.js';
import { WashChangesService } from './wash-changes.service.js';
import type { DoneWashDto, LogWashDto, MoveWashDto, PlanWashDto } from './wash.dto.js';
import { type WashFilter, WashesRepository } from './washes.repository.js';

/** A wash that was never planned: by whom is not known, and nothing holds it in place. */
const ALONE = { handsId: 'owner', isLocked: false, startedMs: null } as const;

/** A wash as it was done, from a form or from its run. */
export type FinishedWash = Omit<DoneWashDto, 'found'> & { readonly found: WashFound };

@Injectable()
export class WashesService {
  constructor(
    private readonly washes: WashesRepository,
    private readonly vehicles: VehiclesService,
    private readonly places: PlacesService,
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

  /** Marks a planned wash as done, with what was found. */
  async finish(id: string, dto: FinishedWash): Promise<WashRecord> {
    const before = await this.read(id);
    if (before.status === 'done') throw conflict('status', 'This wash is marked done already.');
    this.requireDoable(dto, await this.vehicles.read(before.vehicleId));
    const used = dto.found.used ?? (await this.use.usual({ ...before, methodId: dto.methodId }));
    const found: WashFound = { ...dto.found, used };
    const change = { ...dto, found, extras: dto.extras ?? before.extras, status: 'done' as const };
    await this.washes.update(id, change);
    const after = { ...before, ...change };
    await this.use.take(after);
    return after;
  }

  /** A wash that was marked done from the desk keeps what was typed there, and gets the record of its run. */
  async addRun(id: string, run: RunRecord): Promise<void> {
    const { found } = await this.read(id);
    if (found) await this.washes.update(id, { found: { ...found, run } });
  }

  /** Logs a wash that was not planned. */
  async log(dto: LogWashDto): Promise<WashRecord> {
    await this.places.read(dto.placeId);
    this.requireDoable(dto, await this.vehicles.read(dto.vehicleId));
    const record: WashRecord = {
      ...dto,
      extras: dto.extras ?? [],
      id: randomUUID(),
      status: 'done',
      predicted: null,
      found: { ...dto.found, used: await this.use.usual(dto) },
      ...ALONE,
    };
    await this.washes.insert(record);
    await this.use.take(record);
    return record;
  }

  /** Back to planned; what was found is forgotten. */
  async reopen(id: string): Promise<WashRecord> {
    const before = await this.read(id);
    const change = { status: 'planned' as const, found: null, costMinor: null };
    await this.washes.update(id, change);
    if (before.status === 'done') await this.use.giveBack(before);
    return { ...before, ...change };
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

  async remove(id: string): Promise<void> {
    const record = await this.read(id);
    await this.washes.setRemoved(id, this.clock.now());
    if (record.status === 'done') await this.use.giveBack(record);
  }

  /** Brings a wash back. @throws 409 where another is planned in its place since */
  async restore(id: string): Promise<WashRecord> {
    const record = await this.washes.findRemoved(id);
    if (!record) throw notFound('wash', id);
    if (record.status === 'planned') return firstOf((await this.changes.apply({ restore: [id] })).restored);
    await this.washes.setRemoved(id, null);
    await this.use.take(record);
    return record;
  }

  private requireDoable(dto: Pick<DoneWashDto, 'startMs'>, vehicle: { knownSinceMs: number }): void {
    if (dto.startMs > this.clock.now())
      throw badField('startMs', 'startMs is in the future; a wash that is done has begun.');
    if (dto.startMs < vehicle.knownSinceMs) {
      throw badField('startMs', "startMs is before this vehicle's record begins.");
    }
  }
}

function firstOf<T>([first]: readonly T[]): T {
  if (first === undefined) throw new Error('a change without an outcome');
  return first;
}
